package vanemend.core.damage;

import java.util.EnumSet;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.part.Material;

/** Something that happened to a part. */
public sealed interface Damage
        permits Dent, Scratch, RustHole, RustPits, Crack, Hole, Missing, Seam, Hairline, Chip, Injury, Run, Blemish {
    /** Kinds of damage and the parts they are met on. */
    enum Kind {
        DENT("Dent", EnumSet.of(Material.METAL)),
        SCRATCH("Scratch or gouge", EnumSet.of(Material.METAL, Material.PLASTIC, Material.COMPOSITE)),
        RUST_HOLE("Rust hole", EnumSet.of(Material.METAL)),
        RUST_PITS("Rust pits, no hole", EnumSet.of(Material.METAL)),
        CRACK("Crack", EnumSet.of(Material.METAL, Material.PLASTIC, Material.COMPOSITE, Material.GLASS)),
        HOLE("Hole or tear", EnumSet.of(Material.PLASTIC, Material.COMPOSITE)),
        MISSING("Missing piece", EnumSet.of(Material.PLASTIC, Material.COMPOSITE)),
        SEAM("Welded seam", EnumSet.of(Material.PLASTIC)),
        HAIRLINE("Hairline", EnumSet.of(Material.COMPOSITE)),
        CHIP("Stone chip", EnumSet.of(Material.GLASS)),
        INJURY("Injury", EnumSet.of(Material.TYRE)),
        RUN("Run or sag", EnumSet.of(Material.FILM)),
        DIVOT("Divot or grain damage", EnumSet.of(Material.PLASTIC)),
        RESIDUE("Glue residue", EnumSet.of(Material.PLASTIC));

        private final String word;
        private final Set<Material> on;

        Kind(String word, Set<Material> on) {
            this.word = word;
            this.on = on;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** Whether {@code material} can have it. */
        public boolean on(Material material) {
            return on.contains(material);
        }
    }

    /** Which. */
    Kind kind();

    /** What it covers on the part, mm. A crack or hairline is a strip as wide as it gapes. */
    Geometry outline();
}
