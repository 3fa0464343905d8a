import { type ReactNode, useState } from "react";
import { type Api, problemsOf } from "../api/client";
import { SheetDialog } from "./sheet-dialog";

type Problems = readonly Api["InputProblem"][];

/** A form in a sheet: what is refused is said at its field, and what was typed stays. */
export function FormDialog({
  title,
  told,
  act,
  trigger,
  send,
  onOpen,
  below,
  children,
}: {
  title: string;
  told: string;
  act: string;
  trigger: ReactNode;
  send: () => Promise<void>;
  onOpen?: () => void;
  /** What stands under the form and is sent by itself. */
  below?: ReactNode;
  children: (problems: Problems) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const [problems, setProblems] = useState<Problems>([]);
  const [refused, setRefused] = useState("");
  const submit = async () => {
    try {
      await send();
      setOpen(false);
    } catch (e) {
      setProblems(problemsOf(e));
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <SheetDialog
      title={title}
      told={told}
      trigger={trigger}
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setProblems([]);
        setRefused("");
        if (next) onOpen?.();
      }}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          void submit();
        }}
      >
        {children(problems)}
        {refused && problems.length === 0 && (
          <p role="alert" className="text-oxide-text font-bold">
            {refused}
          </p>
        )}
        <button className="btn go">{act}</button>
      </form>
      {below}
    </SheetDialog>
  );
}
