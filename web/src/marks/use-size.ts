import { useCallback, useState } from "react";

/** The last size of each place that comes and goes: it is drawn once, at the size it will have. */
const LAST = new Map<string, { width: number; height: number }>();

const NONE = { width: 0, height: 0 };

/** Width and height of an element, followed as it changes; those of a {@code place} are known from the last time it was there. */
export function useSize(place = "") {
  const [seen, setSeen] = useState({ place, size: LAST.get(place) ?? NONE });
  const ref = useCallback(
    (el: HTMLElement | null) => {
      if (!el) return;
      const look = () => {
        const now = { width: el.clientWidth, height: el.clientHeight };
        if (place) LAST.set(place, now);
        setSeen((was) =>
          was.place === place && was.size.width === now.width && was.size.height === now.height
            ? was
            : { place, size: now },
        );
      };
      const watch = new ResizeObserver(look);
      watch.observe(el);
      // Where the size is known the watch tells soon enough, and nothing has to be laid out before its time.
      if (!LAST.has(place)) look();
      return () => watch.disconnect();
    },
    [place],
  );
  // An element that becomes another place has that place's size at once.
  return [ref, seen.place === place ? seen.size : (LAST.get(place) ?? NONE)] as const;
}
