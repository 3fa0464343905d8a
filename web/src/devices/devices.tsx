import { msg } from "../messages/messages";
import { useEffect, useRef, useState } from "react";
import { ask, type Api } from "../api/client";
import { useNow } from "../api/clock";
import { keys, queryClient, useBench, useCatalogue, useTold } from "../api/queries";
import { Choice, Measure } from "../shell/field";
import { useMay } from "../shell/me";
import { usePreferences } from "../shell/preferences";
import { stretch, type System, temperature, toFahrenheit } from "../units/units";
import { type Shown, useDevices } from "./live";
import { useTitle } from "../shell/title";
import { Skeleton } from "../shell/skeleton";

type Device = Api["DeviceView"];
type Drive = (path: string, method: "PUT" | "POST" | "DELETE", body?: unknown) => Promise<void>;

const FAULTS = [
  { value: "NONE", label: msg("Right") },
  { value: "SILENT", label: msg("Silent") },
  { value: "NONSENSE", label: msg("Nonsense") },
] as const;

/** Every device of the bench: what it shows now, and for a stand-in what is true there and what is wrong with it. */
export default function Devices() {
  useTitle(msg("Devices"));
  const devices = useTold({ queryKey: keys.devices, queryFn: () => ask<Device[]>("/api/devices") });
  const live = useDevices();
  const [refused, setRefused] = useState("");
  const before = useRef(Promise.resolve());
  // One after the other: what is pressed acts on what was turned before it, however slow the network.
  const drive: Drive = (path, method, body) => {
    before.current = before.current.then(async () => {
      try {
        queryClient.setQueryData(keys.devices, await ask<Device[]>(`/api/devices/${path}`, { method, body }));
        setRefused("");
      } catch (e) {
        setRefused(e instanceof Error ? e.message : String(e));
      }
    });
    return before.current;
  };
  if (devices.isError && !devices.data)
    return <p className="p-6 text-20 font-bold text-oxide-text">{devices.error.message}</p>;
  if (!devices.data) return <Skeleton />;
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-center gap-4 px-4">
        <h1 className="text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("Devices")}
        </h1>
        <p className="min-w-0 flex-1 leading-5">
          {msg(
            "Stand-ins that ship with the product: set what is true at the bench, the screen shows what a device would make of it.",
          )}
        </p>
      </div>
      {refused && (
        <p role="alert" className="firm-b px-4 py-3 font-bold text-oxide-text">
          {refused}
        </p>
      )}
      <div className="grid min-h-0 flex-1 auto-rows-min grid-cols-1 overflow-y-auto md:grid-cols-2 xl:grid-cols-3">
        {devices.data.map((d) => (
          <DeviceSheet
            key={d.kind}
            device={d}
            shown={live.shown.find((s) => s.kind === d.kind) ?? d.shown}
            heard={live.heard}
            drive={drive}
          />
        ))}
      </div>
    </>
  );
}

function DeviceSheet({
  device: d,
  shown,
  heard,
  drive,
}: {
  device: Device;
  shown: Shown;
  heard: boolean;
  drive: Drive;
}) {
  const measured = useCatalogue().data?.measured ?? [];
  const of = (m: Api["ShownFigure"]["measured"]) => measured.find((x) => x.measured === m);
  const { system } = usePreferences();
  const mayFail = useMay("DEVICE_FAULT");
  return (
    <section className="firm-b firm-r flex flex-col gap-1.5 px-4 py-3" aria-label={d.name}>
      <h2 className="hd flex items-baseline justify-between">
        {d.name}
        <span className="lab">{d.fault === undefined ? msg("real device") : msg("stand-in")}</span>
      </h2>
      <div className="flex min-h-[52px] items-end gap-6" data-device={d.kind}>
        {shown.figures.length === 0 && <span className="n text-20 font-semibold">{msg("nothing measured yet")}</span>}
        {shown.figures.map((f) => (
          <span key={f.measured} className={shown.state === "LIVE" ? "" : "text-muted"}>
            <span className="lab block">{of(f.measured)?.word}</span>
            <span className="n text-44 leading-[44px] font-semibold" style={{ fontStretch: "88%" }}>
              {of(f.measured)?.unit === "°C" ? (
                degrees(f.value, system)
              ) : (
                <>
                  {f.value.toFixed(of(f.measured)?.digits ?? 0)}
                  <span className="ml-1 text-20 font-medium">{of(f.measured)?.unit}</span>
                </>
              )}
            </span>
          </span>
        ))}
      </div>
      <Standing shown={shown} heard={heard} held={d.presses.length === 1 && d.kind !== "SCALE"} />
      {d.presses.length > 0 && (
        <div className="flex flex-wrap gap-1">
          {d.presses.map((p) => (
            <button
              key={p.id}
              type="button"
              className="btn"
              onClick={() => void drive(`${d.kind}/presses/${p.id}`, "POST")}
            >
              {p.label}
            </button>
          ))}
        </div>
      )}
      <div className="grid grid-cols-3 gap-1">
        {d.knobs.map((k) => (
          <KnobField key={k.id} knob={k} turn={(value) => drive(`${d.kind}/knobs/${k.id}`, "PUT", { value })} />
        ))}
      </div>
      {d.fault !== undefined && mayFail && (
        <Choice
          label={msg("What is wrong with it")}
          columns={3}
          value={d.fault}
          options={FAULTS}
          onChange={(fault) => void drive(`${d.kind}/fault`, "PUT", { fault })}
        />
      )}
      {d.logs && <LogTo device={d} drive={drive} />}
    </section>
  );
}

