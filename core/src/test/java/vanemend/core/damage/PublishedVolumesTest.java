package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.hipparchus.analysis.integration.SimpsonIntegrator;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;

@DisplayName("hollow volumes: textbook closed forms, and a general-purpose integrator")
class PublishedVolumesTest {
    @ParameterizedTest(name = "{0} of radius {1}, depth {2}: {3} mL")
    @CsvSource({
        "BOWL,60,4,22.62",
        "SOFT,60,4,13.45",
        "POINT,60,4,15.08",
        "BOWL,25,2,1.9634954",
        "POINT,25,2,1.3089969",
        "SOFT,25,2,1.1677207",
        "BOWL,50,5,19.6349541"
    })
    void roundHollow(Dent.Profile profile, double radius, double depth, double ml) {
        Dent d = new Dent(200, 200, 2 * radius, 2 * radius, 0, depth, profile);
        assertThat(d.volumeMm3() / 1000).isCloseTo(ml, within(0.006));
        assertThat(new DepthField(List.of(d)).integrated()).isCloseTo(d.volumeMm3(), within(d.volumeMm3() * 2e-4));
    }

    @Test
    void integrationAgreesWithTheClosedFormForAnyEllipseAnywhere() {
        Seeds.forEach(200, (r, i) -> {
            Dent d = TestShop.dents(r).getFirst();
            assertThat(new DepthField(List.of(d)).integrated()).isCloseTo(d.volumeMm3(), within(d.volumeMm3() * 5e-4));
        });
    }

    @Test
    @DisplayName("overlapping dents against nested adaptive Simpson integration of the Hipparchus library")
    void overlapAgainstHipparchus() {
        List<Dent> dents = List.of(
                new Dent(270, 205, 150, 110, 12, 2.8, Dent.Profile.BOWL),
                new Dent(360, 190, 100, 85, 0, 1.9, Dent.Profile.SOFT));
        DepthField field = new DepthField(dents);
        double reference = new SimpsonIntegrator(1e-4, 1e-4, 6, 14)
                .integrate(
                        1_000_000,
                        x -> new SimpsonIntegrator(1e-4, 1e-4, 6, 18)
                                .integrate(5_000_000, y -> field.depthAt(x, y), 130, 280),
                        180,
                        460);
        assertThat(field.volumeMm3()).isCloseTo(reference, within(reference * 1e-3));
        // They do overlap: the two hold less together than each for itself.
        double sum = dents.stream().mapToDouble(Dent::volumeMm3).sum();
        assertThat(field.volumeMm3()).isLessThan(sum * 0.99);
    }

    @Test
    void dentsThatMeetAreIntegratedAndThoseThatDoNotAreTheirSum() {
        int[] apart = {0};
        Seeds.forEach(150, (r, i) -> {
            DepthField field = new DepthField(TestShop.dents(r));
            double sum = field.dents().stream().mapToDouble(Dent::volumeMm3).sum();
            apart[0] += field.volumeMm3() == sum ? 1 : 0;
            assertThat(field.volumeMm3()).isCloseTo(field.integrated(), within(sum * 1e-3));
        });
        assertThat(apart[0]).isBetween(10, 140);
    }

    @Test
    void moreDentsNeverHoldLessAndNeverMoreThanTheirSum() {
        Seeds.forEach(150, (r, i) -> {
            List<Dent> dents = TestShop.dents(r);
            double all = new DepthField(dents).volumeMm3();
            double sum = dents.stream().mapToDouble(Dent::volumeMm3).sum();
            assertThat(all).isLessThanOrEqualTo(sum * 1.003);
            dents.forEach(d -> assertThat(all).isGreaterThanOrEqualTo(d.volumeMm3() * 0.997));
        });
    }
}
