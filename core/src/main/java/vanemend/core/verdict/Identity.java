package vanemend.core.verdict;

import java.util.Optional;
import vanemend.core.part.Belief;
import vanemend.core.part.Family;
import vanemend.core.part.Mark;
import vanemend.core.part.Plastic;
import vanemend.core.part.Polymer;
import vanemend.core.part.Substrate;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * What a substrate is, and what that means before anything is done to it.
 *
 * @param family how it behaves; empty where it is not known well enough
 * @param word as said
 * @param meaning what grinding and solvents do, what follows for the repair
 * @param promoter whether nothing holds without promoter: surface energy below the house figure
 * @param energy recalled surface free energy, mN/m, as shown; empty where not recalled
 * @param heatCapC hottest its surface may get, °C
 * @param mark as read
 * @param densityGPerCm3 by the rule of mixtures
 * @param floats whether a shaving floats; empty where the density is not known
 * @param belief from bench tests
 */
public record Identity(
        Optional<Family> family,
        String word,
        Optional<Family.Meaning> meaning,
        boolean promoter,
        String energy,
        Optional<Double> heatCapC,
        Optional<Mark> mark,
        Optional<Double> densityGPerCm3,
        Optional<Boolean> floats,
        Optional<Belief> belief) {
    private static final double WATER_G_PER_CM3 = 1.0;

    /** Of {@code substrate}. */
    public static Identity of(Substrate substrate) {
        if (!(substrate instanceof Plastic p)) {
            return new Identity(
                    Optional.of(substrate.family()),
                    substrate.word(),
                    Optional.of(substrate.family().meaning()),
                    false,
                    "",
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
        Optional<Polymer> main =
                p.mark().flatMap(m -> Polymer.of(m.main().blend().getFirst().symbol()));
        boolean low = main.filter(x -> !x.energy().isEmpty())
                .map(x -> (x.energy().get(0) + x.energy().get(1)) / 2 < TradeBook.value("promoter.below-energy"))
                .orElse(p.known().filter(f -> f == Family.POLYOLEFIN).isPresent());
        Optional<Double> density = p.mark().flatMap(Mark::densityGPerCm3);
        return new Identity(
                p.known(),
                p.word(),
                p.known().map(Family::meaning),
                low,
                main.filter(x -> !x.energy().isEmpty())
                        .map(x -> Text.between(x.energy().get(0), x.energy().get(1), "mN/m"))
                        .orElse(""),
                PlasticRow.of(p).map(PlasticRow::heatCapC),
                p.mark(),
                density,
                density.map(d -> d < WATER_G_PER_CM3),
                p.belief());
    }
}
