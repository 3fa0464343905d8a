package vanemend.core.material;

import vanemend.core.part.Tyre;

/**
 * Size of a tyre unit by its label.
 *
 * @param stemMm channel that its stem fills, and so the largest injury, mm
 * @param capMm its patch across, mm
 * @param use class of tyre it is made for
 */
public record UnitSize(double stemMm, double capMm, Tyre.Use use) {
    /** Whether it fills an injury of {@code mm} in a tyre of that class. */
    public boolean fits(double mm, Tyre.Use tyre) {
        return use == tyre && mm <= stemMm;
    }
}
