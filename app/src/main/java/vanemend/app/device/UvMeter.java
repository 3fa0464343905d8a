package vanemend.app.device;

import java.time.Instant;
import java.util.List;
import java.util.function.Supplier;
import vanemend.core.cure.Sun;
import vanemend.core.cure.UvCure;
import vanemend.core.method.Conditions;
import vanemend.core.trade.Measured;
import vanemend.core.trade.TradeBook;

/**
 * A UV meter at the resin: a lamp of set strength, the sun by its height at the shop at this hour, the sun through cloud, or covered. How
 * strong full sun reads is this stand-in's own setting, no figure of the trade.
 */
public final class UvMeter extends StandIn {
    private static final double SCATTER_SHARE = 0.02;

    private final Supplier<Conditions.Place> place;
    private String light = "lamp";

    /** Under its lamp, for a shop that lies at {@code place}. */
    public UvMeter(long seed, Supplier<Conditions.Place> place) {
        super(seed);
        this.place = place;
        knob("lamp", "Lamp gives", "mW/cm²", 0, 300, 20);
        knob("sun", "Full sun gives", "mW/cm²", 0, 50, 4);
        press("lamp", "Lamp");
        press("sun", "Sun");
        press("cloud", "Cloud");
        press("cover", "Cover");
    }

    @Override
    public Kind kind() {
        return Kind.UV;
    }

    @Override
    List<ShownFigure> shows(Instant now) {
        Conditions.Place shop = place.get();
        double sun = at("sun") * UvCure.relative(Sun.elevationDeg(now, shop.latitudeDeg(), shop.longitudeDeg()));
        double uv = switch (light) {
            case "lamp" -> at("lamp");
            case "sun" -> sun;
            case "cloud" -> sun * TradeBook.value("uv.cloud");
            default -> 0;
        };
        return List.of(new ShownFigure(
                Measured.UV, Math.max(0, shown(uv * (1 + SCATTER_SHARE * noise("uv", now)), 2))));
    }

    @Override
    void pressed(String id, Instant now) {
        light = id;
    }
}
