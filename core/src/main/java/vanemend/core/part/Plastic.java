package vanemend.core.part;

import java.util.Optional;

/**
 * A plastic, known by its mark or believed from bench tests.
 *
 * @param mark as read; empty where there is none
 * @param belief from bench tests; empty where the mark was read
 * @param thicknessMm wall, mm
 */
public record Plastic(Optional<Mark> mark, Optional<Belief> belief, double thicknessMm) implements Substrate {
    /** The family; empty where the mark names none and the belief is too thin to plan on. */
    public Optional<Family> known() {
        return mark.isPresent()
                ? mark.get().family()
                : belief.filter(Belief::known).map(Belief::first);
    }

    @Override
    public Family family() {
        return known().or(() -> belief.map(Belief::first)).orElse(Family.STYRENIC);
    }

    @Override
    public String word() {
        return mark.map(Mark::written)
                .or(() -> known().map(f -> f.word() + " by tests"))
                .orElse("plastic, not known");
    }
}
