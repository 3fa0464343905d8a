package vanemend.app.device;

import vanemend.core.trade.Measured;

/** One measured value, in the unit of what was measured. */
public record ShownFigure(Measured measured, double value) {}
