import type { ReactNode } from "react";
import { type Fill, Picture } from "../marks/picture";

const SHEET = "var(--sheet)";

/** A part cut through, from its face down. */
const CUT = "M4 30H84V50H4Z";

/** What is better seen than said, cut through from the side but where it says otherwise. */
const PICTURES: Record<string, (fill: Fill) => ReactNode> = {
  dish: (fill) => (
    <>
      <path d="M4 24H14Q30 26 38 42H50Q58 26 74 24H84V52H4Z" fill={fill("part")} />
      <path d="M44 42V52" strokeWidth="2.6" />
      <path d="M14 16H74M14 12v8M74 12v8" strokeWidth="1.2" />
    </>
  ),
  "feather-edge": (fill) => (
    <>
      <path d="M4 38H84V54H4Z" fill={fill("part")} />
      <path d="M4 30H62L74 38H4Z" fill={fill("coat")} />
      <path d="M4 24H46L58 30H4Z" fill={fill("paint")} />
      <path d="M4 18H32L44 24H4Z" fill={SHEET} />
    </>
  ),
  "stop-hole": () => (
    <>
      <path d="M6 8H82V52H6Z" fill={SHEET} />
      <path d="M6 34L20 28L30 36L42 27L56 30" strokeWidth="2.4" />
      <circle cx="62" cy="30" r="6" fill={SHEET} strokeWidth="2.4" />
    </>
  ),
  proud: (fill) => (
    <>
      <path d="M4 34H22Q30 46 44 46Q58 46 66 34H84V54H4Z" fill={fill("part")} />
      <path d="M22 34Q30 22 44 22Q58 22 66 34Q58 46 44 46Q30 46 22 34Z" fill={fill("fill")} />
      <path d="M4 34H84" strokeDasharray="3 3" strokeWidth="1.2" />
    </>
  ),
  "low-spot": (fill) => (
    <>
      <path d="M4 30H28Q36 38 44 38Q52 38 60 30H84V52H4Z" fill={fill("fill")} />
      <path d="M28 30Q36 38 44 38Q52 38 60 30L56 29Q50 34 44 34Q38 34 32 29Z" fill={fill("guide")} />
      <path d="M8 22H80V28H8Z" fill={SHEET} />
    </>
  ),
  "high-spot": (fill) => (
    <>
      <path d="M4 36H28Q36 28 44 28Q52 28 60 36H84V54H4Z" fill={fill("part")} />
      <path d="M4 36H28Q32 32 36 30L4 20ZM84 36H60Q56 32 52 30L84 20Z" fill={fill("fill")} />
    </>
  ),
  crown: (fill) => (
    <>
      <path d="M4 40Q44 14 84 40V48Q44 22 4 48Z" fill={fill("part")} />
      <path d="M4 40H84" strokeDasharray="3 3" strokeWidth="1.2" />
    </>
  ),
  section: (fill) => (
    <>
      <path d="M4 40H84V54H4Z" fill={fill("part")} />
      <path d="M4 32H84V40H4Z" fill={fill("coat")} />
      <path d="M4 24H84V32H4Z" fill={fill("paint")} />
      <path d="M4 18H84V24H4Z" fill={SHEET} />
    </>
  ),
  bevel: (fill) => (
    <>
      <path d="M4 26H24L40 48H4Z" fill={fill("part")} />
      <path d="M84 26H64L48 48H84Z" fill={fill("part")} />
    </>
  ),
  "bond-line": (fill) => (
    <>
      <path d="M4 14H84V28H4Z" fill={fill("part")} />
      <path d="M4 28H84V34H4Z" fill={fill("resin")} />
      <path d="M4 34H84V48H4Z" fill={fill("backing")} />
    </>
  ),
  divot: (fill) => <path d="M4 28H36L40 40L48 37L52 28H84V52H4Z" fill={fill("part")} />,
  "guide-coat": (fill) => (
    <>
      <path d="M4 30H22Q28 36 34 30H84V52H4Z" fill={fill("fill")} />
      <path d="M22 30Q28 36 34 30L32 28H24Z" fill={fill("guide")} />
      <path d="M54 24H84V30H54Z" fill={fill("guide")} />
      <path d="M36 14H54V26H36Z" fill={SHEET} />
    </>
  ),
  straightedge: (fill) => (
    <>
      <path d="M4 34H26Q44 46 62 34H84V54H4Z" fill={fill("part")} />
      <path d="M6 22H82V33H6Z" fill={SHEET} />
      <path d="M30 28V40M44 28V42M58 28V40" strokeWidth="1.2" strokeDasharray="2 2" />
    </>
  ),
  film: (fill) => (
    <>
      <path d="M4 36H84V52H4Z" fill={fill("part")} />
      <path d="M4 28H84V36H4Z" fill={fill("paint")} />
      <path d="M90 28M14 8V26M10 22L14 26L18 22M14 54V38M10 42L14 38L18 42" strokeWidth="1.4" />
    </>
  ),
  "cheese-stage": (fill) => (
    <>
      <path d="M4 34H84V54H4Z" fill={fill("fill")} />
      <path d="M26 20H76V32H26ZM32 32l3 3M40 32l3 3M48 32l3 3M56 32l3 3M64 32l3 3" fill={SHEET} />
      <path d="M24 32Q12 30 12 22Q12 15 18 16Q23 18 20 22" strokeWidth="2.4" />
    </>
  ),
  "static-mixer": () => (
    <>
      <path d="M4 16H22V30H4ZM4 32H22V46H4ZM22 20H30V42H22Z" fill={SHEET} />
      <path d="M30 26H72L82 30L72 36H30Z" fill={SHEET} />
      <path d="M34 26L42 36L50 26L58 36L66 26M34 36L42 26L50 36L58 26L66 36" strokeWidth="1.2" />
    </>
  ),
  "tight-coat": (fill) => (
    <>
      <path
        d="M4 34L10 38L16 34L22 38L28 34L34 38L40 34L46 38L52 34L58 38L64 34L70 38L76 34L84 38V54H4Z"
        fill={fill("part")}
      />
      <path d="M4 34L10 38L16 34L22 38L28 34L34 38L40 34L46 38L52 34V32H4Z" fill={fill("fill")} />
      <path d="M52 32L58 10L63 11L56 32Z" fill={SHEET} />
    </>
  ),
  skim: (fill) => (
    <>
      <path d="M4 36H84V54H4Z" fill={fill("fill")} />
      <path d="M4 31H84V36H4Z" fill={fill("finish")} />
    </>
  ),
  pinhole: (fill) => (
    <>
      <path d={CUT} fill={fill("fill")} />
      <path d="M40 30Q38 38 44 38Q50 38 48 30" fill={SHEET} />
      <circle cx="22" cy="40" r="3" fill={SHEET} />
      <circle cx="66" cy="42" r="2.4" fill={SHEET} />
    </>
  ),
  mesh: () => (
    <>
      <path d="M14 8H74V52H14Z" fill={SHEET} />
      <path d="M24 8V52M34 8V52M44 8V52M54 8V52M64 8V52M14 16H74M14 25H74M14 34H74M14 43H74" strokeWidth="1.2" />
    </>
  ),
  ply: (fill) => (
    <>
      <path d="M4 24H84V30H4Z" fill={fill("cloth")} />
      <path d="M4 36H84V54H4Z" fill={fill("part")} />
    </>
  ),
  pyramid: (fill) => (
    <>
      <path d="M4 16H10L30 46H58L78 16H84V54H4Z" fill={fill("part")} />
      <path d="M28 38H60V46H28ZM22 30H66V38H22ZM16 22H72V30H16Z" fill={fill("cloth")} />
    </>
  ),
  backing: (fill) => (
    <>
      <path d="M4 20H34V36H4ZM54 20H84V36H54Z" fill={fill("part")} />
      <path d="M14 36H74V46H14Z" fill={fill("backing")} />
    </>
  ),
  da: () => (
    <>
      <circle cx="44" cy="30" r="22" fill={SHEET} />
      <path d="M44 14a8 8 0 1 1 -8 8a8 8 0 1 1 14 6M56 34a6 6 0 1 1 -6 6" strokeWidth="1.4" />
    </>
  ),
  "file-board": (fill) => (
    <>
      <path d="M4 36H20Q30 42 40 36H60Q70 30 84 36V54H4Z" fill={fill("fill")} />
      <path d="M6 24H82V32H6Z" fill={SHEET} />
      <path d="M14 24Q20 12 30 18L34 24M54 24Q60 12 70 18L74 24" fill={SHEET} />
    </>
  ),
  block: (fill) => (
    <>
      <path d={CUT} fill={fill("fill")} />
      <path d="M28 12H60V28H28Z" fill={SHEET} />
      <path d="M26 30V12M62 30V12" strokeWidth="1.2" />
    </>
  ),
  pit: (fill) => (
    <>
      <path d="M4 24H38L44 34L50 24H84V52H4Z" fill={fill("resin")} />
      <path d="M44 34L30 44M44 34L58 45" strokeWidth="1.4" />
    </>
  ),
  legs: () => (
    <>
      <path d="M6 6H82V54H6Z" fill={SHEET} />
      <circle cx="44" cy="30" r="3" fill="var(--ink)" />
      <path d="M44 30L24 16M44 30L66 22M44 30L50 48M44 30L30 42" />
    </>
  ),
  stem: (fill) => (
    <>
      <path d="M4 12H38V40H4ZM50 12H84V40H50Z" fill={fill("rubber")} />
      <path d="M38 12H50V46H66V52H22V46H38Z" fill={SHEET} />
    </>
  ),
  probe: (fill) => (
    <>
      <path d="M4 24H40V52H4ZM48 24H84V52H48Z" fill={fill("rubber")} />
      <path d="M46 48L40 10M34 4H46V12H34Z" strokeWidth="2" />
    </>
  ),
  "film-gauge": (fill) => (
    <>
      <path d="M4 44H84V54H4Z" fill={fill("part")} />
      <path d="M4 38H84V44H4Z" fill={fill("paint")} />
      <path d="M32 6H56V26H32ZM40 26H48V38H40ZM37 11H51V18H37Z" fill={SHEET} />
    </>
  ),
  bead: (fill) => (
    <>
      <path d={CUT} fill={fill("part")} />
      <path d="M8 30Q10 20 20 22Q28 18 36 22Q44 18 52 22L54 30Z" fill={fill("resin")} />
      <path d="M52 22L66 6L72 11L58 26" fill={SHEET} />
    </>
  ),
};

/** A term of the trade as it looks, where it can be seen. */
export function TermPicture({ id }: { id: string }) {
  const draw = PICTURES[id];
  return draw ? <Picture box="0 0 88 60" draw={draw} /> : null;
}

/** Terms that have a picture. */
export const PICTURED: ReadonlySet<string> = new Set(Object.keys(PICTURES));
