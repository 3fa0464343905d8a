import type { Api } from "../../api/client";
import { useMe } from "../../shell/me";

/**
 * The last act, where it is one's own to take back: what another did is theirs, what is still on its way was done here.
 *
 * @param state the run as it is shown, with what is on its way
 */
export function useOwnLast(run: Api["RunView"], state: Api["RunState"]): string | undefined {
  const me = useMe();
  const here = state.lastUndoable !== run.state.lastUndoable;
  return here || run.state.undoableBy === me.name ? state.lastUndoable : undefined;
}
