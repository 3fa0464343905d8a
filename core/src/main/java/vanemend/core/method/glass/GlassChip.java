package vanemend.core.method.glass;

import java.util.Optional;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.mix.Portion;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Windscreen chip: cleaned, filled in the shade, cured in the light, scraped flush. */
public final class GlassChip extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.GLASS_CHIP, ChipLayout::new);

    private final boolean vacuum;
    private final boolean inSight;

    private GlassChip(Kit kit, boolean vacuum, boolean inSight) {
        super(kit);
        this.vacuum = vacuum;
        this.inSight = inSight;
    }

    /**
     * The steps.
     *
     * @param vacuum vacuum then pressure; false for pressure only
     * @param inSight whether the driver looks through it: a mark that is good enough elsewhere is not there
     */
    static MethodSteps lay(Kit kit, boolean vacuum, boolean inSight) {
        GlassChip p = new GlassChip(kit, vacuum, inSight);
        p.prepare();
        p.cutFilm();
        p.seat();
        if (vacuum) {
            p.vacuumThenPressure();
        } else {
            p.pressureOnly();
        }
        p.cure();
        p.scrape();
        return p.laid("Windscreen chip");
    }

    /** Light, never heat: warmed glass runs its break. */
    @Override
    protected Step waitAgain() {
        return waitAgain(longer(
                        "Leave the light on it",
                        "Film stays on; longer does no harm. No heat on the glass: the break runs.")
                .zone(Zone.Kind.FILM)
                .caution("uv")
                .asks(Quantity.UV));
    }

    private void prepare() {
        add(look(
                        "glass",
                        "Shade, glass " + Text.book("limit.glass-temperature"),
                        "In the shade, not hot to the touch; paint around covered: resin marks it. Say first that a mark may"
                                + " remain" + (inSight ? ", in the driver's view." : "."),
                        Zone.Kind.CLEAN,
                        gate(
                                        "Shaded, " + Text.book("limit.glass-temperature") + ", inner side dry?",
                                        "Ready",
                                        "clean the break",
                                        "Too hot or cold",
                                        branch("temp", "Too hot or cold", "let it come to the shop's air", "temper"))
                                .reading(Quantity.SURFACE_C))
                .asks(Quantity.SURFACE_C)
                .watches(
                        glass(Watch.Sense.AT_LEAST, "cold", "limit.glass-temperature.from", "Glass too cold"),
                        glass(Watch.Sense.AT_MOST, "hot", "limit.glass-temperature.upTo", "Glass too hot"))
                .caution("calibration")
                .acts(Act.SHADE));
        loop(
                "temper",
                "Let the glass come to the shop's air",
                step("temper", Kind.DO, "Wait for the glass")
                        .detail("No hot air on cold glass, no cold water on hot: the break runs.")
                        .zone(Zone.Kind.CLEAN)
                        .active(TradeBook.value("minutes.measure")));
        add(step("pick", Kind.DO, "Blade flat over it, pick out loose glass")
                .detail("Blade flat, drawn over the pit; crumbs out with a probe, no pressing. Alcohol; then dry.")
                .zone(Zone.Kind.PIT)
                .layer("outer")
                .tool("Blade, probe")
                .material(name(Role.WIPE))
                .active(TradeBook.value("minutes.measure") * 2)
                .caution("glass")
                .caution("solvent")
                .acts(Act.CLEAN));
    }

    /** Before any resin is out: a bead that waits for its film runs off, and daylight sets it. */
    private void cutFilm() {
        add(cut(
                        "cut-film",
                        "Cut the film",
                        Text.book("glass.film-past") + " past the injector's mark all round, laid by within reach.",
                        "film",
                        Zone.Kind.FILM)
                .active(TradeBook.value("minutes.measure")));
    }

    private void seat() {
        add(step("seat", Kind.DO, "Seal the injector over the pit")
                .detail("Centred, square, sealed by its own grip: pressing hard can run the crack.")
                .zone(Zone.Kind.INJECTOR)
                .layer("outer")
                .tool("Injector")
                .active(TradeBook.value("minutes.inject"))
                .caution("glass"));
        add(look(
                "seal",
                "Look at the seal",
                "All round, through the glass from inside: no light under its edge, the pit in its middle.",
                Zone.Kind.INJECTOR,
                gate(
                        "Sealed all round, the pit in the middle, nothing running?",
                        "Sealed",
                        "resin in",
                        "Not yet",
                        branch("leaks", "It leaks or stands aside", "off, wipe, seat it again", "reseat"),
                        runs())));
        loop(
                "reseat",
                "Seat the injector again",
                step("off", Kind.DO, "Off, wipe, seat it again")
                        .detail(
                                "Glass and seal wiped dry; a worn seal changed. Never pressed harder: that runs the crack.")
                        .zone(Zone.Kind.INJECTOR)
                        .tool("Injector")
                        .material(name(Role.WIPE))
                        .active(TradeBook.value("minutes.inject"))
                        .caution("glass"));
    }

    private static Gate.Branch runs() {
        return stop(
                "runs",
                "A leg runs",
                "Injector off, no more resin. The crack has run: the pane is replaced; say so now.",
                Weight.NEVER);
    }

    /** Drops of one portion; they are counted, not measured. */
    private StepBuilder drops(String id, String title, String detail, String portion, Zone.Kind zone) {
        Portion p = kit.portion(portion);
        String drops = figure(p, "Drops");
        return step(id, Kind.DO, title)
                .detail(detail)
                .zone(zone)
                .layer("resin")
                .material(p.material())
                .amount(drops)
                .figure(drops)
                .portion(portion)
                .active(TradeBook.value("minutes.measure"))
                .caution("glass-resin");
    }

    /** What is still kept when the first fill is in. */
    private String kept() {
        return "Counted as they fall. " + figure(kit.portion(ChipLayout.BEAD), "Drops")
                + " more stand apart for the last bead, in the dark.";
    }

    private StepBuilder held(String id, String title, String detail, String valueId, String label, Act... acts) {
        return step(id, Kind.WAIT, title)
                .detail(detail)
                .zone(Zone.Kind.DAMAGE)
                .layer("resin")
                .clock(
                        Clock.Kind.FROM,
                        label,
                        TradeBook.value(valueId),
                        TradeBook.shipped().entry(valueId).shown())
                .acts(acts);
    }

    private void vacuumThenPressure() {
        add(drops("load", "Resin into the injector", kept(), ChipLayout.FIRST, Zone.Kind.INJECTOR));
        add(held(
                "vacuum",
                "Hold the vacuum",
                "Air leaves the legs as bubbles.",
                "glass.vacuum",
                "Let air in from",
                Act.VACUUM));
        add(step("air-in", Kind.DO, "Let the air in, plunger locked")
                .detail(
                        "The plunger stays locked while the air comes in: the resin is pushed into the legs before anything is pressed.")
                .zone(Zone.Kind.INJECTOR)
                .layer("resin")
                .tool("Injector")
                .active(TradeBook.value("minutes.measure"))
                .acts(Act.AIR_IN));
        add(held(
                "pressure",
                "Press and hold",
                "Unlock the plunger, press slowly, lock it again. Tap round the break to free what is left.",
                "glass.pressure",
                "Look from",
                Act.PRESSURE));
        lookForAir();
    }

    private void pressureOnly() {
        add(drops(
                "load",
                "Resin in, plunger slowly",
                "A turn at a time; tap round the break to free air. " + kept(),
                ChipLayout.FIRST,
                Zone.Kind.INJECTOR));
        add(held(
                "pressure",
                "Leave it under pressure",
                "A few minutes.",
                "glass.pressure-short",
                "Look from",
                Act.PRESSURE));
        lookForAir();
    }

    private static Watch glass(Watch.Sense sense, String id, String book, String title) {
        return Watch.limit(
                        "glass-" + id,
                        Quantity.SURFACE_C,
                        sense,
                        book,
                        Weight.STOP,
                        title,
                        "Resin and crack both run: wait, in the shade, until the glass is between the two.")
                .leaving("temper");
    }

    private void lookForAir() {
        add(look(
                "air",
                "Look for air",
                "From inside and outside, dark card behind: dark is air.",
                Zone.Kind.DAMAGE,
                gate(
                        "Clear all through, no dark spot, no leg running?",
                        "Clear",
                        "last bead",
                        "Not yet",
                        branch("air", "Dark spot", "top up, press again", "top-up"),
                        stop(
                                "stays",
                                "Dark stays, it takes no more",
                                "Air is shut in, or dirt: resin that sets over it cannot be filled again. Seat it anew and try"
                                        + " vacuum, or the pane is replaced.",
                                Weight.STOP),
                        runs())));
        loop(
                "top-up",
                "Top up and press again",
                drops(
                        "drops",
                        "Further fill",
                        "From the bottle; what is kept for the last bead stays apart. As often as the break takes more.",
                        ChipLayout.MORE,
                        Zone.Kind.INJECTOR),
                held(
                        "press",
                        "Press and hold again",
                        "Tap round it.",
                        vacuum ? "glass.pressure" : "glass.pressure-short",
                        "Look from",
                        Act.PRESSURE));
    }

    /** Asked of every light step; where the minutes go by the meter, the meter is read. */
    private Gate hard() {
        Gate g = gate(
                "Bead hard under the film's edge to a blade?",
                "Hard",
                "film off",
                "Still wet",
                branch("wet", "Still wet", "leave it longer", "wait-again"));
        boolean byMeter = house().is("chip-light", "model")
                && kit.waited("light")
                        .filter(w -> w.route().kind() != DryingRoute.Kind.UV_LAMP)
                        .isPresent();
        return byMeter ? g.reading(Quantity.UV) : g;
    }

    private void cure() {
        add(bead("last-bead", "Injector off, bead into the pit, film on").acts(Act.LAST_BEAD));
        Optional<DryingRoute> route = kit.waited("light").map(Wait::route);
        DryingRoute.Kind by = route.map(DryingRoute::kind).orElse(DryingRoute.Kind.UV_LAMP);
        // Minutes of the sun hold for its height: at another hour they would be too few.
        String reckoned = route.filter(r -> by != DryingRoute.Kind.UV_LAMP)
                .map(r -> " Planned on: " + r.note() + ". Lower, it takes longer: read the UV.")
                .orElse("");
        StepBuilder light = step(
                        "light",
                        Kind.WAIT,
                        switch (by) {
                            case SUN -> "Out of the shade: sun on it";
                            case CLOUD -> "Into the daylight, cloudy";
                            default -> "UV lamp on it";
                        })
                .detail("Film stays on. Longer does no harm; still wet, leave it." + reckoned)
                .zone(Zone.Kind.FILM)
                .layer("resin")
                .gate(hard())
                .asks(Quantity.UV)
                .acts(Act.LIGHT, Act.RESIN_HARD);
        kit.waited("light").ifPresent((Wait w) -> clock(light, w, "Film off from"));
        add(light);
    }

    /** The bead that stands proud of the pit, under its film. */
    private StepBuilder bead(String id, String title) {
        return drops(
                id,
                title,
                name(Role.FILM) + " flat over it, " + Text.book("glass.film-past")
                        + " past the injector's mark; air pushed out from the middle.",
                ChipLayout.BEAD,
                Zone.Kind.FILM);
    }

    /** Outside the driver's view a mark is good enough; inside it customer and test decide. */
    private void lastLook() {
        Gate.Branch pit = branch("pit", "Pit still felt", "another bead, film, light", "bead-again");
        Gate.Branch open = stop(
                "open",
                "A leg is not filled to its end",
                "Set resin takes no more: it will run on. The pane is replaced; say so now.",
                Weight.STOP);
        if (inSight) {
            add(look(
                    "final",
                    "Fingertip and light, from the driver's seat",
                    "No pit to a fingernail, no dark spot, nothing running, nothing that catches the eye.",
                    Zone.Kind.DAMAGE,
                    gate(
                            "Flush, filled, and nothing catches the driver's eye?",
                            "Passed",
                            "done",
                            "Not yet",
                            pit,
                            stop(
                                    "mark",
                                    "A mark catches the eye",
                                    "In the driver's view it is not good enough: the customer, and who tests the vehicle, decide. It"
                                            + " cannot be filled again.",
                                    Weight.STOP),
                            open,
                            runs())));
        } else {
            add(look(
                    "final",
                    "Fingertip and light",
                    "No pit to a fingernail, filled to every end, nothing running. Outside the driver's view a mark that shows"
                            + " against the light is good enough: say that it remains.",
                    Zone.Kind.DAMAGE,
                    gate(
                            "Flush, filled, not running?",
                            "Passed",
                            "say what mark remains",
                            "Not yet",
                            pit,
                            open,
                            runs())));
        }
    }

    private void scrape() {
        add(step("scrape", Kind.DO, "Film off, scrape flush, clean")
                .detail(
                        "Blade upright, square to the glass: it scrapes; flat, it lifts the bead out. Then clean. A mark may remain.")
                .zone(Zone.Kind.PIT)
                .layer("resin")
                .tool("Blade, upright")
                .active(TradeBook.value("minutes.scrape"))
                .caution("glass")
                .acts(Act.FILM_OFF));
        lastLook();
        StepBuilder again = step("light", Kind.WAIT, "Light on it again")
                .detail("As before.")
                .zone(Zone.Kind.FILM)
                .layer("resin")
                .gate(hard())
                .asks(Quantity.UV)
                .acts(Act.LIGHT, Act.RESIN_HARD);
        kit.waited("light").ifPresent(w -> clock(again, w, "Film off from"));
        loop(
                "bead-again",
                "Another drop",
                bead("bead", "Bead into the pit, film on"),
                again,
                step("scrape", Kind.DO, "Film off, scrape flush")
                        .detail("Blade upright.")
                        .zone(Zone.Kind.PIT)
                        .tool("Blade, upright")
                        .active(TradeBook.value("minutes.scrape"))
                        .caution("glass")
                        .acts(Act.FILM_OFF));
        ready("Clean the glass, hand over", "");
    }
}
