package vanemend.core.damage;

/** Something that happened to a part. Further shapes join here. */
public sealed interface Damage permits Dent {
    /** Deepest point below the original face, mm. */
    double depthMm();
}
