package vanemend.core.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Ring;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;

@DisplayName(
        "every method's drawing pair: zones nest on their side, layers never overlap and never gape, at any height of the cut")
class EverySectionTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static Workup at(RepairDraft d, Double cutYMm) {
        RepairDraft cut = new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                d.houseRules(),
                cutYMm,
                d.promisedAt(),
                d.recipe(),
                d.overrules(),
                d.edits(),
                d.lightAt(),
                null,
                null,
                null);
        return TestShop.workup(cut, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static Geometry polygon(List<Double> xy) {
        int n = xy.size() / 2;
        Coordinate[] ring = new Coordinate[n + 1];
        for (int i = 0; i < n; i++) {
            ring[i] = new Coordinate(xy.get(2 * i), xy.get(2 * i + 1));
        }
        ring[n] = ring[0].copy();
        // A layer that thins to nothing and thickens again touches itself there.
        return GEOMETRY.createPolygon(ring).buffer(0);
    }

    @Test
    void layersShareNoAreaAndLeaveNoGap() {
        List<Map.Entry<String, RepairDraft>> cases = List.copyOf(Cases.all().entrySet());
        Seeds.forEach(cases.size() * 6, (r, i) -> {
            Map.Entry<String, RepairDraft> e = cases.get(i % cases.size());
            Workup mid = at(e.getValue(), null);
            double y = mid.drawing().section().orElseThrow().cutYMm();
            Section s = i < cases.size()
                    ? mid.drawing().section().orElseThrow()
                    : at(
                                    e.getValue(),
                                    Math.clamp(
                                            y + Seeds.between(r, -25, 25),
                                            1,
                                            mid.drawing().heightMm() - 1))
                            .drawing()
                            .section()
                            .orElseThrow();
            List<Geometry> shapes = new ArrayList<>();
            double sum = 0;
            for (Layer l : s.layers()) {
                shapes.add(polygon(l.xz()));
                sum += l.areaMm2();
            }
            Geometry all = OverlayNGRobust.union(shapes);
            // The leaned channel of a tyre keeps its layers' areas only between its own surfaces.
            assertThat(all.getArea()).as(e.getKey()).isCloseTo(sum, within(Math.max(0.2, sum * 0.004)));
            for (int a = 0; a < shapes.size(); a++) {
                for (int b = 0; b < a; b++) {
                    double both = OverlayNGRobust.overlay(shapes.get(a), shapes.get(b), OverlayNG.INTERSECTION)
                            .getArea();
                    assertThat(both)
                            .as(e.getKey() + " " + s.layers().get(a).id() + " over "
                                    + s.layers().get(b).id())
                            .isLessThan(0.05);
                }
            }
            double holes = 0;
            for (int g = 0; g < all.getNumGeometries(); g++) {
                if (all.getGeometryN(g) instanceof org.locationtech.jts.geom.Polygon p) {
                    for (int h = 0; h < p.getNumInteriorRing(); h++) {
                        holes += GEOMETRY.createPolygon(p.getInteriorRingN(h)).getArea();
                    }
                }
            }
            assertThat(holes).as(e.getKey()).isLessThan(0.05);
        });
    }

    private static Geometry shape(DrawnZone z) {
        Geometry out = GEOMETRY.createPolygon();
        for (Ring r : z.rings()) {
            Geometry ring = polygon(r.xy());
            out = r.hole() ? out.difference(ring) : OverlayNGRobust.union(List.of(out, ring));
        }
        return out;
    }

    @Test
    void zonesNestOnTheirOwnSideAndAFineOneStaysOnThePart() {
        Cases.all().forEach((recipe, d) -> {
            Workup w = at(d, null);
            Map<Zone.Side, Geometry> inner = new EnumMap<>(Zone.Side.class);
            for (DrawnZone z : w.drawing().zones()) {
                boolean own = switch (z.kind()) {
                    case STOP_HOLE, PIT, INJECTOR, FILM, BEAD, CHANNEL -> true;
                    // On the form of a tab it stands out past the edge.
                    case CLOTH -> recipe.equals("plastic-tab");
                    default -> false;
                };
                if (own) {
                    continue;
                }
                Geometry now = shape(z);
                Geometry before = inner.get(z.side());
                if (before != null) {
                    assertThat(now.buffer(0.7).contains(before))
                            .as(recipe + " " + z.kind())
                            .isTrue();
                }
                if (z.kind() != Zone.Kind.PATCH) {
                    inner.put(z.side(), now);
                    assertThat(now.getEnvelopeInternal().getMinX())
                            .as(recipe + " " + z.kind())
                            .isGreaterThanOrEqualTo(-0.06);
                    assertThat(now.getEnvelopeInternal().getMaxX())
                            .as(recipe + " " + z.kind())
                            .isLessThanOrEqualTo(w.drawing().widthMm() + 0.06);
                }
            }
        });
    }

    @Test
    void aPatchAtTheEdgeRunsPastItAndIsTrimmed() {
        Workup w = at(Cases.all().get("plastic-patch"), null);
        DrawnZone patch = w.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.PATCH)
                .findFirst()
                .orElseThrow();
        assertThat(shape(patch).getEnvelopeInternal().getMaxX())
                .isGreaterThan(w.drawing().widthMm());
        assertThat(w.drawing().flags()).anyMatch(f -> f.contains("trim it after sanding"));
        assertThat(w.plan().orElseThrow().steps().stream().map(s -> s.step().id()))
                .contains("notch", "trim");
    }

    @Test
    void structuralCompositeIsLowForItsCreamEveryOtherBuildEndsProud() {
        Section composite =
                at(Cases.all().get("composite-epoxy"), null).drawing().section().orElseThrow();
        Layer cream = composite.layers().stream()
                .filter(l -> l.id().equals("cream"))
                .findFirst()
                .orElseThrow();
        assertThat(cream.thickestMm()).isCloseTo(0.3, within(0.01));
        Section plastic = at(Cases.all().get("plastic-adhesive-cloth"), null)
                .drawing()
                .section()
                .orElseThrow();
        assertThat(plastic.proudMm()).isCloseTo(0.5, within(0.02));
        assertThat(plastic.layers().stream().map(Layer::id))
                .containsSubsequence("back", "cloth", "back-tight", "part", "promoter", "face-tight", "face");
    }
}
