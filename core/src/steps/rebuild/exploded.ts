import { axis, circle, figure, group, label, line, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { listOf } from '../../message/message.ts';
import type { AssemblyValues, PartShape } from './assembly.ts';
import { M } from './messages.ts';

type Part = AssemblyValues['parts'][number];
type Placed = Part & { x: number; width: number };

/** How wide a part is drawn, and how far from its shaft it reaches. */
const SIZE: Record<PartShape, { width: number; reach: number }> = {
  case: { width: 74, reach: 44 },
  plate: { width: 15, reach: 44 },
  gasket: { width: 4, reach: 44 },
  gear: { width: 58, reach: 30 },
  ring: { width: 7, reach: 20 },
  bearing: { width: 24, reach: 27 },
  face: { width: 15, reach: 22 },
  nut: { width: 17, reach: 22 },
  sleeve: { width: 26, reach: 30 },
};
/** What is on lies close; what is not stands off, the part in hand a little more. */
const GAP = { on: 1.5, later: 12, now: 17 };

/** Parts along the pump, left to right; two on different shafts share a place. */
function placed(parts: AssemblyValues['parts']): { parts: Placed[]; width: number } {
  const places = [...new Set(parts.map((p) => p.along))].sort((a, b) => a - b);
  let x = 0;
  let before: Part['state'] = 'on';
  const out: Placed[] = [];
  for (const along of places) {
    const here = parts.filter((p) => p.along === along);
    const width = Math.max(...here.map((p) => SIZE[p.shape].width));
    const state = here.some((p) => p.state === 'now')
      ? 'now'
      : here.every((p) => p.state === 'on')
        ? 'on'
        : here.some((p) => p.shape === 'case' && p.state === 'on')
          ? 'on'
          : 'later';
    x +=
      GAP[state === 'on' && before === 'on' ? 'on' : state === 'now' || before === 'now' ? 'now' : 'later'];
    for (const p of here)
      out.push({ ...p, x: x + (width - SIZE[p.shape].width) / 2, width: SIZE[p.shape].width });
    x += width;
    before = state;
  }
  return { parts: out, width: x };
}

const STYLE = {
  on: { fill: 'shade', ink: 'ink', weight: 1.6 },
  now: { fill: 'paper', ink: 'brass', weight: 3 },
  later: { fill: 'none', ink: 'faint', weight: 1.3 },
  shut: { fill: 'none', ink: 'muted', weight: 1.2, dash: '4 4' },
} as const;

/** A part in section: above and below its shaft, with its bore left free. */
function drawSection({ part: p, shafts }: { part: Placed; shafts: readonly number[] }) {
  const style = p.shut ? STYLE.shut : STYLE[p.state];
  const { reach } = SIZE[p.shape];
  const own = p.shaft === 'lower' ? shafts.slice(1) : p.shaft === 'upper' ? shafts.slice(0, 1) : shafts;
  const [top, bottom] = [Math.min(...own) - reach, Math.max(...own) + reach];
  const bore = 9;
  // What takes in both shafts is cut three times: over, between, under.
  const edges = [top, ...own.flatMap((y) => [y - bore, y + bore]), bottom];
  const pieces = Array.from(
    { length: edges.length / 2 },
    (_, i) => [edges[2 * i] ?? 0, edges[2 * i + 1] ?? 0] as const,
  );
  if (p.shape === 'case')
    return group({ ...style }, [
      rect({ x: p.x, y: top, width: p.width, height: 13 }),
      rect({ x: p.x, y: bottom - 13, width: p.width, height: 13 }),
    ]);
  if (p.shape === 'gear') {
    const y = own[0] ?? 0;
    const teeth = [-1, 1].flatMap((side) =>
      [0.2, 0.4, 0.6, 0.8].map((f) => ({ side, x: p.x + p.width * f })),
    );
    return group({ ...style }, [
      rect({ x: p.x - 26, y: y - 8, width: p.width + 52, height: 16 }),
      rect({ x: p.x, y: y - reach, width: p.width, height: 2 * reach }),
      teeth.map((t) => line({ x1: t.x, x2: t.x, y1: y + t.side * reach, y2: y + t.side * (reach - 9) })),
    ]);
  }
  return group({ ...style }, [
    pieces.map(([from, to]) => [
      rect({ x: p.x, y: from, width: p.width, height: to - from }),
      p.shape === 'bearing' &&
        circle({ cx: p.x + p.width / 2, cy: (from + to) / 2, r: Math.min(6, (to - from) / 2 - 2) }),
      p.shape === 'face' && line({ x1: p.x + 4, x2: p.x + 4, y1: from, y2: to }),
      p.shape === 'nut' && path({ d: `M${p.x} ${to}L${p.x + p.width} ${from}` }),
    ]),
  ]);
}

/**
 * A pump drawn apart along its shafts: what is on lies close and solid, the part in hand is picked out, what is to come stands
 * off in outline. A door that is on hides what lies behind it: drawn dashed, as hidden edges are.
 */
export function explodedFigure({ values: v }: { values: AssemblyValues }) {
  const { parts, width } = placed(v.parts);
  const shafts = v.shafts === 2 ? [92, 158] : [118];
  const scale = Math.min(1.4, 632 / width);
  const left = (640 / scale - width) / 2;
  const now = parts.filter((p) => p.state === 'now');
  const [top, bottom] = [Math.min(...shafts) - 52, Math.max(...shafts) + 52];
  return figure(
    {
      width: 640,
      height: 250,
      tall: 17,
      title: M.hand({
        now:
          listOf(
            now.map((p) => p.name),
            ', ',
          ) || COMMON.nothing,
        filter: listOf(
          parts.filter((p) => p.state === 'on').map((p) => p.name),
          ', ',
        ),
      }),
      name: 'exploded',
    },
    [
      group({ scale, shift: [left * scale, 125 - 125 * scale] }, [
        shafts.map((y) => axis({ x1: -left, x2: width + left, y1: y, y2: y })),
        [...parts]
          .sort((a, b) => Number(a.state === 'now') - Number(b.state === 'now'))
          .map((p) => drawSection({ part: p, shafts })),
      ]),
      now.map((p) => {
        const x = (p.x + p.width / 2 + left) * scale;
        const over = p.shaft !== 'lower';
        const y = over ? 18 : 244;
        const edge = 125 + ((over ? top : bottom) - 125) * scale;
        return [
          line({ x1: x, x2: x, y1: over ? y + 5 : y - 15, y2: edge + (over ? 6 : -6), ink: 'brass' }),
          label(
            {
              x,
              y,
              anchor: x < 90 ? 'start' : x > 550 ? 'end' : 'middle',
              tone: 'brass',
              size: 17,
              strong: true,
            },
            p.door ? M.doorCloses({ name: p.name }) : p.name,
          ),
        ];
      }),
    ],
  );
}
