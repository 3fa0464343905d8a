import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { grams, percent } from "../../units/units";
import type { Ask } from "./asks";
import { creamFor, honest, percentOf } from "./dose";
import { BigFigure, type Figure } from "./figure";
import { dueOf, useOnScale } from "./on-scale";

const STEP_G = 0.1;
const IDLE_G = { FILLER_G: 1, CREAM_G: 0.3 };

/** What is on the scale while it is weighed, against what is asked; where no scale is heard, what is asked. A dose that does not hold is told so. */
export function MixFigure({
  figure,
  mix,
  window,
  again,
}: {
  figure: Figure;
  mix: Api["MixDone"];
  window: Api["DoseWindow"];
  again: Ask | undefined;
}) {
  const on = again === "FILLER_G" || again === "CREAM_G" ? again : dueOf(mix);
  const scale = useOnScale("FILLER_G");
  if (on === undefined) return <BigFigure figure={{ ...figure, off: !honest(mix.percent ?? 0, window) }} />;
  // A scale with nothing on it drifts by a little: until there is more, what is asked stands there.
  if (scale === undefined || scale < IDLE_G[on]) return <BigFigure figure={figure} />;
  return <BigFigure figure={weighedSoFar(on, scale, mix, window, figure.note)} />;
}

/** The scale's figure in words a hand can follow: how much more, or what is too much; what the filler is {@code asked} for stays said. */
export function weighedSoFar(
  on: "FILLER_G" | "CREAM_G",
  scaleG: number,
  mix: Api["MixDone"],
  window: Api["DoseWindow"],
  asked: string,
): Figure {
  const [value = "", unit] = grams(scaleG).split("\u202f");
  if (on === "FILLER_G") {
    const short = mix.fillerTargetG - scaleG;
    const note = `${asked}: ${short > STEP_G / 2 ? msg("{amount} more", { amount: grams(short) }) : msg("enough")}`;
    return { value, unit, note, off: short > STEP_G / 2 };
  }
  const filler = mix.fillerG ?? mix.fillerTargetG;
  const share = percentOf(filler, scaleG);
  if (honest(share, window)) return { value, unit, note: msg("cream, {share}: it holds", { share: percent(share) }) };
  const note =
    share < window.from
      ? msg("cream, {share}: {amount} more", {
          share: percent(share),
          amount: grams(Math.max(STEP_G, creamFor(filler, window.from) - scaleG)),
        })
      : msg("cream, {share}: more than {to}, take some off", { share: percent(share), to: percent(window.to) });
  return { value, unit, note, off: true };
}
