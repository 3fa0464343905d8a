package vanemend.core.method.glass;

import java.util.Optional;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
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
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Windscreen chip: cleaned, filled in the shade, cured in the light, scraped flush. */
public final class GlassChip extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.GLASS_CHIP, ChipLayout::new);

    private final boolean vacuum;

    private GlassChip(Kit kit, boolean vacuum) {
        super(kit);
        this.vacuum = vacuum;
    }

    /**
     * The steps.
     *
     * @param vacuum vacuum then pressure; false for pressure only
     */
    static MethodSteps lay(Kit kit, boolean vacuum) {
        GlassChip p = new GlassChip(kit, vacuum);
        p.prepare();
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
                                + " remain.",
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

    private void seat() {
        add(step("seat", Kind.DO, "Seal the injector over the pit")
                .detail("Centred, square, sealed by its own grip: pressing hard can run the crack.")
                .zone(Zone.Kind.INJECTOR)
                .layer("outer")
                .tool("Injector")
                .active(TradeBook.value("minutes.inject"))
                .caution("glass"));
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
        add(apply(
                        "load",
                        "Load three quarters of the resin",
                        "The rest is needed for the last bead: keep it dark.",
                        "resin",
                        "resin",
                        Zone.Kind.INJECTOR,
                        TradeBook.value("minutes.measure"))
                .caution("uv"));
        add(held(
                "vacuum",
                "Hold the vacuum",
                "Air leaves the legs as bubbles.",
                "glass.vacuum",
                "Let air in from",
                Act.VACUUM));
        add(held(
                "pressure",
                "Let air in, press and hold",
                "Air in with the plunger still locked; then press, and hold. Tap round the break to free what is left.",
                "glass.pressure",
                "Look from",
                Act.PRESSURE));
        lookForAir();
    }

    private void pressureOnly() {
        add(apply(
                        "load",
                        "Six drops, plunger slowly",
                        "A turn at a time; tap round the break to free air.",
                        "resin",
                        "resin",
                        Zone.Kind.INJECTOR,
                        TradeBook.value("minutes.measure"))
                .caution("uv"));
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
                                "runs",
                                "A leg runs",
                                "Injector off. The crack has run: the pane is replaced; say so now.",
                                Weight.NEVER))));
        loop(
                "top-up",
                "Top up and press again",
                step("drops", Kind.DO, "Four more drops")
                        .detail("Keep two back for the last bead.")
                        .zone(Zone.Kind.INJECTOR)
                        .layer("resin")
                        .material(name(Role.FILL))
                        .amount(Text.book("glass.more-drops"))
                        .active(TradeBook.value("minutes.measure"))
                        .caution("uv"),
                held(
                        "press",
                        "Press and hold again",
                        "Tap round it.",
                        vacuum ? "glass.pressure" : "glass.pressure-short",
                        "Look from",
                        Act.PRESSURE));
    }

    private void cure() {
        add(step("last-bead", Kind.DO, "Injector off, drop in the pit, film on")
                .detail("Air pushed out from the middle; film flat.")
                .zone(Zone.Kind.FILM)
                .layer("resin")
                .material(name(Role.FILM))
                .portion("resin")
                .active(TradeBook.value("minutes.measure"))
                .caution("uv")
                .acts(Act.LAST_BEAD));
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
                .gate(gate(
                        "Bead hard under the film's edge to a blade?",
                        "Hard",
                        "film off",
                        "Still wet",
                        branch("wet", "Still wet", "leave it longer", "wait-again")))
                .asks(Quantity.UV)
                .acts(Act.LIGHT, Act.RESIN_HARD);
        kit.waited("light").ifPresent((Wait w) -> clock(light, w, "Film off from"));
        add(light);
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
        add(look(
                "final",
                "Fingertip and light",
                "No pit to a fingernail, no dark spot, nothing running.",
                Zone.Kind.DAMAGE,
                gate(
                        "Flush, clear, not running?",
                        "Passed",
                        "done",
                        "Not yet",
                        branch("pit", "Pit still felt", "another drop, film, light", "bead-again"),
                        stop(
                                "runs",
                                "It runs",
                                "The crack has run: the pane is replaced; say so now.",
                                Weight.NEVER))));
        StepBuilder again = step("light", Kind.WAIT, "Light on it again")
                .detail("As before.")
                .zone(Zone.Kind.FILM)
                .layer("resin")
                .asks(Quantity.UV)
                .acts(Act.LIGHT);
        kit.waited("light").ifPresent(w -> clock(again, w, "Film off from"));
        loop(
                "bead-again",
                "Another drop",
                step("bead", Kind.DO, "Drop in the pit, film on")
                        .detail("Air out from the middle.")
                        .zone(Zone.Kind.FILM)
                        .layer("resin")
                        .material(name(Role.FILL))
                        .active(TradeBook.value("minutes.measure"))
                        .caution("uv"),
                again,
                step("scrape", Kind.DO, "Film off, scrape flush")
                        .detail("Blade upright.")
                        .zone(Zone.Kind.PIT)
                        .active(TradeBook.value("minutes.scrape"))
                        .caution("glass"));
        ready("Clean the glass, hand over", "");
    }
}
