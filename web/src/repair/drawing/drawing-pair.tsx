import { memo, useMemo } from "react";
import type { Api } from "../../api/client";
import { useSize } from "../../marks/use-size";
import { FootprintDrawing } from "./footprint-drawing";
import { fit, type ZoneKind } from "./projection";
import { SectionDrawing } from "./section-drawing";
import type { SpotMark } from "./spot-marks";

const RULE = 28;

/** Footprint over section on one x scale; it fills what it is given. */
export const DrawingPair = memo(function DrawingPair({
  drawing,
  labels: column = 0,
  sectionShare = 0.36,
  stale = false,
  around,
  spots,
  onCut,
}: {
  drawing: Api["Drawing"];
  labels?: number;
  sectionShare?: number;
  /** True where the draft has moved on but cannot be computed: the drawing shows the last that could. */
  stale?: boolean;
  /** Zone that fills the view. */
  around?: ZoneKind;
  /** Spots that a gate found, where what is done now is for them. */
  spots?: readonly SpotMark[];
  /** The cut was dragged to another height, mm. */
  onCut?: (yMm: number) => void;
}) {
  const [ref, { width, height }] = useSize(`drawing ${column}`);
  // Without zones there is nothing to label, without a section nothing to put below.
  const labels = drawing.zones.length > 0 ? column : 0;
  const sectionHeight = drawing.section ? Math.round(height * sectionShare) : 0;
  const footprintHeight = height - sectionHeight;
  // The same for as long as nothing of it changes: what is placed on it is placed once.
  const projection = useMemo(
    () =>
      fit(
        drawing,
        {
          left: RULE,
          top: RULE,
          width: Math.max(40, width - RULE - labels - (labels > 0 ? 34 : 0)),
          height: Math.max(40, footprintHeight - RULE),
        },
        around,
      ),
    [drawing, width, footprintHeight, labels, around],
  );
  return (
    <div ref={ref} className={`print-flow keep h-full w-full overflow-hidden ${stale ? "opacity-60" : ""}`}>
      {width > 0 && height > 0 && (
        <>
          <FootprintDrawing
            drawing={drawing}
            projection={projection}
            width={width}
            height={footprintHeight}
            labels={labels}
            spots={spots}
            onCut={onCut}
          />
          {drawing.section && (
            <SectionDrawing
              drawing={drawing}
              section={drawing.section}
              projection={projection}
              width={width}
              height={sectionHeight}
              labels={labels}
            />
          )}
        </>
      )}
    </div>
  );
});
