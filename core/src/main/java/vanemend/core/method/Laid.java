package vanemend.core.method;

import java.util.List;
import java.util.function.Supplier;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Piece;
import vanemend.core.sanding.Ladder;
import vanemend.core.section.Section;

/**
 * A method laid out for a job, in figures; its page is written from them.
 *
 * @param mark substrate in two words, such as "steel, e-coat kept"
 * @param footprint zones
 * @param section the cut A–A; asked for only where it is drawn
 * @param ladder papers
 * @param pieces what is cut to shape
 * @param page the steps; asked for only where nothing stands in the way of a plan
 */
public record Laid(
        String mark,
        Footprint footprint,
        Supplier<Section> section,
        Ladder ladder,
        List<Piece> pieces,
        Supplier<MethodSteps> page) {
    /** Whoever asks what it takes and who plans it get the same page, written once. */
    public Laid {
        page = new Once<>(page);
    }
}
