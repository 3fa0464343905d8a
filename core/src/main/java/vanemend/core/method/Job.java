package vanemend.core.method;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Dish;
import vanemend.core.footprint.Grown;
import vanemend.core.part.Part;
import vanemend.core.stack.Recipe;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.FollowedSchools;
import vanemend.core.trade.TradeBook;

/**
 * What is to be laid out, once verdict and stack are settled.
 *
 * @param shop the shop today
 * @param house schools followed
 * @param part the part
 * @param damages on it; one at least
 * @param numbers what each of them is called on the part, in the same order
 * @param together the same, as one shape; every way to mend is laid out around the one
 * @param stack taken
 * @param recipe the way to mend that is taken
 * @param heatCapC hottest the part may get, °C; empty where it has no cap of its own
 * @param times of the shelf's labels, today
 * @param wishes what the technician asked for
 */
public record Job(
        Conditions shop,
        FollowedSchools house,
        Part part,
        List<Damage> damages,
        List<Integer> numbers,
        Together together,
        StackChoice stack,
        Recipe recipe,
        Optional<Double> heatCapC,
        TimesToday times,
        Wishes wishes) {
    /** How warm the part is made at most, with the margin kept below what it stands, °C; empty where it has no cap of its own. */
    public Optional<Double> warmestC() {
        return heatCapC.map(c -> c - TradeBook.value("heat.below-cap"));
    }

    /** What damage at {@code place} is numbered on the part. */
    public int number(int place) {
        return numbers.get(place);
    }

    /** Damage of one kind. */
    public <T extends Damage> List<T> all(Class<T> kind) {
        return damages.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** All damage together as it is drawn, mm. */
    public Geometry outline() {
        return together.outline();
    }

    /** All damage together as its zones are grown from it, mm. */
    public Geometry core() {
        return together.core();
    }

    /** Zones grown from all damage together. */
    public Grown grown() {
        return Grown.on(part, outline(), core(), together.grower());
    }

    /** A dish around all damage, {@code widthMm} wide and {@code depthMm} deep. */
    public Dish dish(double widthMm, double depthMm) {
        return new Dish(core(), part.shape(), widthMm, depthMm, together.grower());
    }
}
