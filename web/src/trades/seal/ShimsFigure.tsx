import type { SweepMiddleValues } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { Figure, Label, spot } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';

const CX = 250;
const CY = 118;
const STATOR = 88;
const SHAFT = 52;
const AT = [0, 120, 240] as const;

/** The stator about the axis, the shaft off it as it stands, and the three shims between them with what each differs by. */
export function ShimsFigure({ values: { circle, shimsMm } }: { values: SweepMiddleValues }) {
  const { unit } = useSettings();
  const off = circle && circle.radiusMm > 0 ? 14 : 0;
  const shaft = spot(CX, CY, circle?.highDeg ?? 0, off);
  const say = (mm: number) => `${mm < 0 ? '−' : '+'}${lengthDigits(Math.abs(mm), unit)}`;
  return (
    <svg
      viewBox="0 0 680 240"
      className="block w-full"
      role="img"
      aria-label={
        shimsMm
          ? `Shims: ${shimsMm.map((mm, i) => `at ${AT[i]} degrees ${say(mm)}`).join(', ')}`
          : 'Three equal shims at 120 degrees'
      }
    >
      <circle cx={CX} cy={CY} r={STATOR + 16} fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8" />
      <circle cx={CX} cy={CY} r={STATOR} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.8" />
      <circle cx={shaft.x} cy={shaft.y} r={SHAFT} fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8" />
      <path d={`M${CX - 8} ${CY}h16M${CX} ${CY - 8}v16`} stroke="var(--steel)" strokeWidth="1.6" />
      {off > 0 && <circle cx={shaft.x} cy={shaft.y} r="3" fill="var(--brass)" />}
      {AT.map((deg, i) => {
        const outer = spot(CX, CY, deg, STATOR);
        const inner = spot(shaft.x, shaft.y, deg, SHAFT);
        const word = spot(CX, CY, deg, STATOR + 40);
        const mm = shimsMm?.[i];
        return (
          <g key={deg}>
            <path d={`M${outer.x} ${outer.y}L${inner.x} ${inner.y}`} stroke="var(--brass)" strokeWidth="9" />
            <Figure
              x={deg === 0 ? CX + STATOR + 6 : deg === 120 ? word.x + 24 : word.x - 24}
              y={deg === 0 ? 26 : word.y + 6}
              anchor={deg === 240 ? 'end' : 'start'}
              size={20}
              strong
              tone="steel"
            >
              {mm === undefined ? 'equal' : say(mm)}
            </Figure>
          </g>
        );
      })}
      <Label x={450} y={60} anchor="start">
        shims, against their mean
      </Label>
      <Label x={450} y={82} anchor="start" tone="muted">
        0° mark on top
      </Label>
      {circle && (
        <Label x={450} y={104} anchor="start" tone="muted">
          {`shaft ${lengthDigits(circle.radiusMm, unit)} off its axis, towards ${Math.round(circle.highDeg)}°`}
        </Label>
      )}
      <Label x={4} y={234} anchor="start" tone="muted" size={14.5}>
        cross: the axis; dot: the shaft’s middle, drawn large
      </Label>
    </svg>
  );
}
