package vanemend.core.trade;

/**
 * Numbers of four decimals or fewer as text, digit by digit; read back, each is the same number. What does not fit (1e8 or more, further
 * decimals, no number, the nought below nought) is left to the library's text. A plan and its drawing have thousands: with the library's text
 * alone a preview of two dents takes a sixth longer.
 */
public final class Digits {
    /** Characters that the text of any number fits in. */
    public static final int ROOM = 26;

    private static final int SCALE = 10_000;
    private static final double LARGEST = 1e12;

    /** Both digits of 0 to 99, so that two are written at a time. */
    private static final char[] TENS = new char[100];

    private static final char[] ONES = new char[100];

    static {
        for (int i = 0; i < 100; i++) {
            TENS[i] = (char) ('0' + i / 10);
            ONES[i] = (char) ('0' + i % 10);
        }
    }

    private Digits() {}

    /**
     * Writes {@code v} into {@code to} from {@code at} on and answers where it ends; negative, with nothing written, where it is 1e8 or
     * more, has more decimals, or is the nought below nought. Read back it is the same number.
     */
    public static int write(double v, char[] to, int at) {
        double scaled = Math.rint(v * SCALE);
        // Not even the sign of a nought is lost.
        boolean lessThanNought = v == 0 && 1 / v < 0;
        if (lessThanNought || !(Math.abs(scaled) < LARGEST) || scaled / SCALE != v) {
            return -1;
        }
        long all = Math.abs((long) scaled);
        int whole = (int) (all / SCALE);
        int rest = (int) (all - (long) whole * SCALE);
        int n = at;
        if (scaled < 0) {
            to[n++] = '-';
        }
        n = whole(whole, to, n);
        if (rest != 0) {
            to[n++] = '.';
            n = pair(rest / 100, to, n);
            n = pair(rest % 100, to, n);
            while (to[n - 1] == '0') {
                n--;
            }
        }
        return n;
    }

    private static int whole(int v, char[] to, int at) {
        if (v >= 100) {
            return pair(v % 100, to, whole(v / 100, to, at));
        }
        if (v >= 10) {
            return pair(v, to, at);
        }
        to[at] = ONES[v];
        return at + 1;
    }

    private static int pair(int v, char[] to, int at) {
        to[at] = TENS[v];
        to[at + 1] = ONES[v];
        return at + 2;
    }
}
