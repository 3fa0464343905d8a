import { lengthTicks } from "../../marks/rule";
import { usePreferences } from "../../shell/preferences";
import { type Projection, px, py } from "./projection";

export const RULE = 28;

export function TopRule({ p, width }: { p: Projection; width: number }) {
  const { system } = usePreferences();
  return (
    <g pointerEvents="none">
      <rect x="0" y="0" width={width} height={RULE} fill="var(--ground)" />
      <path d={`M0 ${RULE}H${width}`} stroke="var(--ink)" strokeWidth="1.5" />
      {lengthTicks(p.x0, p.x1, p.perMm, system).map((t) => (
        <g key={t.at}>
          <path
            d={`M${px(p, t.at)} ${RULE}v${t.size === "long" ? -12 : t.size === "middle" ? -8 : -5}`}
            stroke="var(--tick)"
            strokeWidth={t.size === "long" ? 1.6 : 1}
          />
          {t.label && px(p, t.at) > p.left + 8 && px(p, t.at) < p.left + p.width - 4 && (
            <text x={px(p, t.at)} y="13" textAnchor="middle" style={{ fontWeight: 600 }}>
              {t.label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

export function LeftRule({ p, height }: { p: Projection; height: number }) {
  const { system } = usePreferences();
  return (
    <g pointerEvents="none">
      <rect x="0" y={RULE} width={RULE} height={height - RULE} fill="var(--ground)" />
      <path d={`M${RULE} ${RULE}V${height}`} stroke="var(--ink)" strokeWidth="1.5" />
      {lengthTicks(p.y0, p.y1, p.perMm, system).map((t) => {
        const y = py(p, t.at);
        return (
          <g key={t.at}>
            <path
              d={`M${RULE} ${y}h${t.size === "long" ? -12 : t.size === "middle" ? -8 : -5}`}
              stroke="var(--tick)"
              strokeWidth={t.size === "long" ? 1.6 : 1}
            />
            {t.label && y > RULE + 18 && y < height - 14 && (
              <text transform={`translate(13 ${y}) rotate(-90)`} textAnchor="middle" style={{ fontWeight: 600 }}>
                {t.label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
