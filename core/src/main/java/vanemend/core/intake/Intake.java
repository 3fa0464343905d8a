package vanemend.core.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vanemend.core.damage.Damage;
import vanemend.core.part.Composite;
import vanemend.core.part.MadeOf;
import vanemend.core.part.MarkReader;
import vanemend.core.part.Metal;
import vanemend.core.part.TypicalPart;
import vanemend.core.trade.Text;

/**
 * Reads a line of plain words ("front bumper PP-EPDM crack 120 mm through, near edge") into what it says of a part and its damage. Nothing is
 * guessed silently: what was taken from which words is told beside it, and so are the words that said nothing. A length needs its unit.
 */
public final class Intake {
    /** Longest line, characters. */
    public static final int LONGEST = 300;

    /** What words were taken for. */
    public enum Field {
        VEHICLE,
        PART,
        MATERIAL,
        METAL,
        COMPOSITE,
        MARK,
        DAMAGE,
        LENGTH,
        WIDTH,
        DEPTH,
        THICKNESS,
        THROUGH
    }

    /**
     * Words and what they were taken for.
     *
     * @param words as typed
     * @param as what is put down for them, in words
     */
    public record Understood(String words, Field field, String as) {}

    /**
     * Damage as said; lengths in mm.
     *
     * @param through it goes right through
     */
    public record SaidDamage(
            Damage.Kind kind,
            Optional<Double> lengthMm,
            Optional<Double> widthMm,
            Optional<Double> depthMm,
            boolean through) {}

    /**
     * What a line says.
     *
     * @param left words that said nothing, in their order
     * @param material as said by a metal, a composite or a mark, else as such a part is made as a rule
     * @param thicknessMm of a sheet its gauge, of a plastic or composite its wall, mm
     * @param typical id of the {@link TypicalPart} that was said; absent where it is made of something else than such a part is as a rule
     */
    public record Said(
            List<Understood> understood,
            List<String> left,
            Optional<String> name,
            Optional<String> vehicle,
            Optional<MadeOf> material,
            Optional<Metal.Kind> metal,
            Optional<Composite.Kind> composite,
            Optional<String> mark,
            Optional<Double> thicknessMm,
            Optional<String> typical,
            List<SaidDamage> damages) {}

    private static final double MM_PER_INCH = 25.4;
    private static final double MM_PER_CM = 10;
    private static final double MM_PER_M = 1000;

    private static final String NUMBER = "(\\d{1,5}(?:[.,]\\d{1,3})?)";
    private static final String UNIT = "\\s*(mm|cm|m|inches|inch|in|\")";
    private static final Pattern TWO_SIDES =
            Pattern.compile(NUMBER + "\\s*(?:x|×|by)\\s*" + NUMBER + UNIT + "(?![\\p{L}\\p{N}])");
    private static final Pattern ONE = Pattern.compile(NUMBER + UNIT
            + "(?![\\p{L}\\p{N}])(?:\\s+(deep|depth|wide|width|long|length|across|sheet|gauge|thick)(?!\\p{L}))?");
    private static final Pattern VEHICLE =
            Pattern.compile("(\\p{Lu}[\\p{L}\\d]*(?: \\p{Lu}?[\\p{L}\\d]+)?),? [Nn]o\\.? ?(\\d{1,6})(?!\\p{N})");
    private static final Pattern MARK =
            Pattern.compile(">[^<>]{1,60}<|[A-Z][A-Z0-9]*(?:[-+/][A-Z0-9]+)*(?![\\p{L}\\p{N}])");
    private static final Pattern WORD = Pattern.compile("[^\\s,;]+");

    private final String text;
    private final String small;
    private final List<Understood> understood = new ArrayList<>();
    private final List<String> left = new ArrayList<>();
    private final List<Open> damages = new ArrayList<>();
    private Open waiting = new Open(null);
    private Optional<String> name = Optional.empty();
    private Optional<String> vehicle = Optional.empty();
    private Optional<TypicalPart> part = Optional.empty();
    private Optional<Metal.Kind> metal = Optional.empty();
    private Optional<Composite.Kind> composite = Optional.empty();
    private Optional<String> mark = Optional.empty();
    private Optional<Double> thickness = Optional.empty();

    /** Damage of which more may still be said. */
    private static final class Open {
        private final Damage.Kind kind;
        private Optional<Double> length = Optional.empty();
        private Optional<Double> width = Optional.empty();
        private Optional<Double> depth = Optional.empty();
        private boolean through;

        Open(Damage.Kind kind) {
            this.kind = kind;
        }

        Open as(Damage.Kind known) {
            Open out = new Open(known);
            out.length = length;
            out.width = width;
            out.depth = depth;
            out.through = through;
            return out;
        }
    }

