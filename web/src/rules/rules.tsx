import { msg } from "../messages/messages";
import { useRules, useCatalogue } from "../api/queries";
import { useRoleWord } from "../repair/stack/roles";
import { VerdictMark } from "../repair/verdict-mark";
import { usePreferences } from "../shell/preferences";
import { quantity, said } from "../units/text";
import { useFindKey } from "../shell/use-find-key";
import { HousePages } from "./house-pages";
import { HouseRules } from "./house-rules";
import { Likelihoods } from "./likelihoods";
import { Sheet } from "./rule-sheet";
import { Table, has } from "./rule-table";
import { Try } from "./try";
import { Search } from "lucide-react";
import { Tabs } from "radix-ui";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { useTitle } from "../shell/title";
import { Skeleton } from "../shell/skeleton";

const TABS = [
  { value: "house", word: msg("House rules") },
  { value: "pages", word: msg("Own pages") },
  { value: "limits", word: msg("Limits") },
  { value: "values", word: msg("Values") },
  { value: "plastics", word: msg("Plastics") },
  { value: "classes", word: msg("Materials") },
  { value: "ways", word: msg("Ways") },
  { value: "tests", word: msg("Tests") },
  { value: "grains", word: msg("Papers") },
  { value: "try", word: msg("Try") },
] as const;

const BOUND = { MAX: "most", MIN: "least", NONE: undefined } as const;

