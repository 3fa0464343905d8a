package vanemend.core.part;

/** What a part is made of. */
public sealed interface Substrate permits Metal, Composite, Plastic, Glass, Tyre, PaintFilm {
    /** The family it behaves as. */
    Family family();

    /** As said at the bench. */
    String word();
}
