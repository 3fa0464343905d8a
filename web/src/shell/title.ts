import { msg } from "../messages/messages";
import { useEffect } from "react";

const NAME = msg("Vane Mend");
let view = NAME;
let biting = "";

const write = () => {
  document.title = biting ? `${biting} · ${view}` : view;
};

/** The page is called after what it shows: found again among many tabs, and on paper. */
export function useTitle(words: string): void {
  useEffect(() => {
    view = words ? `${words} · ${NAME}` : NAME;
    write();
  }, [words]);
}

/** What bites first stands before what is shown; nothing where nothing bites. */
export function titleBiting(words: string): void {
  biting = words;
  write();
}
