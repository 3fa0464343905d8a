package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

@DisplayName("room to grow: what was cleaned past the last zone, less where an edge is nearer (geometry)")
class RoomTest {
    private static Workup dent(double x) {
        return TestShop.workup(
                TestShop.job(
                        "{widthMm: 900, heightMm: 640, gaugeMm: 0.8, made: {material: METAL}, metal: MILD_STEEL,"
                                + " coats: [{kind: E_COAT}, {kind: BASE}, {kind: CLEAR}]}",
                        "{kind: DENT, xMm: " + x + ", yMm: 320, lengthMm: 60, widthMm: 50, angleDeg: 0, depthMm: 2.3}"),
                TestShop.shop());
    }

    private static String room(Workup w) {
        return w.drawing().flags().stream()
                .filter(f -> f.startsWith("Room to grow"))
                .findFirst()
                .orElse("");
    }

    @Test
    void asMuchAsWasCleanedPastTheLastPaper() {
        assertThat(room(dent(450)))
                .contains("⟦" + Math.round(TradeBook.value("dent.clean-past")) + " mm⟧ larger")
                .endsWith("ground.");
    }

    @Test
    void lessTowardsANearEdgeAndNoneWhereItIsReached() {
        // The last paper ends dent.320-past beyond the damage's rim at 30 mm from its middle.
        double reach = 30 + outer(dent(450));
        assertThat(room(dent(reach + 21.4))).contains("nearest edge ⟦21 mm⟧");
        assertThat(room(dent(reach - 30))).contains("edge close by");
    }

    private static double outer(Workup w) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.FINE_320)
                .findFirst()
                .orElseThrow()
                .pastMm();
    }

    @Test
    void mostWaysSayIt() {
        int said = 0;
        for (Map.Entry<String, RepairDraft> e : Cases.all().entrySet()) {
            Workup w = TestShop.workup(e.getValue(), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
            said += room(w).isEmpty() ? 0 : 1;
        }
        assertThat(said).isGreaterThan(15);
    }
}
