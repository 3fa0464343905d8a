package vanemend.core.stack;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/** Matches the shelf to dents in metal: hard filters with a reason each, then the shortest wait, then the oldest lot. */
public final class DentStack {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final Set<Role> ALWAYS =
            EnumSet.of(Role.CLEAN, Role.WIPE, Role.FILL, Role.FINISH, Role.PINHOLE, Role.GUIDE);

    private DentStack() {}

    /**
     * What is asked of the shelf.
     *
     * @param depthMm deepest dent, mm
     * @param airC shop air, °C
     * @param today date for expiry
     * @param timeFactor label minutes at 21 °C to minutes today; empty where it does not cure
     */
    public record Need(
            Part part,
            Metal metal,
            double depthMm,
            double airC,
            LocalDate today,
            HouseRules house,
            CureTimes timeFactor) {}

    /** Times of an item at a temperature; supplied from outside, since curing is a later station. */
    public interface CureTimes {
        /** Minutes to sand, empty where it does not cure or has no label time. */
        OptionalDouble sandMin(ShelfItem item);

        /** Work time, min, at the dose that will be used; empty where the label gives none. */
        OptionalDouble workMin(ShelfItem item);
    }

    /** What filler will sit on. */
    public static Surface ground(Part part, Metal metal, HouseRules house) {
        return switch (house.of("filler-base")) {
            case "epoxy-primer" -> Surface.EPOXY_PRIMER;
            case "bare-metal" -> bare(metal);
            default -> part.coatsMm(true) > 0 ? Surface.SANDED_COAT : bare(metal);
        };
    }

    private static Surface bare(Metal metal) {
        return switch (metal.kind()) {
            case GALVANISED_STEEL -> Surface.GALVANISED;
            case ALUMINIUM -> Surface.ALUMINIUM;
            case MILD_STEEL, UNKNOWN -> Surface.STEEL;
        };
    }

    /** The stack from {@code shelf}; {@code pins} holds item ids the technician chose, by role. */
    public static StackChoice choose(Need need, List<ShelfItem> shelf, Map<Role, String> pins) {
        List<RuledOut> out = new ArrayList<>();
        List<ShelfItem> papers = new ArrayList<>();
        List<Candidate> fit = new ArrayList<>();
        for (ShelfItem item : shelf) {
            Optional<String> reason = reason(need, item);
            Role role = item.materialClass().role();
            if (reason.isPresent()) {
                out.add(new RuledOut(item.id(), item.name(), item.lot(), role, reason.get()));
            } else if (role == Role.PAPER) {
                papers.add(item);
            } else {
                fit.add(new Candidate(item, need.timeFactor().sandMin(item).orElse(0), why(need, item)));
            }
        }
        double shallow = Limits.rule("metal-shallow").upTo().orElseThrow();
        Optional<Candidate> putty = best(fit, Role.FINISH, pins);
        boolean alone = need.depthMm() < shallow
                && putty.isPresent()
                && need.depthMm() <= putty.get().item().typical("maxFinishedMm");
        List<StackLine> lines = new ArrayList<>();
        for (Role role : Role.values()) {
            boolean asked =
                    ALWAYS.contains(role) || (role == Role.PRIME && need.house().is("filler-base", "epoxy-primer"));
            if (!asked || (role == Role.FILL && alone)) {
                continue;
            }
            List<Candidate> some = ranked(fit, role);
            Optional<Candidate> chosen = best(fit, role, pins);
            boolean pinned = chosen.isPresent() && chosen.get().item().id().equals(pins.get(role));
            lines.add(new StackLine(role, chosen, pinned, some, chosen.isPresent() ? "" : missing(role, need)));
        }
        return new StackChoice(
                List.copyOf(lines), List.copyOf(papers), List.copyOf(out), alone, note(need, putty, alone, shallow));
    }

    private static String note(Need need, Optional<Candidate> putty, boolean alone, double shallow) {
        String depth = Check.shown(need.depthMm()) + " mm";
        if (alone) {
            return depth + " deep: under " + Check.shown(shallow) + " mm, putty alone.";
        }
        if (need.depthMm() < shallow && putty.isPresent()) {
            return depth + " deep: the putty's label holds it to "
                    + Check.shown(putty.get().item().typical("maxFinishedMm")) + " mm finished, so filler first.";
        }
        return depth + " deep: body filler, then putty.";
    }

