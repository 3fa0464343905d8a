import { msg } from "../../messages/messages";
import { useMutation } from "@tanstack/react-query";
import { FileDown } from "lucide-react";
import { ask, type Api, problemsOf } from "../../api/client";
import { keys, queryClient } from "../../api/queries";
import { FileButton } from "../../shell/file-button";

/** Readings out as CSV, and those of a logger in; a line that is there already counts once. */
export function ReadingsFile({ id }: { id: number }) {
  const read = useMutation({
    mutationFn: async (file: File) =>
      ask<Api["ReadingsInView"]>(`/api/repairs/${id}/readings.csv`, {
        method: "POST",
        body: new Blob([await file.text()], { type: "text/csv" }),
      }),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: keys.run(id) });
      void queryClient.invalidateQueries({ queryKey: keys.record(id) });
    },
  });
  const problems = problemsOf(read.error);
  return (
    <div className="no-print mt-3 flex flex-wrap items-center gap-2">
      <a className="btn" href={`/api/repairs/${id}/readings.csv`} download>
        <FileDown size={20} aria-hidden="true" /> {msg("Readings, CSV")}
      </a>
      <FileButton
        label={msg("Read readings in")}
        files={msg("Readings file")}
        accept=".csv,text/csv"
        disabled={read.isPending}
        onFile={(file) => read.mutate(file)}
      />
      {read.isSuccess && (
        <span role="status" className="font-bold">
          {read.data.taken === 0
            ? msg("Nothing new: all of them are here already.")
            : msg("{n, plural, one {# new reading} other {# new readings}}.", { n: read.data.taken })}
        </span>
      )}
      {read.isError && (
        <span role="alert" className="font-bold text-oxide-text">
          {msg("Nothing was taken. {message}", { message: read.error.message })}
          {problems.length > 1 && ` ${msg("And {n} more.", { n: problems.length - 1 })}`}
        </span>
      )}
    </div>
  );
}
