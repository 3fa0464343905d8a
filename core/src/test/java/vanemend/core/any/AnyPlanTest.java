package vanemend.core.any;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.part.MadeOf;

@DisplayName("ten thousand repairs of every family, by every school, off any shelf: what comes out holds")
class AnyPlanTest {
    private static final int MANY = 10_000;

    @Test
    void noPlanBreaksWhatHasToHold() {
        Map<PlanJudge.Came, Set<MadeOf>> came = new EnumMap<>(PlanJudge.Came.class);
        Seeds.forEach(MANY, (r, i) -> {
            AnyRepair any = AnyRepair.of(r);
            came.computeIfAbsent(PlanJudge.judge(any), k -> EnumSet.noneOf(MadeOf.class))
                    .add(any.draft().part().material());
        });
        // A generator that makes nothing but refusals would prove nothing.
        assertThat(came.get(PlanJudge.Came.PLANNED)).isEqualTo(EnumSet.allOf(MadeOf.class));
        assertThat(came.keySet()).isEqualTo(EnumSet.allOf(PlanJudge.Came.class));
    }
}
