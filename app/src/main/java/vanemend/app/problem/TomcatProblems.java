package vanemend.app.problem;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

/** What the server itself turns away, such as an address that is none, is told as a problem too, without its name and version. */
@Component
class TomcatProblems implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(
                context -> ((StandardHost) context.getParent()).setErrorReportValveClass(Report.class.getName()));
    }

    /** Made by the server by its name. */
    public static final class Report extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable thrown) {
            if (response.getStatus() < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                response.setCharacterEncoding(StandardCharsets.UTF_8.name());
                response.getReporter()
                        .write(
                                "{\"status\":" + response.getStatus()
                                        + ",\"title\":\"Not readable\",\"detail\":\"The server cannot do anything with this request.\"}");
                response.finishResponse();
            } catch (IOException gone) {
                // Whoever asked is not there any more.
                response.setSuspended(true);
            }
        }
    }
}
