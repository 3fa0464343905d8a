package vanemend.core.run;

import java.util.List;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/** What an event was, in words, where it is taken back or put right. */
final class EventWords {
    private EventWords() {}

    static String of(BenchEvent e, List<Slot> slots) {
        String title = slots.stream()
                .filter(s -> s.id.equals(e.step()))
                .findFirst()
                .map(s -> s.step.title())
                .orElse("");
        return switch (e.kind()) {
            case READING ->
                e.quantity().map(Quantity::word).orElse("") + " "
                        + Text.of(
                                e.value().orElse(0.0),
                                e.quantity().map(Quantity::unit).orElse(""));
            case NOTE -> "“" + e.text() + "”";
            case CLOCK -> "The clock of " + title;
            case SIGN -> "The lead's word";
            case TAKE -> "The hand-over";
            case PICTURE -> "A picture of " + title;
            case END -> "The end of the work";
            case AGAINST -> "Going against a stop";
            case SCRAP -> "Thrown away: " + title;
            case SPOT -> "A spot at " + title;
            default -> title;
        };
    }
}
