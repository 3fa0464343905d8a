package vanemend.app.store.upgrade;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a started plan of the third format as one of the fourth. Until then a run told what a film, an angle or a surface said and held
 * nothing; from the fourth on the limits are frozen with the steps and a stop holds. What those plans told is frozen into them here, from
 * their own budget and the figures of that time, and binds as little as it did.
 */
final class PlanFormat3 {
    private static final double MOST_ANGLE_DEG = 25;
    private static final double DEW_MARGIN_K = 3;
    private static final int FILM_READINGS = 5;

    private PlanFormat3() {}

    static void upgrade(ObjectNode frozen) {
        if (!(frozen.path("workup").path("plan") instanceof ObjectNode plan)) {
            return;
        }
        plan.put("binds", false);
        for (JsonNode s : plan.path("steps")) {
            if (s.get("step") instanceof ObjectNode step) {
                told(step, plan);
            }
        }
    }

    private static void told(ObjectNode step, JsonNode plan) {
        ArrayNode watches = step.putArray("watches");
        for (JsonNode ask : step.path("asks")) {
            switch (ask.asString("")) {
                case "FILM_UM" -> film(step, plan.path("budget"), watches);
                case "ANGLE_DEG" -> {
                    if (!plan.path("recipe").asString("").equals("tyre-two-piece")) {
                        watch(
                                watches,
                                "angle",
                                "ANGLE_DEG",
                                "AT_MOST",
                                MOST_ANGLE_DEG,
                                1,
                                "Too slanted for one piece",
                                "It takes two pieces, stem and patch apart: plan anew with this angle.");
                    }
                }
                case "RH_PERCENT" ->
                    watch(
                            watches,
                            "dew",
                            "SURFACE_C",
                            "OVER_DEW",
                            DEW_MARGIN_K,
                            1,
                            "Too near the dew point",
                            "Warm it, wipe it dry.");
                default -> {}
            }
        }
    }

    private static void film(JsonNode step, JsonNode budget, ArrayNode watches) {
        JsonNode left = budget.path("left");
        if (left.isMissingNode() || left.isEmpty()) {
            return;
        }
        double now = budget.path("soundUm").asDouble();
        for (JsonNode l : left) {
            if ((l.path("rung").asString("") + "-gate").equals(step.path("id").asString(""))) {
                now = l.path("um").asDouble();
            }
        }
        double end = left.get(left.size() - 1).path("um").asDouble();
        watch(
                watches,
                "film",
                "FILM_UM",
                "AT_LEAST",
                budget.path("leastUm").asDouble() + now - end,
                FILM_READINGS,
                "Stop",
                "What is cut through cannot be polished back.");
    }

    private static void watch(
            ArrayNode watches,
            String id,
            String quantity,
            String sense,
            double limit,
            int passes,
            String title,
            String follows) {
        watches.addObject()
                .put("id", id)
                .put("quantity", quantity)
                .put("sense", sense)
                .put("limit", limit)
                .put("weight", "STOP")
                .put("care", true)
                .put("loop", "")
                .put("mix", "")
                .put("passes", passes)
                .put("title", title)
                .put("follows", follows)
                .put("source", "");
    }
}
