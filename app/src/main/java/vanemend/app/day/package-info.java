/** Answers: which order of the day stands, and is there a better one. */
package vanemend.app.day;
