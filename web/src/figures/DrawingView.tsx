import type { Drawing, Fill, Ink, Look, Shape } from '@fulcrant/core/figures';
import { textKey } from '@fulcrant/core/messages';
import { say } from '@fulcrant/core/units';
import { type CSSProperties, useId } from 'react';
import { useSettings } from '../ui/settings.tsx';
import { DrawnButton } from './DrawnButton.tsx';
import { Mendable, useMending } from './mend.tsx';
import { Turnable } from './Turnable.tsx';

const INKS: Record<Ink, string> = {
  ink: 'var(--ink)',
  muted: 'var(--muted)',
  faint: 'var(--faint)',
  rule: 'var(--rule)',
  steel: 'var(--steel)',
  brass: 'var(--brass)',
  stop: 'var(--stop)',
  accept: 'var(--good)',
  paper: 'var(--paper)',
  shade: 'var(--shade)',
  none: 'none',
};
const FILLS: Record<Exclude<Fill, Ink | 'hatch' | 'hatch-back'>, string> = {
  metal: 'var(--faint)',
  'steel-light': 'var(--shade)',
  dot: 'var(--ink)',
  touch: 'transparent',
};
/** Points of the sheet are drawn somewhat larger on a screen. */
const SCALE = 1.5;

/** What is the same for every shape of a drawing: the reader’s unit, the drawing’s own hatches, what turning a part does. */
type Page = {
  unit: 'mm' | 'in';
  hatch: string;
  onTurn: ((deg: number) => void) | undefined;
  onPick: ((which: number) => void) | undefined;
};

type Props = {
  drawing: Drawing;
  /** A part turned on the figure. */
  onTurn?: ((deg: number) => void) | undefined;
  /** One of its parts picked out. */
  onPick?: ((which: number) => void) | undefined;
  /** As large as it is printed, not as wide as there is room. */
  printed?: boolean;
  className?: string;
};

/** A drawing on the screen: as wide as it is given room where it was made for a screen, else as large as on paper. */
export function DrawingView({ drawing: d, onTurn, onPick, printed = false, className = '' }: Props) {
  const { unit } = useSettings();
  const hatch = useId();
  const mending = useMending();
  const touched = onTurn !== undefined || ((onPick !== undefined || mending) && d.shapes.some(isTouched));
  const [x, y] = d.from ?? [0, 0];
  const style: CSSProperties =
    printed || d.perPoint === undefined
      ? { width: (d.width / (d.perPoint ?? 1)) * SCALE, maxWidth: '100%' }
      : d.tall === undefined
        ? {}
        : { maxHeight: `${d.tall}rem` };
  const size = printed || d.perPoint === undefined ? 'break-inside-avoid' : 'block w-full';
  return (
    <svg
      role={touched ? 'group' : 'img'}
      aria-label={say(say(d.title, unit), unit)}
      viewBox={`${x} ${y} ${d.width} ${d.height}`}
      style={style}
      className={`${size} ${className}`}
      data-figure={d.name}
    >
      {isHatched(d.shapes) && <Hatches id={hatch} />}
      <g strokeWidth="0.8" fill="none">
        <Drawn shapes={d.shapes} page={{ unit, hatch, onTurn, onPick }} />
      </g>
    </svg>
  );
}

/** Shapes of a drawing, inside a picture somebody else lays out. */
export function Shapes({ shapes }: { shapes: readonly Shape[] }) {
  const { unit } = useSettings();
  return (
    <g strokeWidth="0.8" fill="none">
      <Drawn shapes={shapes} page={{ unit, hatch: '', onTurn: undefined, onPick: undefined }} />
    </g>
  );
}

/** Figures of one step: under each other, or beside each other where they have room, the wider one with more of it. */
export function Drawings({ drawings, onTurn }: { drawings: readonly Drawing[]; onTurn?: Props['onTurn'] }) {
  const [only, ...more] = drawings;
  if (!only) return null;
  if (more.length === 0) return <DrawingView drawing={only} onTurn={onTurn} />;
  const beside = drawings.reduce((w, d) => w + d.width, 0) <= BESIDE;
  return (
    <div
      className={beside ? 'grid items-center gap-2 md:[grid-template-columns:var(--share)]' : undefined}
      style={
        { '--share': drawings.map((d) => `${Math.sqrt(d.width).toFixed(2)}fr`).join(' ') } as CSSProperties
      }
    >
      {drawings.map((d, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the figures of a step stand in order
        <DrawingView key={i} drawing={d} onTurn={onTurn} />
      ))}
    </div>
  );
}
/** Figures together no wider than this stand beside each other. */
const BESIDE = 1100;

const isTouched = (s: Shape): boolean =>
  s.shape === 'group' && (s.touch !== undefined || s.shapes.some(isTouched));
const isHatched = (shapes: readonly Shape[]): boolean =>
  shapes.some((s) =>
    s.shape === 'group' ? isHatched(s.shapes) : s.shape !== 'text' && (s.fill ?? '').startsWith('hatch'),
  );

