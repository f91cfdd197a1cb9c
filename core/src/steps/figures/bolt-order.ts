import {
  circle,
  digits,
  figure,
  group,
  label,
  line,
  path,
  pickable,
  polygon,
  rect,
} from '../../judgement/draw.ts';
import type { Point } from '../../judgement/drawing.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline, listOf } from '../../message/message.ts';
import type { BoltSpec, BoltValues } from '../bolt-passes.ts';
import { M } from './messages.ts';

type Spot = { x: number; y: number };

const CX = 320;
const CY = 150;

/** Where bolt n stands: clockwise from the top left of a cap, from the top of a circle, down the sides of a split part. */
function spots({ layout, count: n }: BoltSpec): Spot[] {
  if (layout === 'circle')
    return Array.from({ length: n }, (_, i) => ({
      x: CX + 116 * Math.sin((2 * Math.PI * i) / n),
      y: CY - 116 * Math.cos((2 * Math.PI * i) / n),
    }));
  const side = n / 2;
  const along = (c: number, from: number, span: number) =>
    side === 1 ? from + span / 2 : from + (span * c) / (side - 1);
  if (layout === 'halves')
    return Array.from({ length: n }, (_, i) =>
      i < side ? { x: CX + 150, y: along(i, 84, 132) } : { x: CX - 150, y: along(n - 1 - i, 84, 132) },
    );
  return Array.from({ length: n }, (_, i) =>
    i < side ? { x: along(i, 176, 288), y: 74 } : { x: along(n - 1 - i, 176, 288), y: 226 },
  );
}

/** The part the bolts stand in: a cap from above, a flange, or the two halves of a split part end on. */
function drawPart({ layout }: { layout: BoltSpec['layout'] }) {
  const bare = { fill: 'none', ink: 'ink', weight: 1.8 } as const;
  if (layout === 'circle')
    return group({ ...bare }, [
      circle({ cx: CX, cy: CY, r: 146, fill: 'shade' }),
      circle({ cx: CX, cy: CY, r: 62, fill: 'paper', ink: 'muted' }),
    ]);
  if (layout === 'halves')
    return group({ ...bare }, [
      path({ d: `M${CX - 196} ${CY - 4}V44q0 -14 14 -14H${CX + 182}q14 0 14 14V${CY - 4}z`, fill: 'shade' }),
      path({ d: `M${CX - 196} ${CY + 4}V256q0 14 14 14H${CX + 182}q14 0 14 -14V${CY + 4}z`, fill: 'shade' }),
      circle({ cx: CX, cy: CY, r: 84, fill: 'paper' }),
      circle({ cx: CX, cy: CY, r: 70, ink: 'muted' }),
      line({ x1: 84, x2: 556, y1: CY, y2: CY, ink: 'steel', dash: '16 4 3 4' }),
    ]);
  return group({ ...bare }, [
    rect({ x: 76, y: 32, width: 488, height: 236, rx: 18, fill: 'shade' }),
    path({ d: 'M76 120H564M76 180H564', ink: 'muted' }),
    line({ x1: 24, x2: 616, y1: CY, y2: CY, ink: 'steel', dash: '16 4 3 4' }),
  ]);
}

/** The bolts of a part by number: how many passes each has had, the next one picked out, the order lined. */
export function boltFigure({ values }: { values: BoltValues }) {
  const { spec } = values;
  const at = spots(spec);
  const pass = values.next ? values.next.pass : values.passes.length - 1;
  const order = values.passes[pass]?.order ?? [];
  const tight = (bolt: number) => values.ticks.some((t) => t.pass === pass && t.bolt === bolt);
  const done = (bolt: number) => values.ticks.filter((t) => t.bolt === bolt).length;
  const moved = (bolt: number) =>
    values.ticks.filter((t) => t.bolt === bolt && t.movedDeg !== undefined).at(-1)?.movedDeg;
  const inOrder = order.map((b) => at[b - 1]).filter((p): p is Spot => p !== undefined);
  const radius = spec.count > 12 ? 17 : 27;
  const next = values.next?.bolt ?? null;
  return figure(
    {
      width: 640,
      height: 300,
      tall: 15,
      title: listOf(
        [
          next === null ? M.allTight({ what: inline(spec.what) }) : M.next({ what: spec.what, next }),
          ...(spec.jacking ? [M.jacking({ jacked: values.held?.jacked ? 'bolts' : 'holesFree' })] : []),
        ],
        '',
      ),
    },
    [
      drawPart({ layout: spec.layout }),
      path({
        d: inOrder.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join(''),
        fill: 'none',
        ink: 'steel',
        weight: 1.5,
        dash: '3 5',
      }),
      Array.from({ length: spec.jacking?.holes ?? 0 }, (_, i) => {
        // Between two bolts each, across from one another, on a smaller circle.
        const turn = 2 * Math.PI * (i / (spec.jacking?.holes ?? 1) + 0.5 / spec.count + 0.25);
        const [x, y] = [CX + 92 * Math.sin(turn), CY - 92 * Math.cos(turn)];
        return circle({
          cx: x,
          cy: y,
          r: 8,
          fill: values.held?.jacked ? 'stop' : 'none',
          ink: 'muted',
          weight: 1.5,
          dash: '3 2',
        });
      }),
      at.map((p, i) => {
        const bolt = i + 1;
        const isNext = bolt === next;
        const flats = Array.from(
          { length: 6 },
          (_, k): Point => [
            p.x + radius * Math.cos((Math.PI * k) / 3),
            p.y + radius * Math.sin((Math.PI * k) / 3),
          ],
        );
        const turned = moved(bolt);
        if (values.held?.filled.includes(bolt))
          return group({ part: 'filled' }, [
            circle({ cx: p.x, cy: p.y, r: radius, fill: 'paper', ink: 'steel', weight: 2 }),
            circle({ cx: p.x, cy: p.y, r: radius * 0.62, fill: 'steel' }),
            label(
              {
                x: p.x,
                y: p.y < CY ? p.y + radius + 17 : p.y - radius - 8,
                anchor: 'middle',
                size: 15,
                tone: 'steel',
              },
              spec.occupied?.by ?? '',
            ),
          ]);
        // Any bolt this pass has still to pull can be the next, as it really went.
        const free = values.next !== null && order.includes(bolt) && !tight(bolt);
        const parts = [
          isNext && circle({ cx: p.x, cy: p.y, r: radius + 9, fill: 'none', ink: 'brass', weight: 4 }),
          polygon({ points: flats, fill: tight(bolt) ? 'ink' : 'paper', ink: 'ink', weight: 2 }),
          digits(
            {
              x: p.x,
              y: p.y + radius * 0.3,
              anchor: 'middle',
              size: radius * 0.85,
              strong: true,
              tone: tight(bolt) ? 'paper' : isNext ? 'brass' : 'ink',
            },
            bolt,
          ),
          radius > 20 &&
            label(
              {
                x: spec.layout === 'halves' ? p.x : p.x + (p.x < CX ? -1 : 1) * (radius + 18),
                y: spec.layout === 'halves' ? p.y + radius + (isNext ? 24 : 18) : p.y + 5,
                anchor: spec.layout === 'halves' ? 'middle' : p.x < CX ? 'end' : 'start',
                size: 15,
                tone: 'muted',
              },
              turned === undefined
                ? COMMON.of({ done: done(bolt), count: values.passes.length })
                : M.moved({ turned }),
            ),
        ];
        return free ? pickable(bolt, M.oneOf({ bolt }), parts) : parts;
      }),
    ],
  );
}
