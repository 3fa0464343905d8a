package vanemend.core.trade;

/**
 * Where a trade value comes from.
 *
 * @param kind one of the four labels
 * @param source the standard or text it is remembered from; empty unless published
 */
public record Provenance(Kind kind, String source) {
    /** The four labels a value can carry. */
    public enum Kind {
        PUBLISHED,
        PRACTICE,
        MEMORY,
        LABEL
    }

    public Provenance {
        if (kind == Kind.PUBLISHED && (source == null || source.isBlank())) {
            throw new IllegalArgumentException("a published value names its source");
        }
        source = source == null ? "" : source;
    }

    /** Reads {@code published}, {@code practice}, {@code memory} or {@code label}. */
    public static Provenance of(String label, String source) {
        return new Provenance(Kind.valueOf(label.toUpperCase(java.util.Locale.ROOT)), source);
    }

    /** As shown on screen. No text of a published source has been opened yet, hence the second half. */
    public String shown() {
        return switch (kind) {
            case PUBLISHED -> source + "; recalled, verify";
            case PRACTICE -> "common practice";
            case MEMORY -> "recalled, verify";
            case LABEL -> "typical: read the label";
        };
    }
}
