import type { Drawing, Fill, Ink, Shape } from '@fulcrant/core/judgement';
import { sayIn } from '@fulcrant/core/units';
import { useSettings } from '../ui/settings.tsx';

const INKS: Record<Ink, string> = {
  ink: 'var(--color-ink)',
  muted: 'var(--color-muted)',
  faint: 'var(--color-faint)',
  steel: 'var(--color-steel)',
  brass: 'var(--color-brass)',
  stop: 'var(--color-stop)',
  accept: 'var(--color-good)',
};
const FILLS: Record<Fill, string> = {
  metal: 'var(--color-faint)',
  'steel-light': 'var(--color-shade)',
  paper: 'var(--color-paper)',
  dot: 'var(--color-ink)',
};
/** Points of the sheet are drawn somewhat larger on a screen. */
const SCALE = 1.5;

/** A drawing of the sheet, as it is kept with it. */
export function DrawingView({ drawing: d }: { drawing: Drawing }) {
  return (
    <svg
      role="img"
      aria-label={d.title}
      viewBox={`0 0 ${d.width} ${d.height}`}
      style={{ width: d.width * SCALE, maxWidth: '100%' }}
      className="break-inside-avoid"
    >
      <Shapes shapes={d.shapes} />
    </svg>
  );
}

/** Shapes of a drawing, inside a picture somebody else lays out. */
export function Shapes({ shapes }: { shapes: readonly Shape[] }) {
  const { unit } = useSettings();
  return shapes.map((s, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: the shapes of a drawing stand in order and never move
    <Drawn key={i} shape={s} unit={unit} />
  ));
}

function Drawn({ shape: s, unit }: { shape: Shape; unit: 'mm' | 'in' }) {
  const ink = INKS[s.ink];
  if (s.shape === 'text')
    return (
      <text
        x={s.at[0]}
        y={s.at[1]}
        fill={ink}
        textAnchor={s.anchor ?? 'start'}
        fontSize={s.small ? 7 : 8.5}
        className={s.small ? '' : 'font-label font-medium'}
      >
        {sayIn(s.text, unit)}
      </text>
    );
  const look = {
    stroke: ink,
    strokeWidth: (s.shape === 'circle' ? undefined : s.width) ?? 0.8,
    fill: s.fill ? FILLS[s.fill] : 'none',
    ...(s.dashed ? { strokeDasharray: '3 2' } : {}),
  };
  if (s.shape === 'circle') return <circle cx={s.at[0]} cy={s.at[1]} r={s.r} {...look} />;
  if (s.shape === 'path') return <path d={s.d} {...look} />;
  const points = s.points.map((p) => p.join(',')).join(' ');
  return s.closed ? <polygon points={points} {...look} /> : <polyline points={points} {...look} />;
}
