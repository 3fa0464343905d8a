import { type ReactNode, useState } from "react";
import { type Api, problemsOf } from "../api/client";
import { problemAt } from "../shell/field";

/** Something sent, and what is said of it: that it was taken, or what is wrong with it. */
export function useSaid(): {
  said: ReactNode;
  attempt: (work: () => Promise<unknown>, taken?: string) => Promise<boolean>;
  problem: (field: string) => string | undefined;
} {
  const [words, setWords] = useState<{ text: string; refused: boolean }>();
  const [problems, setProblems] = useState<readonly Api["InputProblem"][]>([]);
  const attempt = async (work: () => Promise<unknown>, taken = "") => {
    try {
      await work();
      setProblems([]);
      setWords({ text: taken, refused: false });
      return true;
    } catch (e) {
      setProblems(problemsOf(e));
      setWords({ text: e instanceof Error ? e.message : String(e), refused: true });
      return false;
    }
  };
  const said = words?.text ? (
    <p role={words.refused ? "alert" : "status"} className={`font-bold ${words.refused ? "text-oxide-text" : ""}`}>
      {words.text}
    </p>
  ) : null;
  return { said, attempt, problem: (field) => problemAt(problems, field) };
}