    private static List<Candidate> ranked(List<Candidate> fit, Role role) {
        return fit.stream()
                .filter(c -> c.item().materialClass().role() == role)
                .sorted(Comparator.comparingDouble(Candidate::waitMin)
                        .thenComparing(c -> c.item().expires().orElse(LocalDate.MAX))
                        .thenComparing(c -> c.item().id()))
                .toList();
    }

    private static Optional<Candidate> best(List<Candidate> fit, Role role, Map<Role, String> pins) {
        List<Candidate> some = ranked(fit, role);
        return some.stream()
                .filter(c -> c.item().id().equals(pins.get(role)))
                .findFirst()
                .or(() -> some.stream().findFirst());
    }

    private static String missing(Role role, Need need) {
        String classes = String.join(
                " or ",
                MaterialClass.all().stream()
                        .filter(c -> c.role() == role)
                        .filter(c -> role != Role.FILL
                                || c.bondsTo().contains(ground(need.part(), need.metal(), need.house())))
                        .map(c -> c.name().toLowerCase(Locale.ROOT))
                        .toList());
        return "Nothing on the shelf for " + role.word().toLowerCase(Locale.ROOT) + ": put " + classes + " on it.";
    }

    private static String why(Need need, ShelfItem item) {
        OptionalDouble wait = need.timeFactor().sandMin(item);
        String expiry =
                item.expires().map(e -> "use by " + DAY.format(e.minusDays(1))).orElse("no expiry");
        return wait.isPresent()
                ? Math.round(Math.ceil(wait.getAsDouble())) + " min to "
                        + (item.materialClass().role() == Role.PINHOLE ? "dry" : "sand") + " today, " + expiry
                : expiry;
    }

    /** Why {@code item} must not be used, or nothing. */
    private static Optional<String> reason(Need need, ShelfItem item) {
        MaterialClass c = item.materialClass();
        LocalDate today = need.today();
        if (item.expires().isPresent() && !today.isBefore(item.expires().get())) {
            LocalDate e = item.expires().get();
            return Optional.of(e.equals(today) ? "expired today, " + DAY.format(e) : "expired " + DAY.format(e));
        }
        if (item.quantity() <= 0) {
            return Optional.of("used up");
        }
        if (item.wet() == ShelfItem.Sanding.WET_ONLY) {
            return Optional.of(
                    c.role() == Role.PAPER
                            ? "wet only; filler is never sanded wet: rust starts beneath it"
                            : "its label asks for wet sanding; filler is never sanded wet");
        }
        if (c.role() == Role.FILL || c.role() == Role.FINISH || c.role() == Role.PRIME) {
            return bond(need, c).or(() -> clock(need, item, c));
        }
        if (c.role() == Role.PAPER && (item.grading().isEmpty() || item.grade().isEmpty())) {
            return Optional.of("the paper's grading is not on file: P or CAMI?");
        }
        return Optional.empty();
    }

    private static Optional<String> bond(Need need, MaterialClass c) {
        Surface ground = c.role() == Role.PRIME ? bare(need.metal()) : ground(need.part(), need.metal(), need.house());
        if (!c.bondsTo().contains(ground)) {
            return Optional.of(
                    c.bondsTo().contains(Surface.FLEXIBLE_PLASTIC)
                            ? "for flexible plastic, not for " + ground.word()
                            : "does not hold on " + ground.word() + "; never on " + c.never());
        }
        return Optional.empty();
    }

    private static Optional<String> clock(Need need, ShelfItem item, MaterialClass c) {
        OptionalDouble work = need.timeFactor().workMin(item);
        if (c.chemistry() == Chemistry.POLYESTER && work.isEmpty()) {
            return Optional.of("no work time on file: read the label and add it to the shelf");
        }
        if (item.sand().isEmpty()) {
            return Optional.of("no time to sand on file: read the label and add it to the shelf");
        }
        double slow = TradeBook.value("cure.too-slow");
        OptionalDouble sand = need.timeFactor().sandMin(item);
        if (c.role() != Role.PRIME && sand.isPresent() && sand.getAsDouble() > slow) {
            return Optional.of("too slow today: " + Math.round(Math.ceil(sand.getAsDouble())) + " min to sand at "
                    + Check.shown(need.airC()) + " °C, at most " + Check.shown(slow) + " min");
        }
        double mixing = TradeBook.value("mix.minutes");
        if (c.chemistry() == Chemistry.POLYESTER
                && work.getAsDouble() * TradeBook.value("mix.work-share") <= 2 * mixing) {
            return Optional.of("too quick today: " + Math.round(work.getAsDouble() * 60) + " s of work time at "
                    + Check.shown(need.airC()) + " °C leaves no time to spread");
        }
        return Optional.empty();
    }
}
