package vanemend.app.access;

import static vanemend.app.access.Role.APPRENTICE;
import static vanemend.app.access.Role.LEAD;
import static vanemend.app.access.Role.SCREEN;
import static vanemend.app.access.Role.TECHNICIAN;

import java.util.EnumSet;
import java.util.Set;
import org.springframework.http.HttpStatus;
import vanemend.app.problem.Refused;

/**
 * Who may do what: the one table. What is done by somebody else, with people's safety in it, or cannot be taken back, is a lead's; what moves
 * stock or every plan of the shop is no apprentice's.
 */
public enum Right {
    READ("see everything but people and audit", SCREEN, APPRENTICE, TECHNICIAN, LEAD),
    OWN_PASSWORD("change one's own password", APPRENTICE, TECHNICIAN, LEAD),
    PLAN("add, change and plan repairs", APPRENTICE, TECHNICIAN, LEAD),
    DRAFT_AWAY("throw away a draft of one's own that has not begun", APPRENTICE, TECHNICIAN, LEAD),
    DRAFT_AWAY_OTHERS("throw away somebody else's draft", LEAD),
    DAY("say who does a repair on the day, not before when, and that it goes first", TECHNICIAN, LEAD),
    CALENDAR("have an address at which another calendar reads the day", APPRENTICE, TECHNICIAN, LEAD),
    WORK("do the work: begin it, say what was done and read, take pictures", APPRENTICE, TECHNICIAN, LEAD),
    TAKE_BACK_OTHERS("take back somebody else's reading or note, with a reason", LEAD),
    PICTURE_AWAY("take away a picture of one's own", APPRENTICE, TECHNICIAN, LEAD),
    PICTURE_AWAY_OTHERS("take away somebody else's picture", LEAD),
    SIGN("sign the work or send it back", LEAD),
    GO_AGAINST("go against a stop of care", LEAD),
    OVERRULE("set a limit of care aside", LEAD),
    SHELF_USE("receive, open and use up what stands on the shelf", APPRENTICE, TECHNICIAN, LEAD),
    SHELF_LABEL("add items, type label figures, read a shelf file in", TECHNICIAN, LEAD),
    SHELF_EXPIRY("let an item be used longer than its date said", LEAD),
    SHELF_DISCARD("throw stock away", TECHNICIAN, LEAD),
    AIR("say the shop's air", TECHNICIAN, LEAD),
    DEVICE("read a device, set it to nought, put it on a repair", APPRENTICE, TECHNICIAN, LEAD),
    DEVICE_FAULT("make a stand-in fail", LEAD),
    RULES(
            "change house rules, the house's pages, the shop's place, hours, units, lamps and ovens, measured heat",
            LEAD),
    RECORD_IN("read a record in", LEAD),
    PEOPLE("add people and give new passwords", LEAD),
    AUDIT("read the audit and how the server is", LEAD);

    private final String words;
    private final Set<Role> roles;

    Right(String words, Role first, Role... more) {
        this.words = words;
        this.roles = EnumSet.of(first, more);
    }

    /** What it lets somebody do, as the end of "may". */
    public String words() {
        return words;
    }

    /** Whether it is a lead's alone and changes something: it asks for the password again after a while. */
    boolean fresh() {
        return roles.equals(EnumSet.of(LEAD)) && this != AUDIT;
    }

    /** Whether {@code role} has it. */
    public boolean of(Role role) {
        return roles.contains(role);
    }

    /** Refuses where {@code who} has it not. */
    public void demand(Account who) {
        if (!of(who.role())) {
            throw refusal();
        }
    }

    Refused refusal() {
        return new Refused(HttpStatus.FORBIDDEN, "Not allowed", only() + " may " + words + ".");
    }

    private String only() {
        if (roles.equals(EnumSet.of(LEAD))) {
            return "Only a lead";
        }
        return roles.contains(APPRENTICE) ? "Only who works here" : "Only a technician or a lead";
    }
}
