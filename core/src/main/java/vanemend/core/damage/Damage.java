package vanemend.core.damage;

import java.util.EnumSet;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.part.MadeOf;

/** Something that happened to a part. */
public sealed interface Damage
        permits Dent,
                Scratch,
                RustHole,
                RustPits,
                Crack,
                Hole,
                Missing,
                Tab,
                Seam,
                Hairline,
                Chip,
                Injury,
                PaintRun,
                Blemish {
    /** Kinds of damage and the parts they are met on. */
    enum Kind {
        DENT("Dent", EnumSet.of(MadeOf.METAL)),
        SCRATCH("Scratch or gouge", "Scratch", EnumSet.of(MadeOf.METAL, MadeOf.PLASTIC, MadeOf.COMPOSITE)),
        PAINT_CHIP("Stone chip in paint", "Paint chip", EnumSet.of(MadeOf.METAL)),
        RUST_HOLE("Rust hole", EnumSet.of(MadeOf.METAL)),
        RUST_PITS("Rust pits, no hole", "Rust pits", EnumSet.of(MadeOf.METAL)),
        CRACK("Crack", EnumSet.of(MadeOf.METAL, MadeOf.PLASTIC, MadeOf.COMPOSITE, MadeOf.GLASS)),
        HOLE("Hole or tear", "Hole", EnumSet.of(MadeOf.PLASTIC, MadeOf.COMPOSITE)),
        MISSING("Missing piece", EnumSet.of(MadeOf.PLASTIC, MadeOf.COMPOSITE)),
        TAB("Tab or screw hole", "Tab", EnumSet.of(MadeOf.PLASTIC)),
        SEAM("Welded seam", EnumSet.of(MadeOf.PLASTIC, MadeOf.METAL)),
        GELCOAT_CHIP("Gelcoat chip", EnumSet.of(MadeOf.COMPOSITE)),
        HAIRLINE("Hairline", EnumSet.of(MadeOf.COMPOSITE)),
        CHIP("Stone chip", EnumSet.of(MadeOf.GLASS)),
        INJURY("Injury", EnumSet.of(MadeOf.TYRE)),
        RUN("Run or sag", "Run", EnumSet.of(MadeOf.FILM)),
        RASH("Road rash", EnumSet.of(MadeOf.PLASTIC)),
        DIVOT("Divot or grain damage", "Divot", EnumSet.of(MadeOf.PLASTIC)),
        RESIDUE("Glue residue", EnumSet.of(MadeOf.PLASTIC));

        private final String word;
        private final String mark;
        private final Set<MadeOf> on;

        Kind(String word, Set<MadeOf> on) {
            this(word, word, on);
        }

        Kind(String word, String mark, Set<MadeOf> on) {
            this.word = word;
            this.mark = mark;
            this.on = on;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** As it stands on a drawing, where there is little room. */
        public String mark() {
            return mark;
        }

        /** Whether {@code material} can have it. */
        public boolean on(MadeOf material) {
            return on.contains(material);
        }
    }

    /** Which sort of damage it is. */
    Kind kind();

    /** What it covers on the part, mm. A crack or hairline is a strip as wide as it gapes. */
    Geometry outline();

    /** What its zones are offsets of, mm: its outline, or the line that it is. */
    default Geometry core() {
        return outline();
    }
}
