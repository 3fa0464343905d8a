package vanemend.app.access;

/**
 * A person who can sign in.
 *
 * @param id sign-in name
 * @param name as shown
 * @param role what they may do
 */
public record Account(String id, String name, Role role) {}
