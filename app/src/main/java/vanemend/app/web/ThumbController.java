package vanemend.app.web;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.problem.Refused;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.BeadView;
import vanemend.app.web.Views.ThumbView;
import vanemend.core.cure.Flash;
import vanemend.core.cure.Peroxide;
import vanemend.core.mix.BeadRule;
import vanemend.core.mix.Strokes;
import vanemend.core.mix.TwoPart;
import vanemend.core.sanding.GritJump;
import vanemend.core.trade.Air;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Rules of thumb, tried: what they really give and what that leads to. */
@RestController
@RequestMapping("/api")
class ThumbController {
    private final Shop shop;

    ThumbController(Shop shop) {
        this.shop = shop;
    }

    @GetMapping("/bead")
    BeadView bead(@RequestParam double puddleMm, @RequestParam double beadMm) {
        Check check = new Check();
        check.range("puddleMm", "Puddle", puddleMm, 20, 400, "mm");
        check.range("beadMm", "Bead", beadMm, 0, 1000, "mm");
        Refused.unlessClean("Bead and puddle", check);
        double percent = BeadRule.percent(puddleMm, beadMm);
        Peroxide effect = Peroxide.of(percent);
        double nominal = TradeBook.value("peroxide.nominal");
        boolean good = effect.said().isEmpty();
        return new BeadView(
                percent,
                nominal,
                BeadRule.beadMm(puddleMm, nominal),
                effect.factorOrNone().stream().boxed().findFirst(),
                good
                        ? "Inside " + Text.book("peroxide.low") + " to " + Text.book("peroxide.high")
                                + ": cures as the label says."
                        : effect.said(),
                good);
    }

    @GetMapping("/thumb/grit")
    ThumbView grit(
            @RequestParam String fromGrading,
            @RequestParam int from,
            @RequestParam String toGrading,
            @RequestParam int to) {
        GritJump jump;
        try {
            jump = GritJump.of(fromGrading, from, toGrading, to);
        } catch (IllegalArgumentException e) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "Grit jump", e.getMessage());
        }
        String grains = Text.of(jump.fromUm(), "µm") + " to " + Text.of(jump.toUm(), "µm") + " of grain";
        String ratio = Text.of(Math.round(jump.ratio() * 100) / 100.0, "times") + " finer";
        if (jump.ratio() <= 1) {
            return new ThumbView(
                    List.of(grains, ratio), "The second paper is no finer: it leaves the scratch as it is.", false);
        }
        String leads = jump.fine()
                ? "Both ladders allow it: each scratch is out before the next paper."
                : jump.quick()
                        ? "The quick ladder allows it, the fine one does not: stay longer on the second paper, guide coat between."
                        : "Neither ladder allows it: the second paper rides on the first one's scratch, which shows through the primer.";
        return new ThumbView(List.of(grains, ratio), leads, jump.quick());
    }

    @GetMapping("/thumb/overlap")
    ThumbView overlap(
            @RequestParam double zoneMm, @RequestParam double spreaderMm, @RequestParam double overlapPercent) {
        Check check = new Check();
        check.range("zoneMm", "Zone", zoneMm, 5, 3000, "mm");
        check.range("spreaderMm", "Spreader", spreaderMm, 20, 400, "mm");
        check.range("overlapPercent", "Overlap", overlapPercent, 0, 90, "%");
        Refused.unlessClean("Overlap", check);
        int count = Strokes.count(zoneMm, spreaderMm, overlapPercent / 100);
        int third = Strokes.count(zoneMm, spreaderMm, 1.0 / 3);
        boolean good = overlapPercent >= 30 && overlapPercent <= 50;
        String leads = overlapPercent < 30
                ? "Ridges stay between strokes: more sanding, and air in the valleys."
                : overlapPercent > 50
                        ? "Many strokes over the same filler while it gels: it drags."
                        : "About a third: flat and quick.";
        return new ThumbView(List.of(count + " strokes", third + " strokes with a third of overlap"), leads, good);
    }

    @GetMapping("/thumb/flash")
    ThumbView flash(@RequestParam double minutes) {
        Check check = new Check();
        check.range("minutes", "Flash time", minutes, 0.5, 120, "min");
        Refused.unlessClean("Flash time", check);
        Air air = shop.air();
        double label = TradeBook.value("promoter.flash");
        double asks = label * Flash.factor(air);
        boolean good = minutes >= asks;
        return new ThumbView(
                List.of(
                        Text.book("promoter.flash") + " on the label comes to " + Text.of(Math.ceil(asks), "min")
                                + " at " + Text.of(air.tempC(), "°C") + " and " + Text.of(air.rhPercent(), "%"),
                        Text.of(Math.round(100 * minutes / asks), "%") + " of it waited"),
                good
                        ? "Long enough by this air; the touch decides, not the clock."
                        : "Solvent is still in the promoter: what goes over it lifts. Wait, then touch beside the repair.",
                good);
    }

    /** What a data sheet's equivalent weights ask for, against a ratio by volume as the label or the gun has it. */
    @GetMapping("/thumb/ratio")
    ThumbView ratio(
            @RequestParam double eew,
            @RequestParam double ahew,
            @RequestParam double resinDensity,
            @RequestParam double hardenerDensity,
            @RequestParam double toOne) {
        Check check = new Check();
        check.range("eew", "Resin's equivalent weight", eew, 100, 2000, "g");
        check.range("ahew", "Hardener's equivalent weight", ahew, 10, 1000, "g");
        check.range("resinDensity", "Resin's density", resinDensity, 0.7, 3, "g/mL");
        check.range("hardenerDensity", "Hardener's density", hardenerDensity, 0.7, 3, "g/mL");
        check.range("toOne", "Ratio by volume, to one", toOne, 0.1, 100, "");
        Refused.unlessClean("Two-part ratio", check);
        double asked = TwoPart.partsPerHundred(ahew, eew);
        double mixed = TwoPart.partsByWeight(toOne, resinDensity, hardenerDensity);
        double off = mixed / asked - 1;
        boolean good = Math.abs(off) <= TradeBook.value("mix.ratio-tolerance");
        return new ThumbView(
                List.of(
                        Text.of(tenth(asked), "g") + " of hardener to " + Text.of(100, "g")
                                + " of resin is what the equivalents ask",
                        Text.ratio(tenth(100 / TwoPart.partsByVolume(asked, resinDensity, hardenerDensity)), 1)
                                + " by volume would be that",
                        Text.ratio(toOne, 1) + " by volume gives " + Text.of(tenth(mixed), "g") + " to "
                                + Text.of(100, "g")),
                good
                        ? "It agrees. The label's ratio stands, whatever this sum says."
                        : "Off by " + Text.of(Math.round(Math.abs(off) * 100), "%") + ": too "
                                + (off > 0 ? "much" : "little")
                                + " hardener, unless the label prints this ratio. Check which is A, which is B, and what is by"
                                + " weight. The label's ratio stands.",
                good);
    }

    private static double tenth(double v) {
        return Math.round(v * 10) / 10.0;
    }
}
