/** Answers: what does a made-up depot look like in the middle of a day. */
package vanemend.app.demo;
