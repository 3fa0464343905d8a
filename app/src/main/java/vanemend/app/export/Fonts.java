package vanemend.app.export;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.openpdf.text.pdf.BaseFont;

/** Typefaces that every PDF reader has. */
final class Fonts {
    private Fonts() {}

    static BaseFont plain() {
        return named(BaseFont.HELVETICA);
    }

    static BaseFont bold() {
        return named(BaseFont.HELVETICA_BOLD);
    }

    private static BaseFont named(String name) {
        try {
            return BaseFont.createFont(name, BaseFont.WINANSI, BaseFont.NOT_EMBEDDED);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
