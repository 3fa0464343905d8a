package vanemend.app.device;

import java.util.List;
import vanemend.core.trade.Measured;

/** A paint-film gauge: each touch of the probe gives one figure, held until the next; every place reads a little otherwise. */
public final class FilmGauge extends HeldGauge {
    /** Over {@code filmUm} of film. */
    public FilmGauge(long seed, double filmUm) {
        super(seed);
        knob("film", "Film there", "µm", 0, 2000, filmUm);
        knob("scatter", "Scatter", "µm", 0, 50, 2);
        press("touch", "Touch the probe down");
    }

    @Override
    public Kind kind() {
        return Kind.FILM;
    }

    @Override
    List<ShownFigure> held(long time) {
        return List.of(new ShownFigure(
                Measured.FILM_UM, Math.max(0, shown(at("film") + at("scatter") * noise("um", time), 0))));
    }
}
