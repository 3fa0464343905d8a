package vanemend.app.demo;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DentDraft;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.part.PartDraft;
import vanemend.core.plan.RepairDraft;
import vanemend.core.verdict.Limits;

/** The made-up depot's repairs on sheet metal. */
final class DemoRepairs {
    private DemoRepairs() {}

    static RepairDraft luggageDoor(Instant promised) {
        return repair(
                part("Luggage-door ice dents", "Kestrel 9, no. 4", Metal.Kind.MILD_STEEL, 0.9, 720, 480)
                        .line("swage line", 0, 385, 720, 385)
                        .build(),
                promised,
                dent(270, 205, 150, 110, 12, 2.8, Dent.Profile.BOWL),
                dent(395, 190, 100, 85, 0, 1.9, Dent.Profile.SOFT));
    }

    static RepairDraft loadDoor(Instant promised) {
        return repair(
                part("Load-door hail dings", "Tarn, no. 2", Metal.Kind.GALVANISED_STEEL, 0.8, 640, 900)
                        .line("waist line", 0, 610, 640, 610)
                        .build(),
                promised,
                dent(210, 330, 90, 80, 0, 3.4, Dent.Profile.BOWL),
                dent(330, 380, 70, 70, 0, 2.2, Dent.Profile.BOWL),
                dent(290, 270, 60, 50, 30, 1.6, Dent.Profile.POINT));
    }

    static RepairDraft engineFlap(Instant promised) {
        return repair(
                part("Engine-flap ice dent", "Ridge, no. 3", Metal.Kind.MILD_STEEL, 1.0, 560, 420)
                        .build(),
                promised,
                dent(280, 210, 140, 120, 0, 2.6, Dent.Profile.BOWL));
    }

    static RepairDraft roofHatch(Instant promised) {
        return repair(
                part("Roof-hatch ding", "Kestrel 9, no. 7", Metal.Kind.ALUMINIUM, 1.2, 600, 600)
                        .build(),
                promised,
                dent(300, 300, 80, 60, 0, 1.6, Dent.Profile.BOWL));
    }

    static RepairDraft kickedPanel() {
        return repair(
                part("Side-panel kick dent", "Ridge, no. 1", Metal.Kind.MILD_STEEL, 0.9, 900, 600)
                        .build(),
                null,
                dent(420, 300, 160, 140, 0, 7.5, Dent.Profile.BOWL));
    }

    static RepairDraft sill() {
        PartBuilder sill =
                part("Sill dent by the step well", "Kestrel 9, no. 12", Metal.Kind.MILD_STEEL, 1.5, 1200, 180);
        sill.answers.put("metal-structure", Part.Answer.YES);
        return repair(sill.build(), null, dent(500, 90, 110, 70, 0, 2.0, Dent.Profile.BOWL));
    }

    static RepairDraft lockerLid() {
        return new RepairDraft(
                part("Locker-lid scrape", "Tarn, no. 4", Metal.Kind.MILD_STEEL, 0.8, 400, 300)
                        .build(),
                List.of(),
                Map.of(),
                DryingRoute.Kind.AIR,
                Map.of(),
                null,
                null);
    }

    private static RepairDraft repair(PartDraft part, Instant promised, DentDraft... dents) {
        return new RepairDraft(part, List.of(dents), Map.of(), DryingRoute.Kind.AIR, Map.of(), null, promised);
    }

    private static DentDraft dent(
            double x, double y, double length, double width, double angle, double depth, Dent.Profile profile) {
        return new DentDraft(x, y, length, width, angle, depth, profile);
    }

    private static PartBuilder part(
            String name, String vehicle, Metal.Kind metal, double gauge, double width, double height) {
        return new PartBuilder(name, vehicle, metal, gauge, width, height);
    }

    /** A factory-painted part whose questions are all answered no. */
    private static final class PartBuilder {
        private final String name;
        private final String vehicle;
        private final Metal.Kind metal;
        private final double gauge;
        private final double width;
        private final double height;
        private List<PartDraft.BodyLineDraft> lines = List.of();
        private final Map<String, Part.Answer> answers = new HashMap<>();

        PartBuilder(String name, String vehicle, Metal.Kind metal, double gauge, double width, double height) {
            this.name = name;
            this.vehicle = vehicle;
            this.metal = metal;
            this.gauge = gauge;
            this.width = width;
            this.height = height;
            Limits.all().stream().filter(Limits.Rule::asks).forEach(r -> answers.put(r.id(), Part.Answer.NO));
        }

        PartBuilder line(String called, double x1, double y1, double x2, double y2) {
            lines = List.of(new PartDraft.BodyLineDraft(called, x1, y1, x2, y2));
            return this;
        }

        PartDraft build() {
            return new PartDraft(
                    name,
                    vehicle,
                    metal,
                    gauge,
                    width,
                    height,
                    List.of(
                            new PartDraft.CoatDraft(Coat.Kind.E_COAT, null),
                            new PartDraft.CoatDraft(Coat.Kind.PRIMER_SURFACER, null),
                            new PartDraft.CoatDraft(Coat.Kind.BASE, null),
                            new PartDraft.CoatDraft(Coat.Kind.CLEAR, null)),
                    Part.Reach.BOTH_SIDES,
                    lines,
                    answers);
        }
    }
}