/** The rule book: every figure with its source, and the house rules with both schools told. */
export default function Rules() {
  useTitle(msg("Rules"));
  const roleWord = useRoleWord();
  const catalogue = useCatalogue().data;
  const rules = useRules();
  const { system } = usePreferences();
  const say = (...q: Parameters<typeof quantity>) => said(quantity(...q), system);
  const [find, setFind] = useState("");
  const [params, setParams] = useSearchParams();
  const sheet = TABS.find((t) => t.value === params.get("sheet"))?.value ?? "house";
  const search = useFindKey();
  if (rules.isError) return <p className="p-6 text-20 font-bold text-oxide-text">{rules.error.message}</p>;
  if (!rules.data) return <Skeleton />;
  const book = rules.data;
  return (
    <Tabs.Root
      value={sheet}
      onValueChange={(next) => setParams({ sheet: next }, { replace: true })}
      className="flex min-h-0 flex-1 flex-col"
    >
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Rules")}
        </h1>
        <Tabs.List className="flex min-h-14 flex-wrap" aria-label={msg("Parts of the rule book")}>
          {TABS.map((t) => (
            <Tabs.Trigger
              key={t.value}
              value={t.value}
              className="n data-[state=active]:border-violet min-h-14 border-b-4 border-transparent px-2.5 text-16 font-medium whitespace-nowrap data-[state=active]:font-bold"
            >
              {t.word}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <label className="firm-l ml-auto flex items-center gap-2 px-3">
          <Search size={20} aria-hidden="true" />
          <span className="sr-only">{msg("Find a rule or value")}</span>
          <input
            ref={search}
            className="h-full w-24 bg-transparent text-20"
            placeholder={msg("find")}
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
        </label>
        <span className="firm-l px-3 pt-2">
          <span className="lab block">{msg("Rule book")}</span>
          <span className="n block font-semibold">{book.version}</span>
        </span>
      </div>
      <Sheet value="house">
        <HouseRules book={book} find={find} />
      </Sheet>
      <Sheet value="pages">
        <HousePages find={find} />
      </Sheet>
      <Sheet value="limits">
        <Table
          heads={[
            msg("Limit"),
            msg("Verdict"),
            msg("Asked, or the figure it turns at"),
            msg("Why, and what instead"),
            msg("Source"),
          ]}
          rows={book.limits
            .filter((l) => has(find, l.id, l.title, l.reason, l.ask, l.shown))
            .map((l) => [
              <span key="t">
                <span className="hd block">{l.title}</span>
                <span className="lab">
                  {l.id}
                  {l.care && msg(", of care: a lead may set it aside")}
                </span>
              </span>,
              <VerdictMark key="v" outcome={l.verdict} />,
              l.ask || l.figures.join(msg(" and ")) || "computed",
              `${l.reason} ${l.instead}`,
              l.shown,
            ])}
        />
      </Sheet>
      <Sheet value="values">
        <p className="px-4 pt-3">
          {msg(
            "Values ship with the product and change only with it: what stands here is rule book {version}. A plan names the book it was made with.",
            { version: book.version },
          )}
        </p>
        <Table
          heads={[msg("Value"), msg("Meaning"), msg("Used at"), msg("Name"), msg("Source")]}
          rows={book.values
            .filter((v) => has(find, v.id, v.meaning, v.shown, v.value))
            .map((v) => [
              <span key="v" className="n text-20 font-semibold whitespace-nowrap">
                {say(v.value, v.unit, BOUND[v.bound], v.inches)}
              </span>,
              v.meaning,
              v.used,
              <span key="id" className="lab">
                {v.id}
              </span>,
              v.shown,
            ])}
        />
      </Sheet>
      <Sheet value="classes">
        <Table
          heads={[msg("Class"), msg("Typical figures"), msg("Holds on"), msg("Never on"), msg("Source")]}
          rows={book.classes
            .filter((c) => has(find, c.id, c.name, c.never, c.sanding, c.shown))
            .map((c) => [
              <span key="n" className="hd">
                {c.name}
              </span>,
              [
                c.work.length > 0 && msg("work {work} min", { work: c.work.join(msg(" to ")) }),
                c.sand.length > 0 && msg("sand {sand} min", { sand: c.sand.join(msg(" to ")) }),
                c.typical.minC !== undefined && msg("cures from {minC}", { minC: say(c.typical.minC, "°C", "least") }),
                c.typical.capC !== undefined && msg("at most {capC}", { capC: say(c.typical.capC, "°C", "most") }),
                c.typical.densityGPerMl !== undefined && `${c.typical.densityGPerMl}\u202fg/mL`,
                c.sanding,
              ]
                .filter(Boolean)
                .join(", "),
              c.bondsTo.map((b) => catalogue?.surfaces.find((s) => s.surface === b)?.word ?? "").join(", "),
              c.never,
              c.shown,
            ])}
        />
      </Sheet>
      <Sheet value="plastics">
        <Table
          heads={[msg("Plastic"), msg("Verdict"), msg("What it asks"), msg("Heat cap"), msg("Source")]}
          rows={book.plastics
            .filter((p) => has(find, p.id, p.limit, ...p.symbols, p.family))
            .map((p) => [
              <span key="n" className="hd">
                {p.symbols.length > 0
                  ? p.symbols.join(", ")
                  : msg("settled by tests: {name}", {
                      name: catalogue?.families.find((f) => f.family === p.family)?.meaning.name ?? "",
                    })}
              </span>,
              <VerdictMark key="v" outcome={p.verdict} />,
              p.limit,
              <span key="h" className="n font-semibold whitespace-nowrap">
                {say(p.heatCapC, "°C", "most")}
              </span>,
              p.shown,
            ])}
        />
        <p className="p-4">{msg("Every symbol that is not listed is referred.")}</p>
      </Sheet>
      <Sheet value="ways">
        <Table
          heads={[msg("Way to mend"), msg("For"), msg("Roles, in order"), msg("School")]}
          rows={book.recipes
            .filter((r) => has(find, r.title, r.name))
            .map((r) => [
              <span key="n">
                <span className="hd block">{r.name}</span>
                <span className="lab">{r.title}</span>
              </span>,
              r.damages.map((d) => catalogue?.damages.find((k) => k.kind === d)?.word ?? "").join(", "),
              r.slots.map((x) => roleWord(x.role)).join(", "),
              Object.entries(r.schools)
                .map(
                  ([q, o]) =>
                    book.schools.find((x) => x.school.id === q)?.school.options.find((x) => x.id === o)?.label,
                )
                .join("; "),
            ])}
        />
        <h2 className="p-4 text-20 font-semibold">{msg("Never together")}</h2>
        <Table
          heads={[msg("Rule"), msg("Why")]}
          rows={book.forbidden
            .filter((x) => has(find, x.id, x.why))
            .map((x) => [
              <span key="r" className="hd">
                {x.id}
              </span>,
              x.why,
            ])}
        />
      </Sheet>
      <Sheet value="tests">
        <Likelihoods find={find} />
      </Sheet>
      <Sheet value="try">
        <Try book={book} />
      </Sheet>
      <Sheet value="grains">
        {book.gradings
          .filter((g) => has(find, g.id, g.name))
          .map((g) => (
            <section key={g.id} className="p-4">
              <h2 className="text-20 font-semibold">{g.name}</h2>
              <p className="lab">{msg("Median grain, µm. {shown}", { shown: g.shown })}</p>
              <ul className="mt-2 flex flex-wrap gap-1.5">
                {Object.entries(g.grades).map(([n, um]) => (
                  <li key={n} className="firm n px-2 py-1">
                    <b>
                      {g.id}
                      {g.id === "P" ? "" : " "}
                      {n}
                    </b>{" "}
                    {um}
                  </li>
                ))}
              </ul>
            </section>
          ))}
      </Sheet>
    </Tabs.Root>
  );
}
