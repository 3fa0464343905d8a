package vanemend.core.method;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Promoters, primers and other thin coats: the dew point before them, their flash and their drying after. */
public abstract class CoatPage extends GatePage {
    private static final String TOUCH_AGAIN = "touch-again";

    private boolean dewAsked;

    protected CoatPage(Kit kit) {
        super(kit);
    }

    /** One coat of promoter and its flash; nothing where the stack has none. */
    protected List<StepBuilder> promoter(String id, Role role, Zone.Kind zone, String portion, Act on, Act flashed) {
        if (stack().item(role).isEmpty()) {
            return List.of();
        }
        List<StepBuilder> out = new ArrayList<>(dew(zone));
        out.add(promoterCoat(id, role, zone, portion, on));
        out.add(promoterFlash(id, role, zone, portion, on, flashed));
        return out;
    }

    /** One coat of promoter. */
    protected StepBuilder promoterCoat(String id, Role role, Zone.Kind zone, String portion, Act on) {
        return step(id, Kind.DO, "Promoter, one wet coat")
                .detail("Wet, no puddles, not dusted on. Too much lets the repair go; missed, nothing holds.")
                .zone(zone)
                .layer(promoterLayer(role))
                .material(name(role))
                .portion(portion)
                .active(hands("minutes.promote", zone))
                .caution("spray")
                .acts(on);
    }

    /** The last promoter, under the primer or the texture, is no layer of the section. */
    private static String promoterLayer(Role role) {
        return role == Role.PROMOTE ? "promoter" : "";
    }

    /** Its flash. One that was left longer than its label allows takes nothing any more: it goes on again. */
    protected StepBuilder promoterFlash(String id, Role role, Zone.Kind zone, String portion, Act on, Act... flashed) {
        late(
                id,
                promoterCoat("coat", role, zone, portion, on),
                flash("flash", name(role), zone, portion, promoterLayer(role), Optional.empty(), flashed));
        return flash(id + "-flash", name(role), zone, portion, promoterLayer(role), Optional.of(late(id)), flashed);
    }

    /** The loop that {@link #late(String)} leads into. */
    protected void late(String id, StepBuilder coat, StepBuilder flash) {
        if (loops.stream().noneMatch(l -> l.id().equals(id + "-again"))) {
            loop(id + "-again", "Promoter on again", coat, flash);
        }
    }

    /** The answer that it was left too long: how long is too long stands on its label alone. */
    protected static Gate.Branch late(String id) {
        return branch("late", "Left longer than its label allows", "wipe, on again", id + "-again");
    }

    /** Before the first promoter, paint or primer: the surface well over the dew point. Asked once a plan. */
    protected List<StepBuilder> dew(Zone.Kind zone) {
        return dew("dew", zone);
    }

    /** As above, the look called {@code id}. */
    protected List<StepBuilder> dew(String id, Zone.Kind zone) {
        if (dewAsked) {
            return List.of();
        }
        dewAsked = true;
        // To the tenth that a thermometer shows, so that the figure asked is the figure judged.
        double least =
                Math.ceil((kit.job().shop().air().dewPointC() + TradeBook.value("air.dew-margin")) * 10 - 1e-9) / 10;
        loops.add(new Loop(
                "warm-again",
                "Warm and dry the part",
                chain(
                        "",
                        step("warm", Kind.DO, "Warm the part, wipe it dry")
                                .detail("Gently, below its heat limit; or wait until the shop is drier.")
                                .zone(zone)
                                .active(hands("minutes.wipe", zone))
                                .caution("lamp"))));
        return List.of(look(
                        id,
                        "Surface over the dew point?",
                        "Dew point " + Text.of(Math.round(kit.job().shop().air().dewPointC() * 10) / 10.0, "°C")
                                + " in today's air: the surface at " + Text.atLeast(least, "°C")
                                + " or more, no mist from a breath that stays.",
                        zone,
                        gate(
                                        "Surface at " + Text.atLeast(least, "°C") + " or more, and dry?",
                                        "Dry",
                                        "go on",
                                        "Too near",
                                        branch("dew", "Too near the dew point", "warm it, wipe it dry", "warm-again"))
                                .reading(Quantity.SURFACE_C))
                .asks(Quantity.SURFACE_C, Quantity.AIR_C, Quantity.RH_PERCENT)
                .watches(
                        Watch.limit(
                                        "dew",
                                        Quantity.SURFACE_C,
                                        Watch.Sense.OVER_DEW,
                                        "air.dew-margin",
                                        Weight.STOP,
                                        "Too near the dew point",
                                        "Warm it, wipe it dry, read again.")
                                .leaving("warm-again"),
                        Watch.limit(
                                        "cold",
                                        Quantity.SURFACE_C,
                                        Watch.Sense.AT_LEAST,
                                        "limit.any-cold.from",
                                        Weight.STOP,
                                        "Too cold",
                                        "Warm the part, then read again.")
                                .leaving("warm-again"),
                        Watch.limit(
                                        "cold-air",
                                        Quantity.AIR_C,
                                        Watch.Sense.AT_LEAST,
                                        "limit.any-cold.from",
                                        Weight.STOP,
                                        "Air too cold",
                                        "Warm the shop, then read again.")
                                .leaving("warm-again"),
                        Watch.limit(
                                        "humid",
                                        Quantity.RH_PERCENT,
                                        Watch.Sense.AT_MOST,
                                        "limit.any-humid.upTo",
                                        Weight.STOP,
                                        "Air too damp",
                                        "Wait for drier air, then read again.")
                                .leaving("warm-again"))
                .acts(Act.SURFACE_DRY));
    }

