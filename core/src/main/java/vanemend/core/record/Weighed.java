package vanemend.core.record;

import java.util.Optional;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** What was weighed against what the mix asked, for the record. */
final class Weighed {
    private Weighed() {}

    /** Filler far from what was asked, whatever its cream; nothing where it was not weighed, or near enough. */
    static Optional<Deviation> amount(MixDone m) {
        if (m.clockAt().isEmpty() || m.fillerG().isEmpty() || m.fillerTargetG() <= 0) {
            return Optional.empty();
        }
        double given = m.fillerG().get();
        double off = given / m.fillerTargetG() - 1;
        if (Math.abs(off) <= TradeBook.value("dose.amount-drift") + 1e-9) {
            return Optional.empty();
        }
        return Optional.of(new Deviation(
                Deviation.Kind.AMOUNT_OFF,
                m.step(),
                m.clockAt().get(),
                "Filler " + Text.of(given, "g") + ", " + Text.of(m.fillerTargetG(), "g") + " asked",
                off < 0
                        ? "Too little for the hollow: look for a low spot, or a lift spread thin."
                        : "More than the hollow takes: laid too thick, or thrown away."));
    }
}
