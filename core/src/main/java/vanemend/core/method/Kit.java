package vanemend.core.method;

import java.util.Map;
import java.util.Optional;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Footprint;
import vanemend.core.mix.Portion;
import vanemend.core.sanding.Ladder;
import vanemend.core.trade.Ordered;

/**
 * What the layout holds ready for a method's page.
 *
 * @param job what is mended
 * @param footprint zones
 * @param ladder papers
 * @param mixes filler and cream by id
 * @param portions everything else by id
 * @param waits clocks by id; one that has no label time is absent
 */
public record Kit(
        Job job,
        Footprint footprint,
        Ladder ladder,
        Map<String, MixPlan> mixes,
        Map<String, Portion> portions,
        Map<String, Wait> waits) {
    public Kit {
        mixes = Ordered.copyOf(mixes);
        portions = Ordered.copyOf(portions);
        waits = Ordered.copyOf(waits);
    }

    /** The portion called {@code id}; one that was not laid out is a fault in our code, said by name. */
    public Portion portion(String id) {
        return Optional.ofNullable(portions.get(id))
                .orElseThrow(() -> new IllegalStateException("no portion " + id + " was laid out"));
    }

    /** Whether {@code id} was laid out. */
    public boolean has(String id) {
        return portions.containsKey(id) || mixes.containsKey(id);
    }

    /** The clock called {@code id}; empty where its label gives none. */
    public Optional<Wait> waited(String id) {
        return Optional.ofNullable(waits.get(id));
    }

    /** The mix called {@code id}. */
    public MixPlan mix(String id) {
        return Optional.ofNullable(mixes.get(id))
                .orElseThrow(() -> new IllegalStateException("no mix " + id + " was laid out"));
    }
}
