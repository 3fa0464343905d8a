import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";
import type { System } from "../units/units";
import { prefer, type Preferred, preferred } from "../units/preferred";

interface Preferences extends Preferred {
  turn: (next: Partial<Preferred>) => void;
  /** Goes by the shop's units where none were chosen here. */
  follow: (system: System) => void;
}

const Context = createContext<Preferences | undefined>(undefined);

/** Units, theme and sound of this screen; kept in the browser. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [state, setState] = useState(preferred);
  useEffect(() => {
    prefer(state);
    document.documentElement.dataset.theme = state.theme;
  }, [state]);
  const value = useMemo(
    () => ({
      ...state,
      turn: (next: Partial<Preferred>) =>
        setState((s) => ({ ...s, ...next, ownSystem: s.ownSystem || "system" in next })),
      follow: (system: System) => setState((s) => (s.ownSystem || s.system === system ? s : { ...s, system })),
    }),
    [state],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const p = useContext(Context);
  if (!p) throw new Error("preferences are asked for outside their provider");
  return p;
}
