package vanemend.app.web;

import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** What is downloaded, under a name that says what it is. */
final class Files {
    private Files() {}

    static ResponseEntity<byte[]> attached(byte[] body, String title, String what, String ending, MediaType type) {
        String name = (title + " " + what)
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                        .replaceAll("^-|-$", "")
                + "." + ending;
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(body);
    }
}
