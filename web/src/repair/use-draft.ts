import { useEffect, useMemo, useSyncExternalStore } from "react";
import { useBench } from "../api/queries";
import { useMe } from "../shell/me";
import { usePreferences } from "../shell/preferences";
import { inUnits } from "../units/text";
import { type Draft, DraftDesk } from "./draft-desk";

/** The draft of a repair on this screen, followed as it changes. */
export function useDraft(id: number) {
  const me = useMe().id;
  const desk = useMemo(() => new DraftDesk(id, me), [id, me]);
  const state = useSyncExternalStore(desk.subscribe, desk.snapshot);
  // The bench is asked anew when anything in the shop changed: air, house rules, somebody's draft.
  const stirred = useBench().dataUpdatedAt;
  useEffect(() => {
    void desk.load();
  }, [desk, stirred]);
  useEffect(() => () => void desk.save(), [desk]);
  const { system } = usePreferences();
  return useMemo(
    () => ({
      ...state,
      workup: inUnits(state.workup, system),
      problems: inUnits(state.problems, system),
      frozen: state.frozenAt !== undefined,
      canUndo: state.past.length > 0,
      change: (step: (draft: Draft) => Draft) => desk.step(step),
      undo: () => desk.undo(),
      reload: () => desk.load(),
      settle: () => desk.settle(),
      keepMine: () => void desk.keepMine(),
      takeTheirs: () => void desk.takeTheirs(),
    }),
    [state, desk, system],
  );
}

export type DraftOnScreen = ReturnType<typeof useDraft>;
