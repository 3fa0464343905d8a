/** Surfacer and filling primer over any method that hands over for primer: sprayed, cured, blocked, handed over for paint. */
package vanemend.core.method.surface;
