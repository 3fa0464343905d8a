package vanemend.core.method;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Footprint;
import vanemend.core.mix.Portion;
import vanemend.core.part.Part;
import vanemend.core.sanding.Ladder;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;

/**
 * What the earlier stations laid out for a method's page.
 *
 * @param part the part
 * @param stack what is taken from the shelf
 * @param house schools followed
 * @param air today's
 * @param footprint zones
 * @param ladder papers
 * @param mixes filler and cream by id
 * @param portions everything else by id
 * @param waits clocks by id; one that has no label time is absent
 */
public record Kit(
        Part part,
        StackChoice stack,
        HouseRules house,
        Air air,
        Footprint footprint,
        Ladder ladder,
        Map<String, MixPlan> mixes,
        Map<String, Portion> portions,
        Map<String, Wait> waits) {
    public Kit {
        mixes = new LinkedHashMap<>(mixes);
        portions = new LinkedHashMap<>(portions);
        waits = new LinkedHashMap<>(waits);
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
