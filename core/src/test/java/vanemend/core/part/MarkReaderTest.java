package vanemend.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vanemend.core.Seeds;
import vanemend.core.trade.Text;

@DisplayName("moulded marks, from memory of ISO 11469 with ISO 1043-1, -2 and -4")
class MarkReaderTest {
    private static Mark read(String text) {
        MarkReader.MarkReading r = MarkReader.read(text);
        return r.mark()
                .orElseThrow(
                        () -> new AssertionError(text + " refused at " + r.from() + " to " + r.to() + ": " + r.says()));
    }

    private static String told(Mark m) {
        List<String> layers = new ArrayList<>();
        for (Mark.MarkLayer l : m.layers()) {
            layers.add(l.polymers()
                    + l.fillers().stream()
                            .map(f -> " " + f.code()
                                    + f.percent().map(p -> " " + p).orElse(""))
                            .reduce("", String::concat)
                    + l.fillerPercent().map(p -> " total " + p).orElse("")
                    + l.flameRetardants().stream().map(f -> " FR" + f.code()).reduce("", String::concat));
        }
        return String.join(" / ", layers);
    }

    @ParameterizedTest(name = "value from memory of ISO 11469: {0} reads {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                ">ABS<|ABS",
                ">PC+ABS<|PC+ABS",
                ">ABS+PC<|ABS+PC",
                ">PP-MD30<|PP MD 30 total 30",
                ">PA66-GF30<|PA66 GF 30 total 30",
                ">PA66-(GF25+MD15)<|PA66 GF 25 MD 15 total 40",
                ">PA66-(GF+MD)40<|PA66 GF MD total 40",
                ">PVC-P(DBP)<|PVC-P",
                ">PA66-GF30-FR(52)<|PA66 GF 30 total 30 FR52",
                ">PVC,PUR,_ABS_<|PVC / PUR / ABS",
                ">PP+EPDM-TD20<|PP+EPDM TD 20 total 20",
                ">PE-HD<|PE-HD",
                ">UP-GF30<|UP GF 30 total 30",
                ">UP-(GF25+KD45)<|UP GF 25 KD 45 total 70",
                ">EP-CF60<|EP CF 60 total 60",
                ">PBT+ASA-GF20<|PBT+ASA GF 20 total 20",
                ">PC-GF10<|PC GF 10 total 10",
                ">PA6-GB30<|PA6 GB 30 total 30",
                ">PVC-U<|PVC-U",
                ">PS-HI<|PS-HI",
                ">PP-(GF25+MD15)<|PP GF 25 MD 15 total 40",
                ">PP-MD40<|PP MD 40 total 40",
                ">PBT+PC-GF20<|PBT+PC GF 20 total 20",
                ">ABS-FR(17)<|ABS FR17",
                ">UP-GF25<|UP GF 25 total 25",
                ">PUR<|PUR",
                ">PE-UHMW<|PE-UHMW",
            })
    void reads(String text, String expected) {
        Mark m = read(text);
        assertThat(told(m)).isEqualTo(expected);
        assertThat(m.written()).isEqualTo(text.replace("_", ""));
        assertThat(m.notes().stream().filter(n -> !n.startsWith("several layers")))
                .isEmpty();
    }

    @Test
    @DisplayName("the flame retardant may follow a space, a hyphen or nothing; the hyphen is written")
    void flameRetardants() {
        for (String sep : new String[] {" ", "-", ""}) {
            Mark m = read(">PA66-GF15" + sep + "FR(52)<");
            assertThat(m.written()).isEqualTo(">PA66-GF15-FR(52)<");
            assertThat(m.main().flameRetardants().getFirst().name()).isEqualTo("red phosphorus");
        }
        assertThat(read(">ABS-FR(17)<").main().flameRetardants().getFirst().name())
                .as("recalls differ on 14 to 18: the code only")
                .isEqualTo("brominated or chlorinated flame retardant, code 17");
    }

    @Test
    void layersKeepTheirOrderAndTheUnderlinedOneCarriesTheMass() {
        assertThat(read(">PVC,PUR,_ABS_<").main().polymers()).isEqualTo("ABS");
        assertThat(read(">_PVC_,PUR<").main().polymers()).isEqualTo("PVC");
        assertThat(read(">PVC,PUR,ABS<").notes()).anyMatch(n -> n.contains("underlined"));
        assertThat(read(">PVC-P(DBP)<").main().blend().getFirst().plasticizerName())
                .isEqualTo("dibutyl phthalate");
    }

    @ParameterizedTest(name = "older or loose form: {0} reads as {1}, with a note")
    @CsvSource(
            delimiter = '|',
            value = {
                ">PP-T20<|>PP-T20<|form of the filler is not stated",
                ">PP+EPDM-T15<|>PP+EPDM-T15<|form of the filler is not stated",
                ">PP TD20<|>PP-TD20<|space",
                ">PA 66<|>PA66<|older way",
                ">PA6.6<|>PA66<|older way",
                ">HDPE<|>PE-HD<|older way",
                ">PC/ABS<|>PC+ABS<|not certain",
                ">P/E<|>E/P<|older way",
                ">PP-TV20<|>PP-T20<|not talc veneer",
                ">PA6-GV30<|>PA6-GF30<|verify",
                ">PA6-GK30<|>PA6-GB30<|verify",
                ">PA66-RF20<|>PA66-RF20<|changed between editions",
                ">PA66-AF20<|>PA66-AF20<|asbestos",
                "SMC|>UP-GF<|trade word",
                ">SMC<|>UP-GF<|trade word",
                "GRP|>UP-GF<|trade word",
                "TEO|>TPO<|trade word",
                "RRIM|>PUR-GF<|process word",
                "PUR-RIM|>PUR<|process word",
                "Nylon|>PA<|trade word",
                "(PP)|>PP<|round brackets",
                "<PP>|>PP<|< >",
                ">(PMMA+ABS)<|>PMMA+ABS<|",
                "pp+epdm-td20|>PP+EPDM-TD20<|typed without",
            })
    void tolerates(String text, String written, String note) {
        Mark m = read(text);
        assertThat(m.written()).isEqualTo(written);
        if (note != null) {
            assertThat(String.join(" ", m.notes())).contains(note);
        }
    }

    @ParameterizedTest(name = "refused: {0} at {1} to {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                ">PP+<|5|5|polymer symbol expected",
                "PP+EPDM-TD20<|1|1|> expected",
                ">ABS|5|5|< expected",
                "><|2|2|polymer symbol expected",
                ">PP-TD130<|7|9|percent 130 outside 1…99",
                ">PA66-GF0<|9|9|percent 0 outside 1…99",
                ">PVC-P(DBP<|11|11|) expected",
                ">PP-GF25+MD15<|9|9|several fillers go in parentheses",
                ">PA66-(GF70+MD50)<|7|7|fillers add up to 120 %",
                ">PA66-(GF25+15)<|13|13|filler material letter expected",
                ">PP-(GF20,MD10)<|10|10|+ or ) expected",
                ">XYZ<|2|4|unknown polymer symbol XYZ",
                ">PP-GQ20<|6|6|unknown filler form letter Q",
                ">PP-GF<|7|7|percent expected",
                ">ABS,<|6|6|polymer symbol expected",
                ">PA66-GF30<<|12|12|nothing may follow <",
            })
    void refuses(String text, int from, int to, String says) {
        MarkReader.MarkReading r = MarkReader.read(text);
        assertThat(r.mark()).isEmpty();
        assertThat(Text.plain(r.says())).isEqualTo(says);
        assertThat(r.from()).isEqualTo(from);
        assertThat(r.to()).isEqualTo(to);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "<",
                ">",
                "<<>>",
                ">-<",
                ">PP-(<",
                ">PP-()<",
                ">PP-(GF+MD<",
                ">FR(17)<",
                ">PP-ME20<",
                ">_PP<",
                "><><"
            })
    void neverThrows(String text) {
        MarkReader.MarkReading r = MarkReader.read(text);
        assertThat(r.mark().isPresent() || r.from() >= 1 && !r.says().isEmpty()).isTrue();
    }

    @Test
    @DisplayName("a letter that stands for two things is read by its place: EP and E/P, CF, PS, MF, PE-HD")
    void traps() {
        assertThat(read(">EP-CF60<").main().blend().getFirst().name()).isEqualTo("epoxide");
        assertThat(read(">E/P<").main().blend().getFirst().name()).contains("ethylene");
        assertThat(read(">CF<").main().blend().getFirst().name()).contains("cresol");
        assertThat(read(">EP-CF60<").main().fillers().getFirst().name()).isEqualTo("carbon fibre");
        assertThat(read(">PP-PS10<").main().fillers().getFirst().name()).isEqualTo("mica flakes");
        assertThat(read(">PP-MF10<").main().fillers().getFirst().name()).isEqualTo("mineral fibre");
        assertThat(read(">PE-HD<").main().fillers()).isEmpty();
    }

    @ParameterizedTest(name = "value from memory of ISO 1043-2: {0} is {1}")
    @CsvSource({
        "GF,glass fibre",
        "GB,glass beads",
        "GM,glass mat",
        "GW,glass woven",
        "GG,glass ground",
        "CF,carbon fibre",
        "CD,carbon powder",
        "TD,talc powder",
        "MD,mineral powder",
        "KD,calcium carbonate powder",
        "WD,wood powder",
        "LF,cellulose fibre",
    })
    void fillers(String code, String name) {
        assertThat(read(">PP-" + code + "20<").main().fillers().getFirst().name())
                .isEqualTo(name);
    }

    @ParameterizedTest(name = "rule of mixtures, from memory of handbook densities: {0} with {2} % at {1} g/cm³ is {3}")
    @CsvSource({
        "0.905,2.75,20,1.045",
        "0.905,2.75,40,1.237",
        "0.905,2.55,30,1.122",
        "1.130,2.55,30,1.357",
        "1.140,2.55,30,1.367",
    })
    void mixtures(double polymer, double filler, double percent, double expected) {
        assertThat(Mark.mixtureGPerCm3(polymer, filler, percent)).isCloseTo(expected, within(0.001));
    }

    @ParameterizedTest(name = "density of {0} lies within {1} to {2} g/cm³ (handbooks, recalled)")
    @CsvSource({
        ">PP-TD20<,1.03,1.06",
        ">PP-TD40<,1.20,1.26",
        ">PP-GF30<,1.10,1.15",
        ">PA66-GF30<,1.34,1.39",
        ">PBT-GF30<,1.50,1.56",
        ">PC-GF20<,1.32,1.37",
        ">ABS<,1.03,1.07",
        ">PE-HD<,0.94,0.965",
    })
    void densities(String text, double from, double to) {
        assertThat(read(text).densityGPerCm3().orElseThrow()).isBetween(from, to);
    }

    @Test
    void whatIsWrittenReadsBackTheSame() {
        String[] polymers = {"PP", "PA66", "PC", "ABS", "PE-HD", "PVC-P", "UP", "PBT", "E/P"};
        String[] codes = {"GF", "TD", "MD", "CF", "GB", "KD", "ME"};
        Seeds.forEach(2000, (r, i) -> {
            StringBuilder text = new StringBuilder(">");
            for (int layer = 0; layer <= r.nextInt(3); layer++) {
                text.append(layer > 0 ? "," : "").append(layer(r, polymers, codes));
            }
            Mark once = read(text.append('<').toString());
            Mark twice = read(once.written());
            assertThat(twice.written()).isEqualTo(once.written());
            assertThat(told(twice)).isEqualTo(told(once));
        });
    }

    private static String layer(Random r, String[] polymers, String[] codes) {
        StringBuilder s = new StringBuilder(polymers[r.nextInt(polymers.length)]);
        if (r.nextBoolean()) {
            s.append('+').append(polymers[r.nextInt(polymers.length)]);
        }
        switch (r.nextInt(4)) {
            case 0 -> s.append('-').append(codes[r.nextInt(codes.length)]).append(1 + r.nextInt(99));
            case 1 ->
                s.append("-(GF")
                        .append(1 + r.nextInt(40))
                        .append("+MD")
                        .append(1 + r.nextInt(40))
                        .append(')');
            case 2 -> s.append("-(GF+MD)").append(1 + r.nextInt(99));
            default -> {}
        }
        return r.nextInt(4) == 0 ? s + "-FR(" + (10 + r.nextInt(80)) + ")" : s.toString();
    }
}
