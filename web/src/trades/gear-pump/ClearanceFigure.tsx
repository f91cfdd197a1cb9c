import { type ClearanceValues, gapKey } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { Dimension, Figure, Label } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';

const EDGE = 74;
/** Where the blades go in, left to right. */
const SPOTS = [170, 250, 390, 470];
const GEARS = { drive: 210, idler: 430 } as const;

/** A straightedge over the loose stack, and both gears under it by what the blades felt; gaps enlarged and said so. */
export function ClearanceFigure({
  values: v,
  active,
  typed,
}: {
  values: ClearanceValues;
  active: string | undefined;
  typed: number | null;
}) {
  const { unit } = useSettings();
  const gaps = v.gaps.map((g) => {
    const here = active === gapKey.write({ gear: g.gear, n: g.n });
    return { ...g, here, mm: here && typed !== null ? typed : g.mm };
  });
  const stackMm = active === 'stack' && typed !== null ? typed : v.stackMm;
  const most = Math.max(v.mostMm, ...gaps.flatMap((g) => g.mm ?? []));
  // A gap over the most is drawn as such, and the whole still fits.
  const times = [200, 100, 50, 20, 10].find((t) => most * t * 0.75 <= 46) ?? 5;
  const at = (mm: number) => EDGE + mm * times * 0.75;
  return (
    <svg
      viewBox="0 0 640 250"
      className="block max-h-[16rem] w-full"
      role="img"
      aria-label={`End clearance: ${gaps.map((g) => `${g.gear} place ${g.n} ${g.mm === null ? 'not felt' : lengthDigits(g.mm, unit)}`).join(', ')}`}
      data-figure="straightedge"
    >
      <rect
        x="56"
        y="30"
        width="528"
        height={EDGE - 30}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <Label x={320} y={57} tone="muted" size={16}>
        straightedge
      </Label>
      {[76, 524].map((x) => (
        <g key={x}>
          <rect
            x={x}
            y={at(most) + 12}
            width="40"
            height={212 - at(most) - 12}
            fill="var(--shade)"
            stroke="var(--ink)"
            strokeWidth="1.8"
          />
          {[0, 1, 2, 3].map((i) => (
            <rect
              key={i}
              x={x}
              y={EDGE + ((at(most) + 12 - EDGE) * i) / 4}
              width="40"
              height={(at(most) + 12 - EDGE) / 4}
              fill={i % 2 ? 'var(--shade)' : 'var(--paper)'}
              stroke={active === 'stack' ? 'var(--brass)' : 'var(--ink)'}
              strokeWidth={active === 'stack' ? 2.4 : 1.1}
            />
          ))}
        </g>
      ))}
      {(['drive', 'idler'] as const).map((gear) => {
        const own = gaps.filter((g) => g.gear === gear);
        const known = own.flatMap((g) => g.mm ?? []);
        const [a, b] = own.map((g) => at(g.mm ?? known[0] ?? v.mostMm / 2));
        const x = GEARS[gear];
        return (
          <g key={gear}>
            <path
              d={`M${x - 84} ${a}L${x + 84} ${b}V212H${x - 84}z`}
              fill={known.length ? 'var(--shade)' : 'none'}
              stroke={known.length ? 'var(--ink)' : 'var(--muted)'}
              strokeDasharray={known.length ? undefined : '5 4'}
              strokeWidth="1.8"
            />
            <Label x={x} y={204} size={17} strong>
              {gear === 'drive' ? 'drive gear' : 'idler'}
            </Label>
          </g>
        );
      })}
      {gaps.map((g, i) => {
        const x = SPOTS[i] ?? 0;
        const tone = g.here ? 'brass' : g.mm !== null && g.mm <= 0 ? 'stop' : 'ink';
        return (
          <g key={`${g.gear}${g.n}`}>
            {g.mm !== null && g.mm > 0 && (
              <Dimension x1={x} x2={x} y1={EDGE} y2={at(g.mm)} tone={g.here ? 'brass' : 'ink'}>
                {''}
              </Dimension>
            )}
            {g.here && g.mm === null && (
              <path
                d={`M${x - 10} ${EDGE + 22}L${x} ${EDGE + 4}L${x + 10} ${EDGE + 22}z`}
                fill="var(--brass)"
              />
            )}
            <Figure x={x} y={150} tone={tone} size={17} strong>
              {g.mm === null ? (g.here ? 'blade' : '·') : lengthDigits(g.mm, unit)}
            </Figure>
          </g>
        );
      })}
      <Label x={320} y={240} tone="muted">
        {`gaps ×${times}; loose stack `}
        {stackMm === null ? 'not measured' : lengthDigits(stackMm, unit)}
      </Label>
    </svg>
  );
}
