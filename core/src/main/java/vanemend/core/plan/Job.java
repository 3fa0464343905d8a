package vanemend.core.plan;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.damage.Damage;
import vanemend.core.part.Material;
import vanemend.core.part.Part;
import vanemend.core.stack.Recipe;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.HouseRules;

/**
 * What is planned, once verdict and stack are settled.
 *
 * @param draft as typed
 * @param shop the shop today
 * @param house schools followed
 * @param part the part
 * @param material what it counts as
 * @param damages on it
 * @param stack taken
 * @param heatCapC hottest the part may get, °C; empty where it has no cap of its own
 * @param times of the shelf's labels, today
 * @param extent how much of the plan is asked for
 */
record Job(
        RepairDraft draft,
        Conditions shop,
        HouseRules house,
        Part part,
        Material material,
        List<Damage> damages,
        StackChoice stack,
        Optional<Double> heatCapC,
        TimesToday times,
        Extent extent) {
    /** The way to mend that is taken; empty where none fits. */
    Optional<Recipe> recipe() {
        return Recipe.all().stream().filter(r -> r.id().equals(stack.taken())).findFirst();
    }

    /** Damage of one kind. */
    <T extends Damage> List<T> all(Class<T> kind) {
        return damages.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** All damage together, mm. */
    Geometry outline() {
        return damages.size() == 1
                ? damages.getFirst().outline()
                : OverlayNGRobust.union(damages.stream().map(Damage::outline).toList());
    }
}
