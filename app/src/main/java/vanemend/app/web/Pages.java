package vanemend.app.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import vanemend.app.access.ContentPolicy;

/** The one page; its addresses are those of the screens. */
@Hidden
@Controller
class Pages {
    private final String page;

    Pages() {
        this.page = read();
    }

    /** Every address that is no file and no part of the API opens the application, which knows its own screens. */
    @GetMapping({
        "/",
        "/{first:(?!api$|actuator$|assets$|v3$|error$)[^.]+}",
        "/{first:(?!api$|actuator$|assets$|v3$|error$)[^.]+}/**"
    })
    ResponseEntity<String> page(HttpServletRequest request) {
        String nonce = String.valueOf(request.getAttribute(ContentPolicy.NONCE));
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "html", StandardCharsets.UTF_8))
                .cacheControl(CacheControl.noStore())
                .body(page.replace("__NONCE__", nonce));
    }

    private static String read() {
        ClassPathResource file = new ClassPathResource("static/index.html");
        if (!file.exists()) {
            throw new IllegalStateException("the front end is not built: static/index.html is missing");
        }
        try {
            return file.getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("static/index.html cannot be read", e);
        }
    }
}
