import type { ReactNode } from "react";

/** A button of the run's head: its sign always, its word where there is room. */
export function TopButton({
  onClick,
  disabled = false,
  label,
  children,
}: {
  onClick: () => void;
  disabled?: boolean;
  label: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="bg-ground firm-l n flex min-w-[72px] max-sm:min-h-[72px] max-sm:min-w-14 max-sm:flex-1 max-sm:px-1 items-center justify-center gap-2 px-3 text-20 font-semibold disabled:text-muted [&>svg]:shrink-0"
      disabled={disabled}
      aria-label={label}
      onClick={onClick}
    >
      {children}
      <span className="hidden leading-6 text-balance sm:inline">{label}</span>
    </button>
  );
}
