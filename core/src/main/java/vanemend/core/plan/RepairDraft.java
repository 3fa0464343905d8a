package vanemend.core.plan;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.DentDraft;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.part.PartDraft;

/**
 * A repair as typed so far; any field may be absent.
 *
 * @param part the part
 * @param dents damage, mm
 * @param pins shelf item ids the technician chose, by role
 * @param drying planned way to dry; air when absent
 * @param houseRules schools overridden for this repair only
 * @param cutYMm height of the cut A–A above the part's lower edge, mm; through the deepest dent when absent
 * @param promisedAt when it must be ready
 */
public record RepairDraft(
        PartDraft part,
        List<DentDraft> dents,
        Map<Role, String> pins,
        DryingRoute.Kind drying,
        Map<String, String> houseRules,
        Double cutYMm,
        Instant promisedAt) {
    public RepairDraft {
        dents = dents == null ? List.of() : List.copyOf(dents);
        pins = pins == null ? Map.of() : Map.copyOf(pins);
        houseRules = houseRules == null ? Map.of() : Map.copyOf(houseRules);
        drying = drying == null ? DryingRoute.Kind.AIR : drying;
    }
}
