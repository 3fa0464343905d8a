package vanemend.core.sanding;

/** What holds a paper. */
public enum Tool {
    DA("DA", "DA", true),
    FLAT_DA("Flat DA", "flat DA", true),
    /** In plans of earlier releases alone: a soft face follows a run and never levels it. */
    DA_SOFT_FACE("DA, soft face", "DA, soft face", true),
    DA_HARD_PAD("DA, hard pad", "DA, hard pad", true),
    AIR_DA_SOFT_FACE("Air DA, soft face", "air DA, soft face", true),
    SLOW_ORBITAL("Slow orbital", "slow orbital", true),
    BELT_OR_DA("Belt or DA", "belt or DA", true),
    FILE_BOARD("File board", "file board", false),
    BOARD("Board", "board", false),
    HAND_BLOCK("Hand block", "hand block", false);

    private final String word;
    private final String within;
    private final boolean machine;

    Tool(String word, String within, boolean machine) {
        this.word = word;
        this.within = within;
        this.machine = machine;
    }

    /** As said by itself. */
    public String word() {
        return word;
    }

    /** As said within a sentence. */
    public String within() {
        return within;
    }

    /** Whether it takes one of the shop's sanders. */
    public boolean machine() {
        return machine;
    }
}
