package vanemend.app.web;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vanemend.app.access.Account;
import vanemend.app.bench.RepairWork;
import vanemend.app.device.Device;
import vanemend.app.device.Shown;
import vanemend.app.device.StandIn;
import vanemend.app.store.Origins;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.app.store.Signatures;
import vanemend.core.cure.Lag;
import vanemend.core.damage.Damage;
import vanemend.core.damage.DamageDraft;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.ShelfFile;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.StarterShelf;
import vanemend.core.method.Conditions;
import vanemend.core.part.Belief;
import vanemend.core.part.BenchTest;
import vanemend.core.part.Family;
import vanemend.core.part.Glass;
import vanemend.core.part.MadeOf;
import vanemend.core.part.MarkReader;
import vanemend.core.part.Outline;
import vanemend.core.part.PartDraft;
import vanemend.core.part.SurfaceState;
import vanemend.core.plan.AirEffect;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.LookAgain;
import vanemend.core.record.RecordWords;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.RunState;
import vanemend.core.run.Sharing;
import vanemend.core.run.StillToCome;
import vanemend.core.run.Stop;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Tool;
import vanemend.core.stack.Recipe;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.Measured;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeTerm;
import vanemend.core.trade.TradeValue;
import vanemend.core.verdict.Identity;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.PlasticRow;
import vanemend.core.verdict.Verdict;

/** Shapes of answers. */
final class Views {
    private Views() {}

    /** How far a repair has come. */
    enum Standing {
        DRAFT,
        REFERRED,
        BLOCKED,
        MATCHED,
        PLANNED,
        RUNNING,
        DONE,
        ENDED
    }

    /**
     * A repair in the list.
     *
     * @param mark substrate in two words; empty while the part is not complete
     * @param step title of the step in hand; empty unless running
     * @param begins title of the first step of its plan; empty unless planned
     * @param waitsFor what holds it up, in words; empty for nothing
     */
    record RepairLine(
            long id,
            String name,
            String vehicle,
            Standing standing,
            String mark,
            Optional<Verdict.Outcome> verdict,
            String step,
            String begins,
            String waitsFor,
            int stepsDone,
            int steps,
            Optional<Instant> promisedAt,
            Optional<Instant> finishedAt,
            String changedBy,
            Instant changedAt) {}

    /**
     * A repair with everything computed from it. While it runs, {@code workup} is the frozen one; before, its
     * plan comes without rework.
     *
     * @param frozenAt when the work began; absent before, and while it is planned anew
     * @param anew why it is being planned anew; absent while it is not
     */
    record RepairView(
            long id,
            int version,
            RepairDraft draft,
            String changedBy,
            Instant changedAt,
            Optional<Instant> frozenAt,
            Optional<String> anew,
            Optional<Workup> workup,
            List<InputProblem> problems) {}

    /** A draft worked up without saving; the plan comes without its rework, as it does in a repair not begun. */
    record PreviewView(Optional<Workup> workup, List<InputProblem> problems) {}

    /**
     * The whole stack of a draft; empty where the draft cannot be worked up.
     *
     * @param sites the stacks of its sites, in order; none where it has one
     */
    record StackView(Optional<StackChoice> stack, List<StackChoice> sites) {}

    /**
     * A run.
     *
     * @param plan the how-manieth plan it goes by, from 1
     * @param anew why it is being planned anew; absent while it is not
     */
    record RunView(
            long id, FrozenPlan frozen, RunState state, int plan, Optional<String> anew, int events, Instant now) {
        static RunView of(RepairWork.Running r) {
            return new RunView(r.id(), r.frozen(), r.state(), r.legs().size(), r.anew(), r.events(), r.now());
        }
    }

    /** An event that was not taken, and why. */
    record NotTakenView(UUID id, InputProblem problem) {}

    /** What came of events that were sent. */
    record TakenView(RunView run, List<NotTakenView> refused) {}

    /**
     * A record with the plan it is held against.
     *
     * @param newest its newest event, which a signature names
     * @param signature what the newest signature was given for, and whether that still stands
     * @param origin where it was read in from; absent for work done here
     */
    record RecordView(
            long id,
            FrozenPlan frozen,
            RepairRecord record,
            Optional<UUID> newest,
            Optional<Signatures.Signature> signature,
            Optional<Origins.Origin> origin) {}

    /** The public key that this installation seals its records with. */
    record KeyView(String fingerprint, String pem) {}

