package vanemend.core.part;

/** The clear coat of a painted part: what is mended is the film itself. */
public record PaintFilm() implements Substrate {
    @Override
    public Family family() {
        return Family.FILM;
    }

    @Override
    public String word() {
        return "clear coat";
    }
}
