import { language, msg } from "../messages/messages";
import {
  Armchair,
  BookOpenCheck,
  CalendarClock,
  CircleHelp,
  Gauge,
  LibraryBig,
  LogOut,
  Menu,
  Moon,
  Ruler,
  Sun,
  UserRound,
  Wrench,
} from "lucide-react";
import { type ComponentProps, useEffect, useState } from "react";
import { NavLink, Outlet, useLocation, useNavigate } from "react-router";
import { useBell, useBench } from "../api/queries";
import { useOutbox, outbox } from "../repair/run/outbox";
import { TooLate } from "../repair/run/too-late";
import { BenchPlace } from "../bench/bench";
import { ClockRail } from "./clock-rail";
import { HelpDialog } from "./help-dialog";
import { dialogOpen, typing, useKeys } from "./keys";
import { useMay } from "./me";
import { MyPassword } from "./my-password";
import { OthersWait } from "./others-wait";
import { usePreferences } from "./preferences";
import { SignOut } from "./sign-out";

const PLACES = [
  { to: "/bench", word: msg("Bench"), Icon: Armchair },
  { to: "/day", word: msg("Day"), Icon: CalendarClock },
  { to: "/repairs", word: msg("Repairs"), Icon: Wrench },
  { to: "/shelf", word: msg("Shelf"), Icon: LibraryBig },
  { to: "/rules", word: msg("Rules"), Icon: BookOpenCheck },
  { to: "/devices", word: msg("Devices"), Icon: Gauge },
] as const;

/** What stands around every screen but Run: the clock rail, the side strip. */
export function Shell() {
  return useMay("WORK") ? <Working /> : <Wall />;
}

/** A shared screen: the bench and its clocks, and nothing that could be pressed by whoever passes. */
function Wall() {
  useBell();
  return (
    <div className="flex h-full flex-col">
      <div className="flex min-h-0 flex-1 flex-col" inert>
        <ClockRail />
        <main className="bg-sheet relative flex min-h-0 flex-1 flex-col overflow-hidden">
          <BenchPlace />
        </main>
      </div>
      <footer className="firm-t bg-ground flex min-h-18 shrink-0 items-center justify-between px-4">
        <span className="lab">{msg("This screen shows the bench. Sign in at your own to work.")}</span>
        <SignOut trigger={<button className="btn">{msg("Sign out")}</button>} />
      </footer>
    </div>
  );
}