    private Intake(String text) {
        this.text = text;
        this.small = text.toLowerCase(Locale.ROOT);
    }

    /** Reads {@code line}, of at most {@link #LONGEST} characters. */
    public static Said read(String line) {
        return new Intake(line).read();
    }

    private Said read() {
        int at = 0;
        while (at < text.length()) {
            char c = text.charAt(at);
            at = Character.isWhitespace(c) || c == ',' || c == ';' || c == '.' ? at + 1 : one(at);
        }
        Optional<MadeOf> said = mark.map(m -> MadeOf.PLASTIC)
                .or(() -> metal.map(m -> MadeOf.METAL))
                .or(() -> composite.map(m -> MadeOf.COMPOSITE));
        Optional<MadeOf> material = said.or(() -> part.map(TypicalPart::material));
        if (material.filter(m -> m == MadeOf.GLASS || m == MadeOf.TYRE).isPresent()) {
            noThickness();
        }
        return new Said(
                List.copyOf(understood),
                List.copyOf(left),
                name,
                vehicle,
                material,
                metal,
                composite,
                mark,
                thickness,
                part.filter(p -> material.equals(Optional.of(p.material()))).map(TypicalPart::id),
                damages.stream()
                        .map(d -> new SaidDamage(chipOf(d.kind, material), d.length, d.width, d.depth, d.through))
                        .toList());
    }

    /** A stone chips glass, and paint on metal. */
    private static Damage.Kind chipOf(Damage.Kind kind, Optional<MadeOf> material) {
        return kind == Damage.Kind.CHIP && material.equals(Optional.of(MadeOf.METAL)) ? Damage.Kind.PAINT_CHIP : kind;
    }

    /** A pane and a tyre are not asked how thick they are: what was said of it is told as not understood. */
    private void noThickness() {
        understood.stream()
                .filter(u -> u.field() == Field.THICKNESS)
                .map(Understood::words)
                .forEach(left::add);
        understood.removeIf(u -> u.field() == Field.THICKNESS);
        thickness = Optional.empty();
    }

    /** Reads what stands at {@code at}; gives where to go on. */
    private int one(int at) {
        return vehicle(at)
                .or(() -> measured(at))
                .or(() -> partAt(at))
                .or(() -> said(Lexicon.DAMAGES, at, Field.DAMAGE, this::damage))
                .or(() -> said(Lexicon.METALS, at, Field.METAL, this::metal))
                .or(() -> said(Lexicon.COMPOSITES, at, Field.COMPOSITE, this::composite))
                .or(() -> through(at))
                .or(() -> mark(at))
                .orElseGet(() -> passed(at));
    }

    private Optional<Integer> vehicle(int at) {
        Matcher m = VEHICLE.matcher(text).region(at, text.length());
        if (vehicle.isPresent() || !m.lookingAt()) {
            return Optional.empty();
        }
        vehicle = Optional.of(m.group(1) + ", no. " + m.group(2));
        return took(at, m.end(), Field.VEHICLE, vehicle.get());
    }

    private Optional<Integer> measured(int at) {
        Matcher two = TWO_SIDES.matcher(small).region(at, small.length());
        if (two.lookingAt()) {
            double a = mm(two.group(1), two.group(3));
            double b = mm(two.group(2), two.group(3));
            Open d = open(x -> x.length.isEmpty() && x.width.isEmpty());
            d.length = Optional.of(Math.max(a, b));
            d.width = Optional.of(Math.min(a, b));
            took(at, two.start(2), Field.LENGTH, Text.of(a, "mm"));
            return took(two.start(2), two.end(), Field.WIDTH, Text.of(b, "mm"));
        }
        Matcher one = ONE.matcher(small).region(at, small.length());
        if (!one.lookingAt()) {
            return Optional.empty();
        }
        double v = mm(one.group(1), one.group(2));
        return took(at, one.end(), length(v, one.group(3) == null ? "" : one.group(3)), Text.of(v, "mm"));
    }

    /** Puts a length down where the word after it says. */
    private Field length(double v, String word) {
        return switch (word) {
            case "deep", "depth" -> {
                open(x -> x.depth.isEmpty()).depth = Optional.of(v);
                yield Field.DEPTH;
            }
            case "wide", "width" -> {
                open(x -> x.width.isEmpty()).width = Optional.of(v);
                yield Field.WIDTH;
            }
            case "across" -> {
                Open d = open(x -> x.length.isEmpty() && x.width.isEmpty());
                d.length = Optional.of(v);
                d.width = Optional.of(v);
                yield Field.LENGTH;
            }
            case "sheet", "gauge", "thick" -> {
                thickness = Optional.of(v);
                yield Field.THICKNESS;
            }
            default -> {
                open(x -> x.length.isEmpty()).length = Optional.of(v);
                yield Field.LENGTH;
            }
        };
    }

