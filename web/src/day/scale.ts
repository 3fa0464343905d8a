/** Names of the lanes at the left, px. */
export const NAME_PX = 124;
/** Behind the last hour, px. */
const END_PX = 16;
/** What is over is folded: as wide however long it was, narrower only where the day would not fit beside it, px. */
const PAST_PX = { most: 148, least: 88 } as const;
/** A block of 25 minutes still has room for its number. */
const LEAST_PX_A_MINUTE = 1.2;

/** How the lanes of a day of `minutes` are drawn in `room` px; what does not fit is scrolled sideways. */
export function scale(room: number, minutes: number, isPastShown: boolean) {
  const besideHours = NAME_PX + END_PX;
  const past = isPastShown
    ? Math.min(PAST_PX.most, Math.max(PAST_PX.least, room - besideHours - LEAST_PX_A_MINUTE * minutes))
    : 0;
  const left = NAME_PX + past;
  const perMin = Math.max(LEAST_PX_A_MINUTE, (room - left - END_PX) / minutes);
  return { past, left, perMin, width: left + minutes * perMin + END_PX };
}
