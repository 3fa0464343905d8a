package vanemend.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.record.RecordWords.Sort;
import vanemend.core.record.RecordWords.Word;

@DisplayName("what a record is found by: the beginning of a word, or of a piece of one")
class RecordWordsTest {
    private static final Word DOOR = new Word(Sort.PART, "Ridge door, near side");
    private static final Word LOT = new Word(Sort.LOT, "RF-0457/b");
    private static final Word DAY = new Word(Sort.DAY, "2027-06-21");
    private static final Word NOTE = new Word(Sort.DEVIATION, "Filler ⟦64 g⟧ asked, “68 g” weighed");

    @Test
    void aWordIsFoundWholeAndByItsPieces() {
        assertThat(RecordWords.keys("RF-0457/b")).containsExactly("rf-0457/b", "rf", "0457");
        assertThat(RecordWords.keys("(Ridge) door,")).containsExactly("ridge", "door");
        assertThat(RecordWords.keys(" — … ")).isEmpty();
    }

    @Test
    void aFigureIsFoundAsItIsKept() {
        assertThat(RecordWords.keys(NOTE.text()))
                .contains("filler", "64", "68", "g")
                .doesNotContain("⟦64");
    }

    @Test
    void anEndlessWordIsFoundByItsBeginning() {
        String endless = "x".repeat(500);
        assertThat(RecordWords.keys(endless)).containsExactly("x".repeat(RecordWords.LONGEST_KEY));
        assertThat(RecordWords.met(List.of(new Word(Sort.NOTE, endless)), endless))
                .isPresent();
        String faces = "\ud83d\ude42".repeat(60);
        assertThat(RecordWords.keys("a" + faces))
                .allSatisfy(
                        k -> assertThat(k.codePointCount(0, k.length())).isLessThanOrEqualTo(RecordWords.LONGEST_KEY));
    }

    @Test
    void everyPartOfAQuestionIsMetOrNothingIs() {
        List<Word> words = List.of(DOOR, LOT, DAY, NOTE);
        assertThat(RecordWords.met(words, "RIDGE 0457 2027-06")).contains(List.of(DOOR, LOT, DAY));
        assertThat(RecordWords.met(words, "rf-04")).contains(List.of(LOT));
        assertThat(RecordWords.met(words, "ridge bumper")).isEmpty();
        assertThat(RecordWords.met(words, "idge")).as("from its beginning only").isEmpty();
        assertThat(RecordWords.met(words, "  , ")).as("nothing asked").contains(List.of());
    }
}
