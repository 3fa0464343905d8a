package vanemend.core.plan;

import java.util.List;
import java.util.Optional;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.part.Part;
import vanemend.core.section.Section;

/**
 * The drawing pair, all in mm: zones over the part, and the cut.
 *
 * @param widthMm part
 * @param heightMm part
 * @param outline corners of the part's edge, x and y in turn
 * @param bodyLines lines on the part
 * @param damages as drawn
 * @param zones inner to outer
 * @param flags what lines and edges do to the zones
 * @param section the cut; empty where none is computed
 */
public record Drawing(
        double widthMm,
        double heightMm,
        List<Double> outline,
        List<Part.BodyLine> bodyLines,
        List<DrawnDamage> damages,
        List<DrawnZone> zones,
        List<String> flags,
        Optional<Section> section) {
    public Drawing {
        outline = outline == null
                ? List.of(0.0, 0.0, widthMm, 0.0, widthMm, heightMm, 0.0, heightMm)
                : List.copyOf(outline);
        damages = damages == null ? List.of() : List.copyOf(damages);
        section = section == null ? Optional.empty() : section;
    }
}
