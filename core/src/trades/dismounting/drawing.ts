import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { clockOf, curveOf, type Drawing } from '../../judgement/drawing.ts';
import { pres } from '../../quantities/say.ts';
import { letGo } from './let-go.ts';
import { nutBack } from './nut-back.ts';
import type { DismountSetup } from './setup.ts';

/** The nut turned back; where it was pumped off, the pressure of each round up to where it let go. */
export function offDrawings(job: JobState<DismountSetup>): Drawing[] {
  const back = nutBack.valuesOf(reportAt(job, 'nutback'));
  const pumped = letGo.valuesOf(reportAt(job, 'letgo'));
  const points = (pumped?.rounds ?? []).flatMap((r) => [
    { x: r.n, y: r.peakMpa },
    ...(r.afterMpa === null ? [] : [{ x: r.n + 0.5, y: r.afterMpa }]),
  ]);
  return [
    ...(back && back.turnedDeg > 0
      ? [
          clockOf(
            'Nut back',
            [
              {
                deg: (360 - (back.turnedDeg % 360)) % 360,
                said: `${(back.turnedDeg / 360).toFixed(2)} turns back`,
              },
            ],
            'and still on',
          ),
        ]
      : []),
    ...(pumped && points.length > 1
      ? [
          curveOf('Pump, round by round', points, { y: pres, x: (n) => `round ${Math.floor(n)}` }, [
            { y: pumped.abortPressureMpa, said: `abort ${pres(pumped.abortPressureMpa)}`, ink: 'stop' },
          ]),
        ]
      : []),
  ];
}
