import { msg } from "../messages/messages";
import { useState } from "react";
import { ask, type Api } from "../api/client";
import { useCatalogue } from "../api/queries";
import { fresh } from "../repair/damage/fresh";
import { useLeadOn } from "../shell/lead-on";
import { put } from "./shop";
import { useSaid } from "./use-said";

/** A door with a dent to try everything on, made up. */
export function PracticeStep() {
  const asking = useLeadOn();
  const door = useCatalogue().data?.typicalParts.find((t) => t.id === "door");
  const [clientId] = useState(() => crypto.randomUUID());
  const { said, attempt } = useSaid();
  if (!door) return null;
  const part = { ...door.draft, name: msg("Practice door"), vehicle: msg("Practice") };
  const dent = { ...fresh("DENT", part, []), lengthMm: 60, widthMm: 40, depthMm: 2.5 };
  const begin = () =>
    attempt(async () => {
      const leadOn = asking();
      const { id } = await ask<Api["RepairView"]>("/api/repairs", {
        method: "POST",
        body: { clientId, draft: { part, damages: [dent] } },
      });
      await put("/api/shop/set-up/PRACTICE");
      leadOn(`/repairs/${id}/part`);
    });
  return (
    <>
      <button type="button" className="btn go self-start" onClick={() => void begin()}>
        {msg("Begin the practice repair")}
      </button>
      {said}
    </>
  );
}
