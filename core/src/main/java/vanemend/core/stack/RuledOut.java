package vanemend.core.stack;

import vanemend.core.material.MaterialClass;

/**
 * An item that must not be used here.
 *
 * @param itemId shelf item
 * @param name as on the shelf
 * @param lot as printed
 * @param role what it would have done
 * @param reason in one sentence
 * @param rule id of the rule that rules it out
 */
public record RuledOut(String itemId, String name, String lot, MaterialClass.Role role, String reason, String rule) {}
