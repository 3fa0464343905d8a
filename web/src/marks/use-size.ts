import { useCallback, useState } from "react";

/** Width and height of an element, followed as it changes. */
export function useSize() {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const ref = useCallback((el: HTMLElement | null) => {
    if (!el) return;
    const look = () => setSize({ width: el.clientWidth, height: el.clientHeight });
    const watch = new ResizeObserver(look);
    watch.observe(el);
    look();
    return () => watch.disconnect();
  }, []);
  return [ref, size] as const;
}
