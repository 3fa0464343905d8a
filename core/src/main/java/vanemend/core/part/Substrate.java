package vanemend.core.part;

import java.util.OptionalDouble;

/** What a part is made of. */
public sealed interface Substrate permits Metal, Composite, Plastic, Glass, Tyre, PaintFilm {
    /** The family it behaves as. */
    Family family();

    /** As said at the bench. */
    String word();

    /** Thickness of its wall, mm; empty for what is not planned by its wall. */
    default OptionalDouble wallMm() {
        return switch (this) {
            case Composite c -> OptionalDouble.of(c.thicknessMm());
            case Plastic p -> OptionalDouble.of(p.thicknessMm());
            case Metal m -> OptionalDouble.empty();
            case Glass g -> OptionalDouble.empty();
            case Tyre t -> OptionalDouble.empty();
            case PaintFilm f -> OptionalDouble.empty();
        };
    }
}
