import { msg } from "../../messages/messages";
import { type ReactNode, useState } from "react";
import { ask, type Api } from "../../api/client";
import { Line } from "../../shell/field";
import { useMay } from "../../shell/me";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";
import { Schools } from "../schools";
import { OUTCOME, VerdictMark } from "../verdict-mark";

/** Station 3: may it be mended, by every rule that bears. */
export function VerdictStation({
  on,
  workup,
  id,
}: {
  on: DraftOnScreen;
  workup: Api["Workup"] | undefined;
  id: number;
}) {
  if (!workup) return <NotYet what={msg("a verdict")} />;
  const { outcome, findings, beside } = workup.verdict;
  const bearing = findings.filter((f) => f.bears);
  const met = findings.filter((f) => !f.bears);
  return (
    <>
      <Head title={msg("Verdict")} />
      <div className="firm-b p-4">
        <VerdictMark outcome={outcome} />
      </div>
      <ul>
        {bearing.map((f, i) => (
          <FindingRow key={f.ruleId + i} finding={f}>
            {f.care && !on.frozen && <Overrule finding={f} on={on} id={id} />}
          </FindingRow>
        ))}
      </ul>
      {beside.map((b) => (
        <p key={b} className="border-b border-hair px-4 py-3 font-bold">
          {b}
        </p>
      ))}
      <details>
        <summary className="firm-b bg-ground hd flex min-h-14 cursor-pointer items-center px-4">
          {msg("Asked and met: {met}", { met: met.length })}
        </summary>
        <ul>
          {met.map((f, i) => (
            <FindingRow key={f.ruleId + i} finding={f} />
          ))}
        </ul>
      </details>
      <Schools on={on} station="verdict" frozen={on.frozen} />
    </>
  );
}

function FindingRow({ finding: f, children }: { finding: Api["Finding"]; children?: ReactNode }) {
  const { Icon, word } = OUTCOME[f.outcome];
  const bad = f.outcome === "REFER" || f.outcome === "REPLACE";
  return (
    <li className="border-b border-hair px-4 pt-3" data-rule={f.ruleId}>
      <div className="flex items-center gap-2">
        <Icon
          size={20}
          className={bad ? "text-oxide-text" : f.outcome === "LIMITS" ? "" : "text-pine-text"}
          aria-label={word}
        />
        <span className="hd">{f.title}</span>
      </div>
      {f.margin && <p className="n font-semibold">{f.margin}</p>}
      <p>{f.reason}</p>
      {f.change && <p className={bad ? "font-bold text-oxide-text" : "font-bold"}>{f.change}</p>}
      <details className="lab">
        <summary className="flex min-h-14 cursor-pointer items-center gap-3">
          {f.provenance} <span className="underline">{msg("why")}</span>
        </summary>
        <p className="pb-3">
          {msg("Rule {ruleId}; what it asks and from where on stands under Rules, Limits.", { ruleId: f.ruleId })}
        </p>
      </details>
      {f.overruled && (
        <p className="mt-1 font-bold">
          {msg("Set aside by {by}: {reason}", { by: f.overruled.by, reason: f.overruled.reason })}
        </p>
      )}
      {children}
    </li>
  );
}

/** A limit of care, set aside by a lead with a signed reason. */
function Overrule({ finding: f, on, id }: { finding: Api["Finding"]; on: DraftOnScreen; id: number }) {
  const lead = useMay("OVERRULE");
  const [reason, setReason] = useState("");
  const [refused, setRefused] = useState("");
  const sign = async (why: string) => {
    setRefused("");
    try {
      const version = await on.settle();
      await ask(`/api/repairs/${id}/overrules`, { method: "POST", body: { ruleId: f.ruleId, reason: why }, version });
      await on.reload();
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  if (!lead) return <p className="lab mt-1">{msg("A lead may set this limit of care aside with a signed reason.")}</p>;
  return (
    <div className="mt-2 flex flex-col gap-2">
      {f.overruled ? (
        <button type="button" className="btn" onClick={() => void sign("")}>
          {msg("Take it back")}
        </button>
      ) : (
        <>
          <Line label={msg("Reason to set it aside")} value={reason} onChange={setReason} />
          <button type="button" className="btn" disabled={reason.trim() === ""} onClick={() => void sign(reason)}>
            {msg("Set aside and sign")}
          </button>
        </>
      )}
      {refused && <p className="text-oxide-text font-bold">{refused}</p>}
    </div>
  );
}

/** Shown where the part or damage is not complete yet. */
export function NotYet({ what }: { what: string }) {
  return (
    <div className="p-4">
      <p className="text-20">
        {msg("Say first what the part is and what happened to it; then there is {what}.", { what })}
      </p>
    </div>
  );
}
