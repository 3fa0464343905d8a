package vanemend.core.day;

/**
 * What is at one part at a time, such as a lamp.
 *
 * @param id kind
 * @param count how many of it the shop has, 0 or more
 */
public record Thing(String id, int count) {}
