package vanemend.core.verdict;

import java.time.temporal.ChronoUnit;
import vanemend.core.damage.Injury;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Text;

/** Tyres: place, size, angle, tread, age, speed symbol. */
final class TyreRules {
    private static final double DAYS_A_YEAR = 365.25;

    private TyreRules() {}

    static void judge(JudgedRepair c, Findings out) {
        Tyre tyre = (Tyre) c.part().substrate();
        c.all(Injury.class).forEach(i -> injury(tyre, i, out));
        tread(tyre, out);
        speed(tyre, out);
        age(c, tyre, out);
    }

    private static void injury(Tyre tyre, Injury i, Findings out) {
        boolean truck = tyre.use() == Tyre.Use.TRUCK;
        boolean placed = truck ? placedTruck(tyre, i, out) : placedCar(tyre, i, out);
        Limits.Rule slant = Limits.rule("tyre-slant-out");
        boolean slanted = !Crown.holds(tyre, i.innerXMm(), 0);
        if (i.place() == Injury.Place.CROWN) {
            out.measured(
                    slant,
                    slanted,
                    "inner end " + Findings.mm(Crown.offset(tyre, i.innerXMm())) + " from the centre line"
                            + (i.innerRead()
                                    ? ", as measured"
                                    : ", worked from the angle through " + Findings.mm(tyre.crownMm())
                                            + (tyre.crownRead() ? " of crown" : " of crown (usual, recalled)")
                                            + ", towards the worse side"));
        }
        Limits.Rule size = Limits.rule(truck ? "tyre-size-truck" : "tyre-size");
        double most = size.upTo().orElseThrow();
        boolean large = i.diameterMm() > most;
        out.measured(
                size,
                large,
                Text.underMost(i.diameterMm(), "mm", large) + " of at most " + size.upToSaid()
                        + (truck
                                ? ""
                                : "; " + Text.book("tyre.size-in-inches") + " is printed too: the stricter holds"));
        Limits.Rule angle = Limits.rule("tyre-angle");
        double square = angle.upTo().orElseThrow();
        out.measured(
                angle,
                i.angleDeg() > square,
                Text.of(i.angleDeg(), "°") + " from square, one piece up to " + angle.upToSaid());
        if (placed && !slanted && !large) {
            out.bears(Limits.rule("tyre-crown-injury"), i.angleDeg() > square ? "two-piece unit" : "one-piece unit");
        }
    }

    private static boolean placedCar(Tyre tyre, Injury i, Findings out) {
        Limits.Rule place = Limits.rule("tyre-place");
        if (i.place() != Injury.Place.CROWN) {
            out.bears(place, "injury in the " + i.place().word());
            return false;
        }
        out.met(place, "in the crown");
        Limits.Rule crown = Limits.rule("tyre-crown");
        double most = crown.upTo().orElseThrow() * tyre.treadWidthMm();
        double edge = Crown.edge(tyre, i.xMm(), i.diameterMm());
        boolean inside = Crown.holds(tyre, i.xMm(), i.diameterMm());
        out.measured(
                crown,
                !inside,
                Findings.mm(Crown.offset(tyre, i.xMm())) + " from the centre line of at most "
                        + Findings.mm(Findings.floor1(most))
                        + "; " + Findings.mm(edge) + " from the belt edge of at least "
                        + Findings.mm(crown.from().orElseThrow()));
        return inside;
    }

    private static boolean placedTruck(Tyre tyre, Injury i, Findings out) {
        Limits.Rule place = Limits.rule("tyre-place-truck");
        double least = place.from().orElseThrow();
        double edge = Crown.edge(tyre, i.xMm(), i.diameterMm());
        boolean ok = i.place() == Injury.Place.CROWN && edge >= least;
        out.measured(
                place,
                !ok,
                i.place() == Injury.Place.CROWN
                        ? Findings.mmOver(edge, edge < least) + " from the tread edge, at least " + place.fromSaid()
                        : "injury in the " + i.place().word());
        return ok;
    }

    private static void tread(Tyre tyre, Findings out) {
        Limits.Rule worn = Limits.rule("tyre-tread");
        double least = worn.from().orElseThrow();
        out.measured(
                worn,
                tyre.treadDepthMm() <= least,
                Text.overLeast(tyre.treadDepthMm(), "mm", tyre.treadDepthMm() <= least)
                        + " in the shallowest groove, over " + worn.fromSaid());
        Limits.Rule front = Limits.rule("tyre-tread-front");
        double steer = front.from().orElseThrow();
        if (tyre.use() == Tyre.Use.TRUCK && tyre.position() == Tyre.Position.FRONT) {
            out.measured(
                    front,
                    tyre.treadDepthMm() < steer,
                    Text.overLeast(tyre.treadDepthMm(), "mm", tyre.treadDepthMm() < steer) + ", front axle at least "
                            + front.fromSaid());
        }
    }

    private static void speed(Tyre tyre, Findings out) {
        Limits.Rule rule = Limits.rule("tyre-speed");
        double h = rule.from().orElseThrow();
        String said = "symbol " + tyre.speed() + ", " + Text.of(tyre.speed().kmh(), "km/h");
        if (tyre.speed().kmh() > h) {
            out.bears(rule, said);
        } else if (tyre.speed().kmh() == h) {
            out.bears(rule, Verdict.Outcome.LIMITS, said);
        } else {
            out.met(rule, said);
        }
    }

    private static void age(JudgedRepair c, Tyre tyre, Findings out) {
        Limits.Rule old = Limits.rule("tyre-age");
        Limits.Rule open = Limits.rule("tyre-age-unknown");
        if (tyre.made().isEmpty()) {
            out.bears(open, "no readable date code");
            return;
        }
        double years = ChronoUnit.DAYS.between(tyre.made().get(), c.today()) / DAYS_A_YEAR;
        String said = Text.of(Findings.floor1(years), "years") + " by its date code";
        if (years > old.upTo().orElseThrow()) {
            out.bears(old, said);
        } else {
            out.measured(open, years >= open.from().orElseThrow(), said);
        }
    }
}
