import { circle, digits, figure, group, label, line, mendable, path, spot } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import type { GlandGapsValues } from '../gland-gaps.ts';
import { M } from './messages.ts';

const CX = 230;
const CY = 136;
const R = 84;

/** Gland or follower end on: the gap at each place felt, how it gapes, and which bolt comes in by how much. */
export function glandFigure({
  values: v,
  active,
  typed,
  what,
}: {
  values: GlandGapsValues;
  active: string | undefined;
  typed: number | null;
  what: Text;
}) {
  const say = (mm: number) => num(mm, 2);
  const gaps = v.gaps.map((g) => ({
    ...g,
    gapMm: active === `gap/${g.angleDeg}` && typed !== null ? typed : g.gapMm,
  }));
  const bolts = Array.from({ length: v.bolts }, (_, i) => i + 1);
  const read = gaps.flatMap((g) => g.gapMm ?? []);
  const least = read.length ? Math.min(...read) : 0;
  const spread = read.length ? Math.max(...read) - least : 0;
  // The least gap is drawn as a hair; what lies over it is enlarged to a round number.
  const times = spread > 0 ? 22 / spread : 0;
  const wide = v.tilt?.wideDeg ?? null;
  const tilted = v.tilt && v.tilt.spreadMm > 0 && wide !== null;
  return figure(
    {
      width: 680,
      height: 290,
      title: expr`${what}: ${listOf(
        gaps.map((g) =>
          M.degrees({ angle: g.angleDeg, gap: g.gapMm === null ? COMMON.notFelt : say(g.gapMm) }),
        ),
        ', ',
      )}`,
    },
    [
      circle({ cx: CX, cy: CY, r: R, fill: 'shade', ink: 'ink', weight: 1.8 }),
      circle({ cx: CX, cy: CY, r: 34, fill: 'paper', ink: 'ink', weight: 1.6 }),
      bolts.map((bolt) => {
        const p = spot(CX, CY, (360 * (bolt - 1)) / v.bolts, 60);
        const widest = v.tilt?.widestBolt === bolt && (v.tilt?.spreadMm ?? 0) > 0.005;
        return [
          circle({
            cx: p.x,
            cy: p.y,
            r: 15,
            fill: 'paper',
            ink: widest ? 'steel' : 'ink',
            weight: widest ? 4 : 1.8,
          }),
          digits({ x: p.x, y: p.y + 5.5, size: 15, strong: widest }, bolt),
        ];
      }),
      gaps.map((g) => {
        const at = spot(CX, CY, g.angleDeg, R + 3);
        const end = spot(CX, CY, g.angleDeg, R + 6 + (g.gapMm === null ? 0 : (g.gapMm - least) * times));
        const t = spot(CX, CY, g.angleDeg, R + 40);
        const side = Math.sin((g.angleDeg * Math.PI) / 180);
        const tone = active === `gap/${g.angleDeg}` ? 'brass' : 'ink';
        return mendable(
          {
            place: g.gapMm === null ? null : `gap/${g.angleDeg}`,
            shown: g.gapMm === null ? '' : say(g.gapMm),
            name: M.gap({ angle: g.angleDeg }),
          },
          [
            line({ x1: at.x, y1: at.y, x2: end.x, y2: end.y, ink: tone, weight: 9 }),
            digits(
              {
                x: t.x,
                y: t.y + 5,
                anchor: side > 0.5 ? 'start' : side < -0.5 ? 'end' : 'middle',
                tone,
                size: 18,
                strong: tone === 'brass',
              },
              g.gapMm === null ? '–' : say(g.gapMm),
            ),
          ],
        );
      }),
      tilted &&
        group({ turn: [wide, CX, CY] }, [
          path({
            d: `M${CX} ${CY + 26}V${CY - 26}m0 0l-6 11m6 -11l6 11`,
            ink: 'steel',
            weight: 3,
            fill: 'none',
          }),
        ]),
      label({ x: 440, y: 50, anchor: 'start', size: 17, strong: true }, what),
      v.tilt
        ? [
            label(
              { x: 440, y: 76, anchor: 'start', tone: 'muted' },
              tilted ? M.gapesMost({ wide: Math.round(wide) }) : M.gapesNowhere,
            ),
            v.tilt.spreadMm > 0 &&
              bolts.slice(0, 8).map((bolt) => [
                label({ x: 440, y: 84 + 22 * bolt, anchor: 'start', size: 16 }, M.bolt({ bolt })),
                digits(
                  {
                    x: 600,
                    y: 84 + 22 * bolt,
                    anchor: 'end',
                    size: 16,
                    strong: v.tilt?.widestBolt === bolt,
                  },
                  say(v.tilt?.bringInMm[bolt - 1] ?? 0),
                ),
              ]),
          ]
        : label(
            { x: 440, y: 76, anchor: 'start', tone: 'muted' },
            M.feltPlacesFromTopClockwise({ count: gaps.length }),
          ),
      label(
        { x: 676, y: 284, anchor: 'end', tone: 'muted', size: 14 },
        spread > 0 ? M.barsWhatGapHasOver : M.endViewBolt1Top,
      ),
    ],
  );
}
