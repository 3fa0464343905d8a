import {
  keepPreviousData,
  QueryClient,
  type QueryKey,
  useInfiniteQuery,
  useQuery,
  useQueryClient,
  type UseQueryOptions,
} from "@tanstack/react-query";
import { useCallback, useEffect } from "react";
import { inLanguage } from "../messages/told";
import { usePreferences } from "../shell/preferences";
import { inUnits } from "../units/text";
import { ask, type Api, Problem, whenTurnedAway } from "./client";
import { KeptAnswers } from "./kept-answers";

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (failures, error) => !(error instanceof Problem) && failures < 2,
      networkMode: "always",
    },
    mutations: { networkMode: "always" },
  },
});

/** A run is this much older than what is shown before it can be one of a store that was brought back from a backup, in ms. */
const BROUGHT_BACK_MS = 60_000;

/**
 * Of two answers about a run the one to show. An answer that was on its way while an event was taken is older than what the event was
 * answered with: shown after it, it would put the step just done back in hand. Events are only ever added, so more of them is newer; fewer
 * of them, computed much later, is a store brought back from a backup.
 */
export function newerRun(had: Api["RunView"] | undefined, came: Api["RunView"]): Api["RunView"] {
  if (!had || came.events >= had.events) return came;
  return Date.parse(came.now) - Date.parse(had.now) > BROUGHT_BACK_MS ? came : had;
}

export const keys = {
  session: ["session"] as const,
  bench: ["bench"] as const,
  day: ["day"] as const,
  repairs: ["repairs"] as const,
  closed: ["closed"] as const,
  run: (id: number) => ["run", id] as const,
  record: (id: number) => ["record", id] as const,
  shelf: ["shelf"] as const,
  rules: ["rules"] as const,
  housePages: ["house-pages"] as const,
  catalogue: ["catalogue"] as const,
  devices: ["devices"] as const,
  pictures: (id: number) => ["pictures", id] as const,
};

export const keptAnswers = new KeptAnswers(queryClient);

whenTurnedAway(() => void queryClient.invalidateQueries({ queryKey: keys.session }));

queryClient.setQueryDefaults(["run"], {
  structuralSharing: (had, came) => newerRun(had as Api["RunView"] | undefined, came as Api["RunView"]),
});

type Asked<T> = Omit<UseQueryOptions<T, Error, T, QueryKey>, "select">;

/** Asks the server and has its words said in the shop's units; what is kept stays as it came. */
export function useTold<T>(options: Asked<T>) {
  const { system } = usePreferences();
  const select = useCallback((told: T) => inUnits(told, system), [system]);
  return useQuery({ ...options, select });
}

/** As {@link useTold}, in the language of this screen besides: for what is read at the bench. */
function useSpoken<T>(options: Asked<T>) {
  const { system } = usePreferences();
  const select = useCallback((told: T) => inUnits(inLanguage(told), system), [system]);
  return useQuery({ ...options, select });
}

/** What answers a question, a page after the other as they are asked for. */
function useToldPages<P extends { next?: string }>(key: QueryKey, path: string, find: string) {
  const { system } = usePreferences();
  return useInfiniteQuery({
    queryKey: [...key, find],
    queryFn: ({ pageParam, signal }) =>
      ask<P>(`${path}?${new URLSearchParams({ find, after: pageParam }).toString()}`, { signal }),
    initialPageParam: "",
    getNextPageParam: (last: P) => last.next,
    placeholderData: keepPreviousData,
    select: useCallback((told: { pages: P[] }) => told.pages.map((p) => inUnits(p, system)), [system]),
  });
}

export const useSession = () =>
  useTold({ queryKey: keys.session, queryFn: () => ask<Api["Session"]>("/api/session"), staleTime: Infinity });
export const useBench = () =>
  useSpoken({ queryKey: keys.bench, queryFn: () => ask<Api["BenchView"]>("/api/bench"), refetchInterval: 30_000 });
/** Who does what, when; asked again as time runs on. */
export const useDay = () =>
  useTold({ queryKey: keys.day, queryFn: () => ask<Api["DayView"]>("/api/day"), refetchInterval: 60_000 });
