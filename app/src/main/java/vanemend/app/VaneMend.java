package vanemend.app;

import io.micrometer.observation.ObservationRegistry;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The running application. */
@SpringBootApplication
@EnableScheduling
public class VaneMend {
    /** Starts it. */
    public static void main(String[] args) {
        SpringApplication.run(VaneMend.class, args);
    }

    /** Nobody watches traces here; without this every filter of every request would be measured. */
    @Bean
    ObservationRegistry observations() {
        return ObservationRegistry.NOOP;
    }

    /** The one clock; the core is handed its time. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
