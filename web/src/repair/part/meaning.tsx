import { msg } from "../../messages/messages";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { usePreferences } from "../../shell/preferences";
import { quantity, said } from "../../units/text";
import { Head } from "../sheet";
import { useIdentified } from "./identify";

/** What the substrate means before anything is done to it. */
function Meaning({ identity: i }: { identity: Api["Identity"] }) {
  const { system } = usePreferences();
  if (!i.meaning && i.heatCapC === undefined) return null;
  return (
    <>
      <Head title={msg("What it means")}>{i.word}</Head>
      <dl className="grid gap-2 p-4">
        {i.promoter && (
          <div>
            <dt className="hd">{msg("Low surface energy")}</dt>
            <dd>
              {msg("Promoter before every layer, and again after every sanding.")}
              {i.energy && ` ${msg("{energy}, recalled, verify.", { energy: i.energy })}`}
            </dd>
          </div>
        )}
        {i.heatCapC !== undefined && (
          <div>
            <dt className="hd">{msg("Heat")}</dt>
            <dd>
              {msg("Surface at most {heatCapC}; recalled, verify.", {
                heatCapC: said(quantity(i.heatCapC, "°C", "most"), system),
              })}
            </dd>
          </div>
        )}
        {i.floats !== undefined && i.densityGPerCm3 !== undefined && (
          <div>
            <dt className="hd">{i.floats ? msg("A shaving floats") : msg("A shaving sinks")}</dt>
            <dd>
              {msg("{densityGPerCm3} g/cm³ by the rule of mixtures.", { densityGPerCm3: i.densityGPerCm3.toFixed(2) })}
            </dd>
          </div>
        )}
        {i.meaning && (
          <>
            <div>
              <dt className="hd">{msg("Grinding")}</dt>
              <dd>{i.meaning.grinding}</dd>
            </div>
            <div>
              <dt className="hd">{msg("Solvent")}</dt>
              <dd>{i.meaning.solvent}</dd>
            </div>
            <div>
              <dt className="hd">{msg("So")}</dt>
              <dd>{i.meaning.means}</dd>
            </div>
          </>
        )}
      </dl>
    </>
  );
}

const FAMILY: Partial<Record<NonNullable<Api["SubstrateDraft"]["material"]>, Api["FamilyView"]["family"]>> = {
  METAL: "METAL",
  COMPOSITE: "COMPOSITE",
  GLASS: "GLASS",
  TYRE: "RUBBER",
  FILM: "FILM",
};

/** The same while the part is still being typed: from the mark or the bench tests, or from what the part is at first sight. */
export function MeaningNow({ made }: { made: Api["SubstrateDraft"] }) {
  const material = made.material ?? "METAL";
  const plastic = useIdentified(made.mark ?? "", made.tests ?? [], material === "PLASTIC").data?.identity;
  const family = useCatalogue().data?.families.find((f) => f.family === FAMILY[material]);
  if (material === "PLASTIC") return plastic ? <Meaning identity={plastic} /> : null;
  return (
    family && <Meaning identity={{ word: family.meaning.name, meaning: family.meaning, promoter: false, energy: "" }} />
  );
}
