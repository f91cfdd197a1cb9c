import { axis, digits, figure, label, path, rect } from '../../judgement/draw.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { KeptValues } from './setting-kept.ts';

/** Millimetres to a pixel, with the gap kept on the paper. */
const reach = (mm: number): number => Math.min(230, 40 + mm * 9);

/** A length before and after, one over the other: dashed as it was, solid as it is. */
export function keptFigure({
  values: { what, beforeMm, afterMm, lowerMm, upperMm },
  typed,
  place,
}: {
  values: KeptValues;
  typed: number | null;
  place: string | null;
}) {
  const before = beforeMm ?? (place === 'after' ? null : typed);
  const after = afterMm ?? (beforeMm === null ? null : typed);
  const wall = 250;
  const impeller = what === 'impeller';
  const say = (mm: number | null) => (mm === null ? '—' : num(mm, 2));
  const stub = (mm: number, y: number, dashed: boolean) =>
    path({
      d: `M${wall + reach(mm)} ${y}h${620 - wall - reach(mm)}v44h-${620 - wall - reach(mm)}z`,
      fill: dashed ? 'none' : 'paper',
      ink: dashed ? 'muted' : 'brass',
      weight: dashed ? 1.6 : 2.5,
      dash: dashed ? '6 5' : undefined,
    });
  return figure(
    {
      width: 680,
      height: 220,
      title: M.beforeAfter({
        impeller: impeller ? 'impellerClearance' : 'sleevesEndFromGland',
        before: say(before),
        after: say(after),
      }),
    },
    [
      axis({ x1: 60, x2: 640, y1: 110, y2: 110 }),
      rect({ x: 120, y: 36, width: wall - 120, height: 148, fill: 'shade', ink: 'ink', weight: 1.8 }),
      label({ x: 185, y: 56, tone: 'muted' }, impeller ? M.casing : M.gland),
      before !== null && stub(before, 58, after !== null),
      after !== null && stub(after, 118, false),
      label({ x: wall + 8, y: 50, anchor: 'start', tone: 'muted' }, impeller ? M.asFound : M.clips),
      label({ x: wall + 8, y: 182, anchor: 'start', tone: 'muted' }, impeller ? M.asLeft : M.screwsHold),
      digits({ x: 560, y: 87, size: 22, strong: after === null, tone: 'steel' }, say(before)),
      digits({ x: 560, y: 147, size: 22, strong: true, tone: 'steel' }, say(after)),
      label(
        { x: 4, y: 212, anchor: 'start', tone: 'muted', size: 14.5 },
        lowerMm !== null || upperMm !== null
          ? M.makersBandDrawnLarge({ lower: say(lowerMm), upper: say(upperMm) })
          : M.drawnLargeNotScale,
      ),
    ],
  );
}
