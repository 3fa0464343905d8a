import { msg } from "../../messages/messages";
import { Download } from "lucide-react";
import { useId } from "react";
import type { Api } from "../../api/client";
import { Hatches } from "../../marks/hatch";
import { usePreferences } from "../../shell/preferences";
import { length } from "../../units/units";
import { Head } from "../sheet";

const FILES = [
  { of: "pdf?paper=A4", word: "PDF, A4" },
  { of: "pdf?paper=LETTER", word: msg("PDF, Letter") },
  { of: "svg", word: "SVG" },
  { of: "dxf", word: "DXF" },
] as const;

/** What is cut to shape, with its templates 1:1. */
export function PiecesPanel({
  pieces,
  repair,
  saved,
}: {
  pieces: readonly Api["Piece"][];
  repair: number;
  saved: boolean;
}) {
  const id = useId();
  const { system } = usePreferences();
  return (
    <section>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <Head title={msg("Cutting templates, 1:1")}>
        {pieces.length === 0 ? "" : msg("millimetres, with a rule to check the print by")}
      </Head>
      {pieces.length === 0 ? (
        <p className="px-4 py-3">{msg("This plan cuts nothing to shape.")}</p>
      ) : (
        <>
          <div className="flex flex-wrap gap-2 px-4 py-3">
            {FILES.map((f) => (
              <a
                key={f.of}
                className={`btn ${saved ? "" : "pointer-events-none opacity-50"}`}
                aria-disabled={!saved}
                href={`/api/repairs/${repair}/templates.${f.of}`}
                download
              >
                <Download size={20} aria-hidden="true" /> {f.word}
              </a>
            ))}
          </div>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))]">
            {pieces.map((p) => (
              <li key={p.id} className="border-b border-hair px-4 py-3">
                <svg viewBox={`-2 -2 ${p.widthMm + 4} ${p.heightMm + 4}`} className="h-28 w-full" aria-hidden="true">
                  <path
                    transform={`translate(0 ${p.heightMm}) scale(1 -1)`}
                    d={p.rings
                      .map((r) => {
                        let d = "";
                        for (let i = 0; i + 1 < r.xy.length; i += 2)
                          d += `${i === 0 ? "M" : "L"}${r.xy[i]} ${r.xy[i + 1]}`;
                        return `${d}Z`;
                      })
                      .join("")}
                    fill={`url(#${id}-cloth)`}
                    fillRule="evenodd"
                    stroke="var(--ink)"
                    strokeWidth="1.5"
                    vectorEffect="non-scaling-stroke"
                  />
                </svg>
                <div className="hd">{p.label}</div>
                <div className="n font-semibold">
                  {length(p.widthMm, system)} × {length(p.heightMm, system)}
                </div>
                <div className="lab">
                  {p.side === "BACK"
                    ? msg("{n, plural, one {one} other {#}} from {material}, as it lies on the back", {
                        n: p.count,
                        material: p.material,
                      })
                    : msg("{n, plural, one {one} other {#}} from {material}", { n: p.count, material: p.material })}
                </div>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
