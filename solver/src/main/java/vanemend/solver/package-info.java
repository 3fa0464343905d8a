/** Looks for a better order of a day by constraint programming, in a process of its own: what is native there cannot take the bench with it. */
package vanemend.solver;
