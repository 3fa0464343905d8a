import { msg, within } from "../../messages/messages";
import { useVehicles } from "../../begin/vehicles";
import type { DraftOnScreen } from "../use-draft";
import type { Chosen } from "./chosen";
import { useDamageWord } from "./damage-word";
import { FIRST, together } from "./many";
import { PlaceDrawing } from "./place-drawing";

/** Damage put on the part by touch; what was damaged on this very part before is dashed. */
export function Place({ id, on, hand }: { id: number; on: DraftOnScreen; hand: Chosen }) {
  const part = on.draft?.part ?? {};
  const damages = on.draft?.damages ?? [];
  const word = useDamageWord(damages);
  const vehicle = part.vehicle ?? "";
  const past = useVehicles(vehicle, vehicle !== "").data?.find((v) => v.name === vehicle)?.repairs ?? [];
  const before = past
    .filter((r) => r.id !== id && !r.open && r.part?.name === part.name)
    .filter((r) => r.part?.widthMm === part.widthMm && r.part?.heightMm === part.heightMm)
    .flatMap((r) =>
      r.damages.map((damage) => ({
        damage,
        words: msg("before: {damaged}", { damaged: within(r.damaged.join(", ")) }),
      })),
    );
  return (
    <PlaceDrawing
      part={part}
      damages={damages}
      word={word}
      chosen={hand.chosen}
      placing={hand.placing}
      before={before}
      stamp={hand.stamp}
      onStamped={(spots) =>
        hand.stamp &&
        on.change((d) => ({
          ...d,
          damages: [
            ...(d.damages ?? []),
            ...together(spots, hand.stamp ?? FIRST, d.damages ?? [], part.widthMm ?? 0, part.heightMm ?? 0),
          ],
        }))
      }
      onChoose={hand.choose}
      onPlaced={hand.placed}
      onChange={(i, next) =>
        on.change((d) => ({ ...d, damages: (d.damages ?? []).map((x, k) => (k === i ? { ...x, ...next } : x)) }))
      }
    />
  );
}