    /** A record that answers a question. */
    record FoundView(
            long id,
            String name,
            String vehicle,
            String method,
            Verdict.Outcome verdict,
            Optional<Instant> startedAt,
            Optional<Instant> finishedAt,
            List<String> people,
            int deviations,
            Optional<RunState.Signed> signed,
            List<LookAgain> again,
            List<RecordWords.Word> met) {}

    /**
     * Some of the records that answer a question.
     *
     * @param next what to ask with for those after these; absent where these are the last
     * @param unsorted records of closed work that cannot be found yet, since an update is still sorting them in
     */
    record FoundPage(List<FoundView> found, Optional<String> next, int unsorted) {}

    /** Some of the repairs that are closed, the newest first; {@code next} as for records. */
    record ClosedPage(List<RepairLine> closed, Optional<String> next) {}

    /** The repair that a record was read in as. */
    record ReadInView(long id) {}

    /**
     * A run on the bench.
     *
     * @param stops what it cannot go on with
     */
    record LiveView(
            long id,
            String name,
            String vehicle,
            String hands,
            List<RunState.LiveClock> clocks,
            Optional<RunState.RunStep> current,
            int stepsDone,
            int steps,
            Optional<Instant> promisedAt,
            List<StillToCome.Stretch> ahead,
            List<Stop> stops) {}

    /** What one person does next. */
    record HandsView(Account person, Optional<Long> repair, String name, String title, Optional<Instant> from) {}

    /** A later look at a finished repair that is due or soon will be. */
    record AgainView(long repair, String name, String vehicle, LookAgain look) {}

    /**
     * The bench.
     *
     * @param air what today's air does to times
     * @param again later looks, those due first
     * @param forOthers what waits for a lamp, an oven or hands that are at another repair
     */
    record BenchView(
            Instant now,
            ShopView shop,
            List<LiveView> live,
            List<HandsView> hands,
            List<RepairLine> waiting,
            List<AirEffect> air,
            List<AgainView> again,
            List<Sharing.Waiting> forOthers) {}

    /**
     * The shop today.
     *
     * @param place where it lies, for the sun
     * @param heat what its own warm-ups say of its lamps and ovens
     * @param lamps how many there are
     * @param ovens how many there are
     * @param units in which a screen begins that has not chosen its own
     * @param toSetUp steps of setting the shop up that nobody has looked at yet
     */
    record ShopView(
            double tempC,
            double rhPercent,
            double dewPointC,
            Instant typedAt,
            List<Account> present,
            String zone,
            Conditions.Place place,
            List<HeatView> heat,
            int lamps,
            int ovens,
            ShopSettings.Units units,
            List<ShopSettings.Step> toSetUp) {}

    /**
     * A line of the starter shelf.
     *
     * @param kind its class, with what is typical of it: to know it by, never in place of its label
     * @param here whether it stands on the shelf
     */
    record StarterView(StarterShelf item, MaterialClass kind, boolean here) {}

    /**
     * What was measured of the shop's own heat on one build.
     *
     * @param word as said
     * @param factor measured time constant over the recalled one
     * @param warmUps how many it is the median of
     */
    record HeatView(Lag.Build build, String word, double factor, int warmUps) {}

    /**
     * A thing on the shelf.
     *
     * @param low little is left of the pack
     * @param serves families of substrates it holds on
     */
    record ShelfLine(
            ShelfItem item,
            int version,
            String className,
            MaterialClass.Role role,
            List<MaterialClass.Role> roles,
            String hatch,
            Optional<LocalDate> expires,
            boolean expired,
            boolean low,
            List<Family> serves,
            String shown) {}

    /** Something that was done with an item. */
    record ActView(String act, double quantity, String said, String by, Instant at) {}

    /** What would come of a file, line by line. */
    record ImportView(int taken, int changed, int same, int refused, boolean kept, List<ImportLine> lines) {}

    /** One line of a file. */
    record ImportLine(int line, String id, ShelfFile.Outcome outcome, String said) {}

    /**
     * What a substrate is as typed so far.
     *
     * @param reading of the mark; absent without one
     * @param belief from bench tests; absent with a mark
     * @param identity absent while neither is known
     */
    record IdentifyView(
            Optional<MarkReader.MarkReading> reading,
            Optional<Belief> belief,
            Optional<Identity> identity,
            List<InputProblem> problems) {}

