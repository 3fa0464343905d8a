package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import vanemend.app.Drafts;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.method.Conditions;
import vanemend.core.method.House;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;

@DisplayName("after a start the shop's own repairs are planned to warm up")
class WarmUpTest {
    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");

    private final JsonMapper json =
            JsonMapper.builder().addModule(new Decimals()).build();
    private final Repairs repairs = mock(Repairs.class);
    private final Shop shop = mock(Shop.class);

    private WarmUp during(Duration longest) {
        return new WarmUp(repairs, shop, json, longest);
    }

    private Repairs.Stored door(long id) {
        RepairDraft draft = json.convertValue(Drafts.door("Door " + id), RepairDraft.class);
        return new Repairs.Stored(id, draft, 1, "Tam Okafor", NOW, false, java.util.Optional.empty(), false, true);
    }

    @Test
    void eachIsPlannedOnceHoweverShortTheTime() {
        when(repairs.newest(anyInt())).thenReturn(List.of(door(1), door(2), door(3)));
        when(shop.conditions(anyBoolean()))
                .thenReturn(new Conditions(
                        new Air(17, 58),
                        House.of(HouseRules.defaults()),
                        List.of(),
                        NOW,
                        ZoneOffset.UTC,
                        20,
                        new Conditions.Place(55.4, -3.1),
                        MeasuredHeat.none()));
        assertThat(during(Duration.ofNanos(1)).run()).isEqualTo(3);
        verify(shop, times(3)).conditions(false);
    }

    @Test
    void anEmptyShopHasNothingToPlan() {
        when(repairs.newest(anyInt())).thenReturn(List.of());
        assertThat(during(Duration.ofDays(1)).run()).isZero();
    }

    @Test
    void noTimeAtAllStartsNothing() {
        during(Duration.ZERO).begin();
        verifyNoInteractions(repairs, shop);
    }
}
