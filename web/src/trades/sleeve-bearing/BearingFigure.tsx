import { bearingSection, GAP_SCALE, type Vec } from '@fulcrant/core/calculators';
import type { SleeveSetup } from '@fulcrant/core/trades';
import { formatLength, lengthDigits } from '@fulcrant/core/units';
import { useId } from 'react';
import { useSettings } from '../../ui/settings.tsx';

type Props = {
  setup: SleeveSetup;
  clearanceMm: number;
  travelMm?: number | null;
  /** Numbers at the two feeler gaps; null shows the place as empty. */
  rowAMm?: number | null;
  rowBMm?: number | null;
  activeRow?: 'A' | 'B' | null;
  shaftMm?: number | null;
  /** Draw the start and the final place and the travel between. */
  travelDimension?: boolean;
  note?: string;
};

const W = 680;
const H = 268;

/** The line of a shaft broken off, as drawn by hand. */
function broken(x0: number, x1: number, y: number): string {
  const n = 12;
  const step = (x1 - x0) / n;
  return Array.from({ length: n }, (_, i) => `q${step / 2} ${i % 2 ? 7 : -7} ${step} 0`).reduce(
    (d, q) => d + q,
    `M${x0} ${y}`,
  );
}

/** The section through bearing, sleeve and shaft, upper half, to scale; the feeler gap alone is drawn larger. */
export function BearingFigure({
  setup,
  clearanceMm,
  travelMm = null,
  rowAMm = null,
  rowBMm = null,
  activeRow = null,
  shaftMm = null,
  travelDimension = false,
  note,
}: Props) {
  const { unit } = useSettings();
  const id = useId();
  const s = bearingSection({
    shaftMm: setup.shaftMm,
    boreMm: setup.boreMm,
    taper: setup.taper,
    travelMm: travelMm ?? 0,
    clearanceMm,
  });
  // Only the shaft's skin is drawn, broken off below: its middle tells nothing and would cost the bearing its size.
  const floor = setup.shaftMm / 2 - setup.boreMm * 0.13;
  const scale = Math.min((W - 60) / (s.right - s.left), (H - 62) / (s.top - floor));
  const cx = W / 2 - (scale * (s.left + s.right)) / 2 + 4;
  const base = H - 30 + floor * scale;
  const px = (x: number) => cx + x * scale;
  const py = (y: number) => base - y * scale;
  const path = (points: Vec[]) =>
    `${points.map((p, i) => `${i ? 'L' : 'M'}${px(p.x).toFixed(1)} ${py(p.y).toFixed(1)}`).join('')}Z`;
  const steel = `url(#${id}a)`;
  const steel2 = `url(#${id}b)`;
  const half = setup.boreMm * 0.28;
  const values = { A: rowAMm, B: rowBMm };
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Section of the bearing on its sleeve, ${formatLength(setup.shaftMm, unit, 1)} shaft, taper 1 in ${setup.taper}`}
    >
      <defs>
        <pattern
          id={`${id}a`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" x2="0" y1="0" y2="7" stroke="var(--muted)" strokeWidth="1" />
        </pattern>
        <pattern
          id={`${id}b`}
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <line x1="0" x2="0" y1="0" y2="6" stroke="var(--muted)" strokeWidth="1" />
        </pattern>
      </defs>
      <g stroke="var(--ink)" strokeWidth="1.6" strokeLinejoin="round">
        <path
          d={path(s.shaft.map((p) => (p.y === 0 ? { x: p.x, y: floor } : p)))}
          fill="var(--shade)"
          stroke="none"
        />
        <path
          d={`M${px(s.left)} ${py(floor)}V${py(setup.shaftMm / 2)}H${px(s.right)}V${py(floor)}`}
          fill="none"
        />
        <path
          d={broken(px(s.left), px(s.right), py(floor))}
          fill="none"
          stroke="var(--muted)"
          strokeWidth="1.2"
        />
        <path d={path(s.sleeve)} fill={steel2} />
        <path d={path(s.nut)} fill={steel} />
        <path d={path(s.washer)} fill="var(--paper)" />
        <path d={path(s.innerRing)} fill="var(--paper)" />
        <path d={path(s.innerRing)} fill={steel} />
        <path d={path(s.outerRing)} fill="var(--paper)" />
        <path d={path(s.outerRing)} fill={steel} />
        {s.rollers.map((r, i) => (
          <path key={i === 0 ? 'A' : 'B'} d={path(r)} fill="var(--paper)" />
        ))}
      </g>
      {s.gaps.map((g) => {
        const on = activeRow === g.row;
        const value = values[g.row];
        const left = g.row === 'A';
        const y = (py(g.from.y) + py(g.to.y)) / 2;
        const tip = px(g.from.x) + (left ? 9 : -9);
        const far = left ? px(-half) - 150 : px(half) + 150;
        const edge = left ? px(-half) - 22 : px(half) + 22;
        return (
          <g key={g.row}>
            <path
              d={`M${px(g.from.x) - 10} ${py(g.from.y)}h20M${px(g.to.x) - 10} ${py(g.to.y)}h20`}
              stroke={on ? 'var(--brass)' : 'var(--muted)'}
            />
            {on && (
              <g fill="var(--brass)">
                <rect x={Math.min(tip, far)} y={y - 1.6} width={Math.abs(far - tip)} height="3.2" />
                <rect x={left ? far - 34 : far} y={y - 7} width="34" height="14" />
              </g>
            )}
            <g fill={on ? 'var(--brass)' : 'var(--ink)'} textAnchor={left ? 'end' : 'start'}>
              <text x={edge} y={y - 12} className="figures" fontSize="21" fontWeight={on ? 600 : 500}>
                {value === null ? (on ? '…' : '–') : lengthDigits(value, unit)}
              </text>
              <text x={edge} y={y + 24} fontFamily="var(--font-label)" fontSize="16">
                row {g.row}
              </text>
            </g>
          </g>
        );
      })}
      {travelMm !== null && travelDimension && (
        <g stroke="var(--steel)" fill="var(--steel)">
          <path
            d={`M${px(half)} ${py(s.top) - 2}v-22M${px(half - travelMm)} ${py(s.top) - 2}v-22M${px(half) + 30} ${py(s.top) - 14}H${px(half - travelMm)}`}
            fill="none"
          />
          <path d={`M${px(half - travelMm)} ${py(s.top) - 14}l9 -4v8z`} stroke="none" />
          <text x={px(half) + 36} y={py(s.top) - 8} fontSize="17" stroke="none" className="figures">
            travel {formatLength(travelMm, unit, 2)}
          </text>
        </g>
      )}
      <text
        x={px(s.right) - 10}
        y={py(floor) - 10}
        textAnchor="end"
        className="figures"
        fontSize="17"
        fill="var(--ink)"
      >
        Ø{' '}
        {shaftMm === null
          ? lengthDigits(setup.shaftMm, unit, unit === 'mm' ? 1 : 3)
          : lengthDigits(shaftMm, unit)}
      </text>
      <text x="4" y={H - 6} fontSize="14.5" fontFamily="var(--font-label)" fill="var(--muted)">
        Ø {formatLength(setup.shaftMm, unit, 1)} shaft · bore {formatLength(setup.boreMm, unit, 1)} · taper 1:
        {setup.taper} · section to scale, gaps ×{GAP_SCALE}
        {note ? ` · ${note}` : ''}
      </text>
    </svg>
  );
}
