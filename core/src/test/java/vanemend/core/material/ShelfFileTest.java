package vanemend.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.ShelfFile.Outcome;
import vanemend.core.part.Tyre;

@DisplayName("the shelf as a file: line by line, and nothing lost on the way out and in")
class ShelfFileTest {
    private static final String HEAD = "id,classId,name,lot,expires,quantity,unit,workMin,sand\n";

    private static List<ShelfItem> shelf(Random r) {
        List<ShelfItem> out = new ArrayList<>();
        List<MaterialClass> classes = MaterialClass.all();
        for (int i = 0; i < 1 + r.nextInt(12); i++) {
            MaterialClass c = classes.get(r.nextInt(classes.size()));
            boolean paper = c.role() == MaterialClass.Role.PAPER;
            List<ShelfItem.LabelTime> sand = new ArrayList<>();
            for (int k = 0; k < r.nextInt(3); k++) {
                sand.add(new ShelfItem.LabelTime(10 + 15 * k + tenth(r, 9), 1 + tenth(r, 300)));
            }
            String unit = List.of("g", "mL", "pieces", ShelfItem.OFF_A_ROLL).get(r.nextInt(4));
            out.add(new ShelfItem(
                    "item-" + i,
                    c.id(),
                    List.of("Plain", "Odd, \"quoted\"; name\u202fµ", "=1+1", "-A1", "@x")
                            .get(r.nextInt(5)),
                    "L-" + r.nextInt(999),
                    maybe(r, x -> TestShop.TODAY.plusDays(x.nextInt(400) - 50)),
                    tenth(r, 5000),
                    unit,
                    maybe(r, x -> 0.5 + tenth(x, 60)),
                    sand,
                    maybe(r, x -> 1 + tenth(x, 4)),
                    maybe(r, x -> 1 + tenth(x, 2)),
                    paper ? Optional.of("P") : Optional.empty(),
                    paper ? Optional.of(80) : Optional.empty(),
                    r.nextBoolean() ? ShelfItem.Sanding.DRY : ShelfItem.Sanding.WET_ONLY,
                    Optional.<LocalDate>empty(),
                    maybe(r, x -> 1 + tenth(x, 900)),
                    maybe(r, x -> 1 + tenth(x, 20)),
                    maybe(r, x -> 1 + tenth(x, 9)),
                    maybe(r, x -> 1 + tenth(x, 9)),
                    c.bondsTo().contains(MaterialClass.Surface.RUBBER)
                            ? maybe(r, x -> new UnitSize(3 + tenth(x, 7), 30 + tenth(x, 60), Tyre.Use.TRUCK))
                            : Optional.empty(),
                    unit.equals(ShelfItem.OFF_A_ROLL) ? Optional.of(50 + tenth(r, 1200)) : Optional.empty()));
        }
        return out;
    }

    private static double tenth(Random r, int most) {
        return Math.round(r.nextDouble() * most * 10) / 10.0;
    }

    private static <T> Optional<T> maybe(Random r, Function<Random, T> make) {
        return r.nextBoolean() ? Optional.of(make.apply(r)) : Optional.empty();
    }

    @Test
    void whatGoesOutComesInTheSameByCsvAndByJson() {
        Seeds.forEach(500, (r, i) -> {
            List<ShelfItem> shelf = shelf(r);
            for (String text : List.of(ShelfFile.csv(shelf), ShelfFile.json(shelf))) {
                List<ShelfFile.Line> fresh = ShelfFile.read(text, List.of());
                assertThat(fresh).allMatch(l -> l.outcome() == Outcome.TAKEN);
                assertThat(fresh.stream().map(l -> l.item().orElseThrow()).toList())
                        .isEqualTo(shelf);
                assertThat(ShelfFile.read(text, shelf)).allMatch(l -> l.outcome() == Outcome.SAME);
            }
        });
    }

    @Test
    void everyLineSaysWhatComesOfIt() {
        ShelfItem there = TestShop.mix("filler", "body-filler", 5, new ShelfItem.LabelTime(21, 18));
        List<ShelfFile.Line> lines = ShelfFile.read(
                HEAD + "filler,body-filler,filler,L-filler,2027-02-22,900,g,5,18@21\n"
                        + "new-one,finishing-putty,Putty,L2,,400,g,4,16@21;5@45\n"
                        + "bad-class,moon-dust,Dust,L3,,1,g,,\n"
                        + "bad-day,body-filler,Filler,L4,31.12.2027,1,g,5,18@21\n"
                        + "bad-number,body-filler,Filler,L5,,lots,g,5,18\n"
                        + "new-one,finishing-putty,Putty,L6,,400,g,4,16@21\n",
                List.of(there));
        assertThat(lines)
                .extracting(ShelfFile.Line::outcome)
                .containsExactly(
                        Outcome.CHANGED,
                        Outcome.TAKEN,
                        Outcome.REFUSED,
                        Outcome.REFUSED,
                        Outcome.REFUSED,
                        Outcome.REFUSED);
        assertThat(lines).extracting(ShelfFile.Line::line).containsExactly(2, 3, 4, 5, 6, 7);
        assertThat(lines.get(0).said()).contains("quantity 1000 to 900");
        assertThat(lines.get(2).said()).contains("no class of material called moon-dust");
        assertThat(lines.get(3).said()).contains("31.12.2027").contains("2027-05-31");
        assertThat(lines.get(4).said()).contains("lots").contains("18@21;5@45");
        assertThat(lines.get(5).said()).contains("earlier line");
    }

    @Test
    void whatIsNoShelfIsRefusedWithAReason() {
        assertThat(ShelfFile.read("", List.of()).getFirst().said()).contains("empty");
        assertThat(ShelfFile.read("a,b\n1,2\n", List.of()).getFirst().said()).contains("unknown columns a, b");
        assertThat(ShelfFile.read("name\nx\n", List.of()).getFirst().said()).contains("no column id");
        assertThat(ShelfFile.read("{\"things\": []}", List.of()).getFirst().said())
                .contains("items");
        assertThat(ShelfFile.read("{\"items\": [", List.of()).getFirst().outcome())
                .isEqualTo(Outcome.REFUSED);
        assertThat(ShelfFile.read("{\"items\": [{\"id\": \"x\", \"quantity\": \"many\"}]}", List.of())
                        .getFirst()
                        .outcome())
                .isEqualTo(Outcome.REFUSED);
        assertThat(ShelfFile.read(HEAD + "\"torn,body-filler\n", List.of()))
                .anyMatch(l -> l.outcome() == Outcome.REFUSED);
    }

    @Test
    void aFileThatIsTooLongIsRefusedAloudAndNothingOfItIsTaken() {
        StringBuilder csv = new StringBuilder("id,classId,name\n");
        StringBuilder json = new StringBuilder("{\"items\": [");
        for (int i = 0; i <= 5000; i++) {
            csv.append("item-").append(i).append(",body-filler,Filler\n");
            json.append(i == 0 ? "" : ",").append("{\"id\": \"item-").append(i).append("\"}");
        }
        for (String file : List.of(csv.toString(), json.append("]}").toString())) {
            List<ShelfFile.Line> lines = ShelfFile.read(file, List.of());
            assertThat(lines).singleElement().satisfies(l -> {
                assertThat(l.outcome()).isEqualTo(ShelfFile.Outcome.REFUSED);
                assertThat(l.said()).contains("5000").contains("nothing of it was read");
            });
        }
    }
}
