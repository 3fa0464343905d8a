package vanemend.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.trade.TradeTerm;

@DisplayName(
        "the words of the trade are explained without a figure, each once, and they are words that the plans really use")
class TermsTest {
    private static final Path PLANS = Path.of("src/test/resources/plans");

    /** Words of the screens, not of a plan's steps. */
    private static final Set<String> ON_SCREENS = Set.of("section", "film-gauge", "base-coat", "legs");

    @Test
    void noFigureStandsInProse() {
        assertThat(TradeTerm.all())
                .allSatisfy(t -> assertThat(t.meaning().replaceAll("⟦[^⟧]*⟧", ""))
                        .as(t.id())
                        .doesNotContainPattern("\\d")
                        .endsWith("."));
    }

    @Test
    void noWordStandsForTwo() {
        Set<String> seen = new HashSet<>();
        for (TradeTerm t : TradeTerm.all()) {
            assertThat(t.shown()).isNotEmpty();
            assertThat(seen.add("id " + t.id())).as(t.id()).isTrue();
            for (String form : t.forms()) {
                assertThat(seen.add(form.toLowerCase(Locale.ROOT))).as(form).isTrue();
            }
        }
    }

    @Test
    void everyTermIsMetInAPlan() {
        String all = plans();
        assertThat(TradeTerm.all().stream().filter(t -> !ON_SCREENS.contains(t.id())))
                .allSatisfy(t -> assertThat(t.forms())
                        .as(t.id())
                        .anyMatch(f -> Pattern.compile("\\b" + Pattern.quote(f) + "\\b", Pattern.CASE_INSENSITIVE)
                                .matcher(all)
                                .find()));
    }

    private static String plans() {
        try (Stream<Path> files = Files.walk(PLANS)) {
            List<Path> texts = files.filter(Files::isRegularFile).toList();
            StringBuilder all = new StringBuilder();
            for (Path p : texts) {
                all.append(Files.readString(p));
            }
            return all.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
