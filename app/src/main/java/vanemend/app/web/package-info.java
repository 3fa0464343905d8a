/** Answers: what can be asked over HTTP, and in which shape. */
package vanemend.app.web;
