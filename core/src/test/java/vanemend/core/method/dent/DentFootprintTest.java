package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.hipparchus.util.MathUtils;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.part.Part;
import vanemend.core.part.PartDraft.BodyLineDraft;
import vanemend.core.trade.TradeBook;

class DentFootprintTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    @ParameterizedTest(name = "stadium L {0} r {1}: {2} mm² (textbook: 2rL + πr²)")
    @CsvSource({"90,25,6463.5", "90,38,11376.5", "100,5,1078.53982", "50,10,1314.15927"})
    void stadium(double length, double r, double area) {
        Geometry g = Reach.grow(
                GEOMETRY.createLineString(new Coordinate[] {new Coordinate(0, 0), new Coordinate(length, 0)}), r);
        assertThat(g.getArea()).isCloseTo(area, within(area * 0.005));
    }

    @Test
    @DisplayName("an ellipse grown by r: A + P·r + π·r² (Steiner), perimeter by the complete elliptic integral")
    void grownEllipse() {
        Dent d = new Dent(350, 250, 120, 80, 30, 2, Dent.Profile.BOWL);
        double e2 = 1 - Math.pow(d.b() / d.a(), 2);
        double quarter = new IterativeLegendreGaussIntegrator(16, 1e-12, 1e-12)
                .integrate(100_000, t -> Math.sqrt(1 - e2 * Math.pow(Math.sin(t), 2)), 0, MathUtils.TWO_PI / 4);
        double perimeter = 4 * d.a() * quarter;
        double area = Math.PI * d.a() * d.b();
        for (double r : new double[] {12, 35, 135}) {
            double expected = area + perimeter * r + Math.PI * r * r;
            assertThat(Reach.grow(d.outline(), r).getArea()).isCloseTo(expected, within(expected * 0.005));
        }
    }

    @Test
    @DisplayName(
            "zones in the order of the method: filler just inside the feathered paint, 240 at 20 mm, 320 at 100 mm past (practice)")
    void distances() {
        var d = DentFootprint.distances();
        assertThat(d.get(Zone.Kind.FILLER)).isLessThan(d.get(Zone.Kind.OPENING));
        assertThat(d.get(Zone.Kind.PUTTY)).isGreaterThan(d.get(Zone.Kind.FEATHER));
        assertThat(d.get(Zone.Kind.FINE_240) - d.get(Zone.Kind.PUTTY)).isEqualTo(20);
        assertThat(d.get(Zone.Kind.FINE_320) - d.get(Zone.Kind.PUTTY)).isEqualTo(100);
    }

    @Test
    void everyZoneHoldsTheOneInsideAndStaysOnThePart() {
        Part plain = TestShop.part(TestShop.door());
        Part lined = TestShop.part(TestShop.door(
                new BodyLineDraft("swage line", 0.0, 380.0, 700.0, 400.0),
                new BodyLineDraft("crease", 120.0, 0.0, 140.0, 500.0)));
        Seeds.forEach(250, (r, i) -> {
            Part part = i % 2 == 0 ? plain : lined;
            Footprint f = DentFootprint.of(part, new DepthField(TestShop.dents(r)));
            Zone inner = null;
            for (Zone.Kind kind : DentFootprint.distances().keySet()) {
                Zone z = f.zone(kind);
                assertThat(z.shape().isValid()).as(kind + " is a valid polygon").isTrue();
                assertThat(z.areaMm2()).isLessThanOrEqualTo(part.widthMm() * part.heightMm() * 1.0001);
                if (inner != null) {
                    assertThat(OverlayNGRobust.overlay(inner.shape(), z.shape(), OverlayNG.DIFFERENCE)
                                    .getArea())
                            .as(kind + " holds " + inner.kind())
                            .isLessThan(Math.max(1, inner.areaMm2() * 1e-3));
                }
                inner = z;
            }
        });
    }

    @Test
    void fineZonesStopAtABodyLineAndAreFlagged() {
        Part part = TestShop.part(TestShop.door(new BodyLineDraft("swage line", 0.0, 330.0, 700.0, 330.0)));
        Footprint f =
                DentFootprint.of(part, new DepthField(List.of(new Dent(340, 240, 120, 100, 0, 2, Dent.Profile.BOWL))));
        assertThat(f.zone(Zone.Kind.FINE_320).shape().getEnvelopeInternal().getMaxY())
                .isLessThanOrEqualTo(330.001);
        assertThat(f.zone(Zone.Kind.CLEAN).shape().getEnvelopeInternal().getMaxY())
                .isGreaterThan(330);
        assertThat(f.flags()).anySatisfy(s -> assertThat(s).contains("320 stops at the swage line", "40 mm"));
    }

    @Test
    void aLineThroughTheRepairIsCrossedAndSaidSo() {
        Part part = TestShop.part(TestShop.door(new BodyLineDraft("crease", 0.0, 250.0, 700.0, 250.0)));
        Footprint f =
                DentFootprint.of(part, new DepthField(List.of(new Dent(340, 240, 120, 100, 0, 2, Dent.Profile.BOWL))));
        assertThat(f.flags()).anySatisfy(s -> assertThat(s).contains("crosses the crease"));
        assertThat(f.zone(Zone.Kind.FINE_320).shape().getEnvelopeInternal().getMaxY())
                .isGreaterThan(300);
    }

    @Test
    void aLineThatIsNearIsTakenAsTheEdge() {
        double reach = 50 + 135;
        double near = TradeBook.value("dent.body-line-near");
        for (double gap : new double[] {near - 1, near + 1}) {
            double y = 150 + reach + gap;
            Part part = TestShop.part(TestShop.door(new BodyLineDraft("waist line", 0.0, y, 700.0, y)));
            Footprint f = DentFootprint.of(
                    part, new DepthField(List.of(new Dent(340, 150, 120, 100, 0, 2, Dent.Profile.BOWL))));
            assertThat(f.flags().stream().anyMatch(s -> s.contains("take the 320 up to it")))
                    .isEqualTo(gap < near);
        }
    }

    @Test
    @DisplayName("what is planned of two dents together is what is planned of each alone, joined")
    void dentsOnBothSidesOfALineHaveTheirOwnZones() {
        Part part = TestShop.part(TestShop.door(new BodyLineDraft("crease", 0.0, 260.0, 700.0, 260.0)));
        int[] held = {0};
        Seeds.forEach(150, (r, i) -> {
            Dent below =
                    new Dent(Seeds.between(r, 60, 640), Seeds.between(r, 20, 190), 60, 40, 30, 1, Dent.Profile.BOWL);
            Dent above =
                    new Dent(Seeds.between(r, 60, 640), Seeds.between(r, 330, 480), 50, 30, -20, 2, Dent.Profile.BOWL);
            Footprint both = DentFootprint.of(part, new DepthField(List.of(below, above)));
            Footprint one = DentFootprint.of(part, new DepthField(List.of(below)));
            Footprint other = DentFootprint.of(part, new DepthField(List.of(above)));
            held[0] += both.flags().stream().anyMatch(f -> f.contains("stops at the crease")) ? 1 : 0;
            for (Zone.Kind kind : DentFootprint.distances().keySet()) {
                Geometry joined = one.zone(kind).shape().union(other.zone(kind).shape());
                Geometry zone = both.zone(kind).shape();
                assertThat(zone.isValid()).as(kind + " is valid").isTrue();
                assertThat(zone.symDifference(joined).getArea())
                        .as(kind + " of " + below + " and " + above)
                        .isLessThan(joined.getArea() * 1e-3);
            }
        });
        assertThat(held[0]).isGreaterThan(50);
    }
}
