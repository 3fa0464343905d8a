import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { useSession } from "./api/queries";
import { BenchPlace } from "./bench/bench";
import { SignIn } from "./door/sign-in";
import { Repair } from "./repair/repair";
import { RunScreen } from "./repair/run/run";
import { Records } from "./repairs/records";
import { Repairs } from "./repairs/repairs";
import { Shell } from "./shell/shell";

const Rules = lazy(() => import("./rules/rules"));
const Devices = lazy(() => import("./devices/devices"));
const Audit = lazy(() => import("./repairs/audit"));
const PeoplePlace = lazy(() => import("./repairs/people"));
const ShelfPlace = lazy(() => import("./shelf/shelf"));

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: "/", element: <Navigate to="/bench" replace /> },
      { path: "/bench", element: <BenchPlace /> },
      { path: "/repairs", element: <Repairs /> },
      { path: "/records", element: <Records /> },
      { path: "/repairs/:id/:station", element: <Repair /> },
      { path: "/shelf", element: <ShelfPlace /> },
      { path: "/devices", element: <Devices /> },
      { path: "/audit", element: <Audit /> },
      { path: "/people", element: <PeoplePlace /> },
      { path: "/rules", element: <Rules /> },
      { path: "*", element: <Navigate to="/bench" replace /> },
    ],
  },
  { path: "/repairs/:id/run", element: <RunScreen /> },
]);

/** The door, and what is behind it. */
export function App() {
  const session = useSession();
  if (session.isPending) return <p className="p-6 text-20">One moment.</p>;
  if (session.isError) {
    return (
      <main className="flex flex-col items-start gap-4 p-6">
        <p className="text-20">{session.error.message}</p>
        <button className="btn" onClick={() => void session.refetch()}>
          Try again
        </button>
      </main>
    );
  }
  if (!session.data.account) return <SignIn />;
  return (
    <Suspense fallback={<p className="p-6 text-20">One moment.</p>}>
      <RouterProvider router={router} />
    </Suspense>
  );
}
