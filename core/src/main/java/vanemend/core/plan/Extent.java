package vanemend.core.plan;

/** How much of a plan is worked out. */
enum Extent {
    /** All of it. */
    WHOLE,
    /** What is shown while typing: without the rework that only a run walks, and without why the rest of the shelf is not used. */
    SKETCH
}
