import { useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useRef } from "react";

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
}

/** Rows that scroll. Of a list of thousands only those in sight are there, and a few around them. */
export function LongList<T>(rows: Rows<T>) {
  return rows.items.length > PLAIN ? <InSight {...rows} /> : <All {...rows} />;
}

const FIELD = "min-h-0 flex-1 overflow-y-auto";

function All<T>({ items, idOf, row, children }: Rows<T>) {
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
    </div>
  );
}

function InSight<T>({ items, rowPx, idOf, row, children }: Rows<T>) {
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
                aria-setsize={items.length}
                aria-posinset={index + 1}
                className="border-b border-hair"
              >
                {row(item)}
              </li>
            )
          );
        })}
      </ul>
    </div>
  );
}