function Working() {
  useBell();
  const { system, theme, turn, follow } = usePreferences();
  const units = useBench().data?.shop.units;
  useEffect(() => {
    if (units) follow(units === "INCH" ? "inch" : "metric");
  }, [units, follow]);
  const [help, setHelp] = useState(false);
  const [more, setMore] = useState(false);
  const navigate = useNavigate();
  // Other places are English still.
  const speaks = useLocation().pathname === "/bench" ? language : "en";
  useKeys((e) => {
    if (typing(e) || e.ctrlKey || e.metaKey || e.altKey) return;
    if (e.key === "?") setHelp(true);
    if (e.key === "b") void navigate("/bench");
    if (e.key === "n" && !dialogOpen()) void navigate("/repairs/new");
  });
  return (
    <div className="print-flow relative flex h-full flex-col">
      <div className="sr-only focus-within:not-sr-only focus-within:absolute focus-within:top-2 focus-within:left-2 focus-within:z-50">
        <button type="button" className="btn go" onClick={() => document.getElementById("work")?.focus()}>
          {msg("Skip to the work")}
        </button>
      </div>
      <ClockRail />
      <div className="print-flow flex min-h-0 flex-1 max-[699px]:flex-col-reverse">
        <nav
          className="no-print min-[700px]:firm-r max-[699px]:firm-t bg-ground flex w-[76px] shrink-0 flex-col max-[699px]:relative max-[699px]:w-full max-[699px]:flex-row"
          aria-label={msg("Places")}
        >
          {PLACES.map(({ to, word, Icon }) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                `n relative flex h-[76px] flex-col items-center justify-center gap-1 text-14 font-medium border-b border-hair max-[699px]:h-16 max-[699px]:min-w-0 max-[699px]:flex-1 max-[699px]:border-r max-[699px]:border-b-0 ${isActive ? "bg-sheet font-bold before:absolute before:inset-y-0 before:left-0 before:w-1.5 before:bg-violet max-[699px]:before:inset-x-0 max-[699px]:before:top-auto max-[699px]:before:h-1.5 max-[699px]:before:w-auto" : ""}`
              }
            >
              <Icon aria-hidden="true" size={24} strokeWidth={1.8} />
              {word}
            </NavLink>
          ))}
          <span className="flex-1 max-[699px]:hidden" />
          <div
            className={`contents max-[699px]:absolute max-[699px]:inset-x-0 max-[699px]:bottom-full max-[699px]:z-20 max-[699px]:grid-cols-5 max-[699px]:bg-ground max-[699px]:firm-t ${more ? "max-[699px]:grid" : "max-[699px]:hidden"}`}
          >
            <StripButton
              word={system === "metric" ? "mm °C" : "in °F"}
              label={
                system === "metric" ? msg("Units are metric: turn them") : msg("Units are inches and °F: turn them")
              }
              onClick={() => turn({ system: system === "metric" ? "inch" : "metric" })}
              Icon={Ruler}
            />
            <StripButton
              word={theme === "day" ? msg("Light") : msg("Dark")}
              label={theme === "day" ? msg("Theme is day: turn it") : msg("Theme is night: turn it")}
              onClick={() => turn({ theme: theme === "day" ? "night" : "day" })}
              Icon={theme === "day" ? Sun : Moon}
            />
            <StripButton
              word={msg("Help")}
              label={msg("Help: words and keys")}
              onClick={() => setHelp(true)}
              Icon={CircleHelp}
            />
            <MyPassword trigger={<StripButton word={msg("Me")} label={msg("My password")} Icon={UserRound} />} />
            <SignOut trigger={<StripButton word={msg("Out")} label={msg("Sign out")} Icon={LogOut} />} />
          </div>
          <StripButton
            word={msg("More")}
            label={msg("Units, light, help, my sign-in")}
            aria-expanded={more}
            className="min-[700px]:hidden"
            onClick={() => setMore(!more)}
            Icon={Menu}
          />
        </nav>
        <main
          id="work"
          lang={speaks}
          tabIndex={-1}
          className="print-flow bg-sheet relative flex min-w-0 flex-1 flex-col overflow-hidden focus:outline-none"
        >
          <Refusals />
          <TooLate />
          <OthersWait />
          <Outlet />
        </main>
      </div>
      <HelpDialog open={help} onOpenChange={setHelp} />
    </div>
  );
}

function StripButton({
  word,
  label,
  Icon,
  className = "",
  ...button
}: {
  word: string;
  label: string;
  Icon: typeof Ruler;
} & ComponentProps<"button">) {
  return (
    <button
      className={`n flex h-[62px] flex-col items-center justify-center gap-0.5 border-t border-hair text-14 font-medium max-[699px]:h-16 max-[699px]:min-w-0 max-[699px]:flex-1 max-[699px]:border-t-0 ${className}`}
      aria-label={label}
      {...button}
    >
      <Icon aria-hidden="true" size={22} strokeWidth={1.8} />
      {word}
    </button>
  );
}

/** Events that the server would not take, until they were read. */
export function Refusals() {
  const { refused } = useOutbox();
  if (refused.length === 0) return null;
  return (
    <div role="alert" className="firm-b bg-oxide no-print flex items-center justify-between gap-4 px-4 text-[#f6f7f4]">
      <span className="py-2 font-bold">
        {msg("Not taken: {refused}", { refused: refused.map((r) => r.message).join(" ") })}
      </span>
      <span className="flex shrink-0">
        {refused.some((r) => r.event) && (
          <a
            className="n flex h-14 items-center px-4 font-semibold underline"
            download="not-taken.json"
            href={`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(refused, null, 2))}`}
          >
            {msg("Keep it as a file")}
          </a>
        )}
        <button className="n h-14 px-4 font-semibold underline" onClick={() => outbox.read()}>
          {msg("Read it")}
        </button>
      </span>
    </div>
  );
}
