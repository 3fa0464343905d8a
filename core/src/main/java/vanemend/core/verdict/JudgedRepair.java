package vanemend.core.verdict;

import java.time.LocalDate;
import java.util.List;
import vanemend.core.damage.Damage;
import vanemend.core.part.Composite;
import vanemend.core.part.Family;
import vanemend.core.part.Glass;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Metal;
import vanemend.core.part.PaintFilm;
import vanemend.core.part.Part;
import vanemend.core.part.Plastic;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Air;
import vanemend.core.trade.Schools;

/**
 * What is judged.
 *
 * @param damages one or more
 * @param air shop air
 * @param surfaceC hottest the plan would take the surface, °C; the air where nothing heats it
 * @param today for the age of a tyre
 * @param overrules limits of care set aside by a lead
 * @param takenUm clear that the plan's own papers and polish take beside a run, µm; 0 where there is no way yet
 */
public record JudgedRepair(
        Part part,
        List<Damage> damages,
        Air air,
        double surfaceC,
        LocalDate today,
        Schools house,
        List<Overrule> overrules,
        double takenUm) {

    /** What the part counts as: a plastic that proves to be fibre in resin is judged as composite too. */
    public MadeOf material() {
        return material(part);
    }

    /** What {@code part} counts as. */
    public static MadeOf material(Part part) {
        return switch (part.substrate()) {
            case Metal m -> MadeOf.METAL;
            case Composite c -> MadeOf.COMPOSITE;
            case Plastic p ->
                p.known().filter(f -> f == Family.COMPOSITE).isPresent() ? MadeOf.COMPOSITE : MadeOf.PLASTIC;
            case Glass g -> MadeOf.GLASS;
            case Tyre t -> MadeOf.TYRE;
            case PaintFilm f -> MadeOf.FILM;
        };
    }

    /** Which metal or composite it is, by name; empty for what has no such kinds. */
    private String kind() {
        return switch (part.substrate()) {
            case Metal m -> m.kind().name();
            case Composite c -> c.kind().name();
            default -> "";
        };
    }

    /** All damages of one shape. */
    public <T extends Damage> List<T> all(Class<T> shape) {
        return damages.stream().filter(shape::isInstance).map(shape::cast).toList();
    }

    /** Whether {@code rule} is about this part and any of its damage. */
    public boolean concerns(Limits.Rule rule) {
        boolean asPlastic =
                part.substrate() instanceof Plastic && rule.materials().contains(MadeOf.PLASTIC);
        if (!asPlastic && !rule.materials().contains(material())) {
            return false;
        }
        if (!rule.only().isEmpty() && !rule.only().contains(kind())) {
            return false;
        }
        return rule.damages().isEmpty()
                || damages.isEmpty()
                || damages.stream().anyMatch(d -> rule.damages().contains(d.kind()));
    }
}
