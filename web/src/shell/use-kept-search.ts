import { useCallback } from "react";
import { useSearchParams } from "react-router";

/** What is looked for in a list, and how it is sorted: kept in the address, so that Back finds the list as it was left. */
export function useKeptSearch(key: string): [string, (value: string) => void] {
  const [params, setParams] = useSearchParams();
  const put = useCallback(
    (value: string) =>
      setParams(
        (was) => {
          const next = new URLSearchParams(was);
          if (value === "") next.delete(key);
          else next.set(key, value);
          return next;
        },
        { replace: true },
      ),
    [key, setParams],
  );
  return [params.get(key) ?? "", put];
}
