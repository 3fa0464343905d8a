package vanemend.app.web;

import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.problem.Refused;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.RulesView;
import vanemend.app.web.Views.SchoolView;
import vanemend.app.web.Views.ShopView;
import vanemend.core.cure.Lag;
import vanemend.core.material.MaterialClass;
import vanemend.core.method.Conditions;
import vanemend.core.method.PlaceDraft;
import vanemend.core.sanding.Grains;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Air;
import vanemend.core.trade.AirDraft;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.PlasticRow;

/** The shop: air, shelf, rule book, house rules. */
@RestController
@RequestMapping("/api")
class ShopController {
    private final Shop shop;
    private final BenchViews views;
    private final Bell bell;
    private final People people;

    ShopController(Shop shop, BenchViews views, Bell bell, People people) {
        this.shop = shop;
        this.views = views;
        this.bell = bell;
        this.people = people;
    }

    /** An answer to a house rule's question. */
    record AnswerDraft(String answer) {}

    @GetMapping("/shop")
    ShopView shop() {
        return views.shop();
    }

    @Needs(Right.AIR)
    @PutMapping("/shop/air")
    ShopView air(@RequestBody AirDraft draft, Principal me) {
        Check check = new Check();
        Air air = draft.check(check);
        Refused.unlessClean("Shop air", check);
        shop.air(air, people.of(me).id());
        bell.ring();
        return views.shop();
    }

    @Needs(Right.RULES)
    @PutMapping("/shop/place")
    ShopView place(@RequestBody PlaceDraft draft, Principal me) {
        Check check = new Check();
        Conditions.Place place = draft.check(check);
        Refused.unlessClean("Shop place", check);
        shop.place(place, people.of(me).id());
        bell.ring();
        return views.shop();
    }

    /** Lets the warm-ups that were measured on {@code build} count no more. */
    @Needs(Right.RULES)
    @DeleteMapping("/shop/heat/{build}")
    ShopView forgetHeat(@PathVariable Lag.Build build, Principal me) {
        shop.dropWarmUps(build, people.of(me).id());
        bell.ring();
        return views.shop();
    }

    @GetMapping("/rules")
    RulesView rules(Principal me) {
        HouseRules house = shop.schools();
        List<Shop.Change> changes = shop.changes();
        return new RulesView(
                shop.conditions(false).house().pages().version(),
                TradeBook.shipped().all(),
                Limits.all(),
                MaterialClass.all(),
                PlasticRow.all(),
                Recipe.all(),
                Recipe.forbidden(),
                Grains.gradings(),
                HouseRules.schools().stream()
                        .map(s -> new SchoolView(
                                s,
                                house.of(s.id()),
                                changes.stream()
                                        .filter(c -> c.question().equals(s.id()))
                                        .toList()))
                        .toList(),
                Right.RULES.of(people.of(me).role()));
    }

    @Needs(Right.RULES)
    @PutMapping("/house-rules/{question}")
    RulesView turn(@PathVariable String question, @RequestBody AnswerDraft draft, Principal me) {
        try {
            HouseRules.defaults().with(question, draft.answer());
        } catch (IllegalArgumentException e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "House rule", e.getMessage());
        }
        shop.house(question, draft.answer(), people.of(me).id());
        bell.ring();
        return rules(me);
    }
}
