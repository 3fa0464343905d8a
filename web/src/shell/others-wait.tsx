import { msg } from "../messages/messages";
import { useOutbox } from "../repair/run/outbox";

/** What others did on this screen and the server does not have yet, by whose it is. */
export function OthersWait() {
  const { others } = useOutbox();
  if (others.length === 0) return null;
  const by = new Map<string, number>();
  others.forEach((k) => by.set(k.by?.name ?? msg("somebody"), (by.get(k.by?.name ?? msg("somebody")) ?? 0) + 1));
  return (
    <p role="status" className="firm-b no-print bg-tape text-on-tape px-4 py-2 font-semibold">
      {msg("Kept on this screen and not sent yet: {whose}. Each goes when its owner signs in here.", {
        whose: [...by]
          .map(([name, n]) => msg("{n, plural, one {# act} other {# acts}} of {name}", { n, name }))
          .join(", "),
      })}
    </p>
  );
}
