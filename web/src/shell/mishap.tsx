import { msg } from "../messages/messages";
import { RotateCcw } from "lucide-react";
import { Link, useRouteError } from "react-router";

/** A screen that came to a stop: said plainly, beside the rest that still works. What was typed lies in the browser's own store, not here. */
export function Mishap() {
  const error = useRouteError();
  return (
    <main className="flex flex-col items-start gap-4 p-6" role="alert">
      <h1 className="text-28 font-semibold">{msg("This screen came to a stop")}</h1>
      <p className="text-20">
        {msg(
          "What you typed and what was done at the bench is kept on this tablet and goes to the server by itself. Open the screen again, or go on elsewhere.",
        )}
      </p>
      <p className="lab">{error instanceof Error ? error.message : String(error)}</p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn go" onClick={() => window.location.reload()}>
          <RotateCcw size={20} aria-hidden="true" /> {msg("Open it again")}
        </button>
        <Link to="/bench" className="btn">
          {msg("To the bench")}
        </Link>
      </div>
    </main>
  );
}
