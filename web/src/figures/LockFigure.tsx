import { type Alignment, type Pattern, patternAngles } from '@fulcrant/core/calculators';
import { Figure, Label, spot } from './drawing.tsx';

const C = 150;

function sector(deg: number, width: number, r0: number, r1: number): string {
  const at = (d: number, r: number) => {
    const p = spot(C, C, d, r);
    return `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
  };
  const [a, b] = [deg - width / 2, deg + width / 2];
  return `M${at(a, r0)}L${at(a, r1)}L${at(b, r1)}L${at(b, r0)}Z`;
}

type Props = {
  /** The nut's slots or holes, and what locks it. */
  nut: Pattern;
  washer: Pattern;
  /** Where they meet next; null where that is not measured. */
  meets: Pick<Alignment, 'forwardDeg' | 'slot' | 'tab'> | null;
  /** How far the nut has gone of it already. */
  turnedDeg?: number | null;
  way?: 'forward' | 'back';
};

/**
 * A nut's face with its slots over the tabs (or holes) that lock it, even or not; the tab at the top is the one that meets next,
 * slot and tab named by their numbers.
 */
export function LockFigure({ nut, washer, meets, turnedDeg = null, way = 'forward' }: Props) {
  const [slots, tabs] = [patternAngles(nut), patternAngles(washer)];
  const left = meets === null ? null : Math.max(0, meets.forwardDeg - (turnedDeg ?? 0));
  const behind = (left ?? 180 / Math.max(1, tabs.length)) * (way === 'forward' ? 1 : -1);
  const slot0 = slots[(meets?.slot ?? 1) - 1] ?? 0;
  const tab0 = tabs[(meets?.tab ?? 1) - 1] ?? 0;
  const done = left !== null && left < 0.05;
  const [from, to] = [spot(C, C, -behind, 128), spot(C, C, 0, 128)];
  const said = (p: Pattern, one: string) =>
    'count' in p ? `${p.count} ${one}s` : `${p.anglesDeg.length} ${one}s, uneven`;
  return (
    <svg
      viewBox="0 0 300 340"
      className="block w-full max-w-[21rem]"
      role="img"
      aria-label={
        left === null
          ? 'Nut and its lock; the gap to the next tab is not measured'
          : `Nut and its lock; slot ${meets?.slot} meets tab ${meets?.tab}, ${left.toFixed(1)} degrees ${way}`
      }
      data-figure="lock"
    >
      {tabs.map((t, i) => {
        const here = i === (meets?.tab ?? 1) - 1;
        return (
          <path
            key={t}
            d={sector(t - tab0, Math.min(9, 220 / tabs.length), 88, 122)}
            fill={here ? 'var(--brass)' : 'var(--paper)'}
            stroke={here ? 'var(--brass)' : 'var(--muted)'}
          />
        );
      })}
      <circle cx={C} cy={C} r="98" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
      {slots.map((s, i) => {
        const here = i === (meets?.slot ?? 1) - 1;
        const at = spot(C, C, s - slot0 - behind, 68);
        return (
          <g key={s}>
            <path
              d={sector(s - slot0 - behind, Math.min(11, 200 / slots.length), 78, 99)}
              fill={here ? 'var(--shade)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth={here ? 2.5 : 1.5}
            />
            {slots.length <= 12 && (
              <Figure x={at.x} y={at.y + 5} size={13} strong={here} tone={here ? 'ink' : 'muted'}>
                {i + 1}
              </Figure>
            )}
          </g>
        );
      })}
      <circle cx={C} cy={C} r="52" fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6" />
      <circle cx={C} cy={C} r="42" fill="var(--paper)" stroke="var(--muted)" strokeDasharray="14 4 3 4" />
      {left !== null && !done && (
        <path
          d={`M${from.x} ${from.y}A128 128 0 ${left > 180 ? 1 : 0} ${way === 'forward' ? 1 : 0} ${to.x} ${to.y}`}
          fill="none"
          stroke="var(--steel)"
          strokeWidth="3"
        />
      )}
      <path d={`M${C} 8l8 -8h-16z`} fill="var(--brass)" transform="translate(0 8)" />
      <Figure x={C} y={C - 2} size={24} strong tone="steel">
        {left === null ? '?' : `${left.toFixed(1)}°`}
      </Figure>
      <Label x={C} y={C + 18} size={16} tone="muted">
        {done ? 'they meet' : way}
      </Label>
      <Label x={C} y={312} size={16}>
        {meets ? `slot ${meets.slot} to tab ${meets.tab}` : 'which meets next is not measured'}
      </Label>
      <Label x={C} y={332} tone="muted">
        {said(nut, 'slot')}, {said(washer, 'tab')}
      </Label>
    </svg>
  );
}
