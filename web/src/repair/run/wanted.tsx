import { msg } from "../../messages/messages";
import { Camera, ScrollText } from "lucide-react";
import type { Api } from "../../api/client";
import { FileButton } from "../../shell/file-button";
import { useSendPicture } from "../record/send-picture";
import { useWants } from "../steps/house-page";

/** What the house wants at a step of a run and has not got; undefined where nothing is missing. */
export function missing(state: Api["RunState"], at: Api["RunStep"]): Api["Wanted"] | undefined {
  const wanted = at.step.wanted;
  if (!wanted) return undefined;
  const readings = wanted.readings.filter((q) => !state.readings.some((r) => r.step === at.id && r.quantity === q));
  const picture = wanted.picture && !state.pictured.some((p) => p.step === at.id);
  return picture || readings.length > 0 ? { readings, picture } : undefined;
}

/** What the house still wants at the step in hand, with what gives it. */
export function WantedHere({
  run,
  at,
  lacking,
  onReading,
}: {
  run: number;
  at: Api["RunStep"];
  lacking: Api["Wanted"] | undefined;
  onReading: () => void;
}) {
  const wants = useWants(lacking);
  const sending = useSendPicture(run);
  const retry = sending.isError && (
    <p role="alert" className="flex flex-wrap items-center gap-4 font-bold text-oxide-text">
      {msg("The picture was not taken: {message}", { message: sending.error.message })}
      <button type="button" className="btn" onClick={sending.again}>
        {msg("Send it again")}
      </button>
    </p>
  );
  if (!at.step.wanted) return null;
  return (
    <section aria-label={msg("What the house wants")} className="flex flex-col gap-2">
      {lacking && (
        <div className="flex flex-wrap items-center gap-3">
          <p className="flex items-center gap-2 text-20 font-bold sm:text-24">
            <ScrollText className="shrink-0" size={26} aria-hidden="true" />{" "}
            {msg("The house wants {wants}.", { wants })}
          </p>
          {lacking.readings.length > 0 && (
            <button type="button" className="btn" onClick={onReading}>
              {msg("Give the reading")}
            </button>
          )}
          {lacking.picture && (
            <FileButton
              label={sending.isPending ? msg("Sending") : msg("Take the picture")}
              files={msg("Picture of this step")}
              accept="image/jpeg,image/png"
              icon={Camera}
              disabled={sending.isPending}
              onFile={(file) => sending.mutate({ file, moment: "DURING", clientId: crypto.randomUUID(), step: at.id })}
            />
          )}
        </div>
      )}
      {retry}
    </section>
  );
}