/** Cut metal, hatched as drawings hatch it: two parts that meet, two ways. */
function Hatches({ id }: { id: string }) {
  return (
    <defs>
      {(
        [
          ['hatch', 45, 7],
          ['hatch-back', -45, 6],
        ] as const
      ).map(([fill, deg, apart]) => (
        <pattern
          key={fill}
          id={`${id}${fill}`}
          width={apart}
          height={apart}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${deg})`}
        >
          <line x1="0" x2="0" y1="0" y2={apart} stroke="var(--muted)" strokeWidth="1" />
        </pattern>
      ))}
    </defs>
  );
}

function Drawn({ shapes, page }: { shapes: readonly Shape[]; page: Page }) {
  const keys = keysOf(shapes);
  return shapes.map((s, i) => <One key={keys[i]} shape={s} page={page} />);
}

/**
 * What is touched stays the same element, at the same place, while shapes come and go round it: moved, it would lose the finger or
 * the keys. The others are counted from what is touched before them.
 */
function keysOf(shapes: readonly Shape[]): string[] {
  let after = '';
  let n = 0;
  return shapes.map((s) => {
    if (s.shape !== 'group' || !s.touch) return `${after} ${n++}`;
    after = s.touch.does === 'mend' ? `mend ${s.touch.place}` : `${s.touch.does} ${textKey(s.touch.name)}`;
    n = 0;
    return after;
  });
}

function fillOf(fill: Fill, page: Page): string {
  if (fill === 'hatch' || fill === 'hatch-back') return `url(#${page.hatch}${fill})`;
  return fill in FILLS ? FILLS[fill as keyof typeof FILLS] : INKS[fill as Ink];
}

/** How a shape looks as SVG says it; what is not said is left to its group. */
const lookOf = (s: Look, page: Page) => ({
  stroke: s.ink && INKS[s.ink],
  strokeWidth: s.width,
  fill: s.fill && fillOf(s.fill, page),
  strokeDasharray: s.dash ?? (s.dashed ? '3 2' : undefined),
  opacity: s.opacity,
  fillOpacity: s.fillOpacity,
});
function One({ shape: s, page }: { shape: Shape; page: Page }) {
  if (s.shape === 'group') return <Group shape={s} page={page} />;
  if (s.shape === 'text') return <Text shape={s} unit={page.unit} />;
  const look = lookOf(s, page);
  if (s.shape === 'circle') return <circle cx={s.at[0]} cy={s.at[1]} r={s.r} {...look} />;
  if (s.shape === 'path') return <path d={s.d} {...look} />;
  const points = s.points.map((p) => p.join(',')).join(' ');
  return s.closed ? <polygon points={points} {...look} /> : <polyline points={points} {...look} />;
}

function Group({ shape: s, page }: { shape: Extract<Shape, { shape: 'group' }>; page: Page }) {
  const inner = <Drawn shapes={s.shapes} page={page} />;
  if (s.touch?.does === 'mend')
    return (
      <Mendable
        place={s.touch.place}
        name={s.touch.name}
        shown={say(say(s.touch.shown, page.unit), page.unit)}
      >
        {inner}
      </Mendable>
    );
  if (s.touch?.does === 'pick' && page.onPick) {
    const { which } = s.touch;
    return (
      <DrawnButton
        name={say(s.touch.name, page.unit)}
        onPress={() => page.onPick?.(which)}
        marks={{ 'data-pick': which }}
      >
        {inner}
      </DrawnButton>
    );
  }
  if (s.touch?.does === 'turn' && page.onTurn)
    return (
      <Turnable {...s.touch} name={say(s.touch.name, page.unit)} onTurn={page.onTurn}>
        {inner}
      </Turnable>
    );
  const moved = [
    s.shift && `translate(${s.shift[0]} ${s.shift[1]})`,
    s.scale !== undefined && `scale(${s.scale})`,
    s.turn && `rotate(${s.turn.join(' ')})`,
  ].filter(Boolean);
  return (
    <g
      {...lookOf(s, page)}
      transform={moved.length > 0 ? moved.join(' ') : undefined}
      data-part={s.part}
      className={s.moves ? 'moves' : undefined}
    >
      {inner}
    </g>
  );
}

const FONTS = {
  label: { fontFamily: 'var(--font-label)', className: undefined, strong: 600 },
  figures: { fontFamily: undefined, className: 'figures', strong: 700 },
};

function Text({ shape: s, unit }: { shape: Extract<Shape, { shape: 'text' }>; unit: 'mm' | 'in' }) {
  const font = s.font && FONTS[s.font];
  return (
    <text
      x={s.at[0]}
      y={s.at[1]}
      fill={INKS[s.ink ?? 'ink']}
      stroke="none"
      textAnchor={s.anchor ?? 'start'}
      fontSize={s.size ?? (s.small ? 7 : 8.5)}
      {...(font
        ? {
            fontFamily: font.fontFamily,
            className: font.className,
            fontWeight: s.strong ? font.strong : 400,
          }
        : { className: s.small ? '' : 'font-label font-medium' })}
    >
      {say(say(s.text, unit), unit)}
    </text>
  );
}
