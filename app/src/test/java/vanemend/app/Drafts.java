package vanemend.app;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.verdict.Limits;

/** Repairs as a screen would send them. */
public final class Drafts {
    private Drafts() {}

    /** A painted steel door with one dent of 2.8 mm. */
    public static Map<String, Object> door(String name) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("part", part(name));
        draft.put("damages", List.of(dent(340, 240, 120, 2.8)));
        return draft;
    }

    /** The door. */
    public static Map<String, Object> part(String name) {
        Map<String, String> answers = new HashMap<>();
        Limits.all().stream().filter(Limits.Rule::asks).forEach(r -> answers.put(r.id(), "NO"));
        return Map.of(
                "name",
                name,
                "vehicle",
                "Ridge, no. 9",
                "metal",
                "MILD_STEEL",
                "gaugeMm",
                0.9,
                "widthMm",
                700,
                "heightMm",
                500,
                "reach",
                "BOTH_SIDES",
                "coats",
                List.of(Map.of("kind", "E_COAT"), Map.of("kind", "BASE"), Map.of("kind", "CLEAR")),
                "answers",
                answers);
    }

    /** A car's tyre with a nail in the crown. */
    public static Map<String, Object> tyre(String name) {
        Map<String, Object> part = new HashMap<>();
        part.put("name", name);
        part.put("vehicle", "Ridge, no. 9");
        part.put("widthMm", 178);
        part.put("heightMm", 360);
        part.put(
                "made",
                Map.of(
                        "material",
                        "TYRE",
                        "use",
                        "CAR",
                        "treadDepthMm",
                        6,
                        "dateCode",
                        "2025",
                        "speed",
                        "T",
                        "position",
                        "REAR"));
        part.put("answers", part(name).get("answers"));
        Map<String, Object> nail = Map.of(
                "kind",
                "INJURY",
                "xMm",
                104,
                "yMm",
                190,
                "lengthMm",
                4.2,
                "angleDeg",
                12,
                "injury",
                Map.of("place", "CROWN"));
        Map<String, Object> draft = new HashMap<>();
        draft.put("part", part);
        draft.put("damages", List.of(nail));
        return draft;
    }

    /** A round dent. */
    public static Map<String, Object> dent(double x, double y, double across, double depth) {
        return Map.of("xMm", x, "yMm", y, "lengthMm", across, "widthMm", across, "depthMm", depth, "profile", "BOWL");
    }
}