    /** A kind of damage and the parts it is met on. */
    record KindView(Damage.Kind kind, String word, List<MadeOf> materials) {}

    /** A surface state and the parts it is met on. */
    record StateView(SurfaceState state, String word, String asks, List<MadeOf> materials) {}

    /** A stamp of a pane. */
    record StampView(Glass.Stamp stamp, String word) {}

    /** A family of substrates. */
    record FamilyView(Family family, Family.Meaning meaning) {}

    /**
     * What there is to choose from, in the trade's words.
     *
     * @param cautionSigns what stands for a caution that was read, by its id
     */
    record CatalogueView(
            List<Outline> outlines,
            List<TypicalView> typicalParts,
            List<BenchTest> tests,
            String testsShown,
            List<KindView> damages,
            List<StateView> states,
            List<StampView> stamps,
            List<FamilyView> families,
            List<ToolView> tools,
            List<RoleView> roles,
            List<QuantityView> quantities,
            List<MeasuredView> measured,
            List<SurfaceView> surfaces,
            Map<String, String> cautionSigns,
            List<TradeTerm> terms) {}

    /**
     * A part as people bring it in.
     *
     * @param draft what it is as a rule
     */
    record TypicalView(String id, String word, PartDraft draft) {}

    /**
     * A vehicle and what was done on it.
     *
     * @param repairs the newest first, a few
     */
    record VehicleView(String name, List<PastView> repairs) {}

    /**
     * A repair of before, as one looks back on it.
     *
     * @param name of the part
     * @param damaged kinds of damage, in words
     * @param open whether it waits or runs
     * @param part as it was typed
     * @param damages as they were typed
     */
    record PastView(
            long id,
            String name,
            List<String> damaged,
            boolean open,
            Instant changedAt,
            Optional<PartDraft> part,
            List<DamageDraft> damages) {}

    /** A surface that something holds on, as said. */
    record SurfaceView(MaterialClass.Surface surface, String word) {}

    /** A role of the stack as said. */
    record RoleView(MaterialClass.Role role, String word) {}

    /**
     * A quantity that is read at the bench.
     *
     * @param sort what it is, for its unit in the shop's own system
     * @param min smallest believable value, in {@code unit}
     * @param max largest believable value, in {@code unit}
     * @param measured what a device measures that answers it; absent where it is typed
     */
    record QuantityView(
            Quantity quantity,
            String word,
            Quantity.Sort sort,
            String unit,
            double min,
            double max,
            Optional<Measured> measured) {}

    /** What a device measures: its word, its unit, how many decimals, and which device. */
    record MeasuredView(Measured measured, String word, String unit, int digits, Device.Kind device) {}

    /** A tool as said. */
    record ToolView(Tool tool, String word) {}

    /** A house rule with the answer in force and its history. */
    record SchoolView(HouseRules.School school, String chosen, List<Shop.Change> changes) {}

    /** The rule book. */
    record RulesView(
            String version,
            List<TradeValue> values,
            List<Limits.Rule> limits,
            List<MaterialClass> classes,
            List<PlasticRow> plastics,
            List<Recipe> recipes,
            List<Recipe.Forbidden> forbidden,
            List<Grains.Grading> gradings,
            List<SchoolView> schools,
            boolean mayTurn) {}

    /**
     * What a rule of thumb really gives.
     *
     * @param figures what it comes to, in words with units
     * @param leadsTo what follows from it
     * @param good whether it holds up
     */
    record ThumbView(List<String> figures, String leadsTo, boolean good) {}

    /**
     * What a bead across a puddle really gives.
     *
     * @param percent cream by weight of filler, %
     * @param nominalPercent the dose it is held against, %
     * @param rightBeadMm bead that would give that, mm
     * @param workFactor how times go; absent where it never cures
     * @param said what it leads to
     * @param good whether it cures as its label says
     */
    record BeadView(
            double percent,
            double nominalPercent,
            double rightBeadMm,
            Optional<Double> workFactor,
            String said,
            boolean good) {}

    /**
     * A device.
     *
     * @param fault what is wrong with a stand-in; empty for a real device
     * @param logs whether it can log by itself
     * @param repair that it logs to
     */
    record DeviceView(
            Device.Kind kind,
            String name,
            Shown shown,
            List<StandIn.Knob> knobs,
            List<StandIn.Press> presses,
            Optional<StandIn.Fault> fault,
            boolean logs,
            Optional<Long> repair,
            Optional<String> repairName) {}
}
