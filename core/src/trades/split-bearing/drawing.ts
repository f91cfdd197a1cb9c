import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { type Drawing, type Shape, small, text } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { races } from './race-gaps.ts';
import type { SplitSetup } from './setup.ts';

const [WIDTH, HEIGHT, CX, CY, R] = [220, 150, 110, 64, 46] as const;
/** Half the drawn gap at a joint: wide enough to see, the same on both sides, and said so. */
const APART = 5;

/** Half a race, from one joint to the other. */
function half(side: 1 | -1, r: number): Array<readonly [number, number]> {
  return Array.from({ length: 25 }, (_, i) => {
    const a = (Math.PI * i) / 24;
    return [
      Math.round(10 * (CX - r * Math.cos(a))) / 10,
      Math.round(10 * (CY - side * (APART + r * Math.sin(a)))) / 10,
    ] as const;
  });
}

/** The halves of the race on the shaft with the gap at each joint, as it was last felt. */
export function raceDrawing(job: JobState<SplitSetup>): Drawing[] {
  const v = races.valuesOf(reportAt(job, 'seated')) ?? races.valuesOf(reportAt(job, 'race'));
  if (!v || v.raceMm.a === null || v.raceMm.b === null) return [];
  const part = (side: 1 | -1): Shape => ({
    shape: 'line',
    points: [...half(side, R), ...half(side, R - 10).reverse()],
    ink: 'ink',
    closed: true,
    fill: 'metal',
  });
  return [
    {
      title: 'Race at its joints',
      width: WIDTH,
      height: HEIGHT,
      shapes: [
        part(1),
        part(-1),
        { shape: 'circle', at: [CX, CY], r: R - 12, ink: 'muted', fill: 'paper' },
        text([CX - R - 5, CY + 3], `a ${len(v.raceMm.a)}`, 'ink', 'end'),
        text([CX + R + 5, CY + 3], `b ${len(v.raceMm.b)}`, 'ink', 'start'),
        text([CX, HEIGHT - 14], 'Race at its joints'),
        small([CX, HEIGHT - 3], 'gaps not to scale'),
      ],
    },
  ];
}
