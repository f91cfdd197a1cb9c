import type { ReactNode } from 'react';

/** A point at an angle from the top, clockwise, as on a clock. */
export const spot = (cx: number, cy: number, deg: number, r: number): { x: number; y: number } => ({
  x: cx + r * Math.sin((deg * Math.PI) / 180),
  y: cy - r * Math.cos((deg * Math.PI) / 180),
});

type Anchor = 'start' | 'middle' | 'end';

type WordsProps = {
  x: number;
  y: number;
  children: ReactNode;
  anchor?: Anchor;
  tone?: 'ink' | 'muted' | 'brass' | 'steel' | 'stop';
  size?: number;
  strong?: boolean;
};

/** A label in the condensed sans; `tone` says its role. */
export function Label({ anchor = 'middle', tone = 'ink', size = 15, strong = false, ...rest }: WordsProps) {
  return (
    <text
      {...rest}
      textAnchor={anchor}
      fontSize={size}
      fontFamily="var(--font-label)"
      fontWeight={strong ? 600 : 400}
      fill={`var(--${tone})`}
    />
  );
}

/** A number in the mono. */
export function Figure({
  anchor = 'middle',
  tone = 'ink',
  size = 14.5,
  strong = false,
  ...rest
}: WordsProps) {
  return (
    <text
      {...rest}
      textAnchor={anchor}
      fontSize={size}
      className="figures"
      fontWeight={strong ? 700 : 400}
      fill={`var(--${tone})`}
    />
  );
}

/** The dash-dot line of an axis. */
export function Axis({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) {
  return <line x1={x1} x2={x2} y1={y1} y2={y2} stroke="var(--steel)" strokeDasharray="16 4 3 4" />;
}

/** A dimension with an arrow head at both ends and its number on it. */
export function Dimension({
  x1,
  y1,
  x2,
  y2,
  children,
  tone = 'ink',
  side = -6,
}: {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  children: ReactNode;
  tone?: 'ink' | 'muted' | 'brass' | 'steel' | 'stop';
  /** How far the number stands off the line, up or to the left. */
  side?: number;
}) {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x: number, y: number, s: 1 | -1) =>
    `M${x} ${y}l${s * 8 * ux - 3 * uy} ${s * 8 * uy + 3 * ux}l${6 * uy} ${-6 * ux}z`;
  const upright = Math.abs(uy) > Math.abs(ux);
  const colour = `var(--${tone})`;
  return (
    <g>
      <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={colour} strokeWidth="1.2" />
      <path d={`${head(x1, y1, 1)}${head(x2, y2, -1)}`} fill={colour} />
      <Figure
        x={(x1 + x2) / 2 + (upright ? side : 0)}
        y={(y1 + y2) / 2 + (upright ? 5 : side)}
        anchor={upright ? (side < 0 ? 'end' : 'start') : 'middle'}
        tone={tone}
      >
        {children}
      </Figure>
    </g>
  );
}

/** A dial indicator standing on a surface: its plunger comes in along an angle. */
export function DialGauge({ x, y, deg, r = 15 }: { x: number; y: number; deg: number; r?: number }) {
  const c = spot(x, y, deg, r + 22);
  const tip = spot(x, y, deg, 0);
  const rim = spot(x, y, deg, 22);
  return (
    <g>
      <line x1={tip.x} y1={tip.y} x2={rim.x} y2={rim.y} stroke="var(--brass)" strokeWidth="3.5" />
      <circle cx={c.x} cy={c.y} r={r} fill="var(--paper)" stroke="var(--brass)" strokeWidth="3" />
      <path d={`M${c.x} ${c.y}l${r * 0.4} ${-r * 0.5}`} stroke="var(--brass)" strokeWidth="2" />
    </g>
  );
}
