import { type RefObject, useEffect } from "react";

/** What a step has that was typed and is not taken yet: takes it and tells whether it was; undefined for nothing. */
export type NotTaken = RefObject<(() => Promise<boolean>) | undefined>;

/** Leaves {@code take} with whoever leads on, while there is something to take. */
export function useRest(restRef: NotTaken, dirty: boolean, take: () => Promise<boolean>) {
  useEffect(() => {
    restRef.current = dirty ? take : undefined;
    return () => {
      restRef.current = undefined;
    };
  });
}