/** To a tenth, always, so that the figure does not jump in width as it moves. */
function degrees(c: number, system: System) {
  const [, unit = ""] = temperature(c, system, 1).split("\u202f");
  return (
    <>
      {(system === "metric" ? c : toFahrenheit(c)).toFixed(1)}
      <span className="ml-1 text-20 font-medium">{unit}</span>
    </>
  );
}

/** Whether what is shown is what the device says now; if not, how old it is and what to do. */
function Standing({ shown, heard, held }: { shown: Shown; heard: boolean; held: boolean }) {
  const now = useNow();
  const age = shown.at ? Math.max(1, (now - Date.parse(shown.at)) / 1000) : 0;
  if (!heard) return <p className="lab min-h-[20px]">{msg("Connecting to the devices.")}</p>;
  if (shown.state !== "LIVE")
    return (
      <p className="min-h-[40px] leading-5 font-bold text-oxide-text" role="status">
        {shown.said} {shown.at && msg("Last good figure {age} ago.", { age: stretch(age, "up") })}
      </p>
    );
  return (
    <p className="lab min-h-[20px]" role="status">
      {held ? msg("live, holds its last figure") : shown.steady ? msg("live, steady") : msg("live, moving")}
    </p>
  );
}

const SETTLE_MS = 400;

/** Turned when the typing rests, or at once when the field is left: a press that follows finds it turned. */
function KnobField({ knob, turn }: { knob: Device["knobs"][number]; turn: (value: number) => Promise<void> }) {
  const [value, setValue] = useState<number | undefined>(knob.value);
  const timer = useRef<number>(undefined);
  const waiting = useRef<number>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const off = value !== undefined && (value < knob.min || value > knob.max);
  const unit = knob.unit === "°C" ? "temperature" : knob.unit === "mm" ? "depth" : { unit: knob.unit };
  const turnNow = () => {
    clearTimeout(timer.current);
    if (waiting.current !== undefined) void turn(waiting.current);
    waiting.current = undefined;
  };
  return (
    <div onBlur={turnNow}>
      <Measure
        label={knob.label}
        quantity={unit}
        value={value}
        problem={
          off ? msg("Expected {min} to {max} {unit}.", { min: knob.min, max: knob.max, unit: knob.unit }) : undefined
        }
        onChange={(v) => {
          setValue(v);
          clearTimeout(timer.current);
          waiting.current = v !== undefined && v >= knob.min && v <= knob.max ? v : undefined;
          timer.current = window.setTimeout(turnNow, SETTLE_MS);
        }}
      />
    </div>
  );
}

/** A device that logs by itself is put on one repair at a time. */
function LogTo({ device: d, drive }: { device: Device; drive: Drive }) {
  const running = useBench().data?.live ?? [];
  const [choice, setChoice] = useState("");
  const repair = choice === "" ? running[0]?.id : Number(choice);
  if (d.repair !== undefined)
    return (
      <div className="flex items-stretch gap-2">
        <span className="firm flex min-w-0 flex-1 items-center px-3 leading-5">
          <span>
            {msg("Logs to")} <b>{d.repairName}</b>
          </span>
        </span>
        <button type="button" className="btn" onClick={() => void drive(`${d.kind}/log`, "DELETE")}>
          {msg("Take off")}
        </button>
      </div>
    );
  if (running.length === 0) return <p className="lab">{msg("No work runs that it could log to.")}</p>;
  return (
    <div className="flex items-end gap-2">
      <label className="min-w-0 flex-1">
        <span className="lab block">{msg("Log to")}</span>
        <select className="firm h-14 w-full px-2 text-16" value={repair} onChange={(e) => setChoice(e.target.value)}>
          {running.map((l) => (
            <option key={l.id} value={l.id}>
              {l.name}, {l.vehicle}
            </option>
          ))}
        </select>
      </label>
      <button type="button" className="btn" onClick={() => void drive(`${d.kind}/log`, "PUT", { repair })}>
        {msg("Put on")}
      </button>
    </div>
  );
}
