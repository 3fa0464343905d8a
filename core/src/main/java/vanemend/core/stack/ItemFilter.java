package vanemend.core.stack;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.UnitSize;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Plastic;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.PlasticRow;

/** Hard filters: what rules an item or a class out, each with its rule and a reason. */
final class ItemFilter {
    /** A rule and what it says; put into words only where it is shown. */
    record Reason(String rule, Supplier<String> words) {
        String says() {
            return words.get();
        }
    }

    static final String TOO_SLOW = "too-slow";
    static final String TOO_QUICK = "too-quick";

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** The finest grade of the ladders over filler. */
    private static final int LAST_ON_FILLER = 320;

    private final Need need;

    ItemFilter(Need need) {
        this.need = need;
    }

    /** What rules {@code item} out whatever it would do. */
    Optional<Reason> anywhere(ShelfItem item) {
        LocalDate today = need.today();
        if (item.expires().isPresent() && !today.isBefore(item.expires().get())) {
            LocalDate e = item.expires().get();
            return reason(
                    "expired", () -> e.equals(today) ? "expired today, " + DAY.format(e) : "expired " + DAY.format(e));
        }
        if (item.quantity() <= 0) {
            return reason("used-up", () -> "used up");
        }
        boolean paper = item.materialClass().role() == Role.PAPER;
        if (item.wet() == ShelfItem.Sanding.WET_ONLY && need.material() != MadeOf.FILM && !(paper && dampAt(item))) {
            return reason(
                    "never-wet",
                    () -> paper
                            ? "wet only; filler is never sanded wet: rust starts beneath it"
                            : "its label asks for wet sanding; filler is never sanded wet");
        }
        if (paper && (item.grading().isEmpty() || item.grade().isEmpty())) {
            return reason("no-grading", () -> "the paper's grading is not on file: P or CAMI?");
        }
        return Optional.empty();
    }

    /** Papers finer than any that filler sees, by either grading, where gelcoat or surfacer is sanded damp with them. */
    private boolean dampAt(ShelfItem item) {
        return need.sandsDamp() && item.grade().filter(g -> g > LAST_ON_FILLER).isPresent();
    }

    /** What rules {@code item} out in {@code role} on {@code surface}; no surface where no bond is asked. */
    Optional<Reason> inRole(ShelfItem item, Role role, Optional<Surface> surface) {
        MaterialClass c = item.materialClass();
        return anywhere(item)
                .or(() -> surface.flatMap(s -> bond(c, s)))
                .or(() -> unit(item, c, role))
                .or(() -> solvent(c, role))
                .or(() -> heat(item, c))
                .or(() -> c.chemistry().isMixed() ? clock(item, c, role) : Optional.empty());
    }

    /** Whether {@code c} holds on {@code surface}, and nothing forbids the pair. */
    Optional<Reason> bond(MaterialClass c, Surface surface) {
        for (Recipe.Forbidden f : Recipe.forbidden()) {
            if (f.classes().contains(c.id())
                    && (f.surfaces().contains(surface)
                            || !f.when().isEmpty() && need.holds(Recipe.When.valueOf(f.when())))) {
                return reason(f.id(), f::why);
            }
        }
        if (holdsOn(c, surface)) {
            return Optional.empty();
        }
        return reason("bond", () -> noBond(c, surface));
    }

    private static String noBond(MaterialClass c, Surface surface) {
        String on = c.bondsTo().stream().map(Surface::word).collect(Collectors.joining(", "));
        return (on.isEmpty() ? "bonds to nothing" : "holds on " + on) + ", not on " + surface.word()
                + (c.never().isEmpty() ? "" : "; never on " + c.never());
    }

    static boolean holdsOn(MaterialClass c, Surface surface) {
        return c.bondsTo().contains(surface)
                || surface == Surface.ABS && c.bondsTo().contains(Surface.STYRENIC);
    }

