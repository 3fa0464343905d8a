package vanemend.core.mix;

import vanemend.core.material.ShelfItem;

/**
 * Finishing putty that filler is thinned with.
 *
 * @param material name on the shelf
 * @param itemId shelf item
 * @param lot as printed
 * @param share of both together that is putty, by weight, 0 to 1
 */
public record Thinner(String material, String itemId, String lot, double share) {
    static Thinner of(ShelfItem putty, double share) {
        return new Thinner(putty.name(), putty.id(), putty.lot(), share);
    }

    /** What of {@code bothG} is putty, g to 0.1. */
    public double of(double bothG) {
        return Math.round(bothG * share * 10) / 10.0;
    }
}