    /** The damage that a further length belongs to: the last one said while it has room for it, else the next. */
    private Open open(java.util.function.Predicate<Open> room) {
        return damages.isEmpty() || !room.test(damages.getLast()) ? waiting : damages.getLast();
    }

    private static double mm(String number, String unit) {
        double v = Double.parseDouble(number.replace(',', '.'));
        return switch (unit) {
            case "cm" -> v * MM_PER_CM;
            case "m" -> v * MM_PER_M;
            case "in", "inch", "inches", "\"" -> v * MM_PER_INCH;
            default -> v;
        };
    }

    /** A part, with the sides said before it as its name. */
    private Optional<Integer> partAt(int at) {
        int from = at;
        for (Optional<Lexicon.Phrase<String>> side = Lexicon.at(Lexicon.SIDES, small, from);
                side.isPresent();
                side = Lexicon.at(Lexicon.SIDES, small, from)) {
            from = skip(from + side.get().words().length());
        }
        Optional<Lexicon.Phrase<TypicalPart>> found = Lexicon.at(Lexicon.PARTS, small, from);
        // "Front wing" is a part of its own, "front" alone a side.
        Optional<Lexicon.Phrase<TypicalPart>> whole = Lexicon.at(Lexicon.PARTS, small, at);
        if (part.isPresent() || found.isEmpty() && whole.isEmpty()) {
            return Optional.empty();
        }
        Lexicon.Phrase<TypicalPart> taken = whole.orElseGet(found::get);
        int end = (whole.isPresent() ? at : from) + taken.words().length();
        String words = text.substring(at, end).strip();
        name = Optional.of(words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1));
        part = Optional.of(taken.says());
        took(at, end, Field.PART, name.get());
        understood.add(
                new Understood(words, Field.MATERIAL, taken.says().material().word()));
        return Optional.of(end);
    }

    private int skip(int at) {
        int to = at;
        while (to < text.length() && Character.isWhitespace(text.charAt(to))) {
            to++;
        }
        return to;
    }

    private <T> Optional<Integer> said(
            List<Lexicon.Phrase<T>> some, int at, Field field, java.util.function.Function<T, Optional<String>> take) {
        return Lexicon.at(some, small, at)
                .flatMap(p -> take.apply(p.says())
                        .flatMap(as -> took(at, at + p.words().length(), field, as)));
    }

    private Optional<String> damage(Damage.Kind kind) {
        damages.add(waiting.as(kind));
        waiting = new Open(null);
        return Optional.of(kind.word());
    }

    private Optional<String> metal(Metal.Kind kind) {
        if (metal.isPresent()) {
            return Optional.empty();
        }
        metal = Optional.of(kind);
        return Optional.of(kind.word());
    }

    private Optional<String> composite(Composite.Kind kind) {
        if (composite.isPresent()) {
            return Optional.empty();
        }
        composite = Optional.of(kind);
        return Optional.of(kind.word());
    }

    private Optional<Integer> through(int at) {
        if (!small.startsWith("through", at) || !Lexicon.ends(small, at + "through".length())) {
            return Optional.empty();
        }
        (damages.isEmpty() ? waiting : damages.getLast()).through = true;
        return took(at, at + "through".length(), Field.THROUGH, "right through");
    }

    /** A moulded mark, as on the part or as it is said: the dash between two polymers is their plus. */
    private Optional<Integer> mark(int at) {
        Matcher m = MARK.matcher(text).region(at, text.length());
        if (mark.isPresent() || !m.lookingAt()) {
            return Optional.empty();
        }
        String typed = m.group();
        String bare = typed.replace(">", "").replace("<", "");
        return List.of(bare, bare.replaceFirst("[-/]", "+")).stream()
                .filter(t -> MarkReader.read(">" + t + "<").mark().isPresent())
                .findFirst()
                .flatMap(t -> {
                    mark = Optional.of(">" + t + "<");
                    return took(at, m.end(), Field.MARK, mark.get());
                });
    }

    private int passed(int at) {
        Matcher m = WORD.matcher(text).region(at, text.length());
        if (!m.lookingAt()) {
            return at + 1;
        }
        if (!Lexicon.PLAIN.contains(m.group().toLowerCase(Locale.ROOT))) {
            left.add(m.group());
        }
        return m.end();
    }

    private Optional<Integer> took(int from, int to, Field field, String as) {
        understood.add(new Understood(text.substring(from, to).strip(), field, as));
        return Optional.of(to);
    }
}
