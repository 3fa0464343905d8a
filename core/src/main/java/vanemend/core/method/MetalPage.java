package vanemend.core.method;

import java.util.List;
import java.util.Locale;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.part.Metal;
import vanemend.core.trade.TradeBook;

/** What is done alike on any painted sheet: washed first, primed where the house primes bare metal, wiped and handed over last. */
public abstract class MetalPage extends MethodPage {
    protected MetalPage(Kit kit) {
        super(kit);
    }

    protected Metal metal() {
        return (Metal) kit.job().part().substrate();
    }

    protected boolean aluminium() {
        return metal().kind() == Metal.Kind.ALUMINIUM;
    }

    protected void wash() {
        add(step("wash", Kind.DO, "Wash, then degrease")
                .detail("Soap and water over the whole part. Then "
                        + name(Role.CLEAN).toLowerCase(Locale.ROOT)
                        + ", wiped off with a second clean cloth while wet.")
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.CLEAN))
                .active(TradeBook.value("minutes.wash"))
                .caution("solvent")
                .acts(Act.CLEAN));
    }

    /** Epoxy primer on bare metal, {@code sandMin} until it can be scuffed, min. */
    protected void primed(Zone.Kind bare, double sandMin) {
        add(step("prime", Kind.DO, "Prime the bare metal")
                .detail("Epoxy primer over the opening, even wet coat, by its label.")
                .zone(bare)
                .layer("coats-kept")
                .material(name(Role.PRIME))
                .amount(needed(kit.portion("primer")))
                .portion("primer")
                .active(hands("minutes.prime", bare))
                .caution("primer"));
        add(step("prime-wait", Kind.WAIT, "Wait to scuff the primer")
                .detail("Label time at today's temperature, then by touch.")
                .zone(bare)
                .clock(Clock.Kind.FROM, "Scuff from", sandMin, "label of " + name(Role.PRIME))
                .gate(new Gate(
                        "Does a fingernail leave no mark?",
                        "No mark",
                        "scuff it",
                        "Still soft",
                        List.of(new Gate.Branch("soft", "Still soft", "wait and try again", "wait-again")))));
        add(step("scuff", Kind.SAND, "Scuff the primer, wipe")
                .detail("Dull all over, not through. Blow off and wipe.")
                .zone(bare)
                .tool("Hand pad")
                .paper("180")
                .active(hands("minutes.scuff", bare))
                .caution("dust"));
    }

    /** The last wipe; {@code more} is said before who decides. */
    protected void readyForPrimer(String more) {
        add(step("ready", Kind.DO, "Blow off and wipe: ready for primer")
                .detail((more + " " + TradeBook.shipped().closing()).strip())
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", Zone.Kind.CLEAN))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN, Act.READY));
    }
}
