package vanemend.core.method;

import vanemend.core.trade.Check;

/**
 * Where the shop lies, as typed.
 *
 * @param latitudeDeg north positive, -90 to 90°
 * @param longitudeDeg east positive, -180 to 180°
 */
public record PlaceDraft(Double latitudeDeg, Double longitudeDeg) {
    /** The place, problems left in {@code check}. */
    public Conditions.Place check(Check check) {
        return new Conditions.Place(
                check.range("place.latitudeDeg", "Latitude, north positive", latitudeDeg, -90, 90, "°"),
                check.range("place.longitudeDeg", "Longitude, east positive", longitudeDeg, -180, 180, "°"));
    }
}
