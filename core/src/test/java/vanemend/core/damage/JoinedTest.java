package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.Seeds;

@DisplayName("shapes as one, held against a general geometry library's union")
class JoinedTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** A star with three to forty corners, every second of them nearer: seldom convex; clockwise or not. */
    private static Polygon star(Random r) {
        int n = 3 + r.nextInt(38);
        double x = Seeds.between(r, 0, 300);
        double y = Seeds.between(r, 0, 200);
        double far = Seeds.between(r, 5, 150);
        double near = far * Seeds.between(r, 0.4, 1);
        double way = r.nextBoolean() ? 1 : -1;
        Coordinate[] ring = new Coordinate[n + 1];
        for (int i = 0; i < n; i++) {
            double at = way * 2 * Math.PI * i / n;
            double reach = i % 2 == 0 ? far : near;
            ring[i] = new Coordinate(x + reach * Math.cos(at), y + reach * Math.sin(at));
        }
        ring[n] = ring[0].copy();
        return GEOMETRY.createPolygon(ring);
    }

    private static Polygon box(double left, double low, double right, double high) {
        return GEOMETRY.createPolygon(new Coordinate[] {
            new Coordinate(left, low),
            new Coordinate(right, low),
            new Coordinate(right, high),
            new Coordinate(left, high),
            new Coordinate(left, low)
        });
    }

    private static void same(Geometry ours, Geometry theirs) {
        assertThat(ours.isValid()).isTrue();
        assertThat(ours.getNumGeometries()).isEqualTo(theirs.getNumGeometries());
        assertThat(ours.getArea()).isCloseTo(theirs.getArea(), within(theirs.getArea() * 1e-9));
        assertThat(ours.symDifference(theirs).getArea()).isLessThan(theirs.getArea() * 1e-9);
    }

    @Test
    void twoWhereverTheyLie() {
        Seeds.forEach(3000, (r, i) -> {
            Polygon one = star(r);
            Polygon other = star(r);
            Geometry theirs = OverlayNGRobust.union(List.of(one, other));
            same(Joined.of(List.of(one, other)), theirs);
            same(Joined.of(List.of(other, one)), theirs);
        });
    }

    @Test
    void severalEachOfSeveralPieces() {
        Seeds.forEach(600, (r, i) -> {
            List<Geometry> some = IntStream.range(0, 2 + r.nextInt(4))
                    .<Geometry>mapToObj(k -> OverlayNGRobust.union(List.of(star(r), star(r))))
                    .toList();
            same(Joined.of(some), OverlayNGRobust.union(some));
        });
    }

    @Test
    void edgesThatLieOnEachOtherCornersThatTouchAndHolesAreTheLibrarys() {
        Polygon one = box(0, 0, 100, 50);
        same(Joined.of(List.of(one, box(100, 0, 200, 50))), box(0, 0, 200, 50));
        same(Joined.of(List.of(one, box(20, 0, 80, 50))), one);
        same(Joined.of(List.of(one, one)), one);
        Polygon corner = box(100, 50, 150, 90);
        same(Joined.of(List.of(one, corner)), OverlayNGRobust.union(List.of(one, corner)));
        Geometry frame = box(-50, -50, 150, 100).difference(box(-20, -20, 120, 70));
        same(Joined.of(List.of(frame, one)), OverlayNGRobust.union(List.of(frame, one)));
        assertThat(Joined.of(List.of(frame, one)).getNumGeometries()).isEqualTo(2);
    }

    @Test
    void acrossEachOtherInFourPlaces() {
        same(
                Joined.of(List.of(box(0, 20, 100, 40), box(40, 0, 60, 60))),
                OverlayNGRobust.union(List.of(box(0, 20, 100, 40), box(40, 0, 60, 60))));
    }

    @Test
    void nothingStaysNothing() {
        Polygon one = box(0, 0, 100, 50);
        same(Joined.of(List.of(one, GEOMETRY.createPolygon())), one);
    }
}
