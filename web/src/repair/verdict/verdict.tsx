import type { Api } from "../../api/client";
import { useSaid } from "../../shell/preferences";
import { Head } from "../sheet";
import { OUTCOME, VerdictMark } from "../verdict-mark";

/** Station 3: may it be mended, by every rule that bears. */
export function VerdictStation({ workup }: { workup: Api["Workup"] | undefined }) {
  if (!workup) return <NotYet what="a verdict" />;
  const { outcome, findings } = workup.verdict;
  const bearing = findings.filter((f) => f.bears);
  const met = findings.filter((f) => !f.bears);
  return (
    <>
      <Head title="Verdict">rule book {workup.ruleBook}</Head>
      <div className="firm-b p-4">
        <VerdictMark outcome={outcome} />
      </div>
      <ul>
        {bearing.map((f) => (
          <FindingRow key={f.ruleId} finding={f} />
        ))}
      </ul>
      <details>
        <summary className="firm-b bg-ground hd flex min-h-14 cursor-pointer items-center px-4">
          Asked and met: {met.length}
        </summary>
        <ul>
          {met.map((f) => (
            <FindingRow key={f.ruleId} finding={f} />
          ))}
        </ul>
      </details>
    </>
  );
}

function FindingRow({ finding: f }: { finding: Api["Finding"] }) {
  const say = useSaid();
  const { Icon, word } = OUTCOME[f.outcome];
  const bad = f.outcome === "REFER" || f.outcome === "REPLACE";
  return (
    <li className="border-b border-hair px-4 py-3">
      <div className="flex items-center gap-2">
        <Icon
          size={20}
          className={bad ? "text-oxide-text" : f.outcome === "LIMITS" ? "" : "text-pine-text"}
          aria-label={word}
        />
        <span className="hd">{f.title}</span>
      </div>
      {f.margin && <p className="n font-semibold">{say(f.margin)}</p>}
      <p>{say(f.reason)}</p>
      {f.change && <p className={bad ? "font-bold text-oxide-text" : "font-bold"}>{say(f.change)}</p>}
      <p className="lab">
        {f.ruleId}: {f.provenance}
      </p>
    </li>
  );
}

/** Shown where the part or damage is not complete yet. */
export function NotYet({ what }: { what: string }) {
  return (
    <div className="p-4">
      <p className="text-20">Say first what the part is and where it is dented; then there is {what}.</p>
    </div>
  );
}
