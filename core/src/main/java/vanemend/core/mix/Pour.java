package vanemend.core.mix;

import java.util.List;
import java.util.Optional;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * One mix, from tin to part.
 *
 * @param material name on the shelf
 * @param itemId shelf item
 * @param lot as printed
 * @param volume where it goes, all batches together
 * @param fillerG filler to weigh for each batch, g, rounded up to whole grams
 * @param creamG cream for exactly that filler, g to 0.1
 * @param percent dose asked, % of filler
 * @param batches equal batches
 * @param lifts lifts within the build, the tight coat not counted
 * @param workMin work time today, min from first contact
 * @param onPartByMin all on the part by, min from first contact
 * @param mixMin mixed within, min
 * @param spreadMin time to spread one batch, min
 * @param strokes spreader strokes for one pass over the area
 * @param puddleMm puddle of one batch at working height, mm across
 * @param beadMm bead across that puddle for the dose asked, mm
 * @param halfBeadPercent what a bead of half the puddle would really give, %
 * @param stepPercent what one step of the scale means, % of this filler
 * @param notes what to know, in words
 * @param again what one more round takes, g of filler; empty in plans of an earlier release
 * @param window which doses cure; the book's where an earlier release froze none
 * @param thinner putty that is part of {@code fillerG}; empty where the filler goes as it comes, and in plans of an earlier release
 * @param spreaderMm width of the spreader that {@code strokes} are for, mm; the book's in plans of an earlier release
 */
public record Pour(
        String material,
        String itemId,
        String lot,
        FillVolume volume,
        double fillerG,
        double creamG,
        double percent,
        int batches,
        int lifts,
        double workMin,
        double onPartByMin,
        double mixMin,
        double spreadMin,
        int strokes,
        double puddleMm,
        double beadMm,
        double halfBeadPercent,
        double stepPercent,
        List<String> notes,
        Optional<Again> again,
        DoseWindow window,
        Optional<Thinner> thinner,
        double spreaderMm) {
    public Pour {
        window = window == null ? DoseWindow.ofTheBook() : window;
        again = again == null ? Optional.empty() : again;
        spreaderMm = spreaderMm == 0 ? TradeBook.value("spread.width") : spreaderMm;
        thinner = thinner == null ? Optional.empty() : thinner;
    }

    /** What is weighed before the cream, as said. */
    public String said() {
        return thinner.map(t -> material + ", " + Text.of(Math.round(t.share() * 100), "%") + " of it " + t.material())
                .orElse(material);
    }

    /** Cream, g, for filler that was really weighed, at the dose asked; not below what the scale can show. */
    public double creamFor(double weighedG) {
        return Dose.creamG(weighedG, percent);
    }
}
