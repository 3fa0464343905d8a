import type { ReactNode } from "react";

/** Head of a sheet. */
export function Head({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="firm-b bg-ground flex min-h-10 shrink-0 items-center justify-between gap-3 px-4 py-1.5">
      <h2 className="hd">{title}</h2>
      {children && <span className="lab text-right">{children}</span>}
    </div>
  );
}

/** A big figure with its unit and what it means. */
export function Big({
  label,
  value,
  note,
  waits = false,
  small = false,
}: {
  label: string;
  value: string;
  note?: ReactNode;
  waits?: boolean;
  small?: boolean;
}) {
  const [figure, unit] = value.split("\u202f");
  const rest = value.split("\u202f").slice(2).join("\u202f");
  return (
    <div className={`min-w-0 px-4 py-2.5 ${waits ? "bg-tape text-on-tape" : ""}`}>
      <div className={`lab ${waits ? "text-on-tape" : ""}`}>{label}</div>
      <div className={`n font-semibold ${small ? "text-28" : "text-44"}`} style={{ fontStretch: "88%" }}>
        {figure}
        {unit && <span className="ml-1 text-[0.62em] font-medium">{unit}</span>}
        {rest && <span className="ml-1">{rest.replace("\u202f", " ")}</span>}
      </div>
      {note && <div className={`lab ${waits ? "text-on-tape" : ""}`}>{note}</div>}
    </div>
  );
}
