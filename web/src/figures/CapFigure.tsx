import type { CapBoltValues, SleeveSetup } from '@fulcrant/core';

type Spot = { x: number; y: number };

/** Where bolt n stands: clockwise from the top left of a cap, or from the top of a circle. */
function spots(setup: SleeveSetup): Spot[] {
  const n = setup.boltCount;
  if (setup.boltLayout === 'circle') {
    return Array.from({ length: n }, (_, i) => ({
      x: 320 + 116 * Math.sin((2 * Math.PI * i) / n),
      y: 150 - 116 * Math.cos((2 * Math.PI * i) / n),
    }));
  }
  const side = n / 2;
  const x = (c: number) => (side === 1 ? 320 : 176 + (288 * c) / (side - 1));
  return Array.from({ length: n }, (_, i) => (i < side ? { x: x(i), y: 74 } : { x: x(n - 1 - i), y: 226 }));
}

/** The cap seen from above: bolts by number, how many passes each has had, the next one picked out, the order lined. */
export function CapFigure({ setup, values }: { setup: SleeveSetup; values: CapBoltValues }) {
  const at = spots(setup);
  const pass = values.next ? values.next.pass : values.passes.length - 1;
  const order = values.passes[pass]?.order ?? [];
  const tight = (bolt: number) => values.ticks.some((t) => t.pass === pass && t.bolt === bolt);
  const done = (bolt: number) => values.ticks.filter((t) => t.bolt === bolt).length;
  const line = order.map((b) => at[b - 1]).filter((p): p is Spot => p !== undefined);
  const radius = setup.boltCount > 12 ? 17 : 27;
  const next = values.next?.bolt ?? null;
  return (
    <svg
      viewBox="0 0 640 300"
      className="block w-full"
      role="img"
      aria-label={next === null ? 'All cap bolts tight' : `Cap from above, bolt ${next} is next`}
    >
      {setup.boltLayout === 'rectangle' ? (
        <g fill="none" stroke="var(--ink)" strokeWidth="1.8">
          <rect x="76" y="32" width="488" height="236" rx="18" fill="var(--shade)" />
          <path d="M76 120H564M76 180H564" stroke="var(--muted)" />
          <line x1="24" x2="616" y1="150" y2="150" stroke="var(--steel)" strokeDasharray="16 4 3 4" />
        </g>
      ) : (
        <g fill="none" stroke="var(--ink)" strokeWidth="1.8">
          <circle cx="320" cy="150" r="146" fill="var(--shade)" />
          <circle cx="320" cy="150" r="62" fill="var(--paper)" stroke="var(--muted)" />
        </g>
      )}
      <path
        d={line.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join('')}
        fill="none"
        stroke="var(--steel)"
        strokeWidth="1.5"
        strokeDasharray="3 5"
      />
      {at.map((p, i) => {
        const bolt = i + 1;
        const isNext = bolt === next;
        const flat = Array.from(
          { length: 6 },
          (_, k) =>
            `${p.x + radius * Math.cos((Math.PI * k) / 3)},${p.y + radius * Math.sin((Math.PI * k) / 3)}`,
        ).join(' ');
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
                x={p.x + (p.x < 320 ? -1 : 1) * (radius + 18)}
                y={p.y + 5}
                textAnchor={p.x < 320 ? 'end' : 'start'}
                fontFamily="var(--font-label)"
                fontSize="15"
                fill="var(--muted)"
              >
                {done(bolt)} of {values.passes.length}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
