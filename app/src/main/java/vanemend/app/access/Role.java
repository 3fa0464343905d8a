package vanemend.app.access;

/** What somebody is in the shop; {@link Right} says what each may do. */
public enum Role {
    TECHNICIAN,
    LEAD,
    APPRENTICE,
    /** A shared screen on the wall: it shows, and changes nothing. */
    SCREEN;

    /** Whether their hands are planned and work on parts. */
    public boolean works() {
        return this == TECHNICIAN || this == APPRENTICE;
    }
}
