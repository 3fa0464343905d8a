package vanemend.core.part;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * An outline to pick for a part.
 *
 * @param materials kinds of part it is offered for
 * @param xy corners across and up in turn, in shares of width and height
 */
public record Outline(String id, String name, List<MadeOf> materials, List<Double> xy) {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final Map<String, Outline> OUTLINES = load();

    /** All outlines in file order. */
    public static List<Outline> all() {
        return List.copyOf(OUTLINES.values());
    }

    /** The outline called {@code id}. */
    public static Optional<Outline> of(String id) {
        return Optional.ofNullable(OUTLINES.get(id));
    }

    /** The outline a part of {@code material} has unless another is picked. */
    static Outline usual(MadeOf material) {
        return OUTLINES.values().stream()
                .filter(o -> o.materials().contains(material))
                .findFirst()
                .orElseThrow();
    }

    /** The polygon for a part of {@code widthMm} by {@code heightMm}, mm. */
    public Polygon polygon(double widthMm, double heightMm) {
        Coordinate[] ring = new Coordinate[xy.size() / 2 + 1];
        for (int i = 0; i < ring.length - 1; i++) {
            ring[i] = new Coordinate(xy.get(2 * i) * widthMm, xy.get(2 * i + 1) * heightMm);
        }
        ring[ring.length - 1] = ring[0].copy();
        return GEOMETRY.createPolygon(ring);
    }

    private static Map<String, Outline> load() {
        Map<String, Outline> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("part/outlines.yaml").get("outlines")) {
            Outline o = new Outline(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "name"),
                    DataFile.texts(row, "families").stream()
                            .map(MadeOf::valueOf)
                            .toList(),
                    DataFile.numbers(row, "xy"));
            out.put(o.id(), o);
        }
        return out;
    }
}
