package vanemend.core.method.plastic;

import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;

/** Plastic, damage that does not go through: the face alone, as the face of a two-sided repair. */
final class PlasticFace extends PlasticPage {
    private PlasticFace(Kit kit) {
        super(kit);
    }

    /** The steps. */
    static MethodSteps lay(Kit kit) {
        PlasticFace p = new PlasticFace(kit);
        p.washAndClean(false);
        p.dish(false);
        p.dullFace();
        p.fillFace();
        p.shapeFace();
        p.seal();
        return p.laid("Plastic, face adhesive alone");
    }
}
