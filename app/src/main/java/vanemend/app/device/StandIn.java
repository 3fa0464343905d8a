package vanemend.app.device;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A device that ships with the product and is driven by hand: it behaves as a real one would, noise and faults and all. What it
 * shows at an instant depends on how it was driven and on that instant only.
 */
public abstract class StandIn implements Device {
    /** What may be wrong with it. */
    public enum Fault {
        NONE,
        SILENT,
        NONSENSE
    }

    /** A figure that can be set: what is true at the bench, not what is shown. */
    public record Knob(String id, String label, String unit, double min, double max, double value) {}

    /** Something that can be done with it. */
    public record Press(String id, String label) {}

    private static final double WILD = -9999;
    private static final long NOISE_MS = 250;

    private final long seed;
    private final Map<String, Knob> knobs = new LinkedHashMap<>();
    private final List<Press> presses = new ArrayList<>();
    private Fault fault = Fault.NONE;

    StandIn(long seed) {
        this.seed = seed;
    }

    /** Adds a knob, standing at {@code value}. */
    final void knob(String id, String label, String unit, double min, double max, double value) {
        knobs.put(id, new Knob(id, label, unit, min, max, value));
    }

    /** Adds something to press. */
    final void press(String id, String label) {
        presses.add(new Press(id, label));
    }

    /** How the knob stands. */
    final double at(String id) {
        return knobs.get(id).value();
    }

    /** What it shows when nothing is wrong. */
    abstract List<ShownFigure> shows(Instant now);

    /** What follows from pressing {@code id}. */
    void pressed(String id, Instant now) {}

    /** What must be remembered before a knob is turned. */
    void turning(Instant now) {}

    /** A figure that scatters around 0 with standard deviation 1; the same for the same instant. */
    final double noise(String what, Instant now) {
        return noise(what, Math.floorDiv(now.toEpochMilli(), NOISE_MS));
    }

    /** A figure that scatters around 0 with standard deviation 1; the same for the same {@code count}. */
    final double noise(String what, long count) {
        return new Random(seed * 31 + what.hashCode() * 0x9E3779B97F4A7C15L + count * 0xD1B54A32D192ED03L)
                .nextGaussian();
    }

    @Override
    public final synchronized Optional<List<ShownFigure>> look(Instant now) {
        return switch (fault) {
            case SILENT -> Optional.empty();
            case NONSENSE ->
                Optional.of(shows(now).stream()
                        .map(f -> new ShownFigure(f.measured(), WILD))
                        .toList());
            case NONE -> Optional.of(shows(now));
        };
    }

    /** All knobs. */
    public final synchronized List<Knob> knobs() {
        return List.copyOf(knobs.values());
    }

    /** All that can be pressed. */
    public final List<Press> presses() {
        return List.copyOf(presses);
    }

    /** What is wrong with it. */
    public final synchronized Fault fault() {
        return fault;
    }

    /** Makes something wrong with it, or right again. */
    public final synchronized void fail(Fault next) {
        fault = next;
    }

    /** Turns a knob; false where there is none such. */
    public final synchronized boolean turn(String id, double value, Instant now) {
        Knob k = knobs.get(id);
        if (k == null) {
            return false;
        }
        turning(now);
        knobs.put(id, new Knob(k.id(), k.label(), k.unit(), k.min(), k.max(), value));
        return true;
    }

    /** Presses; false where there is nothing such. */
    public final synchronized boolean push(String id, Instant now) {
        if (presses.stream().noneMatch(p -> p.id().equals(id))) {
            return false;
        }
        pressed(id, now);
        return true;
    }

    /** As a display with {@code digits} after the point shows it. */
    static double shown(double value, int digits) {
        return BigDecimal.valueOf(value).setScale(digits, RoundingMode.HALF_UP).doubleValue();
    }
}
