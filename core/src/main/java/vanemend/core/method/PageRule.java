package vanemend.core.method;

import java.time.Instant;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;

/**
 * A change of a method's page that a lead signed for every repair by that method from then on.
 *
 * @param id number in this shop
 * @param method whose page
 * @param change what is done otherwise
 * @param stepTitle the step as it was called when this was signed; shown, never compared
 * @param afterTitle the step that a place is told by, as it was called then; empty for none
 * @param reason why
 * @param by who signed
 * @param at when
 */
public record PageRule(
        long id,
        MethodId method,
        PageChange change,
        String stepTitle,
        String afterTitle,
        String reason,
        String by,
        Instant at) {
    /** What it says, in one sentence. */
    public String said() {
        return switch (change) {
            case PageChange.Add a ->
                "Added “" + a.title() + "”, " + Text.of(a.activeMin(), "min")
                        + (a.waitMin() > 0 ? " and a rest of " + Text.of(a.waitMin(), "min") : "") + ", "
                        + place(a.after());
            case PageChange.LeaveOut l -> "Left out “" + stepTitle + "”";
            case PageChange.Move m -> "Moved “" + stepTitle + "” " + place(m.after());
            case PageChange.Words w -> "Other words at “" + stepTitle + "”";
            case PageChange.Minutes m -> Text.of(m.activeMin(), "min") + " hands-on at “" + stepTitle + "”";
            case PageChange.Reading r ->
                "Reading wanted at “" + stepTitle + "”: " + r.quantity().word();
            case PageChange.Picture p -> "Picture wanted at “" + stepTitle + "”";
        };
    }

    private String place(String after) {
        return after.isEmpty() ? "in the first place" : "after “" + afterTitle + "”";
    }
}
