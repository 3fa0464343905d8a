import { msg } from "../../messages/messages";
import { ScrollText } from "lucide-react";
import type { Api } from "../../api/client";
import { useZone } from "../../api/queries";
import { dayAndTime } from "../../units/units";
import { useAsked } from "../run/asks";
import { Head } from "../sheet";

type Change = Api["HouseChange"];

/** A rule of the house in one plan: what, why, who, when, and what the book says there. */
export function HouseSaid({ change: c }: { change: Change }) {
  const zone = useZone();
  return (
    <>
      <b>{c.said}.</b> {c.reason}{" "}
      <span className="lab">
        {msg("Signed by {by}, {at}.", { by: c.by, at: dayAndTime(c.at, zone) })}
        {c.book && ` ${msg("The book: {book}", { book: c.book })}`}
      </span>
      {!c.bears && <span className="block">{msg("Not here: {why}", { why: c.why })}</span>}
    </>
  );
}

/** That the house does otherwise in this plan. What is left out, or does not fit it, stands here: it has no step to stand at. */
export function HousePanel({ plan }: { plan: Api["Plan"] }) {
  if (plan.house.length === 0) return null;
  const bearing = plan.house.filter((c) => c.bears).length;
  return (
    <section aria-label={msg("The house’s own page")}>
      <Head title={msg("The house’s own page")}>
        {bearing === 1 ? msg("one rule in this plan") : msg("{bearing} rules in this plan", { bearing })}
      </Head>
      <ul>
        {plan.house
          .filter((c) => !c.bears || c.kind === "LEAVE_OUT")
          .map((c) => (
            <li key={c.rule} className={`border-b border-hair px-4 py-2.5 ${c.bears ? "" : "text-muted"}`}>
              <HouseSaid change={c} />
            </li>
          ))}
      </ul>
    </section>
  );
}

/** The sign of a step that the house does its own way. */
export function HouseMark({ plan, step }: { plan: Api["Plan"]; step: string }) {
  if (!plan.house.some((c) => c.bears && c.step === step)) return null;
  return (
    <span className="lab ml-2 inline-flex items-center gap-1 whitespace-nowrap">
      <ScrollText size={16} aria-hidden="true" /> {msg("house rule")}
    </span>
  );
}

/** The rules of the house at one step, in full. */
export function HouseAt({ plan, step }: { plan: Api["Plan"]; step: Api["Step"] }) {
  const wants = useWants(step.wanted);
  return (
    <>
      {plan.house
        .filter((c) => c.bears && c.step === step.id)
        .map((c) => (
          <p key={c.rule}>
            <HouseSaid change={c} />
          </p>
        ))}
      {wants && <p>{msg("The house wants {wants} before it is done.", { wants })}</p>}
    </>
  );
}

/** What is wanted, in words; empty for nothing. */
export function useWants(wanted: Api["Wanted"] | undefined): string {
  const asked = useAsked();
  if (!wanted) return "";
  const readings = wanted.readings.map((q) => msg("the reading “{label}”", { label: asked(q).label }));
  return [...readings, ...(wanted.picture ? [msg("a picture")] : [])].join(msg(" and "));
}
