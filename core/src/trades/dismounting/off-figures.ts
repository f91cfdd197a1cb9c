import { digits, figure, label, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { pres } from '../../quantities/say.ts';
import type { LetGoValues } from './let-go.ts';
import { M } from './messages.ts';
import type { NutBackValues } from './nut-back.ts';

const W = 680;
const H = 230;

/** The nut on its thread, turn by turn: how far it is back, how far it must come, and where it would be off. */
export function nutBackFigure({ values: v }: { values: NutBackValues }) {
  const [from, to] = [110, 600];
  const at = (deg: number) => from + ((to - from) * deg) / v.mostDeg;
  const turns = Math.ceil(v.mostDeg / 360);
  const x = at(Math.min(v.turnedDeg, v.mostDeg));
  const crests = Math.round((to - from) / 14);
  return figure({ width: W, height: H, title: M.nutBackTurns({ turned: (v.turnedDeg / 360).toFixed(2) }) }, [
    path({
      d: `M30 120H${from}${Array.from({ length: crests }, () => 'l7 -9l7 9').join('')}H650V176H30z`,
      fill: 'shade',
      ink: 'ink',
      weight: 1.8,
    }),
    rect({ x: at(v.leastDeg), y: 58, width: to - at(v.leastDeg), height: 12, fill: 'accept', opacity: 0.35 }),
    Array.from({ length: turns + 1 }, (_, i) => i).map((i) => [
      path({ d: `M${at(i * 360)} 78v10`, ink: 'muted' }),
      digits({ x: at(i * 360), y: 54, tone: 'muted' }, i),
    ]),
    path({ d: `M${x - 34} 92h34v104h-34z`, fill: 'paper', ink: v.enough ? 'ink' : 'brass', weight: 3 }),
    label({ x: to + 8, y: 66, anchor: 'start', tone: 'stop' }, M.off),
    label({ x: (at(v.leastDeg) + to) / 2, y: 34, tone: 'muted' }, M.farEnoughStill),
    label({ x: 4, y: H - 6, anchor: 'start', tone: 'muted', size: 14.5 }, M.turnsBackFromWhereStood),
  ]);
}

/** Every round at the pump: how high it went, what was left, and the abort pressure. */
export function letGoFigure({ values: v }: { values: LetGoValues }) {
  const top = Math.max(v.abortPressureMpa * 1.15, ...v.rounds.map((r) => r.peakMpa));
  const [x0, y0, height] = [70, 200, 168];
  const y = (mpa: number) => y0 - (height * mpa) / top;
  const step = Math.min(110, 560 / Math.max(4, v.rounds.length + 1));
  return figure(
    {
      width: W,
      height: H,
      title: M.roundsPump({ count: v.rounds.length, free: v.free ? 'hasLetGo' : 'notLetGoYet' }),
    },
    [
      path({ d: `M${x0} 20V${y0}H650`, fill: 'none', ink: 'ink', weight: 1.4 }),
      path({ d: `M${x0} ${y(v.abortPressureMpa)}H650`, ink: 'stop', weight: 2, dash: '9 5' }),
      label(
        { x: 650, y: y(v.abortPressureMpa) - 6, anchor: 'end', tone: 'stop' },
        COMMON.abort({ abortPressure: pres(v.abortPressureMpa) }),
      ),
      v.rounds.map((r, i) => {
        const x = x0 + step * (i + 0.3);
        const free = v.free && i === v.rounds.length - 1;
        return [
          path({
            d: `M${x} ${y0}L${x + step * 0.4} ${y(r.peakMpa)}${r.afterMpa === null ? '' : `L${x + step * 0.62} ${y(r.afterMpa)}`}`,
            fill: 'none',
            ink: free ? 'accept' : r.aborted ? 'stop' : 'steel',
            weight: 3.5,
          }),
          digits({ x: x + step * 0.4, y: y(r.peakMpa) - 8, size: 16 }, pres(r.peakMpa)),
          label(
            { x: x + step * 0.4, y: y0 + 18, tone: 'muted' },
            M.round2({ n: r.n, free: free ? 'letGo' : 'none' }),
          ),
        ];
      }),
    ],
  );
}
