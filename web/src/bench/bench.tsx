import { dated } from "../units/dated";
import { locale, msg } from "../messages/messages";
import { ArrowRight } from "lucide-react";
import { Link } from "react-router";
import { useNow } from "../api/clock";
import { useBench } from "../api/queries";
import { useNewVersion } from "../shell/application";
import { useMay } from "../shell/me";
import { NewRepairLink } from "../shell/new-repair-link";
import { AirToday } from "./air-today";
import { HandsCard } from "./hands-card";
import { HourRule } from "./hour-rule";
import { Again } from "./look-again";
import { ForOthers, Waiting } from "./waiting";
import { useTitle } from "../shell/title";
import { Skeleton } from "../shell/skeleton";

/** The bench: every run on a rule of hours, what waits, and the next thing for each pair of hands. */
export function BenchPlace() {
  useTitle(msg("Bench"));
  const bench = useBench();
  const now = useNow();
  useNewVersion();
  const mayPlan = useMay("PLAN");
  const maySetUp = useMay("RULES");
  if (bench.isError && !bench.data)
    return <p className="p-6 text-20 font-bold text-oxide-text">{bench.error.message}</p>;
  if (!bench.data) return <Skeleton />;
  const { live, hands, waiting, shop, air, again, forOthers } = bench.data;
  const day = dated(locale, {
    weekday: "long",
    day: "numeric",
    month: "long",
    timeZone: shop.zone,
  }).format(now);
  const ready = waiting.filter((w) => w.standing === "PLANNED");
  const held = waiting.filter((w) => w.standing !== "PLANNED");
  return (
    <div className="flex min-h-0 flex-1 max-[899px]:flex-col max-[899px]:overflow-y-auto">
      <section className="flex min-w-0 flex-1 flex-col max-[899px]:flex-none" aria-label={msg("Runs")}>
        <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
          <h1
            className="flex flex-1 items-center px-4 max-[699px]:basis-full max-[699px]:py-2 text-28 font-semibold"
            style={{ fontStretch: "88%" }}
          >
            {day}
          </h1>
          <HeadFigure label={msg("Running")} value={String(live.length)} />
          <HeadFigure label={msg("Ready to begin")} value={String(ready.length)} />
          <HeadFigure label={msg("Held up")} value={String(held.length)} />
          {mayPlan && <NewRepairLink className="max-[699px]:basis-full" />}
        </div>
        {maySetUp && shop.toSetUp.length > 0 && (
          <Link
            to="/set-up"
            className="firm-b bg-tape text-on-tape flex min-h-[72px] items-center justify-between gap-4 px-4 text-20 font-semibold"
          >
            {msg("This shop is not set up yet: {n, plural, one {# thing} other {# things}} to say", {
              n: shop.toSetUp.length,
            })}
            <ArrowRight aria-hidden="true" />
          </Link>
        )}
        <div className="min-h-0 flex-1 overflow-y-auto max-[899px]:overflow-visible">
          <HourRule live={live} forOthers={forOthers} now={now} zone={shop.zone} />
          {live.length === 0 && (
            <p className="border-b border-hair p-4 text-20">
              {ready.length > 0
                ? msg("Nothing runs. Take the first repair below and begin.")
                : msg("Nothing runs and nothing is ready to begin: make or finish a plan under Repairs.")}
            </p>
          )}
          <Waiting title={msg("Ready to begin")} lines={ready} to="steps" now={now} zone={shop.zone} />
          <Waiting title={msg("Held up")} lines={held} to="verdict" now={now} zone={shop.zone} />
        </div>
      </section>
      <section
        className="min-[900px]:firm-l flex w-[300px] shrink-0 flex-col overflow-y-auto max-[899px]:order-first max-[899px]:w-full max-[899px]:overflow-visible"
        aria-label={msg("Next for your hands")}
      >
        <h2 className="firm-b flex h-[58px] shrink-0 items-center px-4 text-20 font-semibold">
          {msg("Next for your hands")}
        </h2>
        {hands.map((h) => (
          <HandsCard
            key={h.person.id}
            hands={h}
            live={live.find((l) => l.id === h.repair)}
            now={now}
            zone={shop.zone}
          />
        ))}
        <ForOthers waiting={forOthers} live={live} now={now} zone={shop.zone} />
        <AirToday shop={shop} effects={air} />
        <Again looks={again} now={now} zone={shop.zone} />
      </section>
    </div>
  );
}

function HeadFigure({ label, value }: { label: string; value: string }) {
  return (
    <div className="border-l border-hair px-4 py-2 max-[699px]:flex-1">
      <span className="lab block">{label}</span>
      <span className="n block text-20 font-semibold">{value}</span>
    </div>
  );
}
