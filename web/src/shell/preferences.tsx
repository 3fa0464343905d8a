import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";
import { prefer, type Preferred, preferred } from "../units/preferred";

interface Preferences extends Preferred {
  turn: (next: Partial<Preferred>) => void;
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
    () => ({ ...state, turn: (next: Partial<Preferred>) => setState((s) => ({ ...s, ...next })) }),
    [state],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const p = useContext(Context);
  if (!p) throw new Error("preferences are asked for outside their provider");
  return p;
}
