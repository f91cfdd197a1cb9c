import type { GlandGapsValues } from '@fulcrant/core/steps';
import { lengthDigits } from '@fulcrant/core/units';
import { useSettings } from '../ui/settings.tsx';
import { Figure, Label, spot } from './drawing.tsx';
import { Mendable, useMending } from './mend.tsx';

const CX = 230;
const CY = 136;
const R = 84;

/** Gland or follower end on: the gap at each place felt, how it gapes, and which bolt comes in by how much. */
export function GlandFigure({
  values: v,
  active,
  typed,
  what,
}: {
  values: GlandGapsValues;
  active: string | undefined;
  typed: number | null;
  what: string;
}) {
  const { unit } = useSettings();
  const mending = useMending();
  const say = (mm: number) => lengthDigits(mm, unit, 2);
  const gaps = v.gaps.map((g) => ({
    ...g,
    gapMm: active === `gap/${g.angleDeg}` && typed !== null ? typed : g.gapMm,
  }));
  const bolts = Array.from({ length: v.bolts }, (_, i) => i + 1);
  const read = gaps.flatMap((g) => g.gapMm ?? []);
  const least = read.length ? Math.min(...read) : 0;
  const spread = read.length ? Math.max(...read) - least : 0;
  // The least gap is drawn as a hair; what lies over it is enlarged to a round number.
  const times = spread > 0 ? 22 / spread : 0;
  const wide = v.tilt?.wideDeg ?? null;
  const tilted = v.tilt && v.tilt.spreadMm > 0 && wide !== null;
  return (
    <svg
      viewBox="0 0 680 290"
      className="block w-full"
      role={mending ? 'group' : 'img'}
      aria-label={`${what}: ${gaps.map((g) => `${g.angleDeg} degrees ${g.gapMm === null ? 'not felt' : say(g.gapMm)}`).join(', ')}`}
    >
      <circle cx={CX} cy={CY} r={R} fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.8" />
      <circle cx={CX} cy={CY} r="34" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
      {bolts.map((bolt) => {
        const p = spot(CX, CY, (360 * (bolt - 1)) / v.bolts, 60);
        const widest = v.tilt?.widestBolt === bolt && (v.tilt?.spreadMm ?? 0) > 0.005;
        return (
          <g key={bolt}>
            <circle
              cx={p.x}
              cy={p.y}
              r="15"
              fill="var(--paper)"
              stroke={widest ? 'var(--steel)' : 'var(--ink)'}
              strokeWidth={widest ? 4 : 1.8}
            />
            <Figure x={p.x} y={p.y + 5.5} size={15} strong={widest}>
              {bolt}
            </Figure>
          </g>
        );
      })}
      {gaps.map((g) => {
        const at = spot(CX, CY, g.angleDeg, R + 3);
        const end = spot(CX, CY, g.angleDeg, R + 6 + (g.gapMm === null ? 0 : (g.gapMm - least) * times));
        const t = spot(CX, CY, g.angleDeg, R + 40);
        const side = Math.sin((g.angleDeg * Math.PI) / 180);
        const tone = active === `gap/${g.angleDeg}` ? 'brass' : 'ink';
        return (
          <Mendable
            key={g.angleDeg}
            place={g.gapMm === null ? null : `gap/${g.angleDeg}`}
            shown={g.gapMm === null ? '' : say(g.gapMm)}
            name={`the gap at ${g.angleDeg}°`}
          >
            <line x1={at.x} y1={at.y} x2={end.x} y2={end.y} stroke={`var(--${tone})`} strokeWidth="9" />
            <Figure
              x={t.x}
              y={t.y + 5}
              anchor={side > 0.5 ? 'start' : side < -0.5 ? 'end' : 'middle'}
              tone={tone}
              size={18}
              strong={tone === 'brass'}
            >
              {g.gapMm === null ? '–' : say(g.gapMm)}
            </Figure>
          </Mendable>
        );
      })}
      {tilted && (
        <g transform={`rotate(${wide} ${CX} ${CY})`}>
          <path
            d={`M${CX} ${CY + 26}V${CY - 26}m0 0l-6 11m6 -11l6 11`}
            stroke="var(--steel)"
            strokeWidth="3"
            fill="none"
          />
        </g>
      )}
      <Label x={440} y={50} anchor="start" size={17} strong>
        {what}
      </Label>
      {v.tilt ? (
        <>
          <Label x={440} y={76} anchor="start" tone="muted">
            {tilted ? `gapes most at ${Math.round(wide)}°` : 'gapes nowhere'}
          </Label>
          {v.tilt.spreadMm > 0 &&
            bolts.slice(0, 8).map((bolt) => (
              <g key={bolt}>
                <Label x={440} y={84 + 22 * bolt} anchor="start" size={16}>
                  bolt {bolt} in by
                </Label>
                <Figure
                  x={600}
                  y={84 + 22 * bolt}
                  anchor="end"
                  size={16}
                  strong={v.tilt?.widestBolt === bolt}
                >
                  {say(v.tilt?.bringInMm[bolt - 1] ?? 0)}
                </Figure>
              </g>
            ))}
        </>
      ) : (
        <Label x={440} y={76} anchor="start" tone="muted">
          felt at {gaps.length} places, from the top clockwise
        </Label>
      )}
      <Label x={676} y={284} anchor="end" tone="muted" size={14}>
        {spread > 0 ? 'bars: what a gap has over the least one, enlarged alike' : 'end view; bolt 1 on top'}
      </Label>
    </svg>
  );
}
