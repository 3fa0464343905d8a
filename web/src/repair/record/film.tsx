import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { useSize } from "../../marks/use-size";
import { usePreferences } from "../../shell/preferences";
import { amountOf } from "../../units/units";
import { RULE } from "../drawing/edge-rules";
import { FilmPicture, fieldOf } from "../run/film-picture";
import { FilmWarnings } from "../run/film-warnings";

const HEIGHT = 320;

/** What lies where on the part, round by round. */
export function Film({ film, drawing }: { film: Api["FilmMap"]; drawing: Api["Drawing"] }) {
  const [ref, { width }] = useSize("film");
  const { system } = usePreferences();
  const p = fieldOf(drawing, film, undefined, {
    left: RULE,
    top: RULE,
    width: Math.max(40, width - RULE),
    height: HEIGHT - RULE,
  });
  return (
    <section className="keep">
      <h3 className="hd mt-5">{msg("What lies where")}</h3>
      <p className="py-1">
        {film.thickest
          ? msg(
              "Reckoned from what was measured, spread and found low; the larger the grain, the thicker. At its thickest {mm}.",
              {
                mm: amountOf(film.thickest.mm, "mm", system),
              },
            )
          : msg("Nothing lies in it yet.")}
      </p>
      <div ref={ref} className="firm w-full overflow-hidden" style={{ height: HEIGHT + 2 }}>
        {width > 0 && (
          <FilmPicture {...{ drawing, film, p }} zone={undefined} spots={film.spots} width={width} height={HEIGHT} />
        )}
      </div>
      <FilmWarnings warnings={film.warnings} />
      {film.rounds.length > 0 && (
        <table className="folds mt-2 w-full text-left">
          <thead>
            <tr className="lab firm-b">
              <th className="py-1 pr-3">{msg("Round")}</th>
              <th className="pr-3">{msg("Asked for by")}</th>
              <th className="pr-3">{msg("Found")}</th>
              <th className="pr-3 text-right">{msg("Spots drawn")}</th>
              <th className="pr-3 text-right">{msg("Deepest")}</th>
              <th>{msg("Laid")}</th>
            </tr>
          </thead>
          <tbody>
            {film.rounds.map((r, i) => (
              <tr key={i} className="border-b border-hair align-top">
                <td data-label={msg("Round")} className="n py-1.5 pr-3">
                  {i + 1}
                </td>
                <td data-label={msg("Asked for by")} className="py-1.5 pr-3">
                  {r.gate}
                </td>
                <td data-label={msg("Found")} className="py-1.5 pr-3">
                  {r.answer}
                </td>
                <td data-label={msg("Spots drawn")} className="n py-1.5 pr-3 text-right">
                  {r.spots === 0 ? msg("none") : r.spots}
                </td>
                <td data-label={msg("Deepest")} className="n py-1.5 pr-3 text-right">
                  {r.deepestMm === undefined ? msg("not drawn") : amountOf(r.deepestMm, "mm", system)}
                </td>
                <td data-label={msg("Laid")} className="n py-1.5">
                  {r.laid}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
