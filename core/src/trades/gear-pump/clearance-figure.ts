import { digits, dimension, figure, label, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr, listOf } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import { type ClearanceValues, gapKey } from './clearance.ts';
import { M } from './messages.ts';

const EDGE = 74;
/** Where the blades go in, left to right. */
const SPOTS = [170, 250, 390, 470];
const GEARS = { drive: 210, idler: 430 } as const;

/** A straightedge over the loose stack, and both gears under it by what the blades felt; gaps enlarged and said so. */
export function clearanceFigure({
  values: v,
  active,
  typed,
}: {
  values: ClearanceValues;
  active: string | undefined;
  typed: number | null;
}) {
  const gaps = v.gaps.map((g) => {
    const here = active === gapKey.write({ gear: g.gear, n: g.n });
    return { ...g, here, mm: here && typed !== null ? typed : g.mm };
  });
  const stackMm = active === 'stack' && typed !== null ? typed : v.stackMm;
  const most = Math.max(v.mostMm, ...gaps.flatMap((g) => g.mm ?? []));
  // A gap over the most is drawn as such, and the whole still fits.
  const times = [200, 100, 50, 20, 10].find((t) => most * t * 0.75 <= 46) ?? 5;
  const at = (mm: number) => EDGE + mm * times * 0.75;
  return figure(
    {
      width: 640,
      height: 250,
      tall: 16,
      title: M.endClearance2({
        gaps: listOf(
          gaps.map((g) => M.place({ gear: g.gear, n: g.n, mm: g.mm === null ? COMMON.notFelt : num(g.mm) })),
          ', ',
        ),
      }),
      name: 'straightedge',
    },
    [
      rect({ x: 56, y: 30, width: 528, height: EDGE - 30, fill: 'paper', ink: 'ink', weight: 1.8 }),
      label({ x: 320, y: 57, tone: 'muted', size: 16 }, M.straightedge),
      [76, 524].map((x) => [
        rect({
          x,
          y: at(most) + 12,
          width: 40,
          height: 212 - at(most) - 12,
          fill: 'shade',
          ink: 'ink',
          weight: 1.8,
        }),
        [0, 1, 2, 3].map((i) =>
          rect({
            x,
            y: EDGE + ((at(most) + 12 - EDGE) * i) / 4,
            width: 40,
            height: (at(most) + 12 - EDGE) / 4,
            fill: i % 2 ? 'shade' : 'paper',
            ink: active === 'stack' ? 'brass' : 'ink',
            weight: active === 'stack' ? 2.4 : 1.1,
          }),
        ),
      ]),
      (['drive', 'idler'] as const).map((gear) => {
        const own = gaps.filter((g) => g.gear === gear);
        const known = own.flatMap((g) => g.mm ?? []);
        const [a, b] = own.map((g) => at(g.mm ?? known[0] ?? v.mostMm / 2));
        const x = GEARS[gear];
        return [
          path({
            d: `M${x - 84} ${a}L${x + 84} ${b}V212H${x - 84}z`,
            fill: known.length ? 'shade' : 'none',
            ink: known.length ? 'ink' : 'muted',
            dash: known.length ? undefined : '5 4',
            weight: 1.8,
          }),
          label({ x, y: 204, size: 17, strong: true }, gear === 'drive' ? M.driveGear : M.idler),
        ];
      }),
      gaps.map((g, i) => {
        const x = SPOTS[i] ?? 0;
        const tone = g.here ? 'brass' : g.mm !== null && g.mm <= 0 ? 'stop' : 'ink';
        return [
          g.mm !== null &&
            g.mm > 0 &&
            dimension({ x1: x, x2: x, y1: EDGE, y2: at(g.mm), tone: g.here ? 'brass' : 'ink' }, ''),
          g.here &&
            g.mm === null &&
            path({ d: `M${x - 10} ${EDGE + 22}L${x} ${EDGE + 4}L${x + 10} ${EDGE + 22}z`, fill: 'brass' }),
          digits(
            { x, y: 150, tone, size: 17, strong: true },
            g.mm === null ? (g.here ? M.blade : '·') : num(g.mm),
          ),
        ];
      }),
      label(
        { x: 320, y: 240, tone: 'muted' },
        expr`${M.gapsLooseStack({ times })}${stackMm === null ? COMMON.notMeasured : num(stackMm)}`,
      ),
    ],
  );
}