    /** A unit fills every injury of this tyre, by the sizes on its label. */
    private Optional<Reason> unit(ShelfItem item, MaterialClass c, Role role) {
        if (role != Role.REINFORCE || !(need.part().substrate() instanceof Tyre tyre)) {
            return Optional.empty();
        }
        double across = need.injuryMm();
        Optional<UnitSize> size = item.unitSize();
        if (size.isEmpty()) {
            return reason(
                    "no-unit-size", () -> "its sizes are not on file: read stem, patch and tyre class off its label");
        }
        return size.get().fits(across, tyre.use())
                ? Optional.empty()
                : reason(
                        "tyre-unit",
                        () -> "its stem fills " + Text.of(size.get().stemMm(), "mm") + " in a tyre for "
                                + size.get().use().word() + ", not " + Text.of(across, "mm") + " in one for "
                                + tyre.use().word());
    }

    /** What cleans a plastic: alcohol alone where solvents craze it, its cleaner elsewhere. */
    private Optional<Reason> solvent(MaterialClass c, Role role) {
        if (role != Role.CLEAN || !(need.part().substrate() instanceof Plastic p)) {
            return Optional.empty();
        }
        boolean alcohol = c.role() == Role.WIPE;
        boolean only = PlasticRow.conditions(p).contains(PlasticRow.Condition.ALCOHOL_ONLY);
        return alcohol == only
                ? Optional.empty()
                : reason(
                        "alcohol-only",
                        () -> only
                                ? "solvent crazes this plastic: alcohol cleans it, nothing stronger"
                                : "plastics cleaner cleans this plastic; alcohol is for those that solvents craze");
    }

    private Optional<Reason> heat(ShelfItem item, MaterialClass c) {
        OptionalDouble cap = need.heatCapC();
        Optional<Double> asks = c.figure("heatC");
        if (cap.isEmpty() || asks.isEmpty() || asks.get() <= cap.getAsDouble()) {
            return Optional.empty();
        }
        boolean cool = item.sand().stream().anyMatch(t -> t.atC() <= cap.getAsDouble());
        return cool
                ? Optional.empty()
                : reason(
                        "heat",
                        () -> "its label cures it at " + Text.of(asks.get(), "°C") + "; this part takes at most "
                                + Text.atMost(cap.getAsDouble(), "°C"));
    }

    private Optional<Reason> clock(ShelfItem item, MaterialClass c, Role role) {
        boolean sprayed = role == Role.PRIME || role == Role.SEAL || role == Role.SURFACE;
        OptionalDouble work = need.times().workMin(item);
        if (!sprayed && work.isEmpty()) {
            return reason("no-work-time", () -> "no work time on file: read the label and add it to the shelf");
        }
        if (item.sand().isEmpty()) {
            return reason("no-sand-time", () -> "no time to sand on file: read the label and add it to the shelf");
        }
        double patience =
                TradeBook.value(c.chemistry() == Chemistry.POLYESTER ? "cure.too-slow" : "cure.too-slow-epoxy");
        // What takes hours by its nature, such as gelcoat, is not slow because it does.
        double slow =
                c.sand().isEmpty() ? patience : Math.max(patience, c.sand().getLast());
        OptionalDouble sand = need.times().sandMin(item);
        if (!sprayed && sand.isPresent() && sand.getAsDouble() > slow) {
            return reason(
                    TOO_SLOW,
                    () -> "too slow today: " + Text.of(Math.round(Math.ceil(sand.getAsDouble())), "min")
                            + " to sand at " + Text.of(need.airC(), "°C") + ", at most " + Text.atMost(slow, "min"));
        }
        Optional<Double> warmest = c.figure("maxC");
        if (warmest.isPresent() && need.airC() > warmest.get()) {
            return reason(
                    TOO_QUICK,
                    () -> "too warm today: " + Text.of(need.airC(), "°C") + ", used up to "
                            + Text.atMost(warmest.get(), "°C"));
        }
        double needs = c.chemistry() == Chemistry.POLYESTER
                ? 2 * TradeBook.value("mix.minutes")
                : TradeBook.value("mix.cartridge-least");
        if (!sprayed && work.getAsDouble() * TradeBook.value("mix.work-share") <= needs) {
            return reason(
                    TOO_QUICK,
                    () -> "too quick today: " + Text.of(Math.round(work.getAsDouble() * 60), "s") + " of work time at "
                            + Text.of(need.airC(), "°C") + " leaves no time to spread");
        }
        return Optional.empty();
    }

    private static Optional<Reason> reason(String rule, Supplier<String> words) {
        return Optional.of(new Reason(rule, words));
    }
}
