package vanemend.core.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A moulded mark as read (ISO 11469 with the symbols of ISO 1043). Percentages are by mass of the whole compound.
 *
 * @param written as the standard writes it
 * @param layers visible layer first; one for most parts
 * @param notes what was read out of an older or loose form, and what to verify
 */
public record Mark(String written, List<MarkLayer> layers, List<String> notes) {
    /**
     * One layer.
     *
     * @param blend polymers, main one first
     * @param fillers fillers with their shares
     * @param fillerPercent all fillers together; empty without fillers, or where none is stated
     * @param flameRetardants by code
     * @param mainMass true where the mark underlines it, or it is the only one
     */
    public record MarkLayer(
            List<Term> blend,
            List<Fill> fillers,
            Optional<Integer> fillerPercent,
            List<FlameRetardant> flameRetardants,
            boolean mainMass) {
        /** Symbols of the blend joined as written, such as {@code PP+EPDM}. */
        public String polymers() {
            return String.join("+", blend.stream().map(Term::symbol).toList());
        }
    }

    /**
     * One polymer.
     *
     * @param symbol as the standard writes it
     * @param name in words
     * @param plasticizer code; empty for none
     * @param plasticizerName in words; empty for none
     */
    public record Term(String symbol, String name, String plasticizer, String plasticizerName) {}

    /**
     * A flame retardant (ISO 1043-4).
     *
     * @param name in words
     */
    public record FlameRetardant(int code, String name) {}

    /**
     * One filler.
     *
     * @param code letters
     * @param name in words
     * @param percent of the whole compound; empty where only the sum of several is stated
     */
    public record Fill(String code, String name, Optional<Integer> percent) {}

    /** The layer that carries most of the mass. */
    public MarkLayer main() {
        return layers.stream().filter(MarkLayer::mainMass).findFirst().orElse(layers.getLast());
    }

    /** The family its main polymer behaves as; fibre-filled resins are composites. */
    public Optional<Family> family() {
        Term first = main().blend().getFirst();
        return Polymer.of(first.symbol()).flatMap(Polymer::family);
    }

    /**
     * Density by the rule of mixtures, 1/ρ = Σ w/ρ (textbook), g/cm³. Each polymer at the middle of its recalled range; the
     * shares in a blend are not in the mark and are taken as equal. Empty where a density or a share is not known.
     */
    public Optional<Double> densityGPerCm3() {
        MarkLayer layer = main();
        double polymer = 0;
        for (Term t : layer.blend()) {
            Optional<Polymer> p = Polymer.of(t.symbol());
            if (p.isEmpty() || p.get().densityGPerCm3().isEmpty()) {
                return Optional.empty();
            }
            polymer +=
                    1 / p.get().densityGPerCm3().getAsDouble() / layer.blend().size();
        }
        double filled = 0;
        double sum = 0;
        for (Fill f : layer.fillers()) {
            Optional<FillerCode.Letter> material = FillerCode.material(
                    f.code().startsWith("ME") ? "ME" : f.code().substring(0, 1));
            Optional<Integer> share =
                    f.percent().or(() -> layer.fillers().size() == 1 ? layer.fillerPercent() : Optional.empty());
            if (share.isEmpty()
                    || material.isEmpty()
                    || material.get().density().isEmpty()) {
                return Optional.empty();
            }
            filled += share.get() / 100.0 / material.get().density().getAsDouble();
            sum += share.get() / 100.0;
        }
        return Optional.of(1 / ((1 - sum) * polymer + filled));
    }

    /** Rule of mixtures for a polymer of {@code polymer} g/cm³ with {@code percent} of a filler of {@code filler} g/cm³. */
    public static double mixtureGPerCm3(double polymer, double filler, double percent) {
        double w = percent / 100;
        return 1 / ((1 - w) / polymer + w / filler);
    }

    static Mark of(List<MarkLayer> layers, List<String> notes) {
        List<String> out = new ArrayList<>();
        for (MarkLayer l : layers) {
            out.add(write(l));
        }
        return new Mark(">" + String.join(",", out) + "<", List.copyOf(layers), List.copyOf(notes));
    }

    private static String write(MarkLayer l) {
        StringBuilder s = new StringBuilder();
        for (Term t : l.blend()) {
            s.append(s.isEmpty() ? "" : "+").append(t.symbol());
            if (!t.plasticizer().isEmpty()) {
                s.append('(').append(t.plasticizer()).append(')');
            }
        }
        if (l.fillers().size() == 1) {
            Fill f = l.fillers().getFirst();
            s.append('-')
                    .append(f.code())
                    .append(f.percent().map(String::valueOf).orElse(""));
        } else if (l.fillers().size() > 1) {
            boolean each = l.fillers().stream().allMatch(f -> f.percent().isPresent());
            s.append("-(");
            for (int i = 0; i < l.fillers().size(); i++) {
                Fill f = l.fillers().get(i);
                s.append(i == 0 ? "" : "+").append(f.code());
                s.append(each ? f.percent().get().toString() : "");
            }
            s.append(')');
            if (!each) {
                s.append(l.fillerPercent().map(String::valueOf).orElse(""));
            }
        }
        for (FlameRetardant fr : l.flameRetardants()) {
            s.append("-FR(").append(fr.code()).append(')');
        }
        return s.toString();
    }
}
