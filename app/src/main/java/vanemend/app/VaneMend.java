package vanemend.app;

import io.micrometer.observation.ObservationRegistry;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.resilience.annotation.EnableResilientMethods;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The running application. */
@SpringBootApplication
@EnableScheduling
@EnableResilientMethods
public class VaneMend {
    /** Starts it; with {@code verify FILE} it only says whether that record is as it was written. */
    public static void main(String[] args) {
        if (args.length == 2 && args[0].equals("verify")) {
            System.exit(Verify.of(args[1], System.out));
        }
        SpringApplication.run(VaneMend.class, args);
    }

    /** Nobody watches traces here; without this every filter of every request would be measured. */
    @Bean
    ObservationRegistry observations() {
        return ObservationRegistry.NOOP;
    }

    /**
     * The one clock; the core is handed its time. Sessions alone run out by the machine's.
     *
     * @param start what it shows when the application starts, and it runs on from there; empty for the machine's own time
     */
    @Bean
    Clock clock(@Value("${vanemend.clock}") String start) {
        return start.isEmpty()
                ? Clock.systemUTC()
                : Clock.offset(Clock.systemUTC(), Duration.between(Instant.now(), Instant.parse(start)));
    }
}
