import type { KeptValues } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { Axis, Figure, Label } from '../../figures/drawing.tsx';
import { useSettings } from '../../ui/settings.tsx';

/** Millimetres to a pixel, with the gap kept on the paper. */
const reach = (mm: number): number => Math.min(230, 40 + mm * 9);

/** A length before and after, one over the other: dashed as it was, solid as it is. */
export function KeptFigure({
  values: { what, beforeMm, afterMm, lowerMm, upperMm },
  typed,
  place,
}: {
  values: KeptValues;
  typed: number | null;
  place: string | null;
}) {
  const { unit } = useSettings();
  const before = beforeMm ?? (place === 'after' ? null : typed);
  const after = afterMm ?? (beforeMm === null ? null : typed);
  const wall = 250;
  const impeller = what === 'impeller';
  const say = (mm: number | null) => (mm === null ? '—' : lengthDigits(mm, unit, 2));
  const stub = (mm: number, y: number, dashed: boolean) => (
    <path
      d={`M${wall + reach(mm)} ${y}h${620 - wall - reach(mm)}v44h-${620 - wall - reach(mm)}z`}
      fill={dashed ? 'none' : 'var(--paper)'}
      stroke={dashed ? 'var(--muted)' : 'var(--brass)'}
      strokeWidth={dashed ? 1.6 : 2.5}
      strokeDasharray={dashed ? '6 5' : undefined}
    />
  );
  return (
    <svg
      viewBox="0 0 680 220"
      className="block w-full"
      role="img"
      aria-label={`${impeller ? 'Impeller clearance' : 'Sleeve’s end from the gland'}: before ${say(before)}, after ${say(after)}`}
    >
      <Axis x1={60} x2={640} y1={110} y2={110} />
      <rect
        x="120"
        y="36"
        width={wall - 120}
        height="148"
        fill="var(--shade)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <Label x={185} y={56} tone="muted">
        {impeller ? 'casing' : 'gland'}
      </Label>
      {before !== null && stub(before, 58, after !== null)}
      {after !== null && stub(after, 118, false)}
      <Label x={wall + 8} y={50} anchor="start" tone="muted">
        {impeller ? 'as found' : 'clips in'}
      </Label>
      <Label x={wall + 8} y={182} anchor="start" tone="muted">
        {impeller ? 'as left' : 'screws hold'}
      </Label>
      <Figure x={560} y={87} size={22} strong={after === null} tone="steel">
        {say(before)}
      </Figure>
      <Figure x={560} y={147} size={22} strong tone="steel">
        {say(after)}
      </Figure>
      <Label x={4} y={212} anchor="start" tone="muted" size={14.5}>
        {lowerMm !== null || upperMm !== null
          ? `maker’s band ${say(lowerMm)} to ${say(upperMm)}; drawn large`
          : 'drawn large, not to scale'}
      </Label>
    </svg>
  );
}
