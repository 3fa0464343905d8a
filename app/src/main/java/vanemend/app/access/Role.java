package vanemend.app.access;

/** What a person may do. */
public enum Role {
    TECHNICIAN,
    LEAD,
    APPRENTICE
}
