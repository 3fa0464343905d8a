import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach } from "vitest";
import type { Api } from "../api/client";
import { keys } from "../api/queries";
import { PreferencesProvider } from "../shell/preferences";

/** As much of the catalogue as components ask for. */
const QUANTITIES = [
  { quantity: "DEPTH_MM", word: "Depth left", sort: "DEPTH", unit: "mm", min: 0, max: 25 },
  { quantity: "SPOT_MM", word: "Spot across", sort: "DEPTH", unit: "mm", min: 1, max: 1500 },
  { quantity: "FILLER_G", word: "Filler weighed", sort: "PLAIN", unit: "g", min: 1, max: 3000, measured: "MASS_G" },
  { quantity: "CREAM_G", word: "Cream weighed", sort: "PLAIN", unit: "g", min: 0.1, max: 150, measured: "MASS_G" },
  { quantity: "SURFACE_C", word: "Surface", sort: "TEMPERATURE", unit: "°C", min: -20, max: 120 },
] satisfies Api["QuantityView"][];

/** A component on a screen of its own: in metric, by day, with what the server would have told it. */
export function show(what: ReactNode, given: readonly (readonly [readonly unknown[], unknown])[] = [], at = "/") {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.catalogue, { quantities: QUANTITIES, measured: [], roles: [], tools: [] });
  client.setQueryData(keys.session, {
    account: { id: "tam", name: "Tam Okafor", role: "TECHNICIAN" },
    rights: [],
    now: "",
  });
  client.setQueryData(keys.bench, {
    live: [],
    hands: [],
    shop: {
      zone: "UTC",
      present: [{ id: "tam", name: "Tam Okafor", role: "TECHNICIAN" }],
      tempC: 21,
      rhPercent: 48,
      dewPointC: 9.5,
    },
  });
  given.forEach(([key, data]) => client.setQueryData(key, data));
  return render(
    <QueryClientProvider client={client}>
      <PreferencesProvider>
        <MemoryRouter initialEntries={[at]}>{what}</MemoryRouter>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
}

/** What a browser has and the stand-in has not; and a clean screen after each test. */
export function onScreen() {
  beforeEach(() => {
    localStorage.clear();
    globalThis.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    globalThis.EventSource = class {
      addEventListener() {}
      close() {}
    } as unknown as typeof EventSource;
  });
  afterEach(cleanup);
}
