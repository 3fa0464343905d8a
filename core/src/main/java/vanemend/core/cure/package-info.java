/**
 * Answers: how long it stays workable, when it can be sanded.
 *
 * <p>In: label times, surface °C, peroxide %. Out: minutes at the temperature of the day.
 */
package vanemend.core.cure;
