import { digits, figure, label, rect } from '../../judgement/draw.ts';
import type { StrokesValues } from './greasing.ts';
import { M } from './messages.ts';

/** The gun's strokes as a row to be counted off: given ones dark, those still to come open. */
export function strokesFigure({ values: v }: { values: StrokesValues }) {
  const shown = Math.max(v.strokes, v.given);
  const per = Math.max(12, Math.ceil(shown / 4));
  const step = Math.min(40, 600 / per);
  return figure({ width: 680, height: 210, title: M.strokesGiven2({ given: v.given, strokes: v.strokes }) }, [
    Array.from({ length: shown }, (_, i) => i).map((i) =>
      rect({
        x: 40 + (i % per) * step,
        y: 24 + Math.floor(i / per) * 34,
        width: step - 4,
        height: 26,
        fill: i < v.given ? (i < v.strokes ? 'ink' : 'stop') : 'paper',
        ink: 'ink',
        weight: 1.4,
      }),
    ),
    digits(
      { x: 40, y: 190, anchor: 'start', size: 24, strong: true, tone: 'steel' },
      M.of({ given: v.given, strokes: v.strokes }),
    ),
    label(
      { x: 170, y: 190, anchor: 'start', tone: 'muted' },
      M.strokesG({ gramsGiven: v.gramsGiven.toFixed(0), grams: v.grams.toFixed(0) }),
    ),
  ]);
}
