import { useEffect, useRef } from "react";
import { typing } from "./keys";

/** The field that `/` goes to. */
export function useFindKey() {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!typing(e) && e.key === "/") {
        e.preventDefault();
        field.current?.focus();
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return field;
}
