package vanemend.core.house;

import java.util.List;
import java.util.Optional;
import vanemend.core.TestShop;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.House;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;

/** A made-up lead's rules for tests. */
final class HouseRulesOf {
    private HouseRulesOf() {}

    static PageRule rule(MethodId method, PageChange change) {
        return new PageRule(7, method, change, "A step", "Another", "Because", "Isla Renwick", TestShop.NOW);
    }

    static PageChange.Add add(String step, String after, Act... acts) {
        return new PageChange.Add(
                step, after, "Rinse it", "", Optional.of(Zone.Kind.CLEAN), 4, 0, "", Optional.empty(), List.of(acts));
    }

    static Plan plan(RepairDraft draft, PageChange... changes) {
        MethodId method = book(draft).method();
        HousePages pages = new HousePages(
                List.of(changes).stream().map(c -> rule(method, c)).toList());
        return workup(draft, pages).plan().orElseThrow();
    }

    static Workup workup(RepairDraft draft, HousePages pages) {
        return TestShop.workup(
                draft,
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf())
                        .under(new House(HouseRules.defaults(), pages)));
    }

    static Plan book(RepairDraft draft) {
        return workup(draft, HousePages.none()).plan().orElseThrow();
    }

    static List<String> ids(Plan p) {
        return p.steps().stream().map(s -> s.step().id()).toList();
    }
}
