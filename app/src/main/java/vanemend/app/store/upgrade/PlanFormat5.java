package vanemend.app.store.upgrade;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a started plan of the fifth format as one of the sixth. Until then a way that does not cure said so by a negative number of minutes;
 * from the sixth on it gives none.
 */
final class PlanFormat5 {
    private PlanFormat5() {}

    static void upgrade(ObjectNode frozen) {
        JsonNode plan = frozen.path("workup").path("plan");
        plan.path("waits").forEach(PlanFormat5::routes);
        plan.path("mixes").forEach(PlanFormat5::routes);
    }

    private static void routes(JsonNode wait) {
        route(wait.path("route"));
        wait.path("routes").forEach(PlanFormat5::route);
    }

    private static void route(JsonNode route) {
        if (route instanceof ObjectNode r && r.path("sandFromMin").asDouble(0) < 0) {
            r.remove("sandFromMin");
        }
    }
}
