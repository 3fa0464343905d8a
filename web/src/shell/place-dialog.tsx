import { msg } from "../messages/messages";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Measure, problemAt } from "./field";
import { FormDialog } from "./form-dialog";

/** A place as it is said: 55.4° N, 3.2° W. */
export function placeSaid(p: Api["Place"]): string {
  const part = (deg: number, plus: string, minus: string) =>
    `${Math.round(Math.abs(deg) * 10) / 10}° ${deg < 0 ? minus : plus}`;
  return `${part(p.latitudeDeg, "N", "S")}, ${part(p.longitudeDeg, "E", "W")}`;
}

/** Where the shop lies: the sun's height follows it. A lead's. */
export function PlaceDialog({ place, children }: { place: Api["Place"]; children: ReactNode }) {
  const [draft, setDraft] = useState<Api["PlaceDraft"]>({});
  const set = (next: Api["PlaceDraft"]) => setDraft((d) => ({ ...d, ...next }));
  return (
    <FormDialog
      title={msg("Where the shop lies")}
      told={msg(
        "The sun's height follows it, and with it how long resin takes in daylight. A tenth of a degree is plenty.",
      )}
      act={msg("Take this place")}
      trigger={children}
      onOpen={() => setDraft({ ...place })}
      send={async () => {
        await ask<Api["ShopView"]>("/api/shop/place", { method: "PUT", body: draft });
        await queryClient.invalidateQueries({ queryKey: keys.bench });
      }}
    >
      {(problems) => (
        <>
          <Measure
            label={msg("Latitude, south negative")}
            quantity={{ unit: "°" }}
            value={draft.latitudeDeg}
            problem={problemAt(problems, "place.latitudeDeg")}
            onChange={(latitudeDeg) => set({ latitudeDeg })}
          />
          <Measure
            label={msg("Longitude, west negative")}
            quantity={{ unit: "°" }}
            value={draft.longitudeDeg}
            problem={problemAt(problems, "place.longitudeDeg")}
            onChange={(longitudeDeg) => set({ longitudeDeg })}
          />
        </>
      )}
    </FormDialog>
  );
}
