package vanemend.core.material;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

/**
 * A shelf item as typed or imported; any field may be absent. Units as in {@link ShelfItem}.
 *
 * @param id short name of its own, letters, digits and hyphens
 * @param stemMm of a tyre unit: the largest injury its stem fills; given with {@code capMm} and {@code tyre}, or none of the three
 * @param capMm of a tyre unit: its patch across
 * @param tyre class of tyre a unit is made for
 * @param rollMm of what is counted in cm²: the width of its roll
 */
public record ShelfItemDraft(
        String id,
        String classId,
        String name,
        String lot,
        LocalDate expires,
        Double quantity,
        String unit,
        Double workMin,
        List<ShelfItem.LabelTime> sand,
        Double dosePercent,
        Double densityGPerMl,
        String grading,
        Integer grade,
        ShelfItem.Sanding wet,
        LocalDate opened,
        Double packQuantity,
        Double flashMin,
        Double ratioByVolume,
        Double ratioByWeight,
        Double stemMm,
        Double capMm,
        Tyre.Use tyre,
        Double rollMm) {
    private static final List<String> UNITS = List.of("g", "mL", "pieces", ShelfItem.OFF_A_ROLL);
    private static final List<String> GRADINGS = List.of("P", "CAMI");

    public ShelfItemDraft {
        sand = sand == null ? List.of() : List.copyOf(sand);
    }

    /** {@code item} as a draft. */
    public static ShelfItemDraft of(ShelfItem i) {
        return new ShelfItemDraft(
                i.id(),
                i.classId(),
                i.name(),
                i.lot(),
                i.expires().orElse(null),
                i.quantity(),
                i.unit(),
                i.workMin().orElse(null),
                i.sand(),
                i.dosePercent().orElse(null),
                i.densityGPerMl().orElse(null),
                i.grading().orElse(null),
                i.grade().orElse(null),
                i.wet(),
                i.opened().orElse(null),
                i.packQuantity().orElse(null),
                i.flashMin().orElse(null),
                i.ratioByVolume().orElse(null),
                i.ratioByWeight().orElse(null),
                i.unitSize().map(UnitSize::stemMm).orElse(null),
                i.unitSize().map(UnitSize::capMm).orElse(null),
                i.unitSize().map(UnitSize::use).orElse(null),
                i.rollMm().orElse(null));
    }

    /** The item; nothing where {@code check} then holds problems. */
    public Optional<ShelfItem> check(Check check) {
        int before = check.problems().size();
        String own = check.text("id", "The id", id, 40);
        if (!own.isEmpty() && !own.matches("[A-Za-z0-9][A-Za-z0-9-]*")) {
            check.refuse(
                    "id",
                    id,
                    "letters, digits and hyphens",
                    "The id " + id + " may hold letters, digits and hyphens only.");
        }
        String called = check.text("name", "The name", name, 80);
        String from = check.text("lot", "The lot", lot, 40);
        boolean known = classId != null && MaterialClass.all().stream().anyMatch(c -> c.id().equals(classId));
        if (!known) {
            check.refuse(
                    "classId",
                    classId,
                    "one of the classes of material",
                    "There is no class of material called " + classId + ".");
        }
        double left = check.range("quantity", "Quantity", quantity, 0, 1_000_000, unit == null ? "" : unit);
        oneOf("unit", "The unit", unit, UNITS, check);
        Optional<Double> work = optional("workMin", "Work time", workMin, 0.1, 600, "min", check);
        Optional<Double> dose = optional("dosePercent", "Dose", dosePercent, 0.1, 10, "%", check);
        Optional<Double> density = optional("densityGPerMl", "Density", densityGPerMl, 0.1, 10, "g/mL", check);
        Optional<Double> pack = optional("packQuantity", "A full pack", packQuantity, 0.1, 1_000_000, "", check);
        Optional<Double> flash = optional("flashMin", "Flash time", flashMin, 0.1, 600, "min", check);
        Optional<Double> volume =
                optional("ratioByVolume", "The ratio by volume", ratioByVolume, 0.01, 200, "to 1", check);
        Optional<Double> weight =
                optional("ratioByWeight", "The ratio by weight", ratioByWeight, 0.01, 200, "to 1", check);
        boolean paper = known && MaterialClass.of(classId).role() == MaterialClass.Role.PAPER;
        if (paper && grading != null) {
            oneOf("grading", "The grading", grading, GRADINGS, check);
        }
        if (!paper && (grading != null || grade != null)) {
            check.refuse("grade", grade, "no grade", "Only papers have a grading and a grade.");
        }
        if (grade != null && grade < 1) {
            check.refuse("grade", grade, "the number printed on the paper", "The grade " + grade + " cannot be right.");
        }
        if (opened != null && expires != null && opened.isAfter(expires)) {
            check.refuse(
                    "opened",
                    opened,
                    "not after its expiry",
                    "Opened on " + opened + " but expired on " + expires + ".");
        }
        Optional<UnitSize> size = unitSize(known, check);
        Optional<Double> roll = roll(check);
        times(check);
        if (check.problems().size() > before) {
            return Optional.empty();
        }
        return Optional.of(new ShelfItem(
                own,
                classId,
                called,
                from,
                Optional.ofNullable(expires),
                left,
                unit,
                work,
                sand,
                dose,
                density,
                Optional.ofNullable(grading),
                Optional.ofNullable(grade),
                wet == null ? ShelfItem.Sanding.DRY : wet,
                Optional.ofNullable(opened),
                pack,
                flash,
                volume,
                weight,
                size,
                roll));
    }

    /** What is counted in cm² is cut from a roll, and a roll has a width; nothing else has. */
    private Optional<Double> roll(Check check) {
        boolean off = ShelfItem.OFF_A_ROLL.equals(unit);
        if (!off && rollMm != null) {
            check.refuse("rollMm", rollMm, "no width", "Only what is counted in cm² is cut from a roll.");
        }
        return off
                ? Optional.of(check.range("rollMm", "The width of the roll", rollMm, 20, 3000, "mm"))
                : Optional.empty();
    }

    private Optional<UnitSize> unitSize(boolean known, Check check) {
        if (stemMm == null && capMm == null && tyre == null) {
            return Optional.empty();
        }
        if (known && !MaterialClass.of(classId).bondsTo().contains(MaterialClass.Surface.RUBBER)) {
            check.refuse("stemMm", stemMm, "no stem", "Only tyre units have a stem and a patch.");
        }
        double stem = check.range("stemMm", "The stem", stemMm, 1, 20, "mm");
        double cap = check.range("capMm", "The patch", capMm, 10, 200, "mm");
        if (stemMm != null && capMm != null && capMm <= stemMm) {
            check.refuse("capMm", cap, "more than the stem", "The patch has to be wider than the stem it covers.");
        }
        return Optional.of(
                new UnitSize(stem, cap, check.choice("tyre", "The class of tyre it is made for", tyre, Tyre.Use.CAR)));
    }

    private void times(Check check) {
        List<Double> seen = new ArrayList<>();
        for (int i = 0; i < sand.size(); i++) {
            ShelfItem.LabelTime t = sand.get(i);
            check.range("sand[" + i + "].atC", "Temperature of label time " + (i + 1), t.atC(), -10, 200, "°C");
            check.range("sand[" + i + "].minutes", "Label time " + (i + 1), t.minutes(), 0.1, 20_000, "min");
            if (seen.contains(t.atC())) {
                check.refuse(
                        "sand[" + i + "].atC",
                        t.atC(),
                        "each temperature once",
                        "Two label times for " + Text.of(t.atC(), "°C") + ": keep one.");
            }
            seen.add(t.atC());
        }
    }

    private static void oneOf(String field, String name, String given, List<String> allowed, Check check) {
        if (given == null || !allowed.contains(given)) {
            String expected = String.join(", ", allowed);
            check.refuse(field, given, "one of " + expected, name + " must be one of " + expected + ".");
        }
    }

    private static Optional<Double> optional(
            String field, String name, Double given, double min, double max, String unit, Check check) {
        return given == null ? Optional.empty() : Optional.of(check.range(field, name, given, min, max, unit));
    }
}
