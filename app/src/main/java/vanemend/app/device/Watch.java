package vanemend.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import vanemend.core.trade.Text;

/** Looks at one device again and again; keeps the last figures that could be believed, and says when they are old. */
final class Watch {
    private static final Duration STEADY_FOR = Duration.ofMillis(1400);

    /** One look that could be believed. */
    private record Look(Instant at, List<ShownFigure> figures) {}

    private final Device device;
    private final Deque<Look> recent = new ArrayDeque<>();
    private Shown shown;

    Watch(Device device) {
        this.device = device;
        this.shown = new Shown(
                device.kind(),
                device.name(),
                List.of(),
                Optional.empty(),
                Shown.State.SILENT,
                false,
                "Has not answered yet.");
    }

    Device device() {
        return device;
    }

    synchronized Shown shown() {
        return shown;
    }

    /** Looks once. */
    synchronized Shown look(Instant now) {
        Optional<List<ShownFigure>> answer = device.look(now);
        if (answer.isEmpty()) {
            return failed(Shown.State.SILENT, "Does not answer: type the figure instead.");
        }
        List<ShownFigure> figures = answer.get();
        List<ShownFigure> wild = figures.stream()
                .filter(f -> !f.measured().believable(f.value()))
                .toList();
        if (!wild.isEmpty()) {
            String what = wild.stream()
                    .map(f -> f.measured().word() + " "
                            + Text.of(f.value(), f.measured().unit()))
                    .collect(Collectors.joining(", "));
            return failed(Shown.State.NONSENSE, "Shows " + what + ", which cannot be: type the figure instead.");
        }
        recent.addLast(new Look(now, figures));
        while (recent.size() > 1 && Duration.between(secondOldest().at(), now).compareTo(STEADY_FOR) >= 0) {
            recent.removeFirst();
        }
        shown = new Shown(
                device.kind(),
                device.name(),
                figures,
                figures.isEmpty() ? Optional.empty() : Optional.of(now),
                Shown.State.LIVE,
                !device.kind().always() || settled(now),
                "");
        return shown;
    }

    private Look secondOldest() {
        var it = recent.iterator();
        it.next();
        return it.next();
    }

    /** Steady: looked at for long enough, and every figure within its bounds all the while. */
    private boolean settled(Instant now) {
        if (Duration.between(recent.getFirst().at(), now).compareTo(STEADY_FOR) < 0) {
            return false;
        }
        List<ShownFigure> last = recent.getLast().figures();
        return recent.stream().allMatch(l -> near(l.figures(), last));
    }

    private static boolean near(List<ShownFigure> a, List<ShownFigure> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (Math.abs(a.get(i).value() - b.get(i).value())
                    > a.get(i).measured().steadyWithin()) {
                return false;
            }
        }
        return true;
    }

    private Shown failed(Shown.State state, String said) {
        recent.clear();
        shown = new Shown(device.kind(), device.name(), shown.figures(), shown.at(), state, false, said);
        return shown;
    }
}
