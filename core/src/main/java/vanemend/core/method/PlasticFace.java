package vanemend.core.method;

/** Plastic, damage that does not go through: the face alone, as the face of a two-sided repair. */
public final class PlasticFace extends PlasticPage {
    private PlasticFace(Kit kit) {
        super(kit);
    }

    /** The steps. */
    public static MethodSteps lay(Kit kit) {
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
