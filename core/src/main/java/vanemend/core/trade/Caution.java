package vanemend.core.trade;

import java.util.List;

/**
 * A short warning that stands at a step before it starts.
 *
 * @param id name code asks by
 * @param text what can hurt, and what to do
 * @param wear protective equipment
 */
public record Caution(String id, String text, List<String> wear) {}
