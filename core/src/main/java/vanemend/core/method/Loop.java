package vanemend.core.method;

import java.util.List;

/**
 * Rework that a failed gate inserts; the gate is asked again after it.
 *
 * @param id name
 * @param title as said
 * @param steps in order
 */
public record Loop(String id, String title, List<Step> steps) {}
