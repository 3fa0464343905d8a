import { msg } from "../messages/messages";
import { useQueryClient } from "@tanstack/react-query";
import { Tabs } from "radix-ui";
import { useId, useMemo, useState } from "react";
import type { Api } from "../api/client";
import { keys, useCatalogue, useShelf } from "../api/queries";
import { grainOf, Hatches, type HatchName, Swatch } from "../marks/hatch";
import { useRoleWord } from "../repair/stack/roles";
import { useFindKey } from "../shell/use-find-key";
import { usePreferences } from "../shell/preferences";
import { amount } from "../units/amount";
import { minutes, percent, temperature } from "../units/units";
import { ShelfFile } from "./file";
import { ItemSheet } from "./item";
import { dated } from "../units/dated";
import { useTitle } from "../shell/title";

type Line = Api["ShelfLine"];

const day = (d: string) =>
  dated("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" }).format(Date.parse(d));

const TABS = [
  { value: "items", word: msg("Items") },
  { value: "serves", word: msg("What serves what") },
  { value: "file", word: msg("In and out") },
] as const;

/** What stands on the shelf, with what its own labels say; received, opened, used up, thrown away; in and out as a file. */
export default function ShelfPlace() {
  useTitle(msg("Shelf"));
  const roleWord = useRoleWord();
  const id = useId();
  const shelf = useShelf();
  const client = useQueryClient();
  const [find, setFind] = useState("");
  const [open, setOpen] = useState<string>();
  const search = useFindKey();
  const shown = useMemo(() => {
    const words = find.toLowerCase().split(/\s+/).filter(Boolean);
    return (shelf.data ?? []).filter((l) =>
      words.every((w) =>
        `${l.item.name} ${l.className} ${l.item.lot} ${l.roles.map(roleWord).join(" ")}${l.expired ? msg(" expired") : ""}${l.low ? msg(" low") : ""}`
          .toLowerCase()
          .includes(w),
      ),
    );
  }, [shelf.data, find, roleWord]);
  const done = (lines: Line[]) => client.setQueryData(keys.shelf, lines);
  const chosen = shelf.data?.find((l) => l.item.id === open);
  return (
    <Tabs.Root defaultValue="items" className="flex min-h-0 flex-1 flex-col">
      <svg className="absolute size-0" aria-hidden="true">
        <Hatches id={id} />
      </svg>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Shelf")}
        </h1>
        <Tabs.List className="flex" aria-label={msg("Shelf")}>
          {TABS.map((t) => (
            <Tabs.Trigger
              key={t.value}
              value={t.value}
              className="n data-[state=active]:border-violet min-h-[58px] border-b-4 border-transparent px-5 text-20 font-medium data-[state=active]:font-bold max-[499px]:px-3"
            >
              {t.word}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <label className="min-[1100px]:firm-l ml-auto flex min-h-14 items-center gap-2 px-3 max-[1099px]:ml-0 max-[1099px]:flex-1">
          <span className="sr-only">{msg("Find by name, class, lot or role")}</span>
          <input
            ref={search}
            className="h-full w-56 max-w-full bg-transparent text-20"
            placeholder={msg("name, lot, role")}
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
        </label>
        <button
          type="button"
          className="bg-pine text-on-pine n min-h-14 px-6 text-20 font-semibold"
          onClick={() => setOpen("new")}
        >
          {msg("Add an item")}
        </button>
      </div>
      {shelf.isError && <p className="p-4 font-bold text-oxide-text">{shelf.error.message}</p>}
      <Tabs.Content value="items" className="flex min-h-0 flex-1" tabIndex={-1}>
        <ItemTable lines={shown} id={id} open={open} setOpen={setOpen} empty={shelf.data?.length === 0} />
        {open !== undefined && <ItemSheet key={open} line={chosen} onClose={() => setOpen(undefined)} onDone={done} />}
      </Tabs.Content>
      <Tabs.Content value="serves" className="min-h-0 flex-1 overflow-auto" tabIndex={0}>
        <Serves lines={shown} id={id} />
      </Tabs.Content>
      <Tabs.Content value="file" className="min-h-0 flex-1 overflow-y-auto" tabIndex={-1}>
        <ShelfFile onTaken={() => void client.invalidateQueries({ queryKey: keys.shelf })} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

function hatchOf(l: Line): HatchName {
  return l.role === "PAPER"
    ? grainOf(String(l.item.grade ?? ""))
    : l.hatch === "grain"
      ? "guide"
      : (l.hatch as HatchName);
}

function ItemTable({
  lines,
  id,
  open,
  setOpen,
  empty,
}: {
  lines: readonly Line[];
  id: string;
  open: string | undefined;
  setOpen: (id: string) => void;
  empty: boolean;
}) {
  const roles = useCatalogue().data?.roles ?? [];
  return (
    <div className="min-w-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label={msg("Items")}>
      {empty && <p className="p-6 text-20">{msg("The shelf is empty: add an item, or take a file in.")}</p>}
      {!empty && lines.length === 0 && <p className="p-6 text-20">{msg("Nothing on the shelf is called that.")}</p>}
      <table className="w-full text-left">
        <thead className="bg-ground sticky top-0 z-10">
          <tr className="lab">
            <th className="px-4 py-2">{msg("Item")}</th>
            <th className="max-[699px]:hidden">{msg("Lot")}</th>
            <th className="max-[699px]:hidden">{msg("Use by")}</th>
            <th className="pr-4 text-right">{msg("Left")}</th>
            {open === undefined && (
              <>
                <th className="pl-6 max-[1099px]:hidden">{msg("Label: work")}</th>
                <th className="max-[1099px]:hidden">{msg("Label: sand or dry")}</th>
                <th className="pr-4 max-[1099px]:hidden">{msg("Cream")}</th>
              </>
            )}
          </tr>
        </thead>
        {byUse(lines, roles).map(({ word, of }) => (
          <tbody key={word} aria-label={word}>
            <tr>
              <th colSpan={7} scope="rowgroup" className="hd firm-b bg-ground px-4 py-1 text-left">
                {word}
              </th>
            </tr>
            {of.map((l) => (
              <ItemRow key={l.item.id} line={l} id={id} open={open} setOpen={setOpen} />
            ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

/** Lines by what they are used for, in the order of the work. */
function byUse(lines: readonly Line[], roles: readonly Api["RoleView"][]): { word: string; of: Line[] }[] {
  return roles
    .map(({ role, word }) => ({ word, of: lines.filter((l) => l.role === role) }))
    .filter((g) => g.of.length > 0);
}

/** The class, where the name does not say it already. */
const classSaid = ({ item, className }: Line) =>
  item.name.toLowerCase().includes((className.split(/[,(]/)[0] ?? "").trim().toLowerCase()) ? "" : className;

function ItemRow({
  line: l,
  id,
  open,
  setOpen,
}: {
  line: Line;
  id: string;
  open: string | undefined;
  setOpen: (id: string) => void;
}) {
  const { system } = usePreferences();
  const useBy = l.expires
    ? l.expired
      ? msg("expired {expires}", { expires: day(l.expires) })
      : msg("before {expires}", { expires: day(l.expires) })
    : msg("no date");
  return (
    <tr className={`h-14 border-b border-hair ${open === l.item.id ? "bg-ground" : ""}`}>
      <td className="px-4">
        <button
          type="button"
          className="flex min-h-14 w-full items-center gap-3 text-left"
          aria-expanded={open === l.item.id}
          onClick={() => setOpen(l.item.id)}
        >
          <Swatch id={id} hatch={hatchOf(l)} />
          <span>
            <span className="hd block">{l.item.name}</span>
            {classSaid(l) && <span className="lab block">{classSaid(l)}</span>}
            <span className={`lab block min-[700px]:hidden ${l.expired ? "font-bold text-oxide-text" : ""}`}>
              {msg("lot {lot}, {useBy}", { lot: l.item.lot, useBy })}
            </span>
          </span>
        </button>
      </td>
      <td className="n pr-2 max-[699px]:hidden">{l.item.lot}</td>
      <td className={`max-[699px]:hidden ${l.expired ? "font-bold text-oxide-text" : ""}`}>
        {useBy}
        {l.item.opened && <span className="lab block">{msg("opened {opened}", { opened: day(l.item.opened) })}</span>}
      </td>
      <td className="n pr-4 text-right font-semibold whitespace-nowrap">
        {amount(l.item.quantity, l.item.unit, system)}
        {l.low && <span className="bg-tape text-on-tape block px-1 text-14">{msg("low")}</span>}
      </td>
      {open === undefined && (
        <>
          <td className="n pl-6 max-[1099px]:hidden">
            {l.item.workMin === undefined ? "" : minutes(l.item.workMin, "down")}
          </td>
          <td className="n max-[1099px]:hidden">
            {l.item.sand
              .map((t) => msg("{minutes} at {atC}", { minutes: minutes(t.minutes), atC: temperature(t.atC, system) }))
              .join(", ")}
            {l.item.wet === "WET_ONLY" && msg("wet only")}
            {l.item.flashMin !== undefined && msg("flash {flashMin}", { flashMin: minutes(l.item.flashMin) })}
          </td>
          <td className="n pr-4 max-[1099px]:hidden">
            {l.item.dosePercent === undefined ? "" : percent(l.item.dosePercent)}
          </td>
        </>
      )}
    </tr>
  );
}

/** Items against families: a filled hatch where the item holds on it. */
function Serves({ lines, id }: { lines: readonly Line[]; id: string }) {
  const roleWord = useRoleWord();
  const families = useCatalogue().data?.families ?? [];
  const holding = lines.filter((l) => l.serves.length > 0);
  return (
    <table className="text-left">
      <caption className="lab px-4 py-2 text-left">
        {msg(
          "Filled where the item holds on it; what it does stands beside its name. Cleaners, tapes and papers hold on nothing.",
        )}
      </caption>
      <thead className="bg-ground sticky top-0 z-10">
        <tr className="lab">
          <th className="px-4 py-2">{msg("Item")}</th>
          {families.map((f) => (
            <th key={f.family} className="w-24 px-1 py-2 text-center align-bottom">
              {f.meaning.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {holding.map((l) => (
          <tr key={l.item.id} className="h-12 border-b border-hair">
            <th scope="row" className="px-4 font-normal">
              <span className="hd block">{l.item.name}</span>
              <span className="lab block">{l.roles.map(roleWord).join(", ")}</span>
            </th>
            {families.map((f) => (
              <td key={f.family} className="px-1 text-center">
                {l.serves.includes(f.family) ? (
                  <span
                    className="inline-block"
                    role="img"
                    aria-label={msg("holds on {name}", { name: f.meaning.name })}
                  >
                    <Swatch id={id} hatch={hatchOf(l)} size={26} />
                  </span>
                ) : (
                  <span className="text-muted" aria-label={msg("does not")}>
                    ·
                  </span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
