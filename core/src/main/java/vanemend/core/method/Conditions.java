package vanemend.core.method;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.Air;

/**
 * The shop today.
 *
 * @param air shop air
 * @param house schools the shop follows, and its own pages
 * @param shelf what is on the shelf
 * @param now time of planning; the core has no clock of its own
 * @param zone the shop's zone, for expiry dates
 * @param spreadMlPerMin spreading rate of the hands, mL/min
 * @param place where the shop lies, for the sun
 * @param heat what its own warm-ups say of its lamps and ovens
 */
public record Conditions(
        Air air,
        House house,
        List<ShelfItem> shelf,
        Instant now,
        ZoneId zone,
        double spreadMlPerMin,
        Place place,
        MeasuredHeat heat) {
    /**
     * A place on the earth.
     *
     * @param latitudeDeg north positive
     * @param longitudeDeg east positive
     */
    public record Place(double latitudeDeg, double longitudeDeg) {}

    /** A copy with another {@code house}. */
    public Conditions under(House other) {
        return new Conditions(air, other, shelf, now, zone, spreadMlPerMin, place, heat);
    }

    /** A copy in other air. */
    public Conditions in(Air other) {
        return new Conditions(other, house, shelf, now, zone, spreadMlPerMin, place, heat);
    }

    /** A copy at another time. */
    public Conditions at(Instant other) {
        return new Conditions(air, house, shelf, other, zone, spreadMlPerMin, place, heat);
    }

    /** Today's date in the shop. */
    public LocalDate today() {
        return LocalDate.ofInstant(now, zone);
    }
}
