import { msg } from "../../messages/messages";
import { Link } from "react-router";

/** Said in the run while somebody plans it anew. */
export function PlannedAnew({ id, why }: { id: number; why: string }) {
  return (
    <p className="firm-b bg-ground flex flex-wrap items-center gap-x-6 gap-y-2 px-4 py-2 text-20 sm:px-8" role="status">
      <span>
        <b>{msg("Being planned anew:")}</b> {why}
      </span>
      <Link to={`/repairs/${id}/damage`} className="btn">
        {msg("To the draft")}
      </Link>
      <Link to={`/repairs/${id}/run/anew`} className="btn">
        {msg("Go on by the new plan")}
      </Link>
    </p>
  );
}
