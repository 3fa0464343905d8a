package vanemend.core.section;

import java.util.List;

/**
 * The stack in the cut A–A, level across the part.
 *
 * @param cutYMm height of the cut above the part's lower edge, mm
 * @param fromXMm left end, mm
 * @param toXMm right end, mm
 * @param lowestMm lowest z drawn, mm
 * @param highestMm highest z drawn, mm
 * @param layers bottom to top; no overlap, no gap
 * @param proud top of the filler as spread, before it is sanded level: x and z in turn, mm
 * @param proudMm how far it stands proud at most, mm
 */
public record Section(
        double cutYMm,
        double fromXMm,
        double toXMm,
        double lowestMm,
        double highestMm,
        List<Layer> layers,
        List<Double> proud,
        double proudMm) {}
