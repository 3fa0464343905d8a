import { msg } from "../messages/messages";
import { useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useEffect, useRef } from "react";

/** Up to here every row is there at once: the browser's own find, Tab and print reach all of them. */
const PLAIN = 150;

interface Rows<T> {
  items: readonly T[];
  /** Of one row, px; what a row really takes is measured. */
  rowPx: number;
  idOf: (item: T) => number | string;
  row: (item: T) => ReactNode;
  /** What stands above the rows and scrolls with them. */
  children?: ReactNode;
  /** Where there are more rows than these: asks for them. */
  more?: More;
}

/** A further page of a list. */
export interface More {
  coming: boolean;
  ask: () => void;
}

/** Of what `useInfiniteQuery` gives: how to ask for more, where there is more. */
export function moreOf(q: { hasNextPage: boolean; isFetchingNextPage: boolean; fetchNextPage: () => unknown }) {
  return q.hasNextPage ? { coming: q.isFetchingNextPage, ask: () => void q.fetchNextPage() } : undefined;
}

/** Rows that scroll. Of a list of thousands only those in sight are there, and a few around them. */
export function LongList<T>(rows: Rows<T>) {
  return rows.items.length > PLAIN ? <InSight {...rows} /> : <All {...rows} />;
}

const FIELD = "min-h-0 flex-1 overflow-y-auto";

/** Asks for more as soon as it is in sight; also by hand, where a browser does not tell. */
function AskForMore({ more }: { more: More }) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const seen = button.current;
    if (!seen || more.coming) return;
    const watch = new IntersectionObserver((all) => all.some((e) => e.isIntersecting) && more.ask());
    watch.observe(seen);
    return () => watch.disconnect();
  }, [more]);
  return (
    <button ref={button} type="button" className="btn m-4" disabled={more.coming} onClick={more.ask}>
      {more.coming ? msg("Older ones are coming") : msg("Show older ones")}
    </button>
  );
}

function All<T>({ items, idOf, row, children, more }: Rows<T>) {
  return (
    <div className={FIELD}>
      {children}
      <ul>
        {items.map((item) => (
          <li key={idOf(item)} className="border-b border-hair">
            {row(item)}
          </li>
        ))}
      </ul>
      {more && <AskForMore more={more} />}
    </div>
  );
}

function InSight<T>({ items, rowPx, idOf, row, children, more }: Rows<T>) {
  const field = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- what it gives is used here alone and memoized nowhere
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => field.current,
    estimateSize: () => rowPx,
    getItemKey: (i) => {
      const item = items[i];
      return item === undefined ? i : idOf(item);
    },
    overscan: 8,
  });
  const inSight = rows.getVirtualItems();
  return (
    <div ref={field} className={FIELD}>
      {children}
      <ul
        style={{
          paddingTop: inSight[0]?.start ?? 0,
          paddingBottom: rows.getTotalSize() - (inSight.at(-1)?.end ?? 0),
        }}
      >
        {inSight.map(({ index, key }) => {
          const item = items[index];
          return (
            item !== undefined && (
              <li
                key={key}
                ref={rows.measureElement}
                data-index={index}
                aria-setsize={more ? -1 : items.length}
                aria-posinset={index + 1}
                className="border-b border-hair"
              >
                {row(item)}
              </li>
            )
          );
        })}
      </ul>
      {more && <AskForMore more={more} />}
    </div>
  );
}
