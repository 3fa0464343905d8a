import { msg } from "./messages/messages";
import { lazy, type ReactNode, Suspense, useEffect, useLayoutEffect } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { speaksFor } from "./api/client";
import { useSession } from "./api/queries";
import { BenchPlace } from "./bench/bench";
import { SignIn } from "./door/sign-in";
import { outbox } from "./repair/run/outbox";
import { AskAgain } from "./shell/ask-again";
import { Mishap } from "./shell/mishap";
import { Shell } from "./shell/shell";
import { Skeleton } from "./shell/skeleton";

/** What is opened next from the bench, fetched while nobody waits for it. */
const repairPlace = () => import("./repair/repair");
const runPlace = () => import("./repair/run/run");
const Repair = lazy(() => repairPlace().then((m) => ({ default: m.Repair })));
const RunScreen = lazy(() => runPlace().then((m) => ({ default: m.RunScreen })));
const NewRepair = lazy(() => import("./begin/new-repair"));
const Rules = lazy(() => import("./rules/rules"));
const SetUp = lazy(() => import("./set-up/set-up"));
const DayPlace = lazy(() => import("./day/day"));
const Devices = lazy(() => import("./devices/devices"));
const Audit = lazy(() => import("./repairs/audit"));
const Repairs = lazy(() => import("./repairs/repairs"));
const Records = lazy(() => import("./repairs/records"));
const PeoplePlace = lazy(() => import("./repairs/people"));
const ServerPlace = lazy(() => import("./repairs/server"));
const ShelfPlace = lazy(() => import("./shelf/shelf"));

/** Every screen has a border of its own: one that stops leaves the rest working, and loses nothing. */
const screen = (path: string, element: ReactNode) => ({ path, element, errorElement: <Mishap /> });

/** What there is to open. */
export const routes = [
  {
    element: <Shell />,
    errorElement: <Mishap />,
    children: [
      screen("/", <Navigate to="/bench" replace />),
      screen("/bench", <BenchPlace />),
      screen("/day", <DayPlace />),
      screen("/repairs", <Repairs />),
      screen("/repairs/new", <NewRepair />),
      screen("/records", <Records />),
      screen("/repairs/:id/:station", <Repair />),
      screen("/set-up", <SetUp />),
      screen("/shelf", <ShelfPlace />),
      screen("/devices", <Devices />),
      screen("/audit", <Audit />),
      screen("/people", <PeoplePlace />),
      screen("/server", <ServerPlace />),
      screen("/rules", <Rules />),
      screen("*", <Navigate to="/bench" replace />),
    ],
  },
  screen("/repairs/:id/run/:part?", <RunScreen />),
];

const router = createBrowserRouter(routes);

/** The door, and what is behind it. */
export function App() {
  const session = useSession();
  const account = session.data?.account;
  useLayoutEffect(() => {
    speaksFor(account?.id);
    outbox.as(account);
  }, [account]);
  useEffect(() => {
    if (!account) return;
    const idle = window.requestIdleCallback ?? ((then: () => void) => window.setTimeout(then, 1_000));
    // Offline they come from what the browser keeps; a fetch that fails is made again when they are opened.
    idle(() => void Promise.allSettled([repairPlace(), runPlace()]));
  }, [account]);
  if (session.isPending) return <Skeleton />;
  if (session.isError && !session.data) {
    return (
      <main className="flex flex-col items-start gap-4 p-6">
        <p className="text-20">{session.error.message}</p>
        <button className="btn" onClick={() => void session.refetch()}>
          {msg("Try again")}
        </button>
      </main>
    );
  }
  if (!account) return <SignIn />;
  return (
    <Suspense fallback={<Skeleton />}>
      {/* A station stands there with the tap: a change that may be put off waits for every other one first. */}
      <RouterProvider router={router} useTransitions={false} />
      <AskAgain />
    </Suspense>
  );
}
