package vanemend.core.method.composite;

/** The ways of this family, as its recipes name them. */
enum Way {
    /** Plies bedded in adhesive from a cartridge. */
    CARTRIDGE,
    /** Plies wetted by hand with laminating resin. */
    LAY_UP
}
