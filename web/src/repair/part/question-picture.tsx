import type { ReactNode } from "react";
import { type Fill, Picture } from "../../marks/picture";

const SHEET = "var(--sheet)";

type Draw = (fill: Fill) => ReactNode;

const airbag: Draw = () => (
  <>
    <circle cx="26" cy="34" r="20" fill={SHEET} />
    <circle cx="26" cy="34" r="7" />
    <path d="M6 34H19M33 34H46M26 41V54" />
    <path d="M52 34Q52 14 68 14Q84 14 84 32Q84 52 66 52Q54 50 52 34Z" fill={SHEET} strokeDasharray="4 3" />
  </>
);
const sensor: Draw = () => (
  <>
    <path d="M6 22H22V40H6Z" fill={SHEET} />
    <path d="M22 31L82 10V52Z" fill="none" strokeDasharray="4 3" />
    <path d="M36 26Q40 31 36 36M50 21Q57 31 50 41M64 16Q74 31 64 46" />
  </>
);
const voltage: Draw = () => (
  <>
    <path d="M10 18H66V46H10Z M66 26H74V38H66" fill={SHEET} />
    <path d="M42 8L28 33H40L34 56L56 27H43L50 8Z" fill={SHEET} strokeWidth="2.2" />
  </>
);
const fuel: Draw = () => (
  <>
    <path d="M10 20Q10 12 20 12H58V50H20Q10 50 10 42Z" fill={SHEET} />
    <path d="M22 12V50M46 12V50M58 18Q72 16 72 30V40" />
    <path d="M72 42Q64 52 72 56Q80 52 72 42Z" fill={SHEET} />
  </>
);
const oldPaint: Draw = (fill) => (
  <>
    <path d="M4 40H84V54H4Z" fill={fill("part")} />
    <path d="M4 32H30L34 40H4ZM52 40L48 32H84V40Z" fill={fill("paint")} />
    <path d="M34 30L42 18L50 26L40 34Z" fill={fill("paint")} />
    <path d="M58 8v10M58 23v2" strokeWidth="3" />
  </>
);
const cameBack: Draw = (fill) => (
  <>
    <path d="M4 30H20Q30 44 44 44Q58 44 68 30H84V54H4Z" fill={fill("part")} />
    <path d="M20 30Q30 44 44 44Q58 44 68 30Z" fill={fill("fill")} />
    <path d="M40 30L46 36L42 40L48 44" strokeWidth="2.2" />
    <path d="M64 16A22 14 0 0 0 24 18M24 8V18H34" />
  </>
);
const structure: Draw = (fill) => (
  <>
    <path d="M6 12H82V22H6ZM6 42H82V52H6Z" fill={fill("part")} />
    <path d="M16 22V42M34 22V42M52 22V42M70 22V42" strokeWidth="3" />
  </>
);
const heat: Draw = (fill) => (
  <>
    <path d="M4 44H84V54H4Z" fill={fill("part")} />
    <path d="M44 6Q30 22 36 32Q40 40 44 40Q54 38 52 26Q50 20 46 18Q48 12 44 6Z" fill={SHEET} />
    <path d="M16 40Q12 34 16 28Q20 22 16 16M72 40Q68 34 72 28Q76 22 72 16" />
  </>
);
const torn: Draw = (fill) => (
  <>
    <path d="M4 28H34L42 40L38 52H4ZM84 28H50L46 36L52 52H84Z" fill={fill("part")} />
    <path d="M34 28L30 18M50 28L56 16" />
  </>
);
const seam: Draw = (fill) => (
  <>
    <path d="M4 20H56V30H4ZM32 30H84V40H32Z" fill={fill("part")} />
    <path d="M38 16V44M50 16V44" strokeWidth="2.4" />
    <circle cx="22" cy="25" r="7" fill={SHEET} />
  </>
);
const rust: Draw = (fill) => (
  <>
    <path d="M6 8H82V52H6Z" fill={SHEET} />
    <path d="M24 34Q22 20 40 18Q60 16 64 30Q66 44 48 44Q28 46 24 34Z" fill={fill("grain80")} />
    <circle cx="44" cy="31" r="5" fill={SHEET} />
  </>
);
const scriber: Draw = (fill) => (
  <>
    <path d="M4 34H38V44H4ZM50 34H84V44H50Z" fill={fill("part")} />
    <path d="M44 56V22M40 22V6H48V22Z" fill={SHEET} strokeWidth="2" />
  </>
);
const absorber: Draw = (fill) => (
  <>
    <path d="M10 8Q26 30 10 54H20Q36 30 20 8Z" fill={SHEET} />
    <path d="M26 14H58V48H26Q34 30 26 14Z" fill={fill("cloth")} />
    <path d="M58 10H70V52H58Z" fill={fill("part")} />
  </>
);
const lens: Draw = () => (
  <>
    <path d="M10 30Q26 8 64 12Q82 16 80 34Q72 50 40 50Q14 48 10 30Z" fill={SHEET} />
    <circle cx="48" cy="30" r="12" />
    <circle cx="48" cy="30" r="5" />
  </>
);
const tab: Draw = (fill) => (
  <>
    <path d="M4 34H84V52H4Z" fill={fill("part")} />
    <path d="M30 34V12H54V34" fill={SHEET} />
    <circle cx="42" cy="20" r="4" />
    <path d="M28 32L36 28L44 33L56 27" strokeWidth="2.4" />
  </>
);
const aged: Draw = () => (
  <>
    <path d="M6 8H82V52H6Z" fill={SHEET} />
    <path d="M6 20L24 26L30 16L44 24L58 14L82 22M24 26L22 52M44 24L50 40L44 52M50 40L82 44" strokeWidth="1.4" />
  </>
);
const layers: Draw = (fill) => (
  <>
    <path
      d="M4 16H84V24H4ZM4 24H30Q44 34 58 24H84V32H58Q44 42 30 32H4ZM4 32H30Q44 42 58 32H84V44H4Z"
      fill={fill("cloth")}
    />
  </>
);
const core: Draw = (fill) => (
  <>
    <path d="M4 12H84V20H4ZM4 42H84V50H4Z" fill={fill("cloth")} />
    <path d="M4 20L14 42L24 20L34 42L44 20L54 42L64 20L74 42L84 20" />
  </>
);
const drops: Draw = (fill) => (
  <>
    <path d="M4 38H84V52H4Z" fill={fill("cloth")} />
    <path
      d="M24 12Q14 26 24 32Q34 26 24 12ZM48 16Q40 28 48 33Q56 28 48 16ZM68 12Q58 26 68 32Q78 26 68 12Z"
      fill={SHEET}
    />
  </>
);
const pane: Draw = (fill) => (
  <>
    <path d="M4 14H84V26H4ZM4 32H84V44H4Z" fill={fill("resin")} />
    <path d="M36 14L44 26L50 14M40 32L46 44L54 32" strokeWidth="2.2" />
  </>
);
const dirtyBreak: Draw = (fill) => (
  <>
    <path d="M4 22H36L44 34L52 22H84V50H4Z" fill={fill("resin")} />
    <path d="M36 22L44 34L52 22Z" fill={fill("grain80")} />
  </>
);
const tyreCut: Draw = (fill) => (
  <>
    <path d="M8 54V30Q8 8 44 8Q80 8 80 30V54H66V34Q66 22 44 22Q22 22 22 34V54Z" fill={fill("rubber")} />
    <path d="M30 8V14M44 8V14M58 8V14" strokeWidth="2.6" />
  </>
);
const tyreHurt: Draw = (fill) => (
  <>
    {tyreCut(fill)}
    <path d="M70 24L84 16M72 34L86 34" strokeWidth="2.4" />
  </>
);
const tyrePlug: Draw = (fill) => (
  <>
    {tyreCut(fill)}
    <path d="M40 4H48V26H56V30H32V26H40Z" fill={SHEET} />
  </>
);
const wheel: Draw = (fill) => (
  <>
    <circle cx="44" cy="30" r="26" fill={fill("rubber")} />
    <circle cx="44" cy="30" r="16" fill={SHEET} />
    <path d="M44 14V46M28 30H60M33 19L55 41M55 19L33 41" />
  </>
);
const film: Draw = (fill) => (
  <>
    <path d="M4 40H84V54H4Z" fill={fill("part")} />
    <path d="M4 30H24Q30 20 36 30H50L54 36L58 30H84V40H4Z" fill={fill("paint")} />
  </>
);

