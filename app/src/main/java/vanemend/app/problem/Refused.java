package vanemend.app.problem;

import java.util.Map;
import org.springframework.http.HttpStatus;
import vanemend.core.trade.Check;

/** Something the server will not do, said in one kind sentence. Becomes an RFC 9457 problem. */
public class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;
    private final String title;
    private final transient Map<String, Object> more;

    /** Refuses with {@code detail}. */
    public Refused(HttpStatus status, String title, String detail) {
        this(status, title, detail, Map.of());
    }

    /** Refuses with {@code detail} and further properties of the problem. */
    public Refused(HttpStatus status, String title, String detail, Map<String, Object> more) {
        super(detail);
        this.status = status;
        this.title = title;
        this.more = Map.copyOf(more);
    }

    /** Refuses what {@code check} found wrong: the first of it in the sentence, all of it by field as {@code problems}. */
    public Refused(String title, Check check) {
        this(
                HttpStatus.UNPROCESSABLE_CONTENT,
                title,
                check.problems().getFirst().message(),
                Map.of("problems", check.problems()));
    }

    /** Refuses where {@code check} found anything wrong. */
    public static void unlessClean(String title, Check check) {
        if (!check.clean()) {
            throw new Refused(title, check);
        }
    }

    /** Status of the answer. */
    public HttpStatus status() {
        return status;
    }

    /** What was asked. */
    public String title() {
        return title;
    }

    /** Further properties. */
    public Map<String, Object> more() {
        return more;
    }
}