    /** The wait for a promoter; {@code late} is what follows where it was left too long, if anything is asked. */
    protected StepBuilder flash(
            String id,
            String item,
            Zone.Kind zone,
            String wait,
            String layer,
            Optional<Gate.Branch> late,
            Act... flashed) {
        List<Gate.Branch> not = new ArrayList<>();
        not.add(stillWet("Still wet"));
        late.ifPresent(not::add);
        StepBuilder b = step(id, Kind.WAIT, "Let the promoter flash")
                .detail("By the clock and by touch: dry to a fingertip beside the work, shine gone.")
                .zone(zone)
                .layer(layer)
                .material(item)
                .gate(gate(
                        "Flashed: dry to the touch, shine gone?",
                        "Flashed",
                        "go on",
                        "No",
                        not.toArray(Gate.Branch[]::new)))
                .acts(flashed);
        kit.waited(wait).ifPresent(w -> clock(b, w, "Go on from"));
        return b;
    }

    /** A coat has a window: unlike a filler it is not left as long as one likes. */
    private Gate.Branch stillWet(String word) {
        if (loops.stream().noneMatch(l -> l.id().equals(TOUCH_AGAIN))) {
            loop(
                    TOUCH_AGAIN,
                    "Wait, then touch again",
                    longer(
                                    "Let it dry a little longer",
                                    "Touched beside the work. Not left for long: what goes over it has its window by the label.")
                            .zone(Zone.Kind.DAMAGE));
        }
        return branch("wet", word, "wait and try again", TOUCH_AGAIN);
    }

    /** What dries before the next may follow: by its label's clock where it gives one, and by its sign always. */
    protected StepBuilder drying(String id, String title, String detail, String wait, Zone.Kind zone, String question) {
        Optional<Wait> w = kit.waited(wait);
        StepBuilder b = step(id, Kind.WAIT, title)
                .detail((w.isEmpty() ? "By test: the label gives no time. " : "") + detail)
                .zone(zone)
                .gate(gate(question, "Dry", "go on", "Not yet", stillWet("Not dry yet")));
        w.ifPresent(x -> b.material(x.material()).clock("Go on from", x));
        return b;
    }

    /** Sets the clock of {@code w}; heat needs its lamp or oven and its caution. */
    protected StepBuilder clock(StepBuilder b, Wait w, String label) {
        b.clock(label, w);
        return switch (w.route().kind()) {
            case LAMP -> b.caution("lamp").needs(Resource.LAMP).acts(Act.HEAT, Act.COOL);
            case OVEN -> b.caution("lamp").needs(Resource.OVEN).acts(Act.HEAT, Act.COOL);
            case SUN, CLOUD, UV_LAMP -> b.caution("uv");
            case AIR -> b;
        };
    }
}
