import type { BoltSpec, BoltValues } from '@fulcrant/core/steps';

type Spot = { x: number; y: number };

const CX = 320;
const CY = 150;

/** Where bolt n stands: clockwise from the top left of a cap, from the top of a circle, down the sides of a split part. */
function spots({ layout, count: n }: BoltSpec): Spot[] {
  if (layout === 'circle')
    return Array.from({ length: n }, (_, i) => ({
      x: CX + 116 * Math.sin((2 * Math.PI * i) / n),
      y: CY - 116 * Math.cos((2 * Math.PI * i) / n),
    }));
  const side = n / 2;
  const along = (c: number, from: number, span: number) =>
    side === 1 ? from + span / 2 : from + (span * c) / (side - 1);
  if (layout === 'halves')
    return Array.from({ length: n }, (_, i) =>
      i < side ? { x: CX + 150, y: along(i, 84, 132) } : { x: CX - 150, y: along(n - 1 - i, 84, 132) },
    );
  return Array.from({ length: n }, (_, i) =>
    i < side ? { x: along(i, 176, 288), y: 74 } : { x: along(n - 1 - i, 176, 288), y: 226 },
  );
}

/** The part the bolts stand in: a cap from above, a flange, or the two halves of a split part end on. */
function Part({ layout }: { layout: BoltSpec['layout'] }) {
  const line = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.8 };
  if (layout === 'circle')
    return (
      <g {...line}>
        <circle cx={CX} cy={CY} r="146" fill="var(--shade)" />
        <circle cx={CX} cy={CY} r="62" fill="var(--paper)" stroke="var(--muted)" />
      </g>
    );
  if (layout === 'halves')
    return (
      <g {...line}>
        <path
          d={`M${CX - 196} ${CY - 4}V44q0 -14 14 -14H${CX + 182}q14 0 14 14V${CY - 4}z`}
          fill="var(--shade)"
        />
        <path
          d={`M${CX - 196} ${CY + 4}V256q0 14 14 14H${CX + 182}q14 0 14 -14V${CY + 4}z`}
          fill="var(--shade)"
        />
        <circle cx={CX} cy={CY} r="84" fill="var(--paper)" />
        <circle cx={CX} cy={CY} r="70" stroke="var(--muted)" />
        <line x1="84" x2="556" y1={CY} y2={CY} stroke="var(--steel)" strokeDasharray="16 4 3 4" />
      </g>
    );
  return (
    <g {...line}>
      <rect x="76" y="32" width="488" height="236" rx="18" fill="var(--shade)" />
      <path d="M76 120H564M76 180H564" stroke="var(--muted)" />
      <line x1="24" x2="616" y1={CY} y2={CY} stroke="var(--steel)" strokeDasharray="16 4 3 4" />
    </g>
  );
}

/** The bolts of a part by number: how many passes each has had, the next one picked out, the order lined. */
export function BoltFigure({ values }: { values: BoltValues }) {
  const { spec } = values;
  const at = spots(spec);
  const pass = values.next ? values.next.pass : values.passes.length - 1;
  const order = values.passes[pass]?.order ?? [];
  const tight = (bolt: number) => values.ticks.some((t) => t.pass === pass && t.bolt === bolt);
  const done = (bolt: number) => values.ticks.filter((t) => t.bolt === bolt).length;
  const moved = (bolt: number) =>
    values.ticks.filter((t) => t.bolt === bolt && t.movedDeg !== undefined).at(-1)?.movedDeg;
  const line = order.map((b) => at[b - 1]).filter((p): p is Spot => p !== undefined);
  const radius = spec.count > 12 ? 17 : 27;
  const next = values.next?.bolt ?? null;
  return (
    <svg
      viewBox="0 0 640 300"
      className="block max-h-[15rem] w-full overflow-visible lg:[@media(max-height:790px)]:max-h-36"
      role="img"
      aria-label={next === null ? `All ${spec.what.toLowerCase()} tight` : `${spec.what}: ${next} is next`}
    >
      <Part layout={spec.layout} />
      <path
        d={line.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join('')}
        fill="none"
        stroke="var(--steel)"
        strokeWidth="1.5"
        strokeDasharray="3 5"
      />
      {Array.from({ length: spec.jacking?.holes ?? 0 }, (_, i) => {
        // Between two bolts each, across from one another, on a smaller circle.
        const turn = 2 * Math.PI * (i / (spec.jacking?.holes ?? 1) + 0.5 / spec.count + 0.25);
        const [x, y] = [CX + 92 * Math.sin(turn), CY - 92 * Math.cos(turn)];
        return (
          <circle
            key={turn}
            cx={x}
            cy={y}
            r="8"
            fill={values.held?.jacked ? 'var(--stop)' : 'none'}
            stroke="var(--muted)"
            strokeWidth="1.5"
            strokeDasharray="3 2"
          >
            <title>{values.held?.jacked ? 'jacking bolt in' : 'jacking hole, free'}</title>
          </circle>
        );
      })}
      {at.map((p, i) => {
        const bolt = i + 1;
        const isNext = bolt === next;
        const flat = Array.from(
          { length: 6 },
          (_, k) =>
            `${p.x + radius * Math.cos((Math.PI * k) / 3)},${p.y + radius * Math.sin((Math.PI * k) / 3)}`,
        ).join(' ');
        const turned = moved(bolt);
        if (values.held?.filled.includes(bolt))
          return (
            <g key={bolt} data-filled={bolt}>
              <circle
                cx={p.x}
                cy={p.y}
                r={radius}
                fill="var(--paper)"
                stroke="var(--steel)"
                strokeWidth="2"
              />
              <circle cx={p.x} cy={p.y} r={radius * 0.62} fill="var(--steel)" />
              <text
                x={p.x}
                y={p.y < CY ? p.y + radius + 17 : p.y - radius - 8}
                textAnchor="middle"
                fontFamily="var(--font-label)"
                fontSize="15"
                fill="var(--steel)"
              >
                {spec.occupied?.by}
              </text>
            </g>
          );
        return (
          <g key={bolt}>
            {isNext && (
              <circle cx={p.x} cy={p.y} r={radius + 9} fill="none" stroke="var(--brass)" strokeWidth="4" />
            )}
            <polygon
              points={flat}
              fill={tight(bolt) ? 'var(--ink)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <text
              x={p.x}
              y={p.y + radius * 0.3}
              textAnchor="middle"
              className="figures"
              fontSize={radius * 0.85}
              fontWeight="600"
              fill={tight(bolt) ? 'var(--paper)' : isNext ? 'var(--brass)' : 'var(--ink)'}
            >
              {bolt}
            </text>
            {radius > 20 && (
              <text
                x={spec.layout === 'halves' ? p.x : p.x + (p.x < CX ? -1 : 1) * (radius + 18)}
                y={spec.layout === 'halves' ? p.y + radius + (isNext ? 24 : 18) : p.y + 5}
                textAnchor={spec.layout === 'halves' ? 'middle' : p.x < CX ? 'end' : 'start'}
                fontFamily="var(--font-label)"
                fontSize="15"
                fill="var(--muted)"
              >
                {turned === undefined ? `${done(bolt)} of ${values.passes.length}` : `moved ${turned}°`}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
