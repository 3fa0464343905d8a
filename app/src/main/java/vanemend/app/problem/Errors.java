package vanemend.app.problem;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.RequestMapping;

/** What went wrong before any of our own code was reached, told as a problem like everything else. */
@Hidden
@Controller
class Errors implements ErrorController {
    private static final Logger LOG = LoggerFactory.getLogger(Errors.class);

    private final PlainProblems problems;

    Errors(PlainProblems problems) {
        this.problems = problems;
    }

    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object thrown = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
        if (thrown instanceof DataAccessException || thrown instanceof TransactionException) {
            LOG.warn("store does not answer: {}", ((Exception) thrown).getMessage());
            problems.write(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Store does not answer",
                    "The store does not answer. Nothing was lost; what you did is kept here and sent again by itself.");
            return;
        }
        if (thrown instanceof Exception e) {
            LOG.error("unforeseen, outside the controllers", e);
        }
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.resolve(code)
                : HttpStatus.NOT_FOUND;
        HttpStatus said = status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status;
        problems.write(
                response,
                said,
                said.getReasonPhrase(),
                said.is5xxServerError()
                        ? "Something went wrong here that should not have. What you typed is kept; try again."
                        : "The server cannot do anything with this request.");
    }
}
