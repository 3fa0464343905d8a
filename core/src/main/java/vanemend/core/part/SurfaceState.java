package vanemend.core.part;

/** What lies on a surface besides its coats, and what it asks before anything else. */
public enum SurfaceState {
    RUST_LIGHT("light rust", "sand to bright metal", true),
    RUST_SCALE("rust scale", "grind off; converter only in what is left", true),
    RUST_PITTED("pitted rust", "grind back; converter in the pits only, dry completely", true),
    RUST_THROUGH("rusted through", "cut back to sound metal: plan it as a rust hole", true),
    GELCOAT("gelcoat", "acetone and a brush only in an opened groove", false),
    MOULD_RELEASE("mould release", "plastics cleaner before any sanding, or it is rubbed in", false),
    OVERSPRAY("overspray", "take it off: it holds weakly", false),
    GLUE_RESIDUE("glue or tape residue", "adhesive remover, then wash its oil off", false),
    SEALANT_RESIDUE("sealant residue", "cut off, then adhesive remover", false),
    EARLIER_REPAIR("earlier repair", "take it out to sound ground; its material is not known", false);

    private final String word;
    private final String asks;
    private final boolean rust;

    SurfaceState(String word, String asks, boolean rust) {
        this.word = word;
        this.asks = asks;
        this.rust = rust;
    }

    /** As said at the bench. */
    public String word() {
        return word;
    }

    /** What it asks before anything else is done. */
    public String asks() {
        return asks;
    }

    /** True for the grades of rust. */
    public boolean isRust() {
        return rust;
    }

    /** Whether {@code material} can carry it. */
    public boolean on(MadeOf material) {
        return switch (this) {
            case GELCOAT -> material == MadeOf.COMPOSITE;
            case MOULD_RELEASE -> material == MadeOf.PLASTIC || material == MadeOf.COMPOSITE;
            default -> rust ? material == MadeOf.METAL : material != MadeOf.GLASS && material != MadeOf.TYRE;
        };
    }
}
