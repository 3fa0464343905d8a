/** Answers: what happens to a repair between its draft and its record. */
package vanemend.app.bench;
