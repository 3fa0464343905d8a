package vanemend.core.trade;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Every method there is. What is particular to one stands in its family's folder, in code and in data; what is stored is its id. */
public enum MethodId {
    METAL_DENT("metal-dent", "dent"),
    METAL_SEAM("metal-seam", "seam"),
    RUST_MESH("rust-mesh", "rust"),
    RUST_PITS("rust-pits", "rust"),
    CLEAR_RUN("clear-run", "clear"),
    COMPOSITE("composite", "composite"),
    GELCOAT("gelcoat", "composite"),
    HAIRLINE("hairline", "hairline"),
    PLASTIC_TWO_SIDED("plastic-two-sided", "plastic"),
    PLASTIC_PATCH("plastic-patch", "plastic"),
    PLASTIC_MESH("plastic-mesh", "plastic"),
    PLASTIC_TAB("plastic-tab", "plastic"),
    WELD_FINISH("weld-finish", "plastic"),
    ABS_REBUILD("abs-rebuild", "abs"),
    TRIM("trim", "trim"),
    GLASS_CHIP("glass-chip", "glass"),
    TYRE_CROWN("tyre-crown", "tyre");

    private final String id;
    private final String family;

    MethodId(String id, String family) {
        this.id = id;
        this.family = family;
    }

    /** As it is written in data. */
    public String id() {
        return id;
    }

    /** Folder of its family. */
    public String family() {
        return family;
    }

    /** The method called {@code id}; throws {@link IllegalArgumentException} where there is none. */
    public static MethodId of(String id) {
        return Arrays.stream(values())
                .filter(m -> m.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no method is called " + id + "; there are "
                        + Arrays.stream(values()).map(MethodId::id).collect(Collectors.joining(", "))));
    }

    /** The families, in the order of their methods. */
    public static List<String> families() {
        return Arrays.stream(values()).map(MethodId::family).distinct().toList();
    }
}
