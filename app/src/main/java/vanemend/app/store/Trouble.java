package vanemend.app.store;

import java.sql.SQLException;
import org.springframework.dao.DataAccessException;

/** What ails a store that answered with an error, by MariaDB's own codes. */
public enum Trouble {
    /** It did not come back in time: what was asked may be asked again. */
    LATE,
    /** It undid a change that crossed another: the same may be done again at once. */
    CROSSED,
    /** It has no room left. */
    FULL,
    /** Nothing that was foreseen. */
    OTHER;

    private static final int DEADLOCK = 1213;
    private static final int LOCK_WAIT = 1205;
    private static final int STATEMENT_TIME = 1969;
    private static final int DISK_FULL = 1021;
    private static final int TABLE_FULL = 1114;
    private static final int ENGINE = 1030;
    /** The system's own: no space left on device. */
    private static final String NO_SPACE = "error 28 ";

    /** What {@code e} came of. */
    public static Trouble of(DataAccessException e) {
        if (!(e.getRootCause() instanceof SQLException s)) {
            return OTHER;
        }
        return switch (s.getErrorCode()) {
            case DEADLOCK -> CROSSED;
            case LOCK_WAIT, STATEMENT_TIME -> LATE;
            case DISK_FULL, TABLE_FULL -> FULL;
            case ENGINE -> String.valueOf(s.getMessage()).contains(NO_SPACE) ? FULL : OTHER;
            default -> OTHER;
        };
    }
}
