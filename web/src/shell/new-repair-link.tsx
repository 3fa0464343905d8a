import { msg } from "../messages/messages";
import { Plus } from "lucide-react";
import { Link } from "react-router";

/** Where one looks for it: begins a new repair. */
export function NewRepairLink({ className = "" }: { className?: string }) {
  return (
    <Link
      to="/repairs/new"
      className={`bg-pine text-on-pine n flex min-h-14 items-center gap-2 px-6 text-20 font-semibold ${className}`}
    >
      <Plus size={24} aria-hidden="true" /> {msg("New repair")}
    </Link>
  );
}
