package vanemend.core.plan;

import java.util.List;
import vanemend.core.damage.Dent;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.part.Part;
import vanemend.core.section.Section;

/**
 * The drawing pair, all in mm: zones over the part, and the cut.
 *
 * @param widthMm part
 * @param heightMm part
 * @param bodyLines lines on the part
 * @param dents damage
 * @param zones inner to outer
 * @param flags what lines and edges do to the zones
 * @param section the cut
 */
public record Drawing(
        double widthMm,
        double heightMm,
        List<Part.BodyLine> bodyLines,
        List<Dent> dents,
        List<DrawnZone> zones,
        List<String> flags,
        Section section) {}
