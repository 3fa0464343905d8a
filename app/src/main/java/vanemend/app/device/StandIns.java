package vanemend.app.device;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vanemend.app.store.Shop;

/** The devices that ship with the product. A real one takes the place of the stand-in of its kind: see {@code docs/adding.md}. */
@Configuration
class StandIns {
    private static final long SEED = 20_261_124;
    /** Air of the made-up depot; its screen sets another. */
    private static final double AIR_C = 17;

    private static final double RH_PERCENT = 58;

    @Bean
    Scale scale(Clock clock) {
        return new Scale(SEED, clock.instant());
    }

    @Bean
    SurfaceThermometer surfaceThermometer(Clock clock) {
        return new SurfaceThermometer(SEED + 1, clock.instant(), AIR_C);
    }

    @Bean
    AirMeter airMeter() {
        return new AirMeter(SEED + 2, AIR_C, RH_PERCENT);
    }

    @Bean
    FilmGauge filmGauge() {
        return new FilmGauge(SEED + 3, 128);
    }

    @Bean
    UvMeter uvMeter(Shop shop) {
        return new UvMeter(SEED + 4, shop::placeKept);
    }

    @Bean
    TyreGauge tyreGauge() {
        return new TyreGauge(SEED + 5, 4, 8);
    }

    @Bean
    DepthGauge depthGauge() {
        return new DepthGauge(SEED + 6, 2.8);
    }
}
