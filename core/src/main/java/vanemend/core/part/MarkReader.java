package vanemend.core.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vanemend.core.trade.Text;

/**
 * Reads a moulded mark by the grammar of ISO 11469 and ISO 1043, one character after the other. Older and loose forms are read
 * with a note; anything else is refused with the character and what was expected there.
 *
 * <pre>
 * mark  := '>' layer (',' layer)* '<'            layer := blend ['-' fill] [sep 'FR(' nn ')']
 * blend := term ('+' term)*                      term  := polymer ['-' characteristic] ['(' plasticizer ')']
 * fill  := code pct | '(' code pct ('+' code pct)* ')' | '(' code ('+' code)* ')' pct
 * code  := material form                         sep   := '-' | ' ' | nothing      pct := 1..99
 * </pre>
 */
public final class MarkReader {
    /**
     * What came of reading: a mark, or the reason why not.
     *
     * @param from first character that is wrong, counting the first typed as 1; 0 where the mark was read
     * @param to last character that is wrong
     * @param says what was expected
     */
    public record MarkReading(Optional<Mark> mark, int from, int to, String says) {}

    private static final class Wrong extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final int from;
        private final int to;

        Wrong(int from, int to, String says) {
            super(says, null, false, false);
            this.from = from;
            this.to = to;
        }
    }

    private static final int MOST = 120;

    private final String text;
    private final List<String> notes = new ArrayList<>();
    private int at;
    private int end;

    private MarkReader(String text) {
        this.text = text;
        this.end = text.length();
    }

    /** Reads {@code typed}. */
    public static MarkReading read(String typed) {
        String text = typed == null ? "" : typed.strip().toUpperCase(Locale.ROOT);
        try {
            if (text.length() > MOST) {
                throw new Wrong(MOST + 1, text.length(), "a mark of at most " + MOST + " characters expected");
            }
            return new MarkReading(Optional.of(new MarkReader(text).mark()), 0, 0, "");
        } catch (Wrong w) {
            return new MarkReading(Optional.empty(), w.from, w.to, w.getMessage());
        }
    }

    private Mark mark() {
        Optional<Mark> word = tradeWord();
        if (word.isPresent()) {
            return word.get();
        }
        brackets();
        List<Mark.MarkLayer> layers = new ArrayList<>();
        do {
            layers.add(layer());
        } while (take(','));
        if (at < end) {
            throw wrongHere("nothing more expected here");
        }
        if (layers.size() == 1) {
            Mark.MarkLayer only = layers.getFirst();
            layers.set(
                    0,
                    new Mark.MarkLayer(
                            only.blend(), only.fillers(), only.fillerPercent(), only.flameRetardants(), true));
        } else if (layers.stream().noneMatch(Mark.MarkLayer::mainMass)) {
            notes.add("several layers, visible one first; the underlined one carries the main mass: type it as _"
                    + layers.getLast().polymers() + "_ if it is underlined. The last is taken here.");
        }
        return Mark.of(layers, notes);
    }

    /** Marks open with > and close with <; brackets the other way or round ones are met on old parts. */
    private void brackets() {
        if (text.isEmpty()) {
            throw new Wrong(1, 1, "> expected: a mark reads like >PP+EPDM-TD20<");
        }
        char first = text.charAt(0);
        char last = text.charAt(text.length() - 1);
        boolean bare = text.chars().noneMatch(c -> c == '>' || c == '<');
        if (bare && first == '(' && last == ')' && closes(0) == text.length() - 1) {
            at = 1;
            end = text.length() - 1;
            notes.add("written with round brackets; the standard form is > <");
            return;
        }
        if (bare) {
            notes.add("typed without its > <");
            return;
        }
        if (first == '<' && last == '>') {
            notes.add("written with < >; the standard form is > <");
        } else if (first != '>') {
            throw new Wrong(1, 1, "> expected");
        }
        char close = first == '<' ? '>' : '<';
        int closing = text.indexOf(close, 1);
        if (closing < 0) {
            throw new Wrong(text.length() + 1, text.length() + 1, close + " expected");
        }
        at = 1;
        end = closing;
        if (closing == 1) {
            throw new Wrong(2, 2, "polymer symbol expected");
        }
        if (closing < text.length() - 1) {
            throw new Wrong(closing + 2, closing + 2, "nothing may follow " + close);
        }
    }

    private int closes(int open) {
        int depth = 0;
        for (int i = open; i < text.length(); i++) {
            depth += text.charAt(i) == '(' ? 1 : text.charAt(i) == ')' ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        return -1;
    }

    private Optional<Mark> tradeWord() {
        String bare = text.replaceAll("^[><(]|[><)]$", "");
        int dash = bare.lastIndexOf('-');
        Optional<Polymer.TradeWord> word = Polymer.tradeWord(bare);
        String rest = "";
        if (word.isEmpty() && dash > 0) {
            word = Polymer.tradeWord(bare.substring(0, dash));
            rest = bare.substring(dash);
        }
        if (word.isEmpty()) {
            return Optional.empty();
        }
        Polymer.TradeWord w = word.get();
        String means = w.means();
        int filler = means.indexOf("-GF");
        notes.add(w.word() + ": " + w.note());
        if (filler > 0 && rest.isEmpty()) {
            Mark.Term term = term(means.substring(0, filler));
            FillerCode glass = FillerCode.of(FillerCode.material("G").orElseThrow(), FillerCode.form("F"));
            return Optional.of(Mark.of(
                    List.of(new Mark.MarkLayer(
                            List.of(term),
                            List.of(new Mark.Fill(glass.code(), glass.name(), Optional.empty())),
                            Optional.empty(),
                            List.of(),
                            true)),
                    notes));
        }
        String plain = filler > 0 ? means.substring(0, filler) : means;
        Mark read = new MarkReader(">" + plain + rest + "<").mark();
        notes.addAll(read.notes());
        return Optional.of(new Mark(read.written(), read.layers(), List.copyOf(notes)));
    }

    private static Mark.Term term(String symbol) {
        return new Mark.Term(symbol, Polymer.of(symbol).orElseThrow().name(), "", "");
    }

    private Mark.MarkLayer layer() {
        boolean underlined = take('_');
        boolean wrapped = at < end && text.charAt(at) == '(';
        if (wrapped) {
            at++;
        }
        List<Mark.Term> blend = new ArrayList<>();
        boolean slash = false;
        do {
            blend.add(term());
            boolean wasSlash = at < end && text.charAt(at) == '/';
            if (wasSlash) {
                slash = true;
                at++;
            } else if (!take('+')) {
                break;
            }
        } while (true);
        if (slash) {
            notes.add("/ between polymers: which one is the main component is not certain");
        }
        if (wrapped && !take(')')) {
            throw wrongHere(") expected");
        }
        List<Mark.Fill> fillers = new ArrayList<>();
        Optional<Integer> sum = fillers(fillers);
        List<Mark.FlameRetardant> flame = new ArrayList<>();
        while (flameAhead()) {
            int code = flame();
            flame.add(new Mark.FlameRetardant(code, FillerCode.flameRetardant(code)));
        }
        boolean closed = take('_');
        if (underlined && !closed) {
            throw wrongHere("_ expected");
        }
        return new Mark.MarkLayer(List.copyOf(blend), List.copyOf(fillers), sum, List.copyOf(flame), underlined);
    }

    private Mark.Term term() {
        int start = at;
        String token = letters();
        if (token.isEmpty()) {
            throw new Wrong(start + 1, start + 1, "polymer symbol expected");
        }
        token = polyamide(token);
        if (token.equals("E") || token.equals("P")) {
            String pair = at + 1 < end && text.charAt(at) == '/' ? token + "/" + text.charAt(at + 1) : token;
            if (pair.equals("E/P") || pair.equals("P/E")) {
                at += 2;
                token = pair;
            }
        }
        Optional<String> older = Polymer.written(token);
        if (older.isPresent()) {
            if (!token.equals(older.get())) {
                notes.add(token + " is an older way of writing; the standard's is " + older.get());
            }
            token = older.get();
        }
        token = characteristic(token);
        Optional<Polymer> polymer = Polymer.of(token);
        if (polymer.isEmpty()) {
            throw new Wrong(start + 1, start + token.length(), "unknown polymer symbol " + token);
        }
        String plasticizer = "";
        if (at < end && text.charAt(at) == '(') {
            at++;
            plasticizer = letters();
            if (plasticizer.isEmpty()) {
                throw wrongHere("plasticizer expected");
            }
            if (!take(')')) {
                throw wrongHere(") expected");
            }
        }
        return new Mark.Term(
                token,
                polymer.get().name(),
                plasticizer,
                plasticizer.isEmpty() ? "" : FillerCode.plasticizer(plasticizer));
    }

    /** {@code PA 66} and {@code PA6.6} are older ways of writing PA66. */
    private String polyamide(String token) {
        int save = at;
        if (token.equals("PA") && at < end && text.charAt(at) == ' ') {
            at++;
            String digits = digits();
            if (!digits.isEmpty() && Polymer.of("PA" + digits).isPresent()) {
                notes.add("PA " + digits + " is an older way of writing; the standard's is PA" + digits);
                return "PA" + digits;
            }
        } else if (token.equals("PA6") && at + 1 < end && text.charAt(at) == '.') {
            at++;
            String digits = digits();
            if (Polymer.of("PA6" + digits).isPresent()) {
                notes.add("PA6." + digits + " is an older way of writing; the standard's is PA6" + digits);
                return "PA6" + digits;
            }
        }
        at = save;
        return token;
    }

    /** The hyphen of PE-HD or PVC-P opens a characteristic, not a filler. */
    private String characteristic(String token) {
        if (at < end && text.charAt(at) == '-') {
            int save = at;
            at++;
            String more = letters();
            if (!more.isEmpty() && Polymer.of(token + "-" + more).isPresent()) {
                return token + "-" + more;
            }
            at = save;
        }
        return token;
    }

    private Optional<Integer> fillers(List<Mark.Fill> out) {
        if (flameAhead() || at >= end) {
            return Optional.empty();
        }
        char c = text.charAt(at);
        if (c == ' ') {
            notes.add("a space stands where the standard writes a hyphen");
        } else if (c != '-') {
            return Optional.empty();
        }
        at++;
        if (at < end && text.charAt(at) == '(') {
            return Optional.of(several(out));
        }
        FillerCode code = code();
        int percent = percent();
        if (at < end && text.charAt(at) == '+') {
            throw wrongHere("several fillers go in parentheses");
        }
        out.add(new Mark.Fill(code.code(), code.name(), Optional.of(percent)));
        return Optional.of(percent);
    }

    private int several(List<Mark.Fill> out) {
        int open = at;
        at++;
        List<FillerCode> codes = new ArrayList<>();
        List<Integer> shares = new ArrayList<>();
        do {
            codes.add(code());
            if (at < end && Character.isDigit(text.charAt(at))) {
                shares.add(percent());
            }
        } while (take('+'));
        if (!take(')')) {
            throw wrongHere("+ or ) expected");
        }
        int sum;
        if (shares.isEmpty()) {
            sum = percent();
        } else if (shares.size() < codes.size()) {
            throw new Wrong(open + 1, at, "a percent for every filler, or one after the parentheses, expected");
        } else {
            sum = shares.stream().mapToInt(Integer::intValue).sum();
            if (sum > 99) {
                throw new Wrong(open + 1, open + 1, "fillers add up to " + Text.of(sum, "%"));
            }
        }
        for (int i = 0; i < codes.size(); i++) {
            out.add(new Mark.Fill(
                    codes.get(i).code(),
                    codes.get(i).name(),
                    shares.isEmpty() ? Optional.empty() : Optional.of(shares.get(i))));
        }
        return sum;
    }

    private FillerCode code() {
        int start = at;
        StringBuilder letters = new StringBuilder();
        while (at < end && Character.isLetter(text.charAt(at))) {
            letters.append(text.charAt(at++));
        }
        String code = letters.toString();
        if (code.isEmpty()) {
            throw new Wrong(start + 1, start + 1, "filler material letter expected");
        }
        Optional<FillerCode.Older> older = FillerCode.older(code);
        if (older.isPresent()) {
            notes.add(code + ": " + older.get().note());
            code = older.get().reads();
        }
        String first = code.startsWith("ME") ? "ME" : code.substring(0, 1);
        Optional<FillerCode.Letter> material = FillerCode.material(first);
        if (material.isEmpty()) {
            throw new Wrong(start + 1, start + 1, "unknown filler material letter " + first);
        }
        if (!material.get().note().isEmpty()) {
            notes.add(code + ": " + material.get().note());
        }
        String second = code.substring(first.length());
        if (second.isEmpty()) {
            if (older.isEmpty() && !first.equals("ME")) {
                notes.add(code + ": the form of the filler is not stated");
            }
            return FillerCode.of(material.get(), Optional.empty());
        }
        Optional<FillerCode.Letter> form = FillerCode.form(second);
        if (form.isEmpty()) {
            throw new Wrong(start + 1 + first.length(), start + code.length(), "unknown filler form letter " + second);
        }
        return FillerCode.of(material.get(), form);
    }

    private int percent() {
        int start = at;
        String digits = digits();
        if (digits.isEmpty()) {
            throw new Wrong(start + 1, start + 1, "percent expected");
        }
        int value = digits.length() > 4 ? 9999 : Integer.parseInt(digits);
        if (value < 1 || value > 99) {
            throw new Wrong(start + 1, start + digits.length(), "percent " + digits + " outside 1…99");
        }
        return value;
    }

    private boolean flameAhead() {
        return at < end && text.substring(at, end).matches("[- ]?FR\\(.*");
    }

    private int flame() {
        at = text.indexOf("FR(", at) + 3;
        int start = at;
        String digits = digits();
        if (digits.isEmpty() || digits.length() > 2) {
            throw new Wrong(start + 1, Math.max(start + 1, at), "flame-retardant code of two digits expected");
        }
        if (!take(')')) {
            throw wrongHere(") expected");
        }
        return Integer.parseInt(digits);
    }

    private String letters() {
        int start = at;
        while (at < end && Character.isLetterOrDigit(text.charAt(at))) {
            at++;
        }
        return text.substring(start, at);
    }

    private String digits() {
        int start = at;
        while (at < end && Character.isDigit(text.charAt(at))) {
            at++;
        }
        return text.substring(start, at);
    }

    private boolean take(char c) {
        if (at < end && text.charAt(at) == c) {
            at++;
            return true;
        }
        return false;
    }

    private Wrong wrongHere(String says) {
        return new Wrong(at + 1, at + 1, says);
    }
}