/** How often that day keeps what was promised; until it is known of a new one, what was known of the one before. */
export const useDayOdds = (day: Api["DayView"]) =>
  useQuery({
    queryKey: [...keys.day, "odds", day.now],
    queryFn: () => ask<Api["OddsView"]>("/api/day/odds"),
    enabled: day.jobs.length > 0,
    placeholderData: (had) => had,
  });
/** Repairs that wait or run. */
export const useRepairs = () =>
  useTold({ queryKey: keys.repairs, queryFn: () => ask<Api["RepairLine"][]>("/api/repairs") });
/** Repairs that are finished or ended, in pages. */
export const useClosedRepairs = (find: string) =>
  useToldPages<Api["ClosedPage"]>(keys.closed, "/api/repairs/closed", find);
export const useRecords = (find: string) => useToldPages<Api["FoundPage"]>(["records"], "/api/records", find);
export const useRun = (id: number, enabled = true) =>
  useSpoken({ queryKey: keys.run(id), queryFn: () => ask<Api["RunView"]>(`/api/repairs/${id}/run`), enabled });
/** What lies where on the part, as it was at {@code turn} of the run. */
export const useFilm = (id: number, turn: string, enabled: boolean) =>
  useTold({
    queryKey: ["film", id, turn],
    queryFn: () => ask<Api["FilmView"]>(`/api/repairs/${id}/run/film`),
    enabled,
    placeholderData: keepPreviousData,
  });
export const useRecord = (id: number, enabled = true) =>
  useTold({ queryKey: keys.record(id), queryFn: () => ask<Api["RecordView"]>(`/api/repairs/${id}/record`), enabled });
export const useShelf = () =>
  useTold({ queryKey: keys.shelf, queryFn: () => ask<Api["ShelfLine"][]>("/api/shelf"), staleTime: 60_000 });
export const useRules = () =>
  useTold({ queryKey: keys.rules, queryFn: () => ask<Api["RulesView"]>("/api/rules"), staleTime: 60_000 });

export const useHousePages = () =>
  useTold({
    queryKey: keys.housePages,
    queryFn: () => ask<Api["HousePagesView"]>("/api/house-pages"),
    staleTime: 60_000,
  });

/** The stack of a draft with what speaks for and against each choice, which what is computed while typing leaves out. */
export const useWholeStack = (draft: Api["RepairDraft"] | undefined, enabled: boolean) =>
  useTold({
    queryKey: ["stack", draft] as const,
    queryFn: ({ signal }) => ask<Api["StackView"]>("/api/preview/stack", { method: "POST", body: draft, signal }),
    enabled: enabled && draft !== undefined,
    placeholderData: keepPreviousData,
  });

/** What there is to choose from; it changes with a release only. */
export const useCatalogue = () =>
  useTold({
    queryKey: keys.catalogue,
    queryFn: () => ask<Api["CatalogueView"]>("/api/catalogue"),
    staleTime: Infinity,
  });

/** The shop's zone; the screen's own until the bench has answered. */
export function useZone(): string {
  return useBench().data?.shop.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** Listens to the server's bell and asks anew for what is on screen when something changed. */
export function useBell(): void {
  const client = useQueryClient();
  useEffect(() => {
    const stream = new EventSource("/api/stream");
    const refresh = (which?: number[]) => {
      for (const key of ["bench", "day", "repairs", "closed"]) void client.invalidateQueries({ queryKey: [key] });
      if (which) {
        for (const id of which) {
          for (const key of ["run", "record", "pictures"]) void client.invalidateQueries({ queryKey: [key, id] });
        }
        // The shelf follows what a run uses.
        void client.invalidateQueries({ queryKey: keys.shelf });
      } else {
        for (const key of ["run", "record", "pictures", "rules", "house-pages", "shelf", "devices"]) {
          void client.invalidateQueries({ queryKey: [key] });
        }
      }
    };
    stream.addEventListener("changed", (e: MessageEvent<string>) =>
      refresh((JSON.parse(e.data) as { repairs?: number[] }).repairs),
    );
    stream.addEventListener("open", () => refresh());
    return () => stream.close();
  }, [client]);
}
