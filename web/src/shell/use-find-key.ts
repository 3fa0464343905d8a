import { useRef } from "react";
import { typing, useKeys } from "./keys";

/** The field that `/` goes to. */
export function useFindKey() {
  const field = useRef<HTMLInputElement>(null);
  useKeys((e) => {
    if (!typing(e) && e.key === "/") {
      e.preventDefault();
      field.current?.focus();
    }
  });
  return field;
}
