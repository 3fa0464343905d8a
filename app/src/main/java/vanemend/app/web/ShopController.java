package vanemend.app.web;

import java.security.Principal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Role;
import vanemend.app.bench.Bell;
import vanemend.app.problem.Refused;
import vanemend.app.store.Shelf;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.BeadView;
import vanemend.app.web.Views.RulesView;
import vanemend.app.web.Views.SchoolView;
import vanemend.app.web.Views.ShelfLine;
import vanemend.app.web.Views.ShopView;
import vanemend.core.cure.Peroxide;
import vanemend.core.material.MaterialClass;
import vanemend.core.mix.BeadRule;
import vanemend.core.sanding.Grains;
import vanemend.core.trade.Air;
import vanemend.core.trade.AirDraft;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.RuleBook;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/** The shop: air, shelf, rule book, house rules. */
@RestController
@RequestMapping("/api")
class ShopController {
    private final Shop shop;
    private final Shelf shelf;
    private final BenchViews views;
    private final Bell bell;
    private final People people;
    private final java.time.Clock clock;

    ShopController(Shop shop, Shelf shelf, BenchViews views, Bell bell, People people, java.time.Clock clock) {
        this.shop = shop;
        this.shelf = shelf;
        this.views = views;
        this.bell = bell;
        this.people = people;
        this.clock = clock;
    }

    /** An answer to a house rule's question. */
    record AnswerDraft(String answer) {}

    @GetMapping("/shop")
    ShopView shop() {
        return views.shop();
    }

    @PutMapping("/shop/air")
    ShopView air(@RequestBody AirDraft draft) {
        Check check = new Check();
        Air air = draft.check(check);
        if (!check.clean()) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Shop air",
                    check.problems().getFirst().message(),
                    Map.of("problems", check.problems()));
        }
        shop.air(air);
        bell.ring();
        return views.shop();
    }

    @GetMapping("/shelf")
    List<ShelfLine> shelf() {
        LocalDate today = LocalDate.ofInstant(clock.instant(), shop.zone());
        return shelf.all().stream()
                .map(i -> new ShelfLine(
                        i,
                        i.materialClass().name(),
                        i.materialClass().role(),
                        i.materialClass().hatch(),
                        i.expires(),
                        i.expires().map(e -> !today.isBefore(e)).orElse(false)))
                .toList();
    }

    @GetMapping("/rules")
    RulesView rules(Principal me) {
        HouseRules house = shop.house();
        List<Shop.Change> changes = shop.changes();
        return new RulesView(
                RuleBook.version(),
                TradeBook.shipped().all(),
                Limits.all(),
                MaterialClass.all(),
                Grains.gradings(),
                HouseRules.schools().stream()
                        .map(s -> new SchoolView(
                                s,
                                house.of(s.id()),
                                changes.stream()
                                        .filter(c -> c.question().equals(s.id()))
                                        .toList()))
                        .toList(),
                people.of(me).role() == Role.LEAD);
    }

    @PutMapping("/house-rules/{question}")
    RulesView turn(@PathVariable String question, @RequestBody AnswerDraft draft, Principal me) {
        try {
            HouseRules.school(question).option(draft.answer());
        } catch (IllegalArgumentException e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "House rule", e.getMessage());
        }
        shop.house(question, draft.answer(), people.of(me).id());
        bell.ring();
        return rules(me);
    }

    @GetMapping("/bead")
    BeadView bead(@RequestParam double puddleMm, @RequestParam double beadMm) {
        Check check = new Check();
        check.range("puddleMm", "Puddle", puddleMm, 20, 400, "mm");
        check.range("beadMm", "Bead", beadMm, 0, 1000, "mm");
        if (!check.clean()) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Bead and puddle",
                    check.problems().getFirst().message(),
                    Map.of("problems", check.problems()));
        }
        double percent = BeadRule.percent(puddleMm, beadMm);
        Peroxide effect = Peroxide.of(percent);
        return new BeadView(
                percent,
                BeadRule.beadMm(puddleMm, TradeBook.value("peroxide.nominal")),
                effect.factorOrNone().orElse(0),
                effect.said());
    }
}
