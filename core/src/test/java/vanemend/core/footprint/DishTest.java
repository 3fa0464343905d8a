package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import vanemend.core.Seeds;
import vanemend.core.damage.Oval;
import vanemend.core.damage.Trace;
import vanemend.core.method.hairline.Groove;
import vanemend.core.trade.Text;

@DisplayName(
        "dish, groove and pyramid against closed forms (textbook geometry), an integration library and published ply thickness")
class DishTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final Geometry SHEET = new Oval(0, 0, 4000, 4000, 0).polygon();

    private static Geometry point() {
        return GEOMETRY.createPoint(new Coordinate(0, 0));
    }

    @Test
    @DisplayName("cosine dish π·a²·h·(½ − 2/π²): 60 by 4 mm is 13.45 mL, 25 by 2 mm is 1167.72 mm³ (published table)")
    void aroundAPointItIsTheCosineDish() {
        assertThat(new Dish(point(), SHEET, 60, 4).volumeMm3() / 1000).isCloseTo(13.45, within(0.03));
        assertThat(new Dish(point(), SHEET, 25, 2).volumeMm3()).isCloseTo(1167.7207, within(1167.7 * 0.005));
    }

    @Test
    void alongACrackItAgreesWithTheIntegrationLibrary() {
        Geometry crack = new Trace(List.of(0.0, 0.0, 90.0, 0.0)).line();
        Dish d = new Dish(crack, SHEET, 30, 3.2);
        // A segment's neighbourhood of s has the perimeter 2L + 2πs: V = ∫ depth(s)·(2L + 2πs) ds.
        double v = new IterativeLegendreGaussIntegrator(16, 1e-10, 1e-10)
                .integrate(10_000, s -> d.depthAt(s) * (2 * 90 + 2 * Math.PI * s), 0, 30);
        assertThat(d.volumeMm3()).isCloseTo(v, within(v * 0.005));
    }

    @Test
    void itIsLevelAtBottomAndRimAndNowhereSteeperThanAsked() {
        double w = Dish.widthMm(3.2, 6, 25, 50);
        Dish d = new Dish(point(), SHEET, w, 3.2);
        assertThat(w).isCloseTo(Math.PI / 2 * 3.2 * 6, within(1e-9));
        assertThat(d.steepest()).isCloseTo(1.0 / 6, within(1e-9));
        assertThat((d.depthAt(0) - d.depthAt(0.01)) / 0.01).isLessThan(1e-3);
        assertThat((d.depthAt(w - 0.01) - d.depthAt(w)) / 0.01).isLessThan(1e-3);
        assertThat(d.depthAt(w + 1)).isZero();
        assertThat(Dish.widthMm(0.5, 6, 25, 50)).isEqualTo(25);
        assertThat(Dish.widthMm(9, 6, 25, 50)).isEqualTo(50);
        assertThatThrownBy(() -> new Dish(point(), SHEET, 0, 1)).hasMessageContaining("a dish 0.0 mm wide");
    }

    @Test
    void deeperAndWiderHoldMoreAndAnEdgeTakesAway() {
        Seeds.forEach(100, (r, i) -> {
            Geometry damage = new Oval(0, 0, Seeds.between(r, 5, 80), Seeds.between(r, 5, 60), 30).polygon();
            double w = Seeds.between(r, 20, 50);
            double h = Seeds.between(r, 1, 6);
            double v = new Dish(damage, SHEET, w, h).volumeMm3();
            assertThat(new Dish(damage, SHEET, w + 2, h).volumeMm3()).isGreaterThan(v);
            assertThat(new Dish(damage, SHEET, w, h + 0.5).volumeMm3()).isGreaterThan(v);
            assertThat(v).isGreaterThan(damage.getArea() * h * 0.99);
            Geometry half = SHEET.getEnvelope()
                    .intersection(GEOMETRY.toGeometry(new org.locationtech.jts.geom.Envelope(-2000, 0, -2000, 2000)));
            assertThat(new Dish(damage, half, w, h).volumeMm3()).isCloseTo(v / 2, within(v * 0.02));
        });
    }

    @Test
    @DisplayName("V groove ½·w·h·L with its end cones (textbook)")
    void groove() {
        Groove g = new Groove(100, 6, 3);
        assertThat(g.volumeMm3()).isCloseTo(900 + Math.PI * 9, within(1e-9));
        assertThat(g.depthAt(0)).isEqualTo(3);
        assertThat(g.depthAt(3)).isZero();
        assertThat(g.depthAt(1.5)).isCloseTo(1.5, within(1e-9));
    }

    @Test
    @DisplayName(
            "ply thickness t = W/(1000·ρ·Vf): 600 g/m² glass at 0.50 is 0.4688 mm, 200 g/m² carbon at 0.60 is 0.1873 mm (CMH-17 vol. 3; Barbero)")
    void plyThickness() {
        assertThat(Pyramid.plyThicknessMm(600, 2.56, 0.5)).isCloseTo(0.4688, within(5e-4));
        assertThat(Pyramid.plyThicknessMm(300, 2.56, 0.5)).isCloseTo(0.2344, within(5e-4));
        assertThat(Pyramid.plyThicknessMm(200, 1.78, 0.6)).isCloseTo(0.1873, within(5e-4));
        assertThat(Pyramid.plyThicknessMm(145, 1.79, 0.6)).isCloseTo(0.1350, within(5e-4));
        assertThat(Pyramid.plyThicknessMm(300, 2.55, 0.5)).isCloseTo(0.2353, within(5e-4));
        assertThat(Pyramid.plyThicknessMm(300, 2.54, 0.45)).isCloseTo(0.262, within(5e-4));
        assertThatThrownBy(() -> Pyramid.plyThicknessMm(300, 2.54, 1)).hasMessageContaining("fibre share 1.0");
    }

    @Test
    void pliesGrowByEvenStepsAndFillTheDishWithoutStandingOut() {
        Dish d = new Dish(new Trace(List.of(0.0, 0.0, 90.0, 0.0)).strip(1), SHEET, 40, 3.2);
        Pyramid p = Pyramid.in(d, 0.262, 0.3, 0.3, 3, 3);
        assertThat(p.held()).isTrue();
        assertThat(p.plies()).hasSize(5);
        for (int i = 0; i < 5; i++) {
            assertThat(p.plies().get(i).pastMm()).isCloseTo(37.0 * (i + 1) / 5, within(1e-9));
            assertThat(p.plies().get(i).number()).isEqualTo(i + 1);
        }
        assertThat(p.heightAt(0)).isLessThanOrEqualTo(3.2 - 0.3);
        assertThat(p.heightAt(38)).isZero();
    }

    @Test
    void aShallowDishSaysWhatWouldHoldThePlies() {
        Dish d = new Dish(point(), SHEET, 30, 1.2);
        Pyramid p = Pyramid.in(d, 0.262, 0.3, 0.3, 3, 3);
        assertThat(p.held()).isFalse();
        assertThat(p.plies()).hasSize(3);
        assertThat(Text.plain(p.said())).contains("1.99 mm deep").contains("this one is 1.2 mm");
    }
}
