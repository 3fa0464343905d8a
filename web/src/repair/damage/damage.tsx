import { Plus, Trash2 } from "lucide-react";
import type { Api } from "../../api/client";
import { Choice, Measure, problemAt } from "../../shell/field";
import { Head } from "../sheet";
import type { DraftOnScreen } from "../use-draft";

type DentDraft = Api["DentDraft"];

/** Station 2: one or more dents, each an ellipse with a depth, placed on the part. */
export function DamageStation({ on, frozen }: { on: DraftOnScreen; frozen: boolean }) {
  const dents = on.draft?.dents ?? [];
  const part = on.draft?.part;
  const told = on.problems.filter((p) => p.given !== "");
  const set = (i: number, next: Partial<DentDraft>) =>
    on.change((d) => ({ ...d, dents: (d.dents ?? []).map((x, k) => (k === i ? { ...x, ...next } : x)) }));
  const add = () =>
    on.change((d) => ({
      ...d,
      dents: [
        ...(d.dents ?? []),
        {
          xMm: Math.round((part?.widthMm ?? 600) / 2),
          yMm: Math.round((part?.heightMm ?? 400) / 2),
          angleDeg: 0,
          profile: "BOWL",
        },
      ],
    }));
  return (
    <>
      <Head title="Damage">
        {dents.length === 0 ? "no dent yet" : dents.length === 1 ? "one dent" : `${dents.length} dents`}
      </Head>
      <p className="px-4 pt-3">
        As left after straightening. Places are measured from the part's lower left corner to the middle of the dent;
        drag a dent on the drawing to move it.
      </p>
      <div className="flex flex-col gap-4 p-4">
        {dents.map((d, i) => {
          const at = (k: string) => problemAt(told, `dents[${i}].${k}`);
          const field = (k: keyof DentDraft, label: string, quantity: "length" | "depth") => (
            <Measure
              label={label}
              quantity={quantity}
              value={d[k] as number | undefined}
              disabled={frozen}
              problem={at(k)}
              onChange={(v) => set(i, { [k]: v })}
            />
          );
          return (
            <section key={i} className="firm p-3" aria-label={`Dent ${i + 1}`}>
              <div className="mb-2 flex items-center justify-between">
                <h3 className="hd">Dent {i + 1}</h3>
                {!frozen && (
                  <button
                    type="button"
                    className="grid size-14 place-items-center"
                    aria-label={`Take dent ${i + 1} away`}
                    onClick={() => on.change((x) => ({ ...x, dents: (x.dents ?? []).filter((_, k) => k !== i) }))}
                  >
                    <Trash2 size={20} aria-hidden="true" />
                  </button>
                )}
              </div>
              <div className="grid grid-cols-2 gap-2">
                <div className="col-span-2">{field("depthMm", "Depth left", "depth")}</div>
                {field("lengthMm", "Length", "length")}
                {field("widthMm", "Width", "length")}
                {field("xMm", "Across", "length")}
                {field("yMm", "Up", "length")}
                <div className="col-span-2">
                  <Measure
                    label="Turn of the length, from level"
                    quantity={{ unit: "°" }}
                    value={d.angleDeg}
                    disabled={frozen}
                    problem={at("angleDeg")}
                    onChange={(angleDeg) => set(i, { angleDeg })}
                  />
                </div>
                <div className="col-span-2">
                  <Choice
                    label="Shape of the hollow"
                    columns={3}
                    disabled={frozen}
                    value={d.profile ?? "BOWL"}
                    options={[
                      { value: "BOWL", label: "Bowl" },
                      { value: "SOFT", label: "Soft edge" },
                      { value: "POINT", label: "Point" },
                    ]}
                    onChange={(profile) => set(i, { profile })}
                  />
                </div>
              </div>
            </section>
          );
        })}
        {!frozen && (
          <button type="button" className="btn go" onClick={add}>
            <Plus size={18} aria-hidden="true" /> {dents.length === 0 ? "First dent" : "Another dent"}
          </button>
        )}
      </div>
    </>
  );
}
