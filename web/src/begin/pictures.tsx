import type { ReactNode } from "react";
import type { Api } from "../api/client";
import { type Fill, Picture } from "../marks/picture";

type Kind = NonNullable<Api["DamageDraft"]["kind"]>;

const SHEET = "var(--sheet)";

const PARTS: Record<string, (fill: Fill) => ReactNode> = {
  door: (fill) => (
    <>
      <path d="M14 66V30L34 8H72Q80 8 81 16L84 66Z" fill={SHEET} />
      <path d="M22 32L38 13H70Q75 13 76 18L77 32Z" fill={fill("resin")} />
      <path d="M14 44H83M68 38h9" />
    </>
  ),
  wing: () => (
    <>
      <path d="M8 30Q30 14 88 12V34Q86 46 88 66H74Q72 40 48 40Q28 41 25 66H12Z" fill={SHEET} />
      <path d="M10 38Q34 24 88 24" />
      <path d="M72 62Q70 43 48 43Q31 44 28 62" strokeDasharray="4 3" />
    </>
  ),
  "bumper-cover": (fill) => (
    <>
      <path d="M6 22Q48 10 90 22L88 52Q80 62 70 62H26Q16 62 8 52Z" fill={SHEET} />
      <path d="M7 32Q48 22 89 32" />
      <path d="M28 42H68L64 54H32Z" fill={fill("backing")} />
      <path d="M13 40h9v8h-9zM74 40h9v8h-9z" />
    </>
  ),
  hatch: (fill) => (
    <>
      <path d="M20 8H76L86 40V66H10V40Z" fill={SHEET} />
      <path d="M26 13H70L77 36H19Z" fill={fill("resin")} />
      <path d="M10 44H86M34 50h28v10h-28z" />
    </>
  ),
  bonnet: () => (
    <>
      <path d="M10 60Q48 70 86 60L78 14Q48 6 18 14Z" fill={SHEET} />
      <path d="M32 60L38 13M64 60L58 13" />
    </>
  ),
  "side-panel": () => (
    <>
      <path d="M8 16H88V58H8Z" fill={SHEET} />
      <path d="M8 28H88M8 48H88" />
      <path d="M24 28V48M72 28V48" strokeDasharray="4 3" />
    </>
  ),
  "mirror-shell": (fill) => (
    <>
      <path d="M26 20Q52 8 76 20Q82 40 72 56Q48 64 28 54Q20 36 26 20Z" fill={SHEET} />
      <path d="M34 25Q52 17 69 25Q73 40 66 50Q49 55 35 49Q30 37 34 25Z" fill={fill("resin")} />
      <path d="M24 46L8 56V64H22L30 55" fill={SHEET} />
    </>
  ),
  trim: (fill) => (
    <>
      <path d="M8 26L70 14Q86 14 88 28V46Q80 56 66 56L20 60Q10 58 8 46Z" fill={SHEET} />
      <path d="M20 34h22v14h-22z" fill={fill("backing")} />
      <path d="M54 30h24M54 37h24M54 44h24" />
    </>
  ),
  tank: () => (
    <>
      <path d="M10 24Q10 14 22 14H74Q86 14 86 24V50Q86 62 74 62H22Q10 62 10 50Z" fill={SHEET} />
      <path d="M26 14V62M70 14V62M38 14V7h16v7" />
    </>
  ),
  lid: (fill) => (
    <>
      <path d="M12 18H84L88 24V58H8V24Z" fill={SHEET} />
      <path d="M20 26H76V50H20Z" fill={fill("cloth")} />
      <path d="M12 62h12M72 62h12M40 18v-6h16v6" />
    </>
  ),
  windscreen: (fill) => (
    <>
      <path d="M10 60L20 14Q48 8 76 14L86 60Q48 68 10 60Z" fill={fill("resin")} />
      <path d="M40 61L24 24M70 60L56 26" />
      <path d="M42 13h12v5h-12z" fill={SHEET} />
    </>
  ),
  tyre: (fill) => (
    <>
      <circle cx="48" cy="37" r="31" fill={fill("rubber")} />
      <circle cx="48" cy="37" r="19" fill={SHEET} />
      <circle cx="48" cy="37" r="4" />
      <path d="M48 33V19M48 41V55M44 37H30M52 37H66" />
    </>
  ),
};

const PANEL = "M14 52H74V12H14Z";

