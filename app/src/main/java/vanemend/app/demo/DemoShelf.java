package vanemend.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.material.ShelfItem.Sanding;

/** The made-up depot's shelf. Label figures are made up within what is typical for each class. */
final class DemoShelf {
    private DemoShelf() {}

    static List<ShelfItem> on(LocalDate today) {
        return List.of(
                mix("filler-std", "body-filler", "Body filler, standard", "BF-2207", today.plusDays(210), 2400, 5, 18),
                mix(
                        "filler-slow",
                        "body-filler",
                        "Body filler, slow grade",
                        "BF-2188",
                        today.plusDays(120),
                        1600,
                        6,
                        27),
                mix(
                        "filler-extra-slow",
                        "body-filler",
                        "Body filler, summer grade",
                        "BF-2191",
                        today.plusDays(90),
                        1800,
                        6,
                        48),
                mix("filler-old", "body-filler", "Body filler, old tin", "BF-1904", today.minusDays(33), 700, 5, 18),
                mix(
                        "filler-glass",
                        "glass-fibre-filler",
                        "Glass-fibre filler",
                        "GF-0312",
                        today.plusDays(300),
                        900,
                        4,
                        24),
                mix("filler-flex", "flexible-filler", "Flexible filler", "FX-0120", today.plusDays(80), 600, 4, 20),
                item("putty", "finishing-putty", "Finishing putty", "FP-0911", today.plusDays(160), 1100, "g")
                        .mixed(4, List.of(new LabelTime(21, 16), new LabelTime(45, 5)))
                        .build(),
                item("surfacer", "polyester-surfacer", "Polyester surfacer", "PS-0044", today.plusDays(70), 1000, "g")
                        .mixed(20, List.of(new LabelTime(21, 90)))
                        .wetOnly()
                        .build(),
                item("sealer", "pinhole-sealer", "Pinhole sealer", "PN-0207", today.plusDays(140), 220, "g")
                        .sand(List.of(new LabelTime(21, 15)))
                        .build(),
                item("primer", "epoxy-primer", "Epoxy primer", "EP-0563", today.plusDays(45), 900, "mL")
                        .sand(List.of(new LabelTime(21, 120)))
                        .build(),
                item("guide", "guide-coat", "Guide coat, dry powder", "GC-0031", null, 80, "g")
                        .build(),
                item("degreaser", "wax-remover", "Wax, grease and silicone remover", "WR-1120", null, 3500, "mL")
                        .build(),
                item("alcohol", "alcohol-wipe", "Alcohol wipe", "AW-0417", today.plusDays(400), 60, "pieces")
                        .build(),
                paper("P", 80, 40, false),
                paper("P", 120, 36, false),
                paper("P", 180, 50, false),
                paper("P", 240, 44, false),
                paper("P", 320, 60, false),
                paper("CAMI", 320, 12, false),
                paper("P", 800, 25, true));
    }

    private static ShelfItem mix(
            String id,
            String classId,
            String name,
            String lot,
            LocalDate expires,
            double grams,
            double work,
            double sand) {
        return item(id, classId, name, lot, expires, grams, "g")
                .mixed(work, List.of(new LabelTime(21, sand)))
                .build();
    }

    private static ShelfItem paper(String grading, int grade, double pieces, boolean wet) {
        String printed = grading.equals("P") ? "P" + grade : grading + " " + grade;
        Builder b = item(
                        "paper-" + printed.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'),
                        "paper",
                        printed + (wet ? " sheet, wet" : " disc and sheet, dry"),
                        "AP-" + grade,
                        null,
                        pieces,
                        "pieces")
                .graded(grading, grade);
        return (wet ? b.wetOnly() : b).build();
    }

    private static Builder item(
            String id, String classId, String name, String lot, LocalDate expires, double quantity, String unit) {
        return new Builder(id, classId, name, lot, Optional.ofNullable(expires), quantity, unit);
    }

    /** Collects what a label says. */
    private static final class Builder {
        private final String id;
        private final String classId;
        private final String name;
        private final String lot;
        private final Optional<LocalDate> expires;
        private final double quantity;
        private final String unit;
        private Optional<Double> work = Optional.empty();
        private Optional<Double> dose = Optional.empty();
        private List<LabelTime> sand = List.of();
        private Optional<String> grading = Optional.empty();
        private Optional<Integer> grade = Optional.empty();
        private Sanding wet = Sanding.DRY;

        Builder(
                String id,
                String classId,
                String name,
                String lot,
                Optional<LocalDate> expires,
                double quantity,
                String unit) {
            this.id = id;
            this.classId = classId;
            this.name = name;
            this.lot = lot;
            this.expires = expires;
            this.quantity = quantity;
            this.unit = unit;
        }

        Builder mixed(double workMin, List<LabelTime> times) {
            work = Optional.of(workMin);
            dose = Optional.of(2.0);
            sand = times;
            return this;
        }

        Builder sand(List<LabelTime> times) {
            sand = times;
            return this;
        }

        Builder graded(String scale, int number) {
            grading = Optional.of(scale);
            grade = Optional.of(number);
            return this;
        }

        Builder wetOnly() {
            wet = Sanding.WET_ONLY;
            return this;
        }

        ShelfItem build() {
            return new ShelfItem(
                    id,
                    classId,
                    name,
                    lot,
                    expires,
                    quantity,
                    unit,
                    work,
                    sand,
                    dose,
                    Optional.empty(),
                    grading,
                    grade,
                    wet);
        }
    }
}
