package vanemend.core.method.plastic;

import vanemend.core.method.Method;
import vanemend.core.trade.MethodId;

/** The methods of this family: one layout, whose page and zones follow the way to mend. */
public final class PlasticMethod {
    private PlasticMethod() {}

    /** The method {@code id} of this family. */
    public static Method of(MethodId id) {
        return Method.of(id, PlasticLayout::new);
    }
}
