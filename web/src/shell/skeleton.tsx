import { msg } from "../messages/messages";
/** What is to come, as grey lines: it has been asked for and nothing is known of it yet. */
export function Skeleton({ lines = 6 }: { lines?: number }) {
  return (
    <div role="status" className="flex w-full flex-col gap-4 p-6">
      <span className="sr-only">{msg("One moment.")}</span>
      {Array.from({ length: lines }, (_, i) => (
        <div
          key={i}
          aria-hidden="true"
          className="bg-ground h-7"
          style={{ width: `${[62, 84, 46, 73][i % 4] ?? 60}%` }}
        />
      ))}
    </div>
  );
}
