package vanemend.core.method;

import java.util.List;
import java.util.Optional;
import vanemend.core.footprint.Zone;
import vanemend.core.trade.Quantity;

/** One thing that a house does otherwise than a method's page says. */
public sealed interface PageChange {
    /** Step that it is about; for a step that is put in, its own. */
    String step();

    /** What it is. */
    Kind kind();

    /** What a house can change. What is stored and exported is its name. */
    enum Kind {
        ADD,
        LEAVE_OUT,
        MOVE,
        WORDS,
        MINUTES,
        READING,
        PICTURE
    }

    /**
     * A step of the house's own.
     *
     * @param step id; begins with {@link HousePages#OWN}
     * @param after step that it follows; empty for the first place
     * @param title verb first
     * @param how in one or two short sentences; may be empty
     * @param zone where on the part
     * @param activeMin hands-on, min
     * @param waitMin how long the part then rests, min; 0 for not at all
     * @param caution the house's own words of what can hurt; empty for none
     * @param gate what must be true to go on
     * @param acts what it does to the part: interlocks judge the plan by it
     */
    record Add(
            String step,
            String after,
            String title,
            String how,
            Optional<Zone.Kind> zone,
            double activeMin,
            double waitMin,
            String caution,
            Optional<HouseGate> gate,
            List<Act> acts)
            implements PageChange {
        public Add {
            acts = List.copyOf(acts);
        }

        @Override
        public Kind kind() {
            return Kind.ADD;
        }
    }

    /**
     * A gate of the house's own.
     *
     * @param question short
     * @param yes the good answer
     * @param no the other answer
     * @param then what is done before it is asked again
     * @param thenMin hands-on of that, min
     */
    record HouseGate(String question, String yes, String no, String then, double thenMin) {}

    /** A step that is not done here. */
    record LeaveOut(String step) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.LEAVE_OUT;
        }
    }

    /** A step that has its place elsewhere: behind {@code after}, empty for the first place. */
    record Move(String step, String after) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.MOVE;
        }
    }

    /** Other words; an empty text leaves the book's. Cautions, figures and gates stay as they are. */
    record Words(String step, String title, String how) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.WORDS;
        }
    }

    /** Other hands-on minutes. */
    record Minutes(String step, double activeMin) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.MINUTES;
        }
    }

    /** A reading without which the step is not done. */
    record Reading(String step, Quantity quantity) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.READING;
        }
    }

    /** A picture without which the step is not done. */
    record Picture(String step) implements PageChange {
        @Override
        public Kind kind() {
            return Kind.PICTURE;
        }
    }
}
