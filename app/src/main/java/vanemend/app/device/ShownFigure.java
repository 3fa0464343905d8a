package vanemend.app.device;

/** One measured value, in the unit of what was measured. */
public record ShownFigure(Measured measured, double value) {}
