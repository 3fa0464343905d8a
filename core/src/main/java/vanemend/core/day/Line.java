package vanemend.core.day;

import java.util.ArrayList;
import java.util.List;

/** What is taken of one pair of hands, or of one of a kind of thing: stretches in order that share no time. */
final class Line {
    private final List<Span> taken = new ArrayList<>();

    /** The place of the first stretch that ends after {@code at}. */
    private int after(int at) {
        int low = 0;
        int high = taken.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (taken.get(middle).to() <= at) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** When the stretch that shares time with {@code s} ends; -1 where all of it is free. */
    int busyUntil(Span s) {
        int i = after(s.from());
        return i < taken.size() && taken.get(i).meets(s) ? taken.get(i).to() : -1;
    }

    void take(Span s) {
        taken.add(after(s.from()), s);
    }

    /** Gives {@code s} back; false where it is not among what is taken. */
    boolean free(Span s) {
        return taken.remove(s);
    }
}
