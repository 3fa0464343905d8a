import { msg } from "../messages/messages";
import { Check } from "lucide-react";
import { type ReactNode, useRef, useState } from "react";
import { Link } from "react-router";
import type { Api } from "../api/client";
import { useBench } from "../api/queries";
import { useTitle } from "../shell/title";
import { AirStep, HeatStep, PeopleStep, PlaceStep, UnitsStep } from "./about-the-shop";
import { PracticeStep } from "./practice";
import { put } from "./shop";
import type { NotTaken } from "./not-taken";
import { ShelfStep } from "./starter-shelf";
import { Skeleton } from "../shell/skeleton";

type Step = Api["ShopView"]["toSetUp"][number];
type Shop = Api["ShopView"];

const STEPS: {
  step: Step;
  word: string;
  title: string;
  told: string;
  of: (shop: Shop, rest: NotTaken) => ReactNode;
}[] = [
  {
    step: "PEOPLE",
    word: msg("Who"),
    title: msg("Who works here"),
    told: msg(
      "Everybody signs in by themselves: the record says whose hands did what. A lead signs work off; an apprentice works under eyes.",
    ),
    of: () => <PeopleStep />,
  },
  {
    step: "PLACE",
    word: msg("Where"),
    title: msg("Where the shop lies"),
    told: msg(
      "The sun’s height follows it, and with it how long resin takes in daylight. A town nearby is near enough.",
    ),
    of: (shop) => <PlaceStep shop={shop} />,
  },
  {
    step: "AIR",
    word: msg("Air"),
    title: msg("The air at the bench"),
    told: msg("Every work time, cure and dose follows it. Read it at the bench, today and whenever it changes."),
    of: (shop) => <AirStep shop={shop} />,
  },
  {
    step: "UNITS",
    word: msg("Units"),
    title: msg("How this shop measures"),
    told: msg(
      "What a screen shows until somebody turns it there. Either is understood when it is typed: 12 mm or 1/2 in.",
    ),
    of: (shop) => <UnitsStep shop={shop} />,
  },
  {
    step: "HEAT",
    word: msg("Heat"),
    title: msg("Lamps and ovens"),
    told: msg("How many there are: two parts cannot stand under one lamp."),
    of: (shop, rest) => <HeatStep shop={shop} restRef={rest} />,
  },
  {
    step: "SHELF",
    word: msg("Shelf"),
    title: msg("What stands on the shelf"),
    told: msg(
      "Tick what is there and how much. The figures are typical of the kind: read the label and type it, item by item. Until then no clock runs by them. Tyre units are added under Shelf: their sizes stand on the box.",
    ),
    of: (_, rest) => <ShelfStep restRef={rest} />,
  },
  {
    step: "PRACTICE",
    word: msg("Try it"),
    title: msg("One repair to try it on"),
    told: msg("A door with a dent, made up. Plan it, begin it, undo it; nothing of it is a customer’s."),
    of: () => <PracticeStep />,
  },
];

/** An empty installation is led through, one thing at a time; all of it can be changed later where it stands. */
export default function SetUp() {
  useTitle(msg("Set the shop up"));
  const shop = useBench().data?.shop;
  const [chosen, choose] = useState<Step>();
  const [refused, setRefused] = useState("");
  const rest: NotTaken = useRef(undefined);
  if (!shop) return <Skeleton />;
  const { toSetUp } = shop;
  const now = STEPS.find((s) => s.step === (chosen ?? toSetUp[0]));
  const at = now ? STEPS.indexOf(now) : STEPS.length;
  const done = async (step: Step) => {
    // What was typed and not taken yet is taken first; where it is refused one stays with it.
    if (rest.current && !(await rest.current())) return;
    try {
      await put(`/api/shop/set-up/${step}`);
      setRefused("");
      choose(STEPS[at + 1]?.step);
    } catch (e) {
      setRefused(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="firm-b flex min-h-[58px] items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
        {msg("Set the shop up")}
      </h1>
      <ol className="firm-b bg-ground grid shrink-0 grid-cols-7 max-[699px]:grid-cols-4" aria-label={msg("Steps")}>
        {STEPS.map(({ step, word }) => (
          <li key={step} className="border-r border-hair last:border-r-0">
            <button
              type="button"
              aria-current={now?.step === step ? "step" : undefined}
              className={`n flex h-16 w-full items-center justify-center gap-2 border-b-4 px-1 text-20 font-medium ${now?.step === step ? "bg-sheet border-violet font-bold" : "border-transparent"}`}
              onClick={() => choose(step)}
            >
              {word}
              {!toSetUp.includes(step) && <Check size={20} aria-label={msg("done")} />}
            </button>
          </li>
        ))}
      </ol>
      <div
        className="min-h-0 flex-1 overflow-y-auto"
        tabIndex={0}
        role="region"
        aria-label={now?.title ?? msg("All done")}
      >
        {now ? (
          <section className="mx-auto flex max-w-[860px] flex-col gap-4 p-5">
            <h2 className="text-28 font-semibold">{now.title}</h2>
            <p className="text-20">{now.told}</p>
            {now.of(shop, rest)}
            {refused && (
              <p role="alert" className="text-oxide-text font-bold">
                {refused}
              </p>
            )}
          </section>
        ) : (
          <section className="flex flex-col items-start gap-4 p-6">
            <h2 className="text-28 font-semibold">{msg("All of it is said")}</h2>
            <p className="text-20">
              {msg("Each can be changed where it stands: People, Rules, Shelf, the air at the top.")}
            </p>
            <Link className="btn go" to="/bench">
              {msg("To the bench")}
            </Link>
          </section>
        )}
      </div>
      {now && (
        <div className="firm-t bg-ground flex shrink-0 items-stretch justify-end">
          <Link to="/bench" className="n firm-l flex min-h-[72px] items-center px-6 text-20 font-semibold">
            {msg("Later")}
          </Link>
          <button
            type="button"
            className="bg-pine text-on-pine n min-h-[72px] min-w-[220px] px-6 text-28 font-semibold"
            onClick={() => void done(now.step)}
          >
            {at < STEPS.length - 1 ? msg("That is right, next") : msg("Done")}
          </button>
        </div>
      )}
    </div>
  );
}
