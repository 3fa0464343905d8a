package vanemend.core.words;

/** Figures that are no quantity: those that stand in a text without a unit of their own. */
public final class BareFigures {
    /** What has digits and is no quantity: names of papers, of standards, of masks and of marks. */
    private static final String NAMES =
            "\\bP?(?:36|60|80|120|150|180|220|240|320|400|500|600|800|1000|1200|1500|2000|2500|3000)\\b"
                    + "|\\bCAMI \\d+|\\bP2\\b|\\bN95\\b|\\bCFR 393\\.\\d+(?:\\([a-z]\\))?|ISO [0-9-]+|ROLAGS 2007|AU 242a:1998|AU 159f"
                    + "|49 (?=CFR)|89/459/EEC|CMH-17 vol\\. 3|TD20|2nd ed\\. 2008|R43|R30";

    /** Counted things and dates say themselves in every system. */
    private static final String COUNTS =
            "\\b\\d+ of \\d+|\\bfrom \\d+ (?:surface|UV) readings|\\b\\d+ (?:[A-Z][a-z]{2} 20\\d\\d|sheets?|discs?|plies|batches|equal|go(?:es)?|thin|strokes|more|counts|cracks|years|studs?|are planned)"
                    + "|Plies \\d+ to \\d+|(?:[Dd]ents?|Cloth|Crack|Hole|Ply|Piece|Injury|Mesh|Bond line|Rust hole|Road rash|Rust pits, no hole|Hole or tear|Run or sag|Hairline|Stone chip(?: in paint)?|Gelcoat chip|Paint chip"
                    + "|Welded seam|Missing piece|Tab(?: or screw hole)?|Scratch(?: or gouge)?|Glue residue|Divot or grain damage|cut|each of|lowest of|go) \\d+(?:(?:,| and) \\d+)*(?: of \\d+)?"
                    + "|\\b20\\d\\d-\\d\\d-\\d\\d(?:T[0-9:]+Z)?";

    private BareFigures() {}

    /** Whether {@code text} has a figure that is neither a quantity, a name nor a count. */
    public static boolean in(String text) {
        return text.replaceAll("⟦[^⟧]*⟧", "")
                .replaceAll(COUNTS, "")
                .replaceAll(NAMES, "")
                .matches("(?s).*\\d.*");
    }
}
