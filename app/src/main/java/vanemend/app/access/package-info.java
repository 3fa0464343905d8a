/** Answers: who are you, and what may you do. */
package vanemend.app.access;
