import { useMemo, useState } from "react";
import { type DamageDraft } from "./fresh";
import type { Stamp } from "./many";
import { traced } from "./shape";

/** Which damage is in hand on this screen, and which one the next touch of the drawing puts down. */
export interface Chosen {
  chosen: number;
  placing: number | undefined;
  /** What each touch of the drawing puts down, while many are put on; absent otherwise. */
  stamp: Stamp | undefined;
  stamps: (stamp: Stamp | undefined) => void;
  choose: (index: number) => void;
  /** The one at {@code index} was added just now. */
  added: (index: number) => void;
  /** The one at {@code index} lies where it is. */
  placed: (index: number) => void;
}

const unsized = (d: DamageDraft) => !traced(d) && d.lengthMm === undefined;

/** What was put down before anybody said its size is placed first, one after the other. */
export function useChosen(damages: readonly DamageDraft[]): Chosen {
  const [own, setOwn] = useState<{ chosen: number; placing: number | undefined }>();
  const [stamp, stamps] = useState<Stamp>();
  const first = damages.findIndex(unsized);
  const now = own ?? { chosen: Math.max(0, first), placing: first < 0 ? undefined : first };
  const chosen = Math.min(now.chosen, Math.max(0, damages.length - 1));
  const placing = now.placing !== undefined && now.placing < damages.length ? now.placing : undefined;
  return useMemo(
    () => ({
      chosen,
      placing,
      stamp,
      stamps,
      choose: (index) => setOwn({ chosen: index, placing: undefined }),
      added: (index) => {
        stamps(undefined);
        setOwn({ chosen: index, placing: index });
      },
      placed: (index) => {
        const next = damages.findIndex((d, i) => i > index && unsized(d));
        setOwn(next < 0 ? { chosen: index, placing: undefined } : { chosen: next, placing: next });
      },
    }),
    [damages, chosen, placing, stamp],
  );
}
