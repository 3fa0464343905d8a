package vanemend.app.web;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.problem.Refused;
import vanemend.app.store.AllOrNothing;
import vanemend.app.store.Shelf;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.app.store.TriedAgain;
import vanemend.app.web.Views.ShopView;
import vanemend.app.web.Views.StarterView;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.StarterShelf;
import vanemend.core.method.Town;
import vanemend.core.trade.Check;

/** Leads an empty installation from its first sign-in to its first repair. */
@RestController
@RequestMapping("/api")
@TriedAgain
class SetUpController {
    private final ShopSettings settings;
    private final Shop shop;
    private final Shelf shelf;
    private final BenchViews views;
    private final Bell bell;
    private final People people;

    SetUpController(ShopSettings settings, Shop shop, Shelf shelf, BenchViews views, Bell bell, People people) {
        this.settings = settings;
        this.shop = shop;
        this.shelf = shelf;
        this.views = views;
        this.bell = bell;
        this.people = people;
    }

    /** How many lamps and ovens there are, as typed. */
    record HeatDraft(Double lamps, Double ovens) {}

    /** Units as chosen. */
    record UnitsDraft(ShopSettings.Units units) {}

    /**
     * One line of the starter shelf that was ticked.
     *
     * @param quantity what is there, in its unit
     * @param rollMm width of the roll, mm, where it comes off one
     */
    record TakenDraft(String id, Double quantity, Double rollMm) {}

    /** What was ticked. */
    record StarterDraft(List<TakenDraft> taken) {}

    @GetMapping("/towns")
    List<Town> towns() {
        return Town.all();
    }

    @Needs(Right.RULES)
    @PutMapping("/shop/heat")
    ShopView heat(@RequestBody HeatDraft draft, Principal me) {
        Check check = new Check();
        int lamps = whole(check, "heat.lamps", "Lamps", draft.lamps());
        int ovens = whole(check, "heat.ovens", "Ovens", draft.ovens());
        Refused.unlessClean("Lamps and ovens", check);
        settings.heat(lamps, ovens, people.of(me).id());
        bell.ring();
        return views.shop();
    }

    private static int whole(Check check, String field, String called, Double typed) {
        double v = check.range(field, called, typed, 0, ShopSettings.MOST_HEAT, "");
        if (v != Math.rint(v)) {
            check.refuse(field, typed, "a whole number", called + " are counted: a whole number is expected.");
        }
        return (int) v;
    }

    @Needs(Right.RULES)
    @PutMapping("/shop/units")
    ShopView units(@RequestBody UnitsDraft draft, Principal me) {
        Check check = new Check();
        ShopSettings.Units units = check.choice("units", "Units", draft.units(), ShopSettings.Units.METRIC);
        Refused.unlessClean("Units", check);
        settings.units(units, people.of(me).id());
        bell.ring();
        return views.shop();
    }

    /** Marks a step of setting up as looked at. */
    @Needs(Right.RULES)
    @PutMapping("/shop/set-up/{step}")
    ShopView done(@PathVariable ShopSettings.Step step) {
        settings.done(step);
        bell.ring();
        return views.shop();
    }

    @GetMapping("/shelf/starter")
    List<StarterView> starter() {
        return StarterShelf.all().stream()
                .map(s -> new StarterView(s, MaterialClass.of(s.classId()), shelf.knows(s.id())))
                .toList();
    }

    /** Puts what was ticked on the shelf, empty and without a label's figures: those are read off the tin. What stands there already stays. */
    @Needs(Right.SHELF_LABEL)
    @PostMapping("/shelf/starter")
    @AllOrNothing
    public List<StarterView> take(@RequestBody StarterDraft draft, Principal me) {
        Check all = new Check();
        List<ShelfItem> items = new ArrayList<>();
        for (TakenDraft t : Optional.ofNullable(draft.taken()).orElse(List.of())) {
            Check check = new Check();
            StarterShelf.of(t.id())
                    .ifPresentOrElse(
                            s -> s.draft(t.quantity(), t.rollMm()).check(check).ifPresent(items::add),
                            () -> check.refuse(
                                    "id",
                                    t.id(),
                                    "one of the starter shelf",
                                    "The starter shelf has nothing called " + t.id() + "."));
            all.within(t.id(), check);
        }
        Refused.unlessClean("Starter shelf", all);
        String by = people.of(me).id();
        items.stream()
                .filter(i -> !shelf.knows(i.id()))
                .forEach(i -> shop.edit(i, "ADD", i.quantity(), "from the starter list", by));
        bell.ring();
        return starter();
    }
}
