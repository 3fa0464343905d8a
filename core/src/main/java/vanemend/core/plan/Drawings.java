package vanemend.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Room;
import vanemend.core.method.Laid;
import vanemend.core.part.Glass;
import vanemend.core.part.Part;
import vanemend.core.part.Tyre;
import vanemend.core.section.Section;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/** The drawing pair of a part and its damage, with what a method laid out on it. */
final class Drawings {
    private Drawings() {}

    /** Part and damage alone: nothing is laid out yet. */
    static Drawing of(Part part, List<Damage> damages) {
        return of(part, damages, List.of(), List.of(), Optional.empty());
    }

    /** With zones and cut. */
    static Drawing of(Part part, List<Damage> damages, Laid laid) {
        return of(
                part,
                damages,
                laid.footprint().zones().values().stream().map(DrawnZone::of).toList(),
                Stream.concat(laid.footprint().flags().stream(), Room.said(laid.footprint(), part).stream())
                        .toList(),
                Optional.of(laid.section().get()));
    }

    private static Drawing of(
            Part part, List<Damage> damages, List<DrawnZone> zones, List<String> flags, Optional<Section> section) {
        return new Drawing(
                part.widthMm(), part.heightMm(), corners(part), lines(part), drawn(damages), zones, flags, section);
    }

    /** Lines on the part, and the limits that a verdict measures from. */
    private static List<Part.BodyLine> lines(Part part) {
        List<Part.BodyLine> out = new ArrayList<>(part.bodyLines());
        double top = part.heightMm();
        if (part.substrate() instanceof Glass g) {
            double half = TradeBook.value("glass.view-us");
            double left = Math.max(0, g.wheelXMm() - half);
            double right = Math.min(part.widthMm(), g.wheelXMm() + half);
            out.add(new Part.BodyLine("driver's view", left, 0, left, top));
            out.add(new Part.BodyLine("", right, 0, right, top));
        }
        if (part.substrate() instanceof Tyre t && t.use() == Tyre.Use.CAR) {
            double share = Limits.rule("tyre-crown").upTo().orElseThrow();
            double half = Math.min(
                    share * part.widthMm(),
                    part.widthMm() / 2 - Limits.rule("tyre-crown").from().orElseThrow());
            out.add(new Part.BodyLine("crown", part.widthMm() / 2 - half, 0, part.widthMm() / 2 - half, top));
            out.add(new Part.BodyLine("", part.widthMm() / 2 + half, 0, part.widthMm() / 2 + half, top));
        }
        return List.copyOf(out);
    }

    /** Corners of the part's edge, x and y in turn, mm. */
    private static List<Double> corners(Part part) {
        return part.outline().xy().isEmpty()
                ? List.of()
                : IntStream.range(0, part.outline().xy().size())
                        .mapToObj(i -> Math.round(part.outline().xy().get(i)
                                        * (i % 2 == 0 ? part.widthMm() : part.heightMm())
                                        * 10)
                                / 10.0)
                        .toList();
    }

    /** {@code damages} as drawn. */
    private static List<DrawnDamage> drawn(List<? extends Damage> damages) {
        return IntStream.range(0, damages.size())
                .mapToObj(i -> DrawnDamage.of(i, damages.get(i)))
                .toList();
    }
}
