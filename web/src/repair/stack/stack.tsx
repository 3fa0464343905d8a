import { msg } from "../../messages/messages";
import { ChevronDown, Pin, X } from "lucide-react";
import { useId } from "react";
import type { Api } from "../../api/client";
import { grainOf, Hatches, type HatchName, Swatch } from "../../marks/hatch";
import { useRules, useWholeStack } from "../../api/queries";
import { useRoleWord } from "./roles";
import { litByLayer, useLit } from "../drawing/lit";
import { Schools } from "../schools";
import { Head } from "../sheet";
import { turned } from "../turned";
import type { DraftOnScreen } from "../use-draft";
import { NotYet } from "../verdict/verdict";

type Line = Api["StackLine"];
type Role = Line["role"];

const LAYER: Partial<Record<Role, string>> = { FILL: "filler", FINISH: "putty", PRIME: "coats-kept", PINHOLE: "putty" };

/** Station 4: what will be used, from the shelf; and what is ruled out, and why. */
export function StackStation({
  on,
  workup,
  frozen,
  site,
}: {
  on: DraftOnScreen;
  workup: Api["Workup"] | undefined;
  frozen: boolean;
  /** Place of the site that is looked at; none where the part has one. */
  site?: number;
}) {
  const roleWord = useRoleWord();
  const id = useId();
  const told = useWholeStack(on.draft, !frozen).data;
  const whole = site === undefined ? told?.stack : told?.sites[site];
  if (!workup) return <NotYet what={msg("a stack")} />;
  const { lines, fillNote, papers, taken } = workup.stack;
  // What is computed while typing says which stack; why, and why not the others, comes a moment later.
  const { ranked, ruledOut, rejectedWays, rejectedClasses } = frozen ? workup.stack : (whole ?? workup.stack);
  const take = (recipe: string) =>
    on.change((d) => {
      // What was taken for another site stays.
      const others = [d.recipe, ...(d.ways ?? [])].filter(
        (w): w is string => w !== undefined && site !== undefined && !ranked.some((r) => r.recipe === w),
      );
      const [first, ...ways] = recipe === ranked[0]?.recipe ? others : [...others, recipe];
      return { ...d, recipe: first, ways };
    });
  const pin = (role: Role, item: string | undefined) =>
    on.change((d) => ({ ...d, pins: turned(d.pins as Partial<Record<Role, string>>, role, item) }));
  const schools = <Schools on={on} station="stack" frozen={frozen} />;
  return (
    <>
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <Head title={msg("Ways to mend")}>
        {(frozen || whole) && ranked.length > 1 ? msg("{ranked}, best first", { ranked: ranked.length }) : ""}
      </Head>
      {ranked.map((r, i) => (
        <RankedRow key={r.recipe} stack={r} place={i + 1} taken={r.recipe === taken} frozen={frozen} take={take} />
      ))}
      <Head title={msg("Stack")}>{msg("from the shelf")}</Head>
      <p className="firm-b px-4 py-2.5 font-bold">{fillNote}</p>
      {/* What was chosen may be why there is no way: it stands where it can be chosen otherwise. */}
      {taken === "" && schools}
      {lines.map((l) => (
        <StackRow key={l.role} line={l} id={id} frozen={frozen} pin={pin} />
      ))}
      <div className={`border-b border-hair px-4 py-3 ${taken === "" ? "hidden" : ""}`}>
        <div className="lab">{msg("Papers that may be used")}</div>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {papers.map((p) => (
            <span key={p.id} className="firm n flex h-8 items-center gap-1.5 px-1.5 text-14 font-semibold">
              <Swatch id={id} hatch={grainOf(String(p.grade ?? ""))} size={16} />
              {p.grading}
              {p.grading === "P" ? "" : " "}
              {p.grade}
            </span>
          ))}
          {papers.length === 0 && <span className="font-bold text-oxide-text">{msg("none on the shelf")}</span>}
        </div>
      </div>
      <Head title={msg("Ruled out")}>{frozen || whole ? ruledOut.length : ""}</Head>
      <RuledOut items={ruledOut.slice(0, SHOWN_AT_ONCE)} roleWord={roleWord} />
      {ruledOut.length > SHOWN_AT_ONCE && (
        <details>
          <summary className="firm-b bg-ground flex min-h-14 cursor-pointer items-center px-4 underline">
            {msg("{ruledOut} more ruled out", { ruledOut: ruledOut.length - SHOWN_AT_ONCE })}
          </summary>
          <RuledOut items={ruledOut.slice(SHOWN_AT_ONCE)} roleWord={roleWord} />
        </details>
      )}
      <Rejected title={msg("Ways not for this")} rows={rejectedWays} />
      <Rejected title={msg("Classes not for this")} rows={rejectedClasses} />
      {taken !== "" && schools}
    </>
  );
}

