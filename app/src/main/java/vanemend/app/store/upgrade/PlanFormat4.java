package vanemend.app.store.upgrade;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a started plan of the fourth format as one of the fifth. Until then the clear beside a run was typed as such; from the fifth on what
 * a gauge shows is typed, total film, and what of it lies beneath the clear.
 */
final class PlanFormat4 {
    private PlanFormat4() {}

    static void upgrade(ObjectNode frozen) {
        if (frozen.get("draft") instanceof ObjectNode draft) {
            if (frozen.path("workup").path("plan").get("budget") instanceof ObjectNode budget) {
                draft.path("damages").forEach(d -> budget(budget, d.path("film")));
            }
            draft(draft);
        }
    }

    /** Brings the film readings of a draft to today's; one that has them already stays as it is. */
    static void draft(ObjectNode draft) {
        for (JsonNode d : draft.path("damages")) {
            if (d.get("film") instanceof ObjectNode film && film.has("soundUm")) {
                JsonNode total = film.path("totalUm");
                JsonNode sound = film.remove("soundUm");
                film.remove("takeUm");
                if (total.isNumber() && sound.isNumber()) {
                    film.put("underUm", total.asDouble() - sound.asDouble());
                }
            }
        }
    }

    private static void budget(ObjectNode budget, JsonNode film) {
        double total = film.path("totalUm").asDouble(0);
        budget.put("underUm", Math.max(0, total - budget.path("soundUm").asDouble(0)));
        budget.put("toLevelUm", Math.max(0, film.path("peakUm").asDouble(0) - total));
    }
}