const DAMAGES: Record<Kind, (fill: Fill) => ReactNode> = {
  DENT: () => (
    <>
      <path d="M6 24H24Q32 24 36 34Q44 46 52 34Q56 24 64 24H82" strokeWidth="2.4" />
      <path d="M6 30H22Q29 30 33 38Q44 54 55 38Q59 30 66 30H82" />
      <path d="M30 12a14 6 0 1 0 28 0a14 6 0 1 0 -28 0M36 12a8 3 0 1 0 16 0a8 3 0 1 0 -16 0" />
    </>
  ),
  SCRATCH: (fill) => (
    <>
      <path d="M6 24H30L40 42L46 30L54 24H82V50H6Z" fill={fill("part")} />
      <path d="M20 10L68 14M28 16L60 18" />
    </>
  ),
  PAINT_CHIP: (fill) => (
    <>
      <path d="M6 26H34L38 36L44 32L48 38L54 26H82V50H6Z" fill={fill("paint")} />
      <path d="M6 40H82" />
      <path d="M40 8l5 -3l4 4l-3 5h-6Z" fill={SHEET} />
    </>
  ),
  GELCOAT_CHIP: (fill) => (
    <>
      <path d="M6 22H30L38 32L46 33L54 22H82V30H6Z" fill={fill("finish")} />
      <path d="M6 30H36L38 32L46 33L48 30H82V52H6Z" fill={fill("cloth")} />
      <path d="M38 10l6 -4l6 3l-2 6h-7Z" fill={fill("finish")} />
    </>
  ),
  RASH: (fill) => (
    <>
      <path d="M6 30L18 32L22 28L28 34L33 30L40 35L46 29L52 34L58 30L64 33L70 29L82 30V50H6Z" fill={fill("part")} />
      <path d="M16 18H44M26 12H64M34 23H72" />
    </>
  ),
  RUST_HOLE: (fill) => (
    <>
      <path d={PANEL} fill={SHEET} />
      <path d="M26 34Q26 22 40 22Q58 18 62 32Q64 44 50 44Q30 48 26 34Z" fill={fill("grain80")} />
      <circle cx="44" cy="33" r="7" fill={SHEET} />
      <circle cx="56" cy="30" r="2.4" fill={SHEET} />
    </>
  ),
  RUST_PITS: (fill) => (
    <>
      <path d={PANEL} fill={SHEET} />
      <path d="M26 34Q26 22 40 22Q58 18 62 32Q64 44 50 44Q30 48 26 34Z" fill={fill("grain80")} />
      <g fill="var(--ink)" stroke="none">
        <circle cx="38" cy="30" r="1.8" />
        <circle cx="46" cy="36" r="1.8" />
        <circle cx="53" cy="29" r="1.8" />
        <circle cx="40" cy="39" r="1.4" />
      </g>
    </>
  ),
  CRACK: () => (
    <>
      <path d={PANEL} fill={SHEET} />
      <path d="M18 46L30 36L28 28L46 26L52 18L72 15" strokeWidth="3" />
    </>
  ),
  HOLE: (fill) => (
    <>
      <path d={PANEL} fill={fill("part")} />
      <path d="M30 30L38 20L52 22L60 32L52 44L36 42Z" fill={SHEET} strokeWidth="2.4" />
    </>
  ),
  MISSING: (fill) => (
    <>
      <path d="M14 12H74V34L62 30L58 40L46 42L44 52H14Z" fill={fill("part")} strokeWidth="2.4" />
      <path d="M74 34V52H44" strokeDasharray="4 3" />
    </>
  ),
  TAB: (fill) => (
    <>
      <path d="M10 34H78V54H10Z" fill={fill("part")} strokeWidth="2.4" />
      <path d="M34 34V16a10 10 0 0 1 20 0V34" strokeDasharray="4 3" />
      <circle cx="44" cy="17" r="4" strokeDasharray="3 2" />
      <path d="M34 34L38 29L42 34L47 28L54 34" strokeWidth="2.4" />
    </>
  ),
  SEAM: () => (
    <>
      <path d={PANEL} fill={SHEET} />
      <path d="M14 36q4 -9 8 0t8 0t8 0t8 0t8 0t8 0t8 0t4 -3" strokeWidth="2.4" />
      <path d="M14 30H74M14 40H74" strokeDasharray="3 3" />
    </>
  ),
  HAIRLINE: (fill) => (
    <>
      <path d={PANEL} fill={fill("cloth")} />
      <path d="M20 46L34 40L40 28L54 26L70 16" stroke={SHEET} strokeWidth="6" />
      <path d="M20 46L34 40L40 28L54 26L70 16" />
    </>
  ),
  CHIP: (fill) => (
    <>
      <path d={PANEL} fill={fill("resin")} />
      <path d="M44 32L32 20M44 32L58 22M44 32L50 46M44 32L28 38M44 32L62 36" strokeWidth="2" />
      <circle cx="44" cy="32" r="6" fill="var(--ink)" />
    </>
  ),
  INJURY: (fill) => (
    <>
      <path d="M6 34H82V54H6Z" fill={fill("rubber")} />
      <path d="M38 10H50V14H38ZM42 14H46V46L44 52L42 46Z" fill={SHEET} />
    </>
  ),
  RUN: (fill) => (
    <>
      <path d="M14 12H74V52H14Z" fill={fill("coat")} />
      <path d="M28 12V34a5 6 0 0 0 10 0V12M48 12V42a6 7 0 0 0 12 0V12" fill={SHEET} strokeWidth="2.2" />
    </>
  ),
  DIVOT: (fill) => (
    <>
      <path d="M6 26H28Q34 40 44 38Q52 40 58 26H82V50H6Z" fill={fill("part")} />
      <path d="M34 16h20M38 10h12" />
    </>
  ),
  RESIDUE: (fill) => (
    <>
      <path d="M6 40H82V52H6Z" fill={fill("part")} />
      <path d="M18 40q2 -14 12 -10q6 -12 16 -4q12 -8 18 4q8 0 8 10Z" fill={fill("resin")} />
    </>
  ),
};

/** A part as it looks, by the id of what is usual of it. */
export function PartPicture({ id }: { id: string }) {
  const draw = PARTS[id];
  return draw ? <Picture box="0 0 96 72" draw={draw} /> : null;
}

/** Damage as it looks. */
export function DamagePicture({ kind }: { kind: Kind }) {
  return <Picture box="0 0 88 60" draw={DAMAGES[kind]} />;
}
