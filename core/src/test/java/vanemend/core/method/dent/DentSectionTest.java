package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.part.Part;
import vanemend.core.section.Layer;
import vanemend.core.section.Section;

class DentSectionTest {
    private static final Part PART = TestShop.part(TestShop.door());

    private static Section cut(List<Dent> dents, boolean filled) {
        DepthField field = new DepthField(dents);
        Footprint f = DentFootprint.of(PART, field);
        return DentSection.of(
                f,
                field,
                new DentSection.Build(0.9, 0.055, 0.055, filled),
                field.deepest().yMm());
    }

    private static Layer layer(Section s, String id) {
        return s.layers().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void layersNeitherOverlapNorGape() {
        Seeds.forEach(120, (r, i) -> {
            Section s = cut(TestShop.dents(r), i % 2 == 0);
            for (int k = 0; k + 1 < s.layers().size(); k++) {
                Layer below = s.layers().get(k);
                Layer above = s.layers().get(k + 1);
                int n = above.xz().size() / 4;
                for (int j = 0; j < n; j++) {
                    double x = above.xz().get(2 * j);
                    double top = above.xz().get(2 * j + 1);
                    double bottom = above.xz().get(above.xz().size() - 2 * j - 1);
                    assertThat(top).isGreaterThanOrEqualTo(bottom - 1e-4);
                    assertThat(topAt(s, k, x))
                            .as(above.id() + " lies on what is under it, x " + x)
                            .isCloseTo(bottom, within(2e-3));
                }
                assertThat(below.areaMm2()).isGreaterThanOrEqualTo(0);
            }
        });
    }

    /** Highest top of layers 0 to k at x. */
    private static double topAt(Section s, int k, double x) {
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i <= k; i++) {
            List<Double> xz = s.layers().get(i).xz();
            int n = xz.size() / 4;
            for (int j = 0; j < n; j++) {
                if (Math.abs(xz.get(2 * j) - x) < 1e-6) {
                    best = Math.max(best, xz.get(2 * j + 1));
                }
            }
        }
        return best;
    }

    @Test
    void fillerIsAsThickAsTheHollowAndTheCoatsThatCameOff() {
        Section s = cut(List.of(new Dent(340, 240, 120, 100, 0, 2.8, Dent.Profile.BOWL)), true);
        assertThat(layer(s, "filler").thickestMm()).isCloseTo(2.8 + 0.055, within(0.03));
        assertThat(layer(s, "part").thickestMm()).isCloseTo(0.9, within(1e-6));
        assertThat(s.proudMm()).isCloseTo(0.8, within(1e-3));
        // A skim of 0.15 mm, and up to the 0.055 mm of colour it makes up where the filler runs out to nothing.
        assertThat(layer(s, "putty").thickestMm()).isBetween(0.15, 0.15 + 0.0551);
    }

    @Test
    void puttyAloneFillsWhereThereIsNoFiller() {
        Section s = cut(List.of(new Dent(340, 240, 120, 100, 0, 1.6, Dent.Profile.BOWL)), false);
        assertThat(s.layers()).noneMatch(l -> l.id().equals("filler"));
        assertThat(layer(s, "putty").thickestMm()).isGreaterThan(1.6);
    }

    @Test
    void areaOfTheFillerIsThatOfTheHollowInTheCut() {
        // Parabola under its chord: ⅔ · width · depth (textbook), plus the coats made up again.
        Section s = cut(List.of(new Dent(340, 240, 120, 100, 0, 2.4, Dent.Profile.BOWL)), true);
        double hollow = 2.0 / 3 * 120 * 2.4;
        assertThat(layer(s, "filler").areaMm2()).isBetween(hollow, hollow + 0.055 * 150 + 1);
    }
}
