package vanemend.core.day;

/** What hands must be allowed before a task is theirs. */
public enum Right {
    /** What everybody does: wash, mask, sand. */
    ANY,
    /** What goes off while it is laid: once it is mixed there is no second try. */
    LIVE,
    /** Glass. */
    GLASS,
    /** Tyres. */
    TYRE
}
