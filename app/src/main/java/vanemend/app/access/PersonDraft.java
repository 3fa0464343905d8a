package vanemend.app.access;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import vanemend.core.trade.Check;

/**
 * Somebody new as typed by a lead.
 *
 * @param id sign-in name, 1 to 40 small letters, digits, dots and dashes
 * @param name as shown, 1 to 80 characters
 * @param role what they may do
 * @param password 12 characters or more, none that is easily guessed, 72 bytes at most
 */
record PersonDraft(String id, String name, Role role, String password) {
    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9.-]{0,39}");
    private static final int NAME = 80;
    private static final int SHORTEST = 12;
    /** Of 0 to 4: from a hundred million guesses on. */
    private static final int HARD = 3;

    private static final Zxcvbn GUESSES = new Zxcvbn();
    /** What the hash takes in; it would not look at more. */
    static final int MOST_BYTES = 72;

    /** The account, problems left in {@code check}. */
    Account check(Check check) {
        String typed = id == null ? "" : id.strip().toLowerCase(Locale.ROOT);
        if (!ID.matcher(typed).matches()) {
            check.refuse(
                    "person.id",
                    typed,
                    "1 to 40 small letters, digits, dots or dashes",
                    "The sign-in name takes 1 to 40 small letters, digits, dots and dashes, such as tam or j.abara.");
        }
        String shown = check.text("person.name", "Name", name, NAME);
        Role may = check.choice("person.role", "Role", role, Role.APPRENTICE);
        password(check, password, typed, shown, "vane", "mend");
        return new Account(typed, shown, may);
    }

    /**
     * Problems of a password left in {@code check}; what was typed is not repeated. Length and no common ones, as NIST SP 800-63B 5.1.1.2 has it:
     * neither signs nor capitals are asked for.
     *
     * @param own words that somebody who knows the person would try first
     */
    static void password(Check check, String password, String... own) {
        String typed = password == null ? "" : password;
        int bytes = typed.getBytes(StandardCharsets.UTF_8).length;
        if (typed.length() < SHORTEST || bytes > MOST_BYTES) {
            check.refuse(
                    "person.password",
                    typed.length() + " characters",
                    SHORTEST + " to " + MOST_BYTES + " characters",
                    "A password has " + SHORTEST + " characters or more, " + MOST_BYTES
                            + " at most. A few words that do not belong together are easy to keep.");
        } else if (GUESSES.measure(typed, List.of(own)).getScore() < HARD) {
            check.refuse(
                    "person.password",
                    "one that is easily guessed",
                    "words or signs that do not belong together",
                    "This password is guessed soon: it is a common one, or a name, a row of keys or a day, or repeats itself. Take a few words that"
                            + " do not belong together.");
        }
    }
}
