package vanemend.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.material.ShelfItem.Sanding;
import vanemend.core.material.UnitSize;
import vanemend.core.part.Tyre;

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
                mix(
                        "filler-zinc",
                        "body-filler-rated",
                        "Body filler, for zinc and aluminium",
                        "BZ-0417",
                        today.plusDays(240),
                        1200,
                        5,
                        20),
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
                item("filling", "filling-primer", "Filling primer, two-part", "FP-0711", today.plusDays(160), 800, "mL")
                        .sand(List.of(new LabelTime(20, 180), new LabelTime(60, 30)))
                        .flash(8)
                        .byVolume(4)
                        .build(),
                item("guide", "guide-coat", "Guide coat, dry powder", "GC-0031", null, 80, "g")
                        .build(),
                item("degreaser", "wax-remover", "Wax, grease and silicone remover", "WR-1120", null, 3500, "mL")
                        .build(),
                item("alcohol", "alcohol-wipe", "Alcohol wipe", "AW-0417", today.plusDays(400), 60, "pieces")
                        .build(),
                item(
                                "back-slow",
                                "slow-backing-adhesive",
                                "Backing adhesive, slow",
                                "BA-3107",
                                today.plusDays(150),
                                200,
                                "mL")
                        .twoPart(3, 20)
                        .byVolume(1)
                        .pack(200)
                        .build(),
                item(
                                "back-fast",
                                "fast-backing-adhesive",
                                "Backing adhesive, fast",
                                "BA-1022",
                                today.plusDays(95),
                                50,
                                "mL")
                        .twoPart(1, 15)
                        .byVolume(1)
                        .pack(50)
                        .build(),
                item(
                                "face-easy",
                                "face-adhesive",
                                "Face adhesive, easy sand",
                                "FA-2040",
                                today.plusDays(120),
                                150,
                                "mL")
                        .twoPart(5, 15)
                        .byVolume(1)
                        .pack(200)
                        .build(),
                item(
                                "epoxy-rigid",
                                "rigid-composite-epoxy",
                                "Rigid composite epoxy",
                                "CE-0460",
                                today.plusDays(200),
                                400,
                                "mL")
                        .twoPart(15, List.of(new LabelTime(21, 180), new LabelTime(60, 30), new LabelTime(82, 10)))
                        .byVolume(2)
                        .pack(400)
                        .build(),
                item(
                                "epoxy-fibre",
                                "fibre-composite-epoxy",
                                "Fibre-filled epoxy",
                                "CF-0019",
                                today.plusDays(60),
                                40,
                                "mL")
                        .twoPart(35, 180)
                        .byVolume(1)
                        .pack(400)
                        .build(),
                item("cream", "finishing-cream", "Finishing cream", "CR-0771", today.plusDays(75), 90, "mL")
                        .twoPart(4, 15)
                        .byVolume(1)
                        .pack(120)
                        .build(),
                item("gelcoat", "gelcoat-paste", "Gelcoat paste, white", "GP-0118", today.plusDays(90), 600, "mL")
                        .twoPart(12, List.of(new LabelTime(20, 180)))
                        .byWeight(66)
                        .build(),
                item("gel", "cyanoacrylate-gel", "Cyanoacrylate gel", "CG-0205", today.plusDays(30), 20, "g")
                        .build(),
                item("activator", "activator", "Activator", "CG-0206", null, 100, "mL")
                        .build(),
                item("abs-resin", "solvent-resin", "ABS solvent resin", "SR-0082", today.plusDays(260), 125, "mL")
                        .build(),
                item("pu", "pu-sealant", "Polyurethane sealant", "PU-0990", today.plusDays(110), 300, "mL")
                        .build(),
                item("glass-resin", "glass-resin", "Glass resin", "GR-0140", today.plusDays(50), 5, "mL")
                        .build(),
                item("cement", "vulcanising-cement", "Vulcanising cement", "VC-0610", today.plusDays(85), 250, "mL")
                        .build(),
                item("liner-sealer", "tyre-sealer", "Liner sealer", "LS-0045", today.plusDays(300), 500, "mL")
                        .build(),
                item("cloth-glass", "glass-cloth", "Glass cloth 300 g/m²", "GCL-12", null, 24000, "cm²")
                        .roll(1000)
                        .build(),
                item("cloth-plastic", "plastics-cloth", "Reinforcing cloth for plastics", "PCL-07", null, 9000, "cm²")
                        .roll(300)
                        .build(),
                item("mesh-nylon", "nylon-mesh", "Nylon mesh", "NM-03", null, 6000, "cm²")
                        .roll(500)
                        .build(),
                item("mesh-alu", "aluminium-mesh", "Aluminium mesh", "AM-21", null, 7500, "cm²")
                        .roll(250)
                        .build(),
                item("patch", "flexible-patch", "Flexible patch", "FXP-18", today.plusDays(365), 7, "pieces")
                        .build(),
                item("offcut", "abs-offcut", "ABS offcuts", "own stock", null, 4, "pieces")
                        .build(),
                item("unit-6", "tyre-unit", "Combination unit, 6 mm", "TU-606", today.plusDays(420), 9, "pieces")
                        .fits(6, 50, Tyre.Use.CAR)
                        .build(),
                item("unit-4", "tyre-unit", "Combination unit, small", "TU-445", today.plusDays(400), 6, "pieces")
                        .fits(4.5, 40, Tyre.Use.CAR)
                        .build(),
                item("unit-10", "tyre-unit", "Combination unit, truck", "TU-910", today.plusDays(420), 4, "pieces")
                        .fits(10, 75, Tyre.Use.TRUCK)
                        .build(),
                item(
                                "unit-two",
                                "tyre-two-piece",
                                "Stem and patch, two-piece",
                                "TT-210",
                                today.plusDays(410),
                                3,
                                "pieces")
                        .fits(6, 55, Tyre.Use.CAR)
                        .build(),
                item(
                                "promoter",
                                "polyolefin-promoter",
                                "Polyolefin promoter",
                                "PP-3311",
                                today.plusDays(190),
                                400,
                                "mL")
                        .flash(10)
                        .pack(400)
                        .build(),
                item("promoter-patch", "patch-promoter", "Patch promoter", "PT-0102", today.plusDays(190), 90, "mL")
                        .flash(5)
                        .build(),
                item(
                                "promoter-all",
                                "universal-promoter",
                                "Universal promoter",
                                "UP-0654",
                                today.plusDays(160),
                                400,
                                "mL")
                        .flash(10)
                        .build(),
                item("soap", "soap", "Soap", "SO-01", null, 5000, "mL").build(),
                item("cleaner-plastic", "plastics-cleaner", "Plastics cleaner", "PC-0912", null, 1000, "mL")
                        .build(),
                item("glue-off", "adhesive-remover", "Adhesive remover", "AR-0330", null, 500, "mL")
                        .build(),
                item("acetone", "acetone", "Acetone", "AC-0108", null, 1000, "mL")
                        .build(),
                item("rubber-cleaner", "rubber-cleaner", "Rubber buff cleaner", "RC-0077", null, 500, "mL")
                        .build(),
                item("converter", "rust-converter", "Rust converter", "RV-0511", today.plusDays(240), 250, "mL")
                        .build(),
                item("foil", "foil-tape", "Foil tape", "FT-50", null, 2, "pieces")
                        .build(),
                item("tape", "masking-tape", "Masking tape", "MT-36", null, 14, "pieces")
                        .build(),
                item("film", "release-film", "Release film", "RF-02", null, 30000, "cm²")
                        .roll(600)
                        .build(),
                item("tack", "tack-cloth", "Tack cloths", "TC-10", null, 20, "pieces")
                        .build(),
                item("texture", "texture-coat", "Texture coat, fine grain", "TX-0203", today.plusDays(220), 400, "mL")
                        .build(),
                item("colour", "colour-coat", "Colour coat, anthracite", "CC-0517", today.plusDays(330), 400, "mL")
                        .build(),
                item("polish", "polish", "Polishing compound", "PO-0404", null, 500, "g")
                        .build(),
                paper("P", 36, 10, false),
                paper("P", 400, 20, true),
                paper("P", 600, 20, true),
                paper("P", 1000, 20, true),
                paper("P", 1200, 20, true),
                paper("P", 1500, 20, true),
                paper("P", 3000, 12, true),
                paper("P", 80, 100, false),
                paper("P", 120, 50, false),
                paper("P", 180, 100, false),
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
        private Optional<Double> pack = Optional.empty();
        private Optional<Double> flash = Optional.empty();
        private Optional<Double> byVolume = Optional.empty();
        private Optional<UnitSize> unitSize = Optional.empty();
        private Optional<Double> roll = Optional.empty();
        private Optional<Double> byWeight = Optional.empty();

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

        Builder pack(double full) {
            pack = Optional.of(full);
            return this;
        }

        Builder flash(double minutes) {
            flash = Optional.of(minutes);
            return this;
        }

        Builder twoPart(double workMin, double sandMin) {
            return twoPart(workMin, List.of(new LabelTime(21, sandMin)));
        }

        Builder twoPart(double workMin, List<LabelTime> times) {
            work = Optional.of(workMin);
            sand = times;
            return this;
        }

        Builder byVolume(double partsToOne) {
            byVolume = Optional.of(partsToOne);
            return this;
        }

        Builder byWeight(double partsToOne) {
            byWeight = Optional.of(partsToOne);
            return this;
        }

        Builder fits(double stemMm, double capMm, Tyre.Use use) {
            unitSize = Optional.of(new UnitSize(stemMm, capMm, use));
            return this;
        }

        Builder roll(double widthMm) {
            roll = Optional.of(widthMm);
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
                    wet,
                    Optional.empty(),
                    pack,
                    flash,
                    byVolume,
                    byWeight,
                    unitSize,
                    roll);
        }
    }
}
