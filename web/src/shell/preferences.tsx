import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from "react";
import { said, type System } from "../units/units";

interface Preferences {
  system: System;
  theme: "day" | "night";
  sound: boolean;
  turn: (next: Partial<Omit<Preferences, "turn">>) => void;
}

const KEY = "vanemend.preferences";
const Context = createContext<Preferences | undefined>(undefined);

function kept(): Omit<Preferences, "turn"> {
  const fallback = { system: "metric", theme: "day", sound: true } as const;
  try {
    return { ...fallback, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as object) };
  } catch {
    return fallback;
  }
}

/** Units, theme and sound of this screen; kept in the browser. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [state, setState] = useState(kept);
  useEffect(() => {
    localStorage.setItem(KEY, JSON.stringify(state));
    document.documentElement.dataset.theme = state.theme;
  }, [state]);
  const value = useMemo(
    () => ({ ...state, turn: (next: Partial<Omit<Preferences, "turn">>) => setState((s) => ({ ...s, ...next })) }),
    [state],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const p = useContext(Context);
  if (!p) throw new Error("preferences are asked for outside their provider");
  return p;
}

/** Says words from the core in the shop's system. */
export function useSaid(): (text: string) => string {
  const { system } = usePreferences();
  return useCallback((text: string) => said(text, system), [system]);
}
