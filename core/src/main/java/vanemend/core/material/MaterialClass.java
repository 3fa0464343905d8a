package vanemend.core.material;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;
import vanemend.core.trade.Ordered;

/**
 * A class of material with the figures typical for it. Times in minutes at 21 °C.
 *
 * @param roles what it can do in a stack, the usual one first
 * @param chemistry how it cures
 * @param hatch name of its drawing pattern
 * @param work shortest and longest work time
 * @param sand shortest and longest time to sand
 * @param typical other label figures by name
 * @param bondsTo surfaces it holds on
 * @param becomes what it is to the layer above once it is cured and sanded; empty where nothing goes over it
 * @param rating 0 to 1 by name: strength, flexibility, ease of sanding, cheapness; recalled, verify
 * @param never in words
 * @param sanding in words
 * @param shown provenance as shown
 */
public record MaterialClass(
        String id,
        String name,
        List<Role> roles,
        Chemistry chemistry,
        String hatch,
        List<Double> work,
        List<Double> sand,
        Map<String, Double> typical,
        List<Surface> bondsTo,
        Optional<Surface> becomes,
        Map<String, Double> rating,
        String never,
        String sanding,
        String shown) {

    /** What a material does in a stack, in working order. */
    public enum Role {
        REMOVE("Residue off"),
        WASH("Wash"),
        CLEAN("Clean"),
        WIPE("Wipe"),
        CONVERT("Rust converter"),
        HOLD("Tape"),
        PRIME("Prime"),
        PROMOTE_PATCH("Patch promoter"),
        PROMOTE("Promote"),
        CEMENT("Cement"),
        FILM("Film"),
        BACK("Back"),
        REINFORCE("Reinforce"),
        SHIELD("Shield"),
        FILL("Fill"),
        ACTIVATE("Activate"),
        FINISH("Finish"),
        PINHOLE("Pinholes"),
        SEAL("Seal"),
        TEXTURE("Texture"),
        COLOUR("Colour"),
        POLISH("Polish"),
        BOARD("Board"),
        TACK("Tack"),
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
        URETHANE,
        ONE_PART,
        SOLVENT,
        CYANOACRYLATE,
        SOLVENT_RESIN,
        MOISTURE,
        UV_RESIN,
        RUBBER_CEMENT,
        NONE;

        /** True for two parts that are mixed and gel: work time and temperature rule them. */
        public boolean isMixed() {
            return this == POLYESTER || this == AMINE_EPOXY || this == URETHANE;
        }
    }

    /** What a material may sit on. */
    public enum Surface {
        STEEL("steel"),
        GALVANISED("galvanised steel"),
        ALUMINIUM("aluminium"),
        SANDED_COAT("sanded coats"),
        EPOXY_PRIMER("epoxy primer"),
        FILLER("sanded filler"),
        GLASS_FILLER("glass-fibre filler"),
        RUST("rust"),
        POLYOLEFIN("polyolefin"),
        STYRENIC("styrenic plastic"),
        ENGINEERING("engineering plastic"),
        ABS("ABS or ASA"),
        POLYAMIDE("polyamide"),
        FLEXIBLE_THERMOSET("flexible thermoset"),
        PLASTIC_REPAIR("cured plastic repair material"),
        COMPOSITE("composite"),
        GELCOAT("gelcoat"),
        COMPOSITE_REPAIR("cured composite repair material"),
        CLEAR("sanded clear"),
        GLASS("glass"),
        RUBBER("buffed rubber");

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

    /** What it usually does. */
    public Role role() {
        return roles.getFirst();
    }

    /** A rating from 0 to 1; half where none is given. */
    public double rated(String name) {
        return rating.getOrDefault(name, 0.5);
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
                    DataFile.texts(row, "roles").stream().map(Role::valueOf).toList(),
                    Chemistry.valueOf(DataFile.text(row, "chemistry")),
                    DataFile.text(row, "hatch"),
                    numbers(row.get("typical").get("work")),
                    numbers(row.get("typical").get("sand")),
                    Ordered.copyOf(figures),
                    DataFile.texts(row, "bondsTo").stream()
                            .map(Surface::valueOf)
                            .toList(),
                    Optional.of(DataFile.textOr(row, "becomes"))
                            .filter(b -> !b.isEmpty())
                            .map(Surface::valueOf),
                    shares(row.get("rating")),
                    DataFile.wordsOr(row, "never"),
                    DataFile.wordsOr(row, "sanding"),
                    DataFile.provenance(row).shown());
            out.put(c.id(), c);
        }
        return out;
    }

    private static Map<String, Double> shares(JsonNode node) {
        Map<String, Double> out = new LinkedHashMap<>();
        if (node != null) {
            node.properties().forEach(e -> out.put(e.getKey(), e.getValue().asDouble()));
        }
        return Ordered.copyOf(out);
    }

    private static List<Double> numbers(JsonNode node) {
        List<Double> out = new ArrayList<>();
        if (node != null) {
            node.forEach(n -> out.add(n.asDouble()));
        }
        return List.copyOf(out);
    }
}
