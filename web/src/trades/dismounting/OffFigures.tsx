import type { LetGoValues, NutBackValues } from '@fulcrant/core/trades';
import { formatPressure } from '@fulcrant/core/units';
import { Figure, Label } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';

const W = 680;
const H = 230;

/** The nut on its thread, turn by turn: how far it is back, how far it must come, and where it would be off. */
export function NutBackFigure({ values: v }: { values: NutBackValues }) {
  const [from, to] = [110, 600];
  const at = (deg: number) => from + ((to - from) * deg) / v.mostDeg;
  const turns = Math.ceil(v.mostDeg / 360);
  const x = at(Math.min(v.turnedDeg, v.mostDeg));
  const crests = Math.round((to - from) / 14);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`Nut back ${(v.turnedDeg / 360).toFixed(2)} turns`}
    >
      <path
        d={`M30 120H${from}${Array.from({ length: crests }, () => 'l7 -9l7 9').join('')}H650V176H30z`}
        fill="var(--shade)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <rect
        x={at(v.leastDeg)}
        y="58"
        width={to - at(v.leastDeg)}
        height="12"
        fill="var(--good)"
        opacity="0.35"
      />
      {Array.from({ length: turns + 1 }, (_, i) => i).map((i) => (
        <g key={i}>
          <path d={`M${at(i * 360)} 78v10`} stroke="var(--muted)" />
          <Figure x={at(i * 360)} y={54} tone="muted">
            {i}
          </Figure>
        </g>
      ))}
      <path
        d={`M${x - 34} 92h34v104h-34z`}
        fill="var(--paper)"
        stroke={v.enough ? 'var(--ink)' : 'var(--brass)'}
        strokeWidth="3"
      />
      <Label x={to + 8} y={66} anchor="start" tone="stop">
        off
      </Label>
      <Label x={(at(v.leastDeg) + to) / 2} y={34} tone="muted">
        far enough, and still on
      </Label>
      <Label x={4} y={H - 6} anchor="start" tone="muted" size={14.5}>
        turns back from where it stood
      </Label>
    </svg>
  );
}

/** Every round at the pump: how high it went, what was left, and the abort pressure. */
export function LetGoFigure({ values: v }: { values: LetGoValues }) {
  const { unit } = useSettings();
  const top = Math.max(v.abortPressureMpa * 1.15, ...v.rounds.map((r) => r.peakMpa));
  const [x0, y0, height] = [70, 200, 168];
  const y = (mpa: number) => y0 - (height * mpa) / top;
  const step = Math.min(110, 560 / Math.max(4, v.rounds.length + 1));
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full"
      role="img"
      aria-label={`${v.rounds.length} rounds at the pump, ${v.free ? 'it has let go' : 'not let go yet'}`}
    >
      <path d={`M${x0} 20V${y0}H650`} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
      <path
        d={`M${x0} ${y(v.abortPressureMpa)}H650`}
        stroke="var(--stop)"
        strokeWidth="2"
        strokeDasharray="9 5"
      />
      <Label x={650} y={y(v.abortPressureMpa) - 6} anchor="end" tone="stop">
        abort {formatPressure(v.abortPressureMpa, unit)}
      </Label>
      {v.rounds.map((r, i) => {
        const x = x0 + step * (i + 0.3);
        const free = v.free && i === v.rounds.length - 1;
        return (
          <g key={r.n}>
            <path
              d={`M${x} ${y0}L${x + step * 0.4} ${y(r.peakMpa)}${r.afterMpa === null ? '' : `L${x + step * 0.62} ${y(r.afterMpa)}`}`}
              fill="none"
              stroke={free ? 'var(--good)' : r.aborted ? 'var(--stop)' : 'var(--steel)'}
              strokeWidth="3.5"
            />
            <Figure x={x + step * 0.4} y={y(r.peakMpa) - 8} size={16}>
              {formatPressure(r.peakMpa, unit)}
            </Figure>
            <Label x={x + step * 0.4} y={y0 + 18} tone="muted">
              round {r.n}
              {free ? ': let go' : ''}
            </Label>
          </g>
        );
      })}
    </svg>
  );
}
