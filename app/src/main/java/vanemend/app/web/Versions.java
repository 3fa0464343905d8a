package vanemend.app.web;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import vanemend.app.problem.Refused;

/** Reads the version out of an If-Match header. */
final class Versions {
    private static final Pattern ETAG = Pattern.compile("(?:W/)?\"(\\d{1,9})\"");

    private Versions() {}

    static int of(Optional<String> ifMatch) {
        String header = ifMatch.orElseThrow(() -> new Refused(
                HttpStatus.PRECONDITION_REQUIRED,
                "Version",
                "Say which version you changed: If-Match with the ETag of the repair as you read it."));
        Matcher m = ETAG.matcher(header.strip());
        if (!m.matches()) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST,
                    "Version",
                    "If-Match of " + header + " is no ETag of a repair: expected a number in quotes, such as \"3\".");
        }
        return Integer.parseInt(m.group(1));
    }
}
