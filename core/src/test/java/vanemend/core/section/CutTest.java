package vanemend.core.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;

@DisplayName("a cut: layers between surfaces, never below what is there")
class CutTest {
    private static Layer layer(Section s, String id) {
        return s.layers().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    @DisplayName("slab 100 × 2, bowl of 40 by 1 filled level: 2/3·40·1 of the cut is filler (parabola, textbook)")
    void aBowlInASlab() {
        Section s = new Cut(5, 0, 100, x -> -2)
                .layer("slab", "Slab", "part", x -> Math.min(0, -1 + Math.pow((x - 50) / 20, 2)))
                .layer("fill", "Fill", "fill", x -> 0)
                .section();
        assertThat(layer(s, "fill").areaMm2()).isCloseTo(2.0 / 3 * 40, within(0.05));
        assertThat(layer(s, "slab").areaMm2() + layer(s, "fill").areaMm2()).isCloseTo(200, within(1e-6));
        assertThat(layer(s, "fill").thickestMm()).isCloseTo(1, within(1e-3));
        assertThat(s.lowestMm()).isEqualTo(-2);
        assertThat(s.highestMm()).isZero();
    }

    @Test
    void aSurfaceBelowWhatIsThereAddsNothing() {
        Section s = new Cut(0, 0, 10, x -> 0)
                .layer("a", "A", "part", x -> 1)
                .layer("none", "None", "fill", x -> 0.5)
                .layer("b", "B", "fill", x -> 1.5)
                .section();
        assertThat(s.layers()).extracting(Layer::id).containsExactly("a", "b");
        assertThat(layer(s, "b").areaMm2()).isCloseTo(5, within(1e-9));
    }

    @Test
    void whatStandsProudIsMeasuredFromTheLayerBeforeIt() {
        Cut cut = new Cut(0, 0, 10, x -> 0).layer("fill", "Fill", "fill", x -> 1);
        cut.proud(x -> 1.8);
        Section s = cut.layer("skim", "Skim", "finish", x -> 1.2).section();
        assertThat(s.proudMm()).isCloseTo(0.8, within(1e-9));
        assertThat(s.highestMm()).isCloseTo(1.8, within(1e-9));
        assertThat(s.proud()).isNotEmpty();
        assertThat(new Cut(0, 0, 10, x -> 0)
                        .layer("a", "A", "part", x -> 1)
                        .section()
                        .proud())
                .isEmpty();
    }

    @Test
    void layersOverAnyWavesFillTheSpaceBetweenThem() {
        Seeds.forEach(200, (r, i) -> {
            double a = Seeds.between(r, 0.1, 3);
            double b = Seeds.between(r, 5, 40);
            Section s = new Cut(0, 0, 80, x -> -5)
                    .layer("one", "One", "part", x -> a * Math.sin(x / b))
                    .layer("two", "Two", "fill", x -> a * Math.cos(x / b))
                    .layer("three", "Three", "finish", x -> a + 0.1)
                    .section();
            double sum = s.layers().stream().mapToDouble(Layer::areaMm2).sum();
            assertThat(sum).isCloseTo(80 * (5 + a + 0.1), within(1e-6));
            for (Layer l : s.layers()) {
                assertThat(l.areaMm2()).isPositive();
                assertThat(l.xz().size() % 4).isZero();
            }
        });
    }

    @Test
    void heightsAtItsPlacesMakeTheSameCutAsTheSurface() {
        double[] x = Cut.places(0, 90);
        Section byHeights = new Cut(3, x, Cut.heights(x, v -> -1))
                .layer("hill", "Hill", "part", Cut.heights(x, Math::sin))
                .proud(Cut.heights(x, v -> 1.5))
                .layer("skim", "Skim", "finish", Cut.heights(x, v -> 1))
                .section();
        Section bySurfaces = new Cut(3, 0, 90, v -> -1)
                .layer("hill", "Hill", "part", Math::sin)
                .proud(v -> 1.5)
                .layer("skim", "Skim", "finish", v -> 1)
                .section();
        assertThat(byHeights).isEqualTo(bySurfaces);
    }

    @Test
    void sampledIsExactWhereACutLooksAndStraightBetween() {
        var f = Cut.sampled(0, 140, x -> x * x);
        for (int x : List.of(0, 1, 70, 139, 140)) {
            assertThat(f.applyAsDouble(x)).isCloseTo((double) x * x, within(1e-6));
        }
        assertThat(f.applyAsDouble(10.5)).isCloseTo((100 + 121) / 2.0, within(1e-6));
        assertThat(f.applyAsDouble(-5)).isZero();
    }
}
