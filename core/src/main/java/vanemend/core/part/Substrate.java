package vanemend.core.part;

/** What a part is made of. Further families join here. */
public sealed interface Substrate permits Metal {
    /** As said at the bench. */
    String word();
}
