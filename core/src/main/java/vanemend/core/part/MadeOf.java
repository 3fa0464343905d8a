package vanemend.core.part;

/** What a part is, at first sight. */
public enum MadeOf {
    METAL("Metal"),
    COMPOSITE("Composite"),
    PLASTIC("Plastic"),
    GLASS("Glass"),
    TYRE("Tyre"),
    FILM("Clear coat");

    private final String word;

    MadeOf(String word) {
        this.word = word;
    }

    /** As said at the bench. */
    public String word() {
        return word;
    }
}
