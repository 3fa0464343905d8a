/** Answers: how is something refused. */
package vanemend.app.problem;
