/** Answers: what is kept, by which SQL. */
package vanemend.app.store;
