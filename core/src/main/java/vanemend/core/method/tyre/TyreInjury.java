package vanemend.core.method.tyre;

import java.util.Optional;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.part.Tyre;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/** Tyre crown injury: found, marked, measured, cut and buffed from inside, cemented, unit pulled through, stitched and sealed. */
public final class TyreInjury extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.TYRE_CROWN, TyreLayout::new);

    /** How a plan with stem and patch apart is called. */
    public static final String TWO_PIECE = "two-piece unit";

    /**
     * What the page turns on.
     *
     * @param angleDeg from square to the tread, degrees
     * @param acrossMm the injury as entered, mm
     * @param channelMm cutter across, mm
     * @param steepestDeg steepest angle from square at which its inner end still lies in the crown, degrees
     * @param twoPiece stem and patch apart; a one-piece unit otherwise
     * @param truck truck or bus tyre
     */
    public record Injury(
            double angleDeg, double acrossMm, double channelMm, double steepestDeg, boolean twoPiece, boolean truck) {}

    private final Tyre tyre;
    private final Injury injury;

    private TyreInjury(Kit kit, Tyre tyre, Injury injury) {
        super(kit);
        this.tyre = tyre;
        this.injury = injury;
    }

    /** The steps. */
    static MethodSteps lay(Kit kit, Tyre tyre, Injury injury) {
        TyreInjury p = new TyreInjury(kit, tyre, injury);
        p.find();
        p.measure();
        p.buff();
        p.cut();
        p.cementChannel();
        if (injury.twoPiece()) {
            p.stemIn();
        }
        p.cement();
        p.unit();
        p.finish();
        return p.laid("Tyre crown injury, " + (injury.twoPiece() ? TWO_PIECE : "one-piece unit"));
    }

    /** Cement dries by air alone. */
    @Override
    protected Step waitAgain() {
        return waitAgain(
                longer("Wait a little longer", "Cement is never warmed: leave it to the air, clear of dust and hands.")
                        .zone(Zone.Kind.BUFF));
    }

    private void find() {
        add(step("mark-outside", Kind.DO, "Find it outside, mark it")
                .detail(
                        "Crayon around the object, and the tyre against the rim and the valve; note the angle. It stays in.")
                .zone(Zone.Kind.DAMAGE)
                .layer("tread")
                .active(TradeBook.value("minutes.measure"))
                .caution("tyre")
                .acts(Act.MARK_OUTSIDE));
        add(step("demount", Kind.DO, "Valve core out, then demount")
                .detail("All air out first, core in the hand. Then off the rim; beads and rim wiped dry.")
                .zone(Zone.Kind.CLEAN)
                .layer("tread")
                .active(work("minutes.mount"))
                .caution("tyre")
                .acts(Act.VALVE_OUT, Act.DEMOUNT));
        add(step("object-out", Kind.DO, "Take the object out")
                .detail("Only now: marked, no air in it, off the rim. Its length and slant tell what it went through.")
                .zone(Zone.Kind.DAMAGE)
                .layer("tread")
                .active(TradeBook.value("minutes.measure"))
                .acts(Act.OBJECT_OUT));
        add(step("mark-inside", Kind.DO, "Mark it inside")
                .detail("Crayon cross on the liner, outside where the buffing will reach.")
                .zone(Zone.Kind.CHANNEL)
                .layer("liner")
                .active(TradeBook.value("minutes.measure"))
                .acts(Act.MARK_INSIDE));
        add(look(
                "probe",
                "Probe the plies",
                "Blunt probe in the channel, then round the crown by hand: soft places, loose plies, run-soft dust.",
                Zone.Kind.CHANNEL,
                gate(
                        "Plies tight, nothing separated, no sign of running soft?",
                        "Sound",
                        "measure",
                        "Separated or soft",
                        stop(
                                "scrap",
                                "Plies separated or run soft",
                                "No unit holds plies together: scrap, or a full-service repair. Mark the tyre, set it apart.",
                                Weight.NEVER))));
    }

    private void measure() {
        add(look(
                        "angle",
                        "Measure size and angle",
                        "Gauge through the channel: " + Text.of(injury.angleDeg(), "°")
                                + " from square planned, cutter " + Text.of(injury.channelMm(), "mm") + ".",
                        Zone.Kind.CHANNEL,
                        gate(
                                        injury.twoPiece()
                                                ? "Over " + Text.book("limit.tyre-angle.upTo")
                                                        + " from square, within the size limit?"
                                                : Text.book("limit.tyre-angle.upTo")
                                                        + " from square or less, within the size limit?",
                                        "As planned",
                                        "clean and buff",
                                        "Differs",
                                        stop(
                                                "differs",
                                                "Angle or size differs",
                                                "Read it, and plan anew with what was read.",
                                                Weight.STOP))
                                .reading(Quantity.INJURY_MM, Quantity.ANGLE_DEG))
                .watches(sizeAndAngle())
                .figure(Text.of(injury.angleDeg(), "°"))
                .asks(Quantity.INJURY_MM, Quantity.ANGLE_DEG));
    }

    private void buff() {
        add(step("clean", Kind.DO, "Rubber cleaner and scraper, two or three rounds")
                .detail("Liner moist, scraped while moist: mould lubricant off. Larger than the template.")
                .zone(Zone.Kind.SEALED)
                .layer("liner")
                .material(name(Role.CLEAN))
                .active(TradeBook.value("minutes.wash"))
                .caution("solvent")
                .acts(Act.CLEAN));
        add(step("template", Kind.DO, "Template outline on the liner")
                .detail("The unit in hand, centred, and " + mm("tyre.buff-past") + " past it all round.")
                .zone(Zone.Kind.BUFF)
                .layer("liner")
                .portion("unit")
                .active(TradeBook.value("minutes.measure")));
        add(step("buff", Kind.SAND, "Buff inside the outline, even fine texture")
                .detail("At most " + Text.book("tyre.buff-rpm")
                        + ", moving: scorched rubber holds nothing. A texture like fine velvet, no liner cut through.")
                .zone(Zone.Kind.BUFF)
                .layer("liner")
                .tool("Low-speed buffer, rasp")
                .figure(Text.book("tyre.buff-rpm"))
                .active(work("minutes.buff"))
                .caution("buffing")
                .acts(Act.BUFF));
    }

    private void cut() {
        add(step("cut-inside", Kind.DO, "Cutter from inside, " + cuts())
                .detail("Along the injury's angle, at most " + Text.book("tyre.cut-rpm")
                        + ", turning all the way in and out.")
                .zone(Zone.Kind.CHANNEL)
                .layer("stem")
                .tool("Cutter " + Text.of(injury.channelMm(), "mm"))
                .figure(Text.book("tyre.cut-rpm"))
                .active(work("minutes.cutter") / 2)
                .caution("buffing")
                .acts(Act.CUT_INSIDE));
        add(step("cut-outside", Kind.DO, "Then from outside, " + cuts())
                .detail("The same angle. Inside always first: it leaves the liner clean.")
                .zone(Zone.Kind.CHANNEL)
                .layer("stem")
                .tool("Cutter " + Text.of(injury.channelMm(), "mm"))
                .active(work("minutes.cutter") / 2)
                .caution("buffing")
                .acts(Act.CUT_OUTSIDE));
        add(vacuum("vacuum"));
    }

    private double work(String id) {
        return TradeBook.value(id) * (injury.truck() ? TradeBook.value("tyre.truck-share") : 1);
    }

    private StepBuilder vacuum(String id) {
        return step(id, Kind.DO, "Brush, vacuum")
                .detail("Never touch the buffed face, no compressed air: it carries oil.")
                .zone(Zone.Kind.BUFF)
                .layer("liner")
                .active(hands("minutes.wipe", Zone.Kind.BUFF))
                .acts(Act.WIPE_AGAIN);
    }

    private String cuts() {
        return Text.book(injury.truck() ? "tyre.cuts-truck" : "tyre.cuts");
    }

    private void cementChannel() {
        add(step("cement-channel", Kind.DO, "Cement the channel, leave the tool in")
                .detail(Text.book("tyre.cement-channel") + " at least, " + Text.book("tyre.cement-channel-most")
                        + " at most. The tool stays in until the unit is fed.")
                .zone(Zone.Kind.CHANNEL)
                .layer("stem")
                .material(name(Role.CEMENT))
                .portion("cement")
                .active(TradeBook.value("minutes.cement-channel"))
                .caution("solvent")
                .acts(Act.CEMENT_CHANNEL));
    }

    /** Stem of two pieces: in, level and clean before the liner sees cement; nothing is rasped after it. */
    private void stemIn() {
        add(step("stem-in", Kind.DO, "Cement the stem, pull it through")
                .detail("Cement on the stem only; along the injury's angle, until it stands proud inside and outside.")
                .zone(Zone.Kind.CHANNEL)
                .layer("stem")
                .material(kit.portion("unit").material())
                .portion("unit")
                .active(TradeBook.value("minutes.stitch"))
                .caution("tyre")
                .acts(Act.STEM_IN));
        add(step("stem-level", Kind.SAND, "Trim the stem inside, buff it level")
                .detail("Cut flush without pulling on it, then buffed into the liner, at most "
                        + Text.book("tyre.buff-rpm") + ".")
                .zone(Zone.Kind.BUFF)
                .layer("stem")
                .tool("Low-speed buffer, rasp")
                .figure(Text.book("tyre.buff-rpm"))
                .active(TradeBook.value("minutes.untape"))
                .caution("buffing")
                .acts(Act.STEM_LEVEL));
        add(vacuum("vacuum-again"));
    }

    private void cement() {
        add(step("cement", Kind.DO, "Thin even coat on the buffed face only")
                .detail("No puddles, none on unbuffed rubber.")
                .zone(Zone.Kind.BUFF)
                .layer("cement")
                .material(name(Role.CEMENT))
                .amount(needed(kit.portion("cement")))
                .portion("cement")
                .active(hands("minutes.brush", Zone.Kind.BUFF))
                .caution("solvent")
                .acts(Act.CEMENT));
        StepBuilder dry = step("cement-dry", Kind.WAIT, "Let the cement dry to tacky")
                .detail("Longer cold or damp. Back of a finger: it grabs, nothing comes off.")
                .zone(Zone.Kind.BUFF)
                .layer("cement")
                .gate(gate(
                        "Tacky, not wet?",
                        "Tacky",
                        "unit",
                        "Still wet",
                        branch("wet", "Still wet", "wait and try again", "wait-again")))
                .acts(Act.TACKY);
        kit.waited("cement").ifPresent(w -> clock(dry, w, "Touch from"));
        add(dry);
    }

    private void unit() {
        add(step("unit", Kind.DO, injury.twoPiece() ? "Lay the patch over the stem" : "Pull the unit through")
                .detail(
                        injury.twoPiece()
                                ? "Cushion never touched; centred on the stem, pressed from the middle out, no air under it."
                                : "Cushion never touched; cement on the stem only; beads relaxed; pull until it seats, no dimple.")
                .zone(Zone.Kind.UNIT)
                .layer("unit")
                .material(kit.portion("unit").material())
                .portion("unit")
                .active(TradeBook.value("minutes.stitch"))
                .caution("tyre")
                .acts(Act.UNIT));
        add(step("stitch", Kind.DO, "Stitch from the centre out, twice")
                .detail("Firm, every edge; then the film off.")
                .zone(Zone.Kind.UNIT)
                .layer("unit")
                .tool("Stitcher")
                .active(TradeBook.value("minutes.stitch"))
                .acts(Act.STITCH));
        add(look(
                "seated",
                "Edges down, no dimple",
                "Fingernail round the whole edge.",
                Zone.Kind.UNIT,
                gate(
                        "No edge lifts, no dimple at the stem?",
                        "Seated",
                        "seal",
                        "Not right",
                        stop(
                                "edge",
                                "An edge lifts",
                                "Neither unit nor place is used again: the tyre goes to the lead.",
                                Weight.NEVER))));
    }

    private void finish() {
        add(step("seal", Kind.DO, "Sealer over all overbuff")
                .detail("Every place the buffer reached past the unit.")
                .zone(Zone.Kind.SEALED)
                .layer("sealer")
                .material(name(Role.SEAL))
                .amount(needed(kit.portion("sealer")))
                .portion("sealer")
                .active(hands("minutes.brush", Zone.Kind.SEALED))
                .caution("solvent")
                .acts(Act.SEAL_BUFF));
        boolean flush = house().is("tyre-stem", "flush");
        add(step("stem", Kind.DO, flush ? "Snip the stem flush" : "Cut the stem " + mm("tyre.stem-proud") + " proud")
                .detail(flush ? "Without pulling on it." : "It wears down with the tread; cut flush it may pull.")
                .zone(Zone.Kind.CHANNEL)
                .layer("stem")
                .tool("Side cutter")
                .active(TradeBook.value("minutes.untape")));
        StepBuilder rest = step("rest", Kind.WAIT, "Let it rest before it is inflated")
                .detail("Off the floor, nothing on the patch. The sealer dries to its own sign meanwhile.")
                .zone(Zone.Kind.SEALED)
                .layer("sealer")
                .gate(gate(
                        "Sealer dry, every edge still down?",
                        "Rested",
                        "mount",
                        "Not yet",
                        branch("wet", "Sealer still wet", "wait and try again", "wait-again"),
                        stop(
                                "edge",
                                "An edge lifts",
                                "Neither unit nor place is used again: the tyre goes to the lead.",
                                Weight.NEVER)))
                .acts(Act.REST);
        kit.waited("rest").ifPresent(w -> clock(rest, w, "Inflate from"));
        add(rest);
        limits();
        add(step("inflate", Kind.DO, "Mount, inflate")
                .detail(
                        "Beads and rim lubricated; core still out while they seat, never over the bead-seating pressure that"
                                + " the tyre or its maker prints. In a cage or from a distance. Then a new core, and its pressure.")
                .zone(Zone.Kind.CLEAN)
                .active(work("minutes.mount"))
                .caution("tyre")
                .acts(Act.INFLATE));
        add(look(
                "leak-test",
                "Leak test",
                "Wetted at the unit from outside, at the valve and at both beads: no bubble, and none that grows.",
                Zone.Kind.CHANNEL,
                gate(
                        "No bubble anywhere, pressure holds?",
                        "Tight",
                        "hand over",
                        "It leaks",
                        branch("seat", "At the valve or a bead", "seat it again", "seat-again"),
                        stop(
                                "unit",
                                "At the repair",
                                "The repair has failed: deflate, demount, scrap or full service. Never a second unit over it.",
                                Weight.NEVER))));
        loop(
                "seat-again",
                "Seat it again",
                step("seat", Kind.DO, "Air out, seat valve and beads again")
                        .detail("Deflate first. Then inflate as before and test again.")
                        .zone(Zone.Kind.CLEAN)
                        .active(TradeBook.value("minutes.stitch"))
                        .caution("tyre"));
        ready(
                "Balance it, hand it over",
                "The pressure of the vehicle's placard, the wheel nuts to the maker's torque, looked at again by his rule."
                        + " Size, load, speed, full date code and position are written on the job.");
    }

    /** A limit of this tyre is asked where it can still be kept to. */
    private void limits() {
        if (tyre.speed().kmh() == Limits.rule("tyre-speed").from().orElseThrow()) {
            add(look(
                    "rating",
                    "What speed is it good for now?",
                    "Symbol " + tyre.speed()
                            + ": the tyre maker says what rating is left after a repair. Note it on the job.",
                    Zone.Kind.CLEAN,
                    gate(
                            "The maker was asked, and the rating is noted?",
                            "Noted",
                            "mount",
                            "Not asked",
                            stop(
                                    "rating",
                                    "Rating not known",
                                    "Ask the tyre maker before it goes back on a vehicle.",
                                    Weight.STOP))));
        }
        if (injury.truck()
                && tyre.position() == Tyre.Position.FRONT
                && tyre.treadDepthMm() < Limits.rule("tyre-tread-front").from().orElseThrow()) {
            add(look(
                    "rear-only",
                    "Goes to the rear",
                    "Tread below " + Text.book("limit.tyre-tread-front.from") + ": no front axle of a truck or bus.",
                    Zone.Kind.CLEAN,
                    gate(
                            "Marked for a rear position, and told to who fits it?",
                            "Marked",
                            "mount",
                            "Not settled",
                            stop(
                                    "front",
                                    "It would go back in front",
                                    "Not on a front axle: another tyre goes there.",
                                    Weight.STOP))));
        }
    }

    /** What the unit was chosen for. */
    private Watch[] sizeAndAngle() {
        Watch planned = Watch.planned(
                "injury",
                Quantity.INJURY_MM,
                injury.acrossMm(),
                "",
                "Size other than planned",
                "Cutter and stem go by the size: plan anew where they do not fit.");
        Watch size = Watch.limit(
                "injury-size",
                Quantity.INJURY_MM,
                Watch.Sense.AT_MOST,
                injury.truck() ? "limit.tyre-size-truck.upTo" : "limit.tyre-size.upTo",
                Weight.NEVER,
                "Too large to repair",
                injury.truck()
                        ? "Section repair by a full-service shop, or scrap."
                        : "Scrap the tyre: no unit holds it.");
        Watch fits = new Watch(
                "injury-fits",
                Quantity.INJURY_MM,
                Watch.Sense.AT_MOST,
                injury.channelMm(),
                Weight.STOP,
                false,
                "",
                "",
                1,
                "Wider than cutter and stem",
                "Plan anew with this size: the stem has to fill the channel.",
                "",
                Optional.empty());
        Watch angle = Watch.limit(
                "angle",
                Quantity.ANGLE_DEG,
                Watch.Sense.AT_MOST,
                "limit.tyre-angle.upTo",
                Weight.STOP,
                "Too slanted for one piece",
                "It takes two pieces, stem and patch apart: plan anew with this angle.");
        Watch slant = Watch.planned(
                "slant",
                Quantity.ANGLE_DEG,
                injury.angleDeg(),
                "",
                "Angle other than planned",
                injury.twoPiece() ? "Two pieces, as planned." : "One piece, as planned, up to its limit.");
        // Never more than the verdict's own sum.
        Watch out = new Watch(
                "slant-out",
                Quantity.ANGLE_DEG,
                Watch.Sense.AT_MOST,
                Math.floor(injury.steepestDeg() * 10) / 10,
                Weight.NEVER,
                false,
                "",
                "",
                1,
                "Slants out of the crown",
                "Its inner end lies in the shoulder: the belt edge is cut. Scrap the tyre, or a full-service shop.",
                Limits.rule("tyre-slant-out").shown(),
                Optional.empty());
        return injury.twoPiece()
                ? new Watch[] {planned, size, fits, slant, out}
                : new Watch[] {planned, size, fits, slant, angle, out};
    }
}
