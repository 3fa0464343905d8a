package vanemend.core.method;

/** What a finding at the bench means for the work, from lightest to heaviest. */
public enum Weight {
    /** As planned or better. */
    FINE,
    /** Other than planned: amounts and times of the rest follow. */
    OTHER,
    /** The plan cannot go on as it stands. */
    STOP,
    /** It could hurt someone: nobody may go against it. */
    NEVER;

    /** Whether the work waits until it is settled. */
    public boolean stops() {
        return this == STOP || this == NEVER;
    }
}
