package vanemend.core.material;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * A class of material with the figures typical for it. Times in minutes at 21 °C.
 *
 * @param role what it does in a stack
 * @param chemistry how it cures
 * @param hatch name of its drawing pattern
 * @param work shortest and longest work time
 * @param sand shortest and longest time to sand
 * @param typical other label figures by name
 * @param bondsTo surfaces it holds on
 * @param never in words
 * @param sanding in words
 * @param shown provenance as shown
 */
public record MaterialClass(
        String id,
        String name,
        Role role,
        Chemistry chemistry,
        String hatch,
        List<Double> work,
        List<Double> sand,
        Map<String, Double> typical,
        List<Surface> bondsTo,
        String never,
        String sanding,
        String shown) {

    /** What a material does in a stack, in working order. */
    public enum Role {
        CLEAN("Clean"),
        WIPE("Wipe"),
        PRIME("Prime"),
        FILL("Fill"),
        FINISH("Finish"),
        PINHOLE("Pinholes"),
        SURFACE("Surfacer"),
        GUIDE("Guide coat"),
        PAPER("Papers");

        private final String word;

        Role(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    /** How a material cures. */
    public enum Chemistry {
        POLYESTER,
        AMINE_EPOXY,
        ONE_PART,
        SOLVENT,
        NONE
    }

    /** What a material may sit on. */
    public enum Surface {
        STEEL("steel"),
        GALVANISED("galvanised steel"),
        ALUMINIUM("aluminium"),
        SANDED_COAT("sanded coats"),
        EPOXY_PRIMER("epoxy primer"),
        FILLER("sanded filler"),
        FLEXIBLE_PLASTIC("flexible plastic");

        private final String word;

        Surface(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    private static final Map<String, MaterialClass> CLASSES = load();

    /** All classes in file order. */
    public static List<MaterialClass> all() {
        return List.copyOf(CLASSES.values());
    }

    /** The class called {@code id}. */
    public static MaterialClass of(String id) {
        MaterialClass c = CLASSES.get(id);
        if (c == null) {
            throw new IllegalArgumentException("no material class is called " + id + "; there are " + CLASSES.keySet());
        }
        return c;
    }

    /** A typical figure, such as {@code densityGPerMl}. */
    public Optional<Double> figure(String name) {
        return Optional.ofNullable(typical.get(name));
    }

    private static Map<String, MaterialClass> load() {
        Map<String, MaterialClass> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("material/classes.yaml").get("classes")) {
            Map<String, Double> figures = new LinkedHashMap<>();
            row.get("typical").properties().forEach(e -> {
                if (e.getValue().isNumber()) {
                    figures.put(e.getKey(), e.getValue().asDouble());
                }
            });
            MaterialClass c = new MaterialClass(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "name"),
                    Role.valueOf(DataFile.text(row, "role")),
                    Chemistry.valueOf(DataFile.text(row, "chemistry")),
                    DataFile.text(row, "hatch"),
                    numbers(row.get("typical").get("work")),
                    numbers(row.get("typical").get("sand")),
                    Map.copyOf(figures),
                    DataFile.texts(row, "bondsTo").stream()
                            .map(Surface::valueOf)
                            .toList(),
                    DataFile.textOr(row, "never"),
                    DataFile.textOr(row, "sanding"),
                    DataFile.provenance(row).shown());
            out.put(c.id(), c);
        }
        return out;
    }

    private static List<Double> numbers(JsonNode node) {
        List<Double> out = new ArrayList<>();
        if (node != null) {
            node.forEach(n -> out.add(n.asDouble()));
        }
        return List.copyOf(out);
    }
}
