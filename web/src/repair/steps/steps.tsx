import { msg } from "../../messages/messages";
import { Printer, ShieldAlert } from "lucide-react";
import { Tabs } from "radix-ui";
import { Fragment, useRef } from "react";
import { useSearchParams } from "react-router";
import type { Api } from "../../api/client";
import { useMinute } from "../../api/clock";
import { Explained } from "../../words/explained";
import { useZone } from "../../api/queries";
import { dialogOpen, typing, useKeys } from "../../shell/keys";
import { minutes, moment } from "../../units/units";
import { litByStep, useLit } from "../drawing/lit";
import { Schools } from "../schools";
import { Head } from "../sheet";
import { lotsOf, type Site, siteOf } from "../sites";
import type { DraftOnScreen } from "../use-draft";
import { NotYet } from "../verdict/verdict";
import { ComparePanel } from "./compare";
import { EditsPanel, StepEdits } from "./edits";
import { HourBar } from "./hour-bar";
import { HouseAt, HouseMark, HousePanel } from "./house-page";
import { LadderPanel } from "./ladder";
import { PiecesPanel } from "./pieces";
import { BudgetPanel, PortionsPanel, ShoppingPanel, WaitsPanel } from "./portions";
import { PourPanel } from "./pour";

const TABS = [
  { value: "steps", word: msg("Steps") },
  { value: "pour", word: msg("Pour") },
  { value: "ladder", word: msg("Ladder") },
  { value: "cut", word: msg("Cut") },
  { value: "schools", word: msg("Schools") },
] as const;

