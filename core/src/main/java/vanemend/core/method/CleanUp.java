package vanemend.core.method;

import java.util.List;
import vanemend.core.method.Step.Kind;

/** What was used to lay a mix is wiped clean at once, while it cures: as a part of the wait, or by itself where hands then go elsewhere. */
public final class CleanUp {
    private static final String WIPED = "-wiped";

    private CleanUp() {}

    /** {@code wait} with the wiping before it as a step of its own; as it is where nothing is wiped in it. */
    public static List<Step> apart(Step wait) {
        if (wait.kind() != Kind.WAIT || wait.activeMin() == 0) {
            return List.of(wait);
        }
        StepBuilder wipe = new StepBuilder(wait.id() + WIPED, Kind.DO, "Wipe spreader and board")
                .detail("At once: what sets on them is lost.")
                .at(wait)
                .active(wait.activeMin());
        StepBuilder rest =
                StepBuilder.of(wait.id(), wait.title(), wait).active(0).handsFree();
        if (wait.detail().startsWith(MixingPage.WIPED)) {
            rest.detail(wait.detail().substring(MixingPage.WIPED.length()));
        }
        return List.of(wipe.build(wait.after()), rest.build(List.of(wait.id() + WIPED)));
    }
}
