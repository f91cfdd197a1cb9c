import type { ShaftValues } from '@fulcrant/core/steps';
import { lengthDigits } from '@fulcrant/core/units';
import { Mendable, useMending } from '../../figures/mend.tsx';
import { useSettings } from '../../ui/settings.tsx';
import { SeatView } from './SeatView.tsx';

const W = 700;
const H = 292;

/** How many times deviations are drawn larger: the largest round number that keeps them inside the drawing. */
function exaggeration(values: ShaftValues, nominalMm: number): number {
  const most = Math.max(
    0.005,
    ...values.matrix.flat().map((v) => (v === null ? 0 : Math.abs(v - nominalMm))),
  );
  const room = nominalMm * 0.14;
  return [1000, 500, 200, 100, 50, 20].find((n) => n * most <= room) ?? 10;
}

/**
 * The seat to scale from the side with its stations and numbers, and the station at hand from the end: its measured
 * radii drawn with deviations enlarged, against the limits.
 */
export function ShaftFigure({
  values,
  nominalMm,
  active,
}: {
  values: ShaftValues;
  nominalMm: number;
  active: { station: number; angleDeg: number } | null;
}) {
  const { unit } = useSettings();
  const mending = useMending();
  const seat = Math.max(...values.stationsMm) + Math.min(...values.stationsMm);
  const scale = Math.min(290 / seat, 140 / nominalMm);
  const x0 = 40 + (320 - seat * scale) / 2;
  const axis = 118;
  const r = (nominalMm * scale) / 2;
  const ovality = values.ovalityMm.map((o) => o ?? 0);
  const at = active?.station ?? ovality.indexOf(Math.max(...ovality));
  const row = values.matrix[at] ?? [];
  const many = exaggeration(values, nominalMm);
  const cx = 552;
  const cy = axis;
  const R = 74;
  const radius = (d: number) => R * (1 + (many * (d - nominalMm)) / nominalMm);
  const spot = (deg: number, rr: number) => ({
    x: cx + rr * Math.sin((deg * Math.PI) / 180),
    y: cy - rr * Math.cos((deg * Math.PI) / 180),
  });
  const shape = values.anglesDeg.flatMap((a, i) => {
    const d = row[i];
    return d === null || d === undefined
      ? []
      : [
          { a, r: radius(d) },
          { a: a + 180, r: radius(d) },
        ];
  });
  const outline = shape.sort((a, b) => a.a - b.a).map(({ a, r: rr }) => spot(a, rr));
  const inHand = (s: number, i: number) =>
    active !== null && active.station === s && values.anglesDeg[i] === active.angleDeg;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role={mending ? 'group' : 'img'}
      aria-label={`Shaft seat with ${values.stationsMm.length} stations, and station ${at + 1} seen from the end`}
    >
      <SeatView
        x0={x0}
        axisY={axis}
        r={r}
        scale={scale}
        seatMm={seat}
        stationsMm={values.stationsMm}
        active={active?.station ?? null}
      />
      <g className="figures" fontSize="14.5">
        {values.anglesDeg.map((a, i) => (
          <g key={a}>
            <text x="4" y={axis + r + 32 + i * 17} fill="var(--muted)">
              {a}°
            </text>
            {values.stationsMm.map((mm, s) => {
              const v = values.matrix[s]?.[i] ?? null;
              const on = inHand(s, i);
              const spread =
                values.stationsMm.length > 3
                  ? (300 / (values.stationsMm.length - 1)) * s + 62
                  : x0 +
                    mm * scale +
                    (s - (values.stationsMm.length - 1) / 2) *
                      Math.max(0, 96 - (seat * scale) / Math.max(1, values.stationsMm.length - 1));
              return (
                <Mendable
                  key={mm}
                  place={v === null ? null : `s${s + 1}/${a}`}
                  shown={v === null ? '' : lengthDigits(v, unit)}
                  name={`station ${s + 1} at ${a}°`}
                >
                  <text
                    x={spread}
                    y={axis + r + 32 + i * 17}
                    textAnchor="middle"
                    fontWeight={on ? 700 : 400}
                    fill={on ? 'var(--brass)' : v === null ? 'var(--faint)' : 'var(--ink)'}
                  >
                    {v === null ? (on ? '…' : '·') : lengthDigits(v, unit)}
                  </text>
                </Mendable>
              );
            })}
          </g>
        ))}
      </g>
      <g>
        <circle
          cx={cx}
          cy={cy}
          r={Math.max(4, radius(values.upperMm))}
          fill="none"
          stroke="var(--muted)"
          strokeDasharray="5 4"
        />
        <circle
          cx={cx}
          cy={cy}
          r={Math.max(4, radius(values.lowerMm))}
          fill="none"
          stroke="var(--muted)"
          strokeDasharray="5 4"
        />
        {values.anglesDeg.map((a) => {
          const on = active?.angleDeg === a;
          const p = spot(a, R + 22);
          const q = spot(a + 180, R + 22);
          const label = spot(a, R + 36);
          return (
            <g key={a}>
              <line
                x1={p.x}
                y1={p.y}
                x2={q.x}
                y2={q.y}
                stroke={on ? 'var(--brass)' : 'var(--faint)'}
                strokeWidth={on ? 3 : 1.2}
              />
              <text
                x={label.x}
                y={label.y + 5}
                textAnchor="middle"
                fontSize="15"
                fontFamily="var(--font-label)"
                fill={on ? 'var(--brass)' : 'var(--muted)'}
              >
                {a}°
              </text>
            </g>
          );
        })}
        {outline.length > 2 && (
          <path
            d={`${outline.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('')}Z`}
            fill="var(--steel)"
            fillOpacity="0.12"
            stroke="var(--steel)"
            strokeWidth="2"
          />
        )}
        {outline.map((p) => (
          <circle key={`${p.x}-${p.y}`} cx={p.x} cy={p.y} r="4" fill="var(--steel)" />
        ))}
        <text
          x={cx}
          y={cy + R + 54}
          textAnchor="middle"
          fontSize="15"
          fontFamily="var(--font-label)"
          fill="var(--ink)"
        >
          station {at + 1} from the end, deviations ×{many}
        </text>
        <text
          x={cx}
          y={cy + R + 71}
          textAnchor="middle"
          fontSize="14"
          fontFamily="var(--font-label)"
          fill="var(--muted)"
        >
          dashed: {lengthDigits(values.lowerMm, unit)} and {lengthDigits(values.upperMm, unit)} {unit}
        </text>
      </g>
      <text x="4" y={H - 4} fontSize="14.5" fontFamily="var(--font-label)" fill="var(--muted)">
        seat to scale, diameters in {unit}
      </text>
    </svg>
  );
}
