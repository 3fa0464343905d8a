package vanemend.core.plan;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Pane;
import vanemend.core.damage.DamageDraft;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Wishes;
import vanemend.core.part.PartDraft;
import vanemend.core.trade.Ordered;
import vanemend.core.verdict.Overrule;

/**
 * A repair as typed so far; any field may be absent.
 *
 * @param part the part
 * @param damages damage, mm
 * @param pins shelf item ids the technician chose, by role
 * @param drying planned way to dry; air when absent
 * @param houseRules schools overridden for this repair only
 * @param cutYMm height of the cut A–A above the part's lower edge, mm; through the deepest dent when absent
 * @param promisedAt when it must be ready
 * @param recipe way to mend that the technician took; the best when absent
 * @param overrules limits of care that a lead set aside
 * @param edits changes made to the plan, in their order
 * @param lightAt when the resin of a chip is to meet the light; at once when absent or past
 * @param pane how the pane lies to the sky then; level while one of its angles is missing
 * @param dryings ways to dry by wait, where one differs from {@code drying}; a wait that this plan has not is let be
 * @param spreaderMm width of the spreader in hand, mm; the book's when absent
 * @param ways ways to mend taken besides {@code recipe}, where the part has several sites: each goes to the site that it serves
 */
public record RepairDraft(
        PartDraft part,
        List<DamageDraft> damages,
        Map<Role, String> pins,
        DryingRoute.Kind drying,
        Map<String, String> houseRules,
        Double cutYMm,
        Instant promisedAt,
        String recipe,
        List<Overrule> overrules,
        List<PlanEditDraft> edits,
        Instant lightAt,
        PaneDraft pane,
        Map<String, DryingRoute.Kind> dryings,
        Double spreaderMm,
        List<String> ways) {
    /** A draft whose sites take their best ways but for {@code recipe}. */
    public RepairDraft(
            PartDraft part,
            List<DamageDraft> damages,
            Map<Role, String> pins,
            DryingRoute.Kind drying,
            Map<String, String> houseRules,
            Double cutYMm,
            Instant promisedAt,
            String recipe,
            List<Overrule> overrules,
            List<PlanEditDraft> edits,
            Instant lightAt,
            PaneDraft pane,
            Map<String, DryingRoute.Kind> dryings,
            Double spreaderMm) {
        this(
                part,
                damages,
                pins,
                drying,
                houseRules,
                cutYMm,
                promisedAt,
                recipe,
                overrules,
                edits,
                lightAt,
                pane,
                dryings,
                spreaderMm,
                List.of());
    }

    /** Nothing typed yet. */
    public static RepairDraft empty() {
        return new RepairDraft(
                null, List.of(), Map.of(), null, Map.of(), null, null, null, List.of(), List.of(), null, null, Map.of(),
                null);
    }

    /**
     * A pane as typed so far.
     *
     * @param slopeDeg from level, 0 to 90°
     * @param facesDeg where its outer face looks, degrees from north over east, 0 to 360°
     */
    public record PaneDraft(Double slopeDeg, Double facesDeg) {}

    /** A draft of {@code part} and {@code damages}, the rest left open. */
    public static RepairDraft of(PartDraft part, List<DamageDraft> damages) {
        return new RepairDraft(part, damages, null, null, null, null, null, null, null, null, null, null, null, null);
    }

    /** A copy with {@code signed} as its overrules. */
    public RepairDraft overruled(List<Overrule> signed) {
        return with(damages, signed, pane, dryings);
    }

    /** A copy of the same repair with {@code other} damage. */
    public RepairDraft damaged(List<DamageDraft> other) {
        return with(other, overrules, pane, dryings);
    }

    /** A copy whose pane lies as {@code other}. */
    public RepairDraft facing(PaneDraft other) {
        return with(damages, overrules, other, dryings);
    }

    /** A copy whose wait {@code id} dries {@code by}. */
    public RepairDraft drying(String id, DryingRoute.Kind by) {
        Map<String, DryingRoute.Kind> each = new LinkedHashMap<>(dryings);
        each.put(id, by);
        return with(damages, overrules, pane, each);
    }

    private RepairDraft with(
            List<DamageDraft> damaged, List<Overrule> signed, PaneDraft lies, Map<String, DryingRoute.Kind> dried) {
        return new RepairDraft(
                part,
                damaged,
                pins,
                drying,
                houseRules,
                cutYMm,
                promisedAt,
                recipe,
                signed,
                edits,
                lightAt,
                lies,
                dried,
                spreaderMm,
                ways);
    }

    /** The draft of one site of several: what was typed for all of them, and of the rest what is its own. */
    RepairDraft at(
            List<DamageDraft> own,
            Optional<String> way,
            Optional<Double> cutMm,
            List<PlanEditDraft> papers,
            Map<String, DryingRoute.Kind> dried) {
        return new RepairDraft(
                part,
                own,
                pins,
                drying,
                houseRules,
                cutMm.orElse(null),
                null,
                way.orElse(null),
                overrules,
                papers,
                lightAt,
                pane,
                dried,
                spreaderMm,
                List.of());
    }

    /** Ways to mend that were taken, each for the site that it serves. */
    List<String> taken() {
        return Stream.concat(Optional.ofNullable(recipe).stream(), ways.stream())
                .toList();
    }

    /** What a layout follows of it where it can. */
    Wishes wishes() {
        return new Wishes(
                drying,
                dryings,
                Optional.ofNullable(cutYMm),
                Optional.ofNullable(lightAt),
                Optional.ofNullable(pane)
                        .filter(p -> p.slopeDeg() != null && p.facesDeg() != null)
                        .map(p -> new Pane(p.slopeDeg(), p.facesDeg())),
                edits.stream()
                        .filter(e -> e.kind() == PlanEditDraft.Kind.PAPER)
                        .map(e -> new Wishes.Paper(e.step(), e.paper()))
                        .toList(),
                Optional.ofNullable(spreaderMm));
    }

    public RepairDraft {
        damages = damages == null ? List.of() : List.copyOf(damages);
        pins = Ordered.copyOf(pins);
        houseRules = Ordered.copyOf(houseRules);
        overrules = overrules == null ? List.of() : List.copyOf(overrules);
        edits = edits == null ? List.of() : List.copyOf(edits);
        drying = drying == null ? DryingRoute.Kind.AIR : drying;
        dryings = Ordered.copyOf(dryings);
        ways = ways == null ? List.of() : List.copyOf(ways);
    }
}
