package vanemend.app.day;

import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** How many previews are being worked out: whoever types goes before what is looked for in the background. */
@Component
public class Typing {
    private static final int MANY = 2;

    private final AtomicInteger atOnce = new AtomicInteger();

    /** One more is asked for. */
    public void begins() {
        atOnce.incrementAndGet();
    }

    /** One is answered. */
    public void ends() {
        atOnce.decrementAndGet();
    }

    boolean many() {
        return atOnce.get() > MANY;
    }
}
