package vanemend.core.stack;

/**
 * A class of material, or a whole way to mend, that is not for this part, and the rule that says so.
 *
 * @param id class or recipe
 * @param name as shown
 * @param rule id of the rule
 * @param reason in one sentence
 */
public record RuledOutWay(String id, String name, String rule, String reason) {}
