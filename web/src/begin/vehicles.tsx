import { msg, within } from "../messages/messages";
import { keepPreviousData } from "@tanstack/react-query";
import { Check } from "lucide-react";
import { ask, type Api } from "../api/client";
import { useTold, useZone } from "../api/queries";
import { Head } from "../repair/sheet";
import { Line } from "../shell/field";
import { dayAndTime } from "../units/units";

/** A repair of before, and the vehicle it was done on. */
export interface Like {
  vehicle: string;
  past: Api["PastView"];
}

const MOST_LIKE = 8;

/** Vehicles whose name holds {@code find}, the last one first. */
export const useVehicles = (find: string, enabled = true) =>
  useTold({
    queryKey: ["vehicles", find],
    queryFn: ({ signal }) =>
      ask<Api["VehicleView"][]>(`/api/vehicles?${new URLSearchParams({ find }).toString()}`, { signal }),
    placeholderData: keepPreviousData,
    enabled,
  });

/** Whose part it is: typed, or one that was here before; and a repair of before that this one is like. */
export function Vehicles({
  vehicle,
  onVehicle,
  like,
  onLike,
}: {
  vehicle: string;
  onVehicle: (vehicle: string) => void;
  like: Like | undefined;
  onLike: (like: Like | undefined) => void;
}) {
  const zone = useZone();
  const all = useVehicles("").data ?? [];
  const found = useVehicles(vehicle).data ?? [];
  const exact = found.find((v) => v.name === vehicle);
  const shown = vehicle === "" || exact ? all : found;
  const pasts = (exact ? [exact] : all)
    .flatMap((v) => v.repairs.map((past) => ({ vehicle: v.name, past })))
    .sort((a, b) => (a.past.changedAt < b.past.changedAt ? 1 : -1))
    .slice(0, MOST_LIKE);
  return (
    <aside
      className="bg-sheet flex flex-col min-[1100px]:firm-l min-[1100px]:w-[300px] min-[1100px]:shrink-0 min-[1100px]:overflow-y-auto"
      aria-label={msg("The vehicle")}
    >
      <Head title={msg("The vehicle")}>{msg("last first")}</Head>
      <div className="p-3">
        <Line label={msg("Vehicle and number")} value={vehicle} onChange={onVehicle} />
      </div>
      <ul>
        {shown.slice(0, 6).map((v) => (
          <li key={v.name}>
            <button
              type="button"
              aria-pressed={v.name === vehicle}
              className={`flex min-h-16 w-full items-center justify-between gap-3 border-t border-hair px-4 py-2 text-left ${v.name === vehicle ? "outline-4 -outline-offset-4 outline-violet" : ""}`}
              onClick={() => onVehicle(v.name === vehicle ? "" : v.name)}
            >
              <span className="min-w-0">
                <span className="n block font-semibold">{v.name}</span>
                <span className="lab line-clamp-2">
                  {msg("{repairs} here before: {repairs2}", {
                    repairs: v.repairs.length,
                    repairs2: v.repairs.map((r) => r.name).join(", "),
                  })}
                </span>
              </span>
              {v.name === vehicle && <Check className="shrink-0" size={22} strokeWidth={3} aria-hidden="true" />}
            </button>
          </li>
        ))}
      </ul>
      <Head title={msg("Like that one")}>{msg("all but its damage")}</Head>
      <ul>
        {pasts.map((p) => (
          <li key={p.past.id}>
            <button
              type="button"
              aria-pressed={like?.past.id === p.past.id}
              className={`flex min-h-16 w-full flex-col justify-center border-b border-hair px-4 py-2 text-left ${like?.past.id === p.past.id ? "outline-4 -outline-offset-4 outline-violet" : ""}`}
              onClick={() => onLike(like?.past.id === p.past.id ? undefined : p)}
            >
              <span className="n block font-semibold">{p.past.name}</span>
              <span className="lab">
                {[p.vehicle, within(p.past.damaged.join(", ")), dayAndTime(p.past.changedAt, zone)]
                  .filter(Boolean)
                  .join(" · ")}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </aside>
  );
}