/** One way to mend with its score, opened to show what makes it. */
function RankedRow({
  stack: r,
  place,
  taken,
  frozen,
  take,
}: {
  stack: Api["RankedStack"];
  place: number;
  taken: boolean;
  frozen: boolean;
  take: (recipe: string) => void;
}) {
  return (
    <details className={`border-b border-hair ${taken ? "bg-ground" : ""}`}>
      <summary className="flex min-h-14 cursor-pointer items-center gap-3 px-4 py-2">
        <span
          className={`firm n grid size-8 shrink-0 place-items-center font-semibold ${taken ? "bg-ink text-sheet" : ""}`}
        >
          {place}
        </span>
        <span className="min-w-0 flex-1">
          <span className="hd block">{r.name}</span>
          <span className="lab block">
            {r.title}
            {taken ? msg(", taken") : ""}
          </span>
          {r.missing.length > 0 && (
            <span className="block font-bold text-oxide-text">
              {r.missing.length === 1
                ? msg("one thing is missing")
                : msg("{missing} things are missing", { missing: r.missing.length })}
            </span>
          )}
        </span>
        <svg
          width="44"
          height="14"
          role="img"
          className="shrink-0"
          aria-label={msg("score {score} of 100; what makes it stands inside", { score: Math.round(r.score * 100) })}
        >
          <rect x="0.75" y="0.75" width="42.5" height="12.5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
          <rect x="1" y="1" width={42 * Math.min(1, Math.max(0, r.score))} height="12" fill="var(--ink)" />
        </svg>
        <ChevronDown size={18} aria-hidden="true" className="shrink-0" />
      </summary>
      <div className="flex flex-col gap-2 px-4 pb-3">
        {!taken && !frozen && (
          <button type="button" className="btn go" onClick={() => take(r.recipe)}>
            {msg("Take this one")}
          </button>
        )}
        {r.missing.map((m) => (
          <p key={m} className="font-bold text-oxide-text">
            {m}
          </p>
        ))}
        {r.wins.map((w) => (
          <p key={w}>
            <b>{msg("Wins on")}</b> {w}
          </p>
        ))}
        {r.losses.map((w) => (
          <p key={w}>
            <b>{msg("Loses on")}</b> {w}
          </p>
        ))}
        <table className="w-full text-left">
          <caption className="lab text-left">
            {msg("Score: each term times its weight, of 100; recalled, verify")}
          </caption>
          <tbody>
            {r.terms.map((t) => (
              <tr key={t.id} className="border-t border-hair">
                <th scope="row" className="py-1 pr-2 text-16 font-semibold">
                  {t.word}
                  <span className="lab block">{t.said}</span>
                </th>
                <td className="n text-right font-semibold whitespace-nowrap">
                  {msg("{value} of {weight}", {
                    value: Math.round(t.value * t.weight * 100),
                    weight: Math.round(t.weight * 100),
                  })}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {r.schools.map((s) => (
          <p key={s.school.school} className="lab">
            {s.school.question}: {s.school.label}
            {s.house ? msg(", the house's own") : msg(", another school")}
          </p>
        ))}
      </div>
    </details>
  );
}

/** As many as one reads before one looks elsewhere. */
const SHOWN_AT_ONCE = 4;

function RuledOut({ items, roleWord }: { items: readonly Api["RuledOut"][]; roleWord: (role: Role) => string }) {
  return (
    <ul>
      {items.map((r) => (
        <li key={r.itemId} title={r.rule} className="flex gap-3 border-b border-hair px-4 py-2.5">
          <X className="text-oxide mt-0.5 shrink-0" size={20} aria-hidden="true" />
          <div>
            <div className="hd">{r.name}</div>
            <div className="lab">{msg("{role}, lot {lot}", { role: roleWord(r.role), lot: r.lot })}</div>
            <div>{r.reason}</div>
          </div>
        </li>
      ))}
    </ul>
  );
}

function Rejected({ title, rows }: { title: string; rows: readonly Api["RuledOutWay"][] }) {
  if (rows.length === 0) return null;
  return (
    <details>
      <summary className="firm-b bg-ground hd flex min-h-14 cursor-pointer items-center px-4">
        {title}: {rows.length}
      </summary>
      <ul>
        {rows.map((r) => (
          <li key={r.id} className="border-b border-hair px-4 py-2">
            <div className="hd">{r.name}</div>
            <div className="first-letter:uppercase">{r.reason}.</div>
            <div className="lab">{r.rule}</div>
          </li>
        ))}
      </ul>
    </details>
  );
}

function StackRow({
  line,
  id,
  frozen,
  pin,
}: {
  line: Line;
  id: string;
  frozen: boolean;
  pin: (role: Role, item: string | undefined) => void;
}) {
  const roleWord = useRoleWord();
  const { lit, light } = useLit();
  const layer = LAYER[line.role];
  const classes = useRules().data?.classes;
  const known = classes?.find((c) => c.id === line.chosen?.item.classId)?.hatch;
  const hatch = (known === "grain" || known === undefined ? "clean" : known) as HatchName;
  const on = layer !== undefined && lit.layer === layer;
  return (
    <details
      className={`border-b border-hair ${on ? "outline-violet outline-3 -outline-offset-3" : ""}`}
      onPointerEnter={() => light(layer ? litByLayer(layer) : {})}
      onPointerLeave={() => light({})}
    >
      <summary className="flex min-h-14 cursor-pointer items-center gap-3 px-4 py-2">
        <Swatch id={id} hatch={hatch} size={24} />
        <span className="min-w-0 flex-1">
          <span className="lab flex items-center gap-1">
            {roleWord(line.role)}
            {line.pinned && <Pin size={14} aria-label={msg("pinned")} />}
          </span>
          {line.chosen ? (
            <>
              <span className="hd block">{line.chosen.item.name}</span>
              <span className="lab block">
                {msg("lot {lot}; {why}", { lot: line.chosen.item.lot, why: line.chosen.why })}
              </span>
            </>
          ) : (
            <span className="block font-bold text-oxide-text">{line.missing}</span>
          )}
        </span>
        <ChevronDown size={18} aria-hidden="true" className="shrink-0" />
      </summary>
      <div className="flex flex-col gap-1 px-4 pb-3">
        {line.candidates.map((c) => {
          const chosen = c.item.id === line.chosen?.item.id;
          return (
            <button
              key={c.item.id}
              type="button"
              disabled={frozen}
              aria-pressed={chosen}
              className={`firm min-h-14 px-3 py-1 text-left ${chosen ? "bg-ink text-sheet" : ""}`}
              onClick={() => pin(line.role, chosen && line.pinned ? undefined : c.item.id)}
            >
              <span className="hd block">{c.item.name}</span>
              <span className="text-14 block">
                {msg("lot {lot}, {why}", { lot: c.item.lot, why: c.why })}
                {c.item.workMin !== undefined && msg(", work {workMin} min by label", { workMin: c.item.workMin })}
                {chosen && line.pinned ? msg("; pinned, tap to let go") : ""}
              </span>
            </button>
          );
        })}
        {line.candidates.length === 0 && <p>{msg("Nothing else on the shelf would do.")}</p>}
      </div>
    </details>
  );
}