/** Station 6: the ordered plan, the pour, the ladder. */
export function StepsStation({
  on,
  workup,
  frozen,
  id,
}: {
  on: DraftOnScreen;
  workup: Api["Workup"] | undefined;
  frozen: boolean;
  id: number;
}) {
  const [params, setParams] = useSearchParams();
  if (!workup) return <NotYet what={msg("a plan")} />;
  const plan = workup.plan;
  // A pane and a tyre are not sanded by grades: no ladder stands empty.
  const tabs = TABS.filter((t) => t.value !== "ladder" || (plan && (plan.ladder.rungs.length > 0 || plan.budget)));
  const asked = params.get("sheet") ?? "steps";
  const tab = tabs.some((t) => t.value === asked) ? asked : "steps";
  if (!plan) {
    return (
      <div className="p-6">
        <h2 className="text-28 font-semibold">{msg("No plan yet")}</h2>
        <ul className="mt-3 flex flex-col gap-2 text-20">
          {workup.blockers.map((b) => (
            <li key={b} className="font-bold text-oxide-text">
              {b}
            </li>
          ))}
        </ul>
      </div>
    );
  }
  const lots = lotsOf(plan, workup.sites);
  return (
    <Tabs.Root
      value={tab}
      onValueChange={(sheet) => setParams({ sheet }, { replace: true })}
      className="print-flow flex h-full min-h-0 flex-col"
    >
      <div className="firm-b bg-ground no-print flex shrink-0 max-[899px]:flex-wrap">
        <Tabs.List className="flex max-[899px]:w-full max-[899px]:overflow-x-auto" aria-label={msg("Sheets")}>
          {tabs.map((t) => (
            <Tabs.Trigger
              key={t.value}
              value={t.value}
              className="n data-[state=active]:bg-sheet data-[state=active]:border-violet h-14 border-b-4 border-transparent px-5 max-[499px]:px-3 text-20 font-medium data-[state=active]:font-bold"
            >
              {t.word}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <a
          className={`btn my-auto ml-auto max-[899px]:order-last ${on.safety === "saved" ? "" : "pointer-events-none opacity-50"}`}
          href={`/api/repairs/${id}/sheet.pdf`}
          download
          aria-label={msg("Bench sheet, PDF")}
        >
          <Printer size={20} aria-hidden="true" /> {msg("Sheet")}
        </a>
        <span className="lab self-center px-4 min-[900px]:text-right">
          {msg("{steps} steps, {activeMin} hands on, {totalMin} in all", {
            steps: plan.steps.length,
            activeMin: minutes(plan.activeMin),
            totalMin: minutes(plan.totalMin),
          })}
        </span>
      </div>
      <Tabs.Content value="steps" className="print-flow min-h-0 flex-1 overflow-y-auto" tabIndex={-1}>
        <StepList plan={plan} drawing={workup.drawing} sites={workup.sites} on={on} frozen={frozen} />
      </Tabs.Content>
      <Tabs.Content value="pour" className="print-flow min-h-0 flex-1 overflow-y-auto">
        {lots.map((lot) => (
          <Fragment key={lot.said}>
            {lot.said && <Head title={lot.said} />}
            {lot.plan.mixes.map((m) => (
              <PourPanel key={m.id} mix={m} on={on} frozen={frozen} />
            ))}
            <PortionsPanel plan={lot.plan} />
            <WaitsPanel plan={lot.plan} on={on} frozen={frozen} />
          </Fragment>
        ))}
        <ShoppingPanel lines={plan.shopping} />
      </Tabs.Content>
      {/* Nothing in it takes the focus, so it does itself: arrows scroll it. */}
      <Tabs.Content value="ladder" className="print-flow min-h-0 flex-1 overflow-y-auto">
        {lots.map((lot) => (
          <Fragment key={lot.said}>
            {lot.said && <Head title={lot.said} />}
            <LadderPanel plan={lot.plan} />
          </Fragment>
        ))}
        <BudgetPanel budget={plan.budget} />
        <Schools on={on} station="steps" frozen={frozen} />
      </Tabs.Content>
      <Tabs.Content value="cut" className="print-flow min-h-0 flex-1 overflow-y-auto" tabIndex={-1}>
        <PiecesPanel pieces={plan.pieces} repair={id} saved={on.safety === "saved"} />
      </Tabs.Content>
      <Tabs.Content value="schools" className="print-flow min-h-0 flex-1 overflow-y-auto" tabIndex={-1}>
        <ComparePanel on={on} plan={plan} frozen={frozen} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

function StepList({
  plan,
  drawing,
  sites,
  on,
  frozen,
}: {
  plan: Api["Plan"];
  drawing: Api["Drawing"];
  sites: readonly Site[];
  on: DraftOnScreen;
  frozen: boolean;
}) {
  const now = useMinute();
  const begun = on.frozenAt ? Date.parse(on.frozenAt) : now;
  const zone = useZone();
  const { lit, light, open, openStep } = useLit();
  const at = Math.max(
    0,
    plan.steps.findIndex((s) => s.step.id === open),
  );
  const rows = useRef<(HTMLLIElement | null)[]>([]);
  useKeys((e) => {
    if (typing(e) || dialogOpen() || (e.key !== "j" && e.key !== "k")) return;
    const next = Math.min(plan.steps.length - 1, Math.max(0, at + (e.key === "j" ? 1 : -1)));
    const step = plan.steps[next]?.step;
    if (step) {
      openStep(step.id);
      light(litByStep(step));
    }
    rows.current[next]?.scrollIntoView({ block: "nearest" });
  });
  const where = (kind: Api["Step"]["zone"]) => drawing.zones.find((z) => z.kind === kind)?.word ?? "";
  return (
    <>
      <HousePanel plan={plan} />
      <EditsPanel plan={plan} on={on} frozen={frozen} />
      <ol>
        {plan.steps.map(({ step, earliestMin, latestMin }, i) => (
          <li
            key={step.id}
            ref={(el) => {
              rows.current[i] = el;
            }}
            className={`border-b border-hair ${i === at ? "bg-ground" : ""} ${lit.zone && !lit.step && lit.zone === step.zone ? "outline-violet outline-3 -outline-offset-3" : ""}`}
            onPointerEnter={() => light(litByStep(step))}
            onPointerLeave={() => light({})}
          >
            <button
              type="button"
              aria-expanded={i === at}
              className="grid min-h-14 w-full grid-cols-[28px_minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-3 gap-y-1 px-4 py-2 text-left min-[900px]:grid-cols-[40px_minmax(0,1fr)_210px_120px_100px]"
              onClick={() => {
                openStep(step.id);
                light(litByStep(step));
              }}
            >
              <span className="n text-20 font-semibold">{i + 1}</span>
              <span className="min-w-0 max-[899px]:col-span-2">
                <span className="hd block">
                  {siteOf(sites, step) && <span className="firm lab mr-2 px-1">{siteOf(sites, step)}</span>}
                  {step.title}
                  <HouseMark plan={plan} step={step.id} />
                </span>
                <span className="lab block">
                  {[step.tool, step.paper, step.material, step.amount].filter(Boolean).join(" · ")}
                </span>
                <InTheWait plan={plan} at={i} />
              </span>
              <span className="lab max-[899px]:hidden">
                {where(step.zone)}
                <HourBar planned={{ step, earliestMin, latestMin }} totalMin={plan.totalMin} />
              </span>
              <span className="n max-[899px]:col-start-2">
                <span className="block font-semibold">{moment(begun + earliestMin * 60_000, now, zone, "up")}</span>
                <span className="lab block">
                  {plan.spareMin === undefined
                    ? ""
                    : latestMin >= earliestMin
                      ? msg("latest {begun}", { begun: moment(begun + latestMin * 60_000, now, zone) })
                      : msg("promise is missed")}
                </span>
              </span>
              <span className="n text-right font-semibold">
                {step.activeMin > 0 && <span className="block">{minutes(step.activeMin)}</span>}
                {step.kind === "WAIT" && (
                  <span className="waits mt-0.5 inline-block px-1 whitespace-nowrap">
                    <span className="bg-tape px-0.5">
                      {step.clock ? msg("wait {minutes}", { minutes: minutes(step.clock.minutes) }) : msg("by test")}
                    </span>
                  </span>
                )}
              </span>
            </button>
            {i === at && (
              <div className="grid gap-2 pr-4 pb-4 pl-[68px] max-[899px]:pl-14">
                <Explained text={step.detail} />
                {step.clock && (
                  <p>
                    <b>{step.clock.label}</b> {minutes(step.clock.minutes, step.clock.kind === "BY" ? "down" : "up")};{" "}
                    {step.clock.note}.
                  </p>
                )}
                {step.gate && (
                  <p>
                    <b>{msg("Gate: {question}", { question: step.gate.question })}</b> {step.gate.yes}:{" "}
                    {step.gate.yesNote}.{" "}
                    {step.gate.branches.map((b) => `${b.label}: ${b.note.replace(/\.$/, "")}.`).join(" ")}
                  </p>
                )}
                {step.cautions.map((c) => (
                  <p key={c.id} className="flex gap-2 font-bold">
                    <ShieldAlert className="text-oxide shrink-0" size={20} aria-label={msg("Caution")} />
                    {c.text}
                  </p>
                ))}
                <HouseAt plan={plan} step={step} />
                {!frozen && (
                  <div className="no-print">
                    <StepEdits plan={plan} drawing={drawing} at={i} on={on} />
                  </div>
                )}
              </div>
            )}
          </li>
        ))}
      </ol>
      <p className="px-4 py-3">
        {frozen ? msg("Times as planned when the work began.") : msg("Times as if begun now.")} {plan.closing}
      </p>
    </>
  );
}

/** The wait that a step at the table is done in: it follows the step before both. */
function InTheWait({ plan, at }: { plan: Api["Plan"]; at: number }) {
  const wait = plan.steps.find((s, i) => i > at && s.step.kind === "WAIT")?.step;
  const since = plan.steps.findIndex((s) => s.step.id === wait?.after[0]);
  return wait && since < at && plan.steps[at]?.step.kind !== "WAIT" ? (
    <span className="lab block">{msg("while it waits: {step}", { step: wait.title })}</span>
  ) : null;
}