/** What each question is about, by its rule. */
const PICTURES: Record<string, Draw> = {
  "any-safety-part": airbag,
  "any-sensor-field": sensor,
  "any-high-voltage": voltage,
  "any-fuel-pressure": fuel,
  "any-old-coatings": oldPaint,
  "any-came-back": cameBack,
  "glass-inner-ply": pane,
  "glass-interlayer": pane,
  "glass-dirty": dirtyBreak,
  "glass-wet": drops,
  "glass-sensor": sensor,
  "tyre-on-rim": wheel,
  "tyre-grooves": tyreCut,
  "tyre-separation": tyreHurt,
  "tyre-ran-soft": tyreHurt,
  "tyre-bead": tyreHurt,
  "tyre-overlap": tyrePlug,
  "tyre-second": tyrePlug,
  "tyre-old-plug": tyrePlug,
  "tyre-run-flat": wheel,
  "tyre-sealant": drops,
  "metal-structure": structure,
  "metal-heat": heat,
  "metal-hole-seam": seam,
  "metal-bonded": seam,
  "metal-seam-open": torn,
  "metal-seam-load": seam,
  "plastic-weld": torn,
  "metal-thin": rust,
  "metal-pits-open": scriber,
  "metal-torn": torn,
  "metal-live-rust": rust,
  "plastic-tank": fuel,
  "plastic-absorber": absorber,
  "plastic-engine": heat,
  "plastic-lens": lens,
  "plastic-tab-load": tab,
  "plastic-tab": tab,
  "plastic-age": aged,
  "composite-structure": structure,
  "composite-carbon-crash": structure,
  "composite-gelcoat-star": torn,
  "composite-hairline-hidden": aged,
  "composite-hairline-grew": cameBack,
  "composite-delamination": layers,
  "composite-delamination-near": layers,
  "composite-core": core,
  "composite-oily": drops,
  "composite-wet": drops,
  "film-uncured": heat,
  "film-broken": film,
};

/** Rules that have a picture. */
export const PICTURED: ReadonlySet<string> = new Set(Object.keys(PICTURES));

/** What a question is about, seen. */
export function QuestionPicture({ rule }: { rule: string }) {
  const draw = PICTURES[rule];
  return draw ? <Picture box="0 0 88 60" draw={draw} /> : null;
}
