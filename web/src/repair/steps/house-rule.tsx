import { msg } from "../../messages/messages";
import { ScrollText } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import { useMay } from "../../shell/me";
import { SheetDialog } from "../../shell/sheet-dialog";
import type { RulePlace } from "./house-rule-form";
import { Skeleton } from "../../shell/skeleton";

/** A lead's, and seldom: loaded when it is opened. */
const HouseRuleForm = lazy(() => import("./house-rule-form"));

/** What a lead changes of the method's page at one step, for every repair that is started from now on. */
export function HouseRuleButton(place: RulePlace) {
  const lead = useMay("RULES");
  const [open, setOpen] = useState(false);
  if (!lead) return null;
  return (
    <SheetDialog
      wide
      title={msg("House rule at “{title}”", { title: place.plan.steps[place.at]?.step.title ?? "" })}
      told={msg("For every repair by “{title}” that is started from now on. What has begun keeps the plan it has.", {
        title: place.plan.title,
      })}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="btn">
          <ScrollText size={18} aria-hidden="true" /> {msg("House rule")}
        </button>
      }
    >
      <Suspense fallback={<Skeleton lines={3} />}>
        <HouseRuleForm {...place} onSigned={() => setOpen(false)} />
      </Suspense>
    </SheetDialog>
  );
}
