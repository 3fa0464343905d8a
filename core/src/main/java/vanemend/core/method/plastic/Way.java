package vanemend.core.method.plastic;

/** The ways of this family, as its recipes name them. */
enum Way {
    /** Adhesive and cloth at the back, adhesive on the face. */
    TWO_SIDED(true),
    /** Two-sided, with flexible polyester on the face instead of epoxy. */
    POLYESTER_FACE(true),
    /** A self-adhesive patch at the back, pressed on once the face is dished. */
    PATCH(true),
    /** Mesh and flexible filler, wet in wet through the hole. */
    MESH(true),
    /** Mesh and flexible filler at the back, cured; adhesive on the face. */
    MESH_FIRST(true),
    /** Mesh and flexible filler at the back, cured; the same filler on the face. */
    MESH_FIRST_POLYESTER(true),
    /** The face alone: nothing goes through. */
    FACE(false),
    /** Flexible filler alone over road rash or a gouge: nothing goes through, nothing is dished. */
    FILLER(false),
    /** A finish over a weld. */
    WELD(false);

    private final boolean backed;

    Way(boolean backed) {
        this.backed = backed;
    }

    /** Whether something is laid at the back. */
    boolean backed() {
        return backed;
    }

    /** Whether mesh in flexible filler is what is laid there. */
    boolean mesh() {
        return this == MESH || meshFirst();
    }

    /** Whether the mesh is left to cure before the face is opened. */
    boolean meshFirst() {
        return this == MESH_FIRST || this == MESH_FIRST_POLYESTER;
    }
}
