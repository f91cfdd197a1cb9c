import { axis, circle, digits, figure, group, label, path, spot } from '../../judgement/draw.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';

const W = 680;
const H = 268;
const CX = 340;
const CY = 132;
/** Joint gaps are drawn so many times their size. */
const GAP_TIMES = 12;

/** Gaps of the joints at 12 and 6 o’clock, mm, and how far the rings’ joints stand off the race’s, degrees. */
type Joints = { a: number | null; b: number | null };
type JointGaps = {
  raceMm: Joints;
  ringMm: Joints | null;
  ring2Mm: Joints | null;
  offsetDeg: number | null;
  offsetWantedDeg: number;
};

/** Half a ring about the middle from one angle to another, degrees clockwise from the top. */
function ringPart(from: number, to: number, r0: number, r1: number): string {
  const [a, b] = [spot(CX, CY, from, r1), spot(CX, CY, to, r1)];
  const [c, d] = [spot(CX, CY, to, r0), spot(CX, CY, from, r0)];
  return `M${a.x} ${a.y}A${r1} ${r1} 0 0 1 ${b.x} ${b.y}L${c.x} ${c.y}A${r0} ${r0} 0 0 0 ${d.x} ${d.y}z`;
}

/** Half the angle a gap opens at a radius, drawn enlarged; a joint not measured is drawn as a thin line. */
const opening = (mm: number | null, shaftMm: number, r: number): number =>
  mm === null ? 0.6 : Math.min(9, ((mm * GAP_TIMES * 72) / (shaftMm / 2) / r) * 28.6 + (mm > 0 ? 0.8 : 0));

/** Inner race and clamp rings end on, joints at 12 and 6 o'clock, the rings' joints turned off them. */
export function raceFigure({
  values: v,
  shaftMm,
  place,
  what = 'race',
}: {
  values: JointGaps;
  shaftMm: number;
  place: string | undefined;
  /** What is split: the race of a bearing, or the holder of a seal. */
  what?: 'race' | 'split';
}) {
  const say = (mm: number | null) => (mm === null ? '–' : num(mm, 2));
  const [rs, r0, r1, c0, c1] = [70, 71, 88, 91, 110];
  const a = opening(v.raceMm.a, shaftMm, r0);
  const b = opening(v.raceMm.b, shaftMm, r0);
  const off = v.offsetDeg ?? v.offsetWantedDeg;
  const tone = (key: string) => (place === key ? 'brass' : 'ink');
  const ring = v.ringMm;
  const both = (side: 'a' | 'b') => expr`${say(ring?.[side] ?? null)} ${say(v.ring2Mm?.[side] ?? null)}`;
  const ra = opening(ring?.a ?? null, shaftMm, c0);
  const rb = opening(ring?.b ?? null, shaftMm, c0);
  const joint = (deg: number, r: number) => spot(CX, CY, deg, r);
  return figure(
    {
      width: W,
      height: H,
      title: M.splitPartEndGapsTop({ a: say(v.raceMm.a), b: say(v.raceMm.b) }),
    },
    [
      axis({ x1: CX - 190, x2: CX + 190, y1: CY, y2: CY }),
      axis({ x1: CX, x2: CX, y1: 4, y2: H - 20 }),
      circle({ cx: CX, cy: CY, r: rs, fill: 'shade', ink: 'ink', weight: 1.6 }),
      group({ fill: 'paper', ink: 'ink', weight: 1.8 }, [
        path({ d: ringPart(a, 180 - b, r0, r1) }),
        path({ d: ringPart(180 + b, 360 - a, r0, r1) }),
      ]),
      ring &&
        group({ fill: 'shade', ink: 'ink', weight: 1.8 }, [
          path({ d: ringPart(off + ra, off + 180 - rb, c0, c1) }),
          path({ d: ringPart(off + 180 + rb, off + 360 - ra, c0, c1) }),
        ]),
      drawMark({
        x: CX,
        y: CY - 98,
        toX: CX + 118,
        toY: 26,
        tone: tone(`${what}/a`),
        label: what === 'race' ? M.race12Oclock : M.oneSplit,
        value: say(v.raceMm.a),
      }),
      drawMark({
        x: CX,
        y: CY + 80,
        toX: CX + 118,
        toY: H - 34,
        tone: tone(`${what}/b`),
        label: what === 'race' ? M.race6Oclock : M.otherSplit,
        value: say(v.raceMm.b),
      }),
      ring && [
        drawMark({
          ...joint(off, 103),
          toX: CX + 168,
          toY: CY - 26,
          tone: place === 'ring/a' || place === 'ring2/a' ? 'brass' : 'ink',
          label: M.rings12,
          value: both('a'),
        }),
        drawMark({
          ...joint(off + 180, 103),
          toX: CX - 168,
          toY: CY - 26,
          tone: place === 'ring/b' || place === 'ring2/b' ? 'brass' : 'ink',
          label: M.rings12,
          value: both('b'),
          left: true,
        }),
        label(
          { x: CX - 176, y: H - 34, anchor: 'end', tone: place === 'offset' ? 'brass' : 'muted' },
          v.offsetDeg === null
            ? M.ringJointsWanted({ deg: v.offsetWantedDeg })
            : M.ringJointsOff({ deg: v.offsetDeg }),
        ),
      ],
      label(
        { x: 4, y: H - 6, anchor: 'start', tone: 'muted', size: 14.5 },
        M.endViewRingsScaleGaps({ gapTimes: GAP_TIMES }),
      ),
    ],
  );
}

/** A leader from a joint to its number. */
function drawMark(p: {
  x: number;
  y: number;
  toX: number;
  toY: number;
  tone: 'ink' | 'brass';
  label: Text;
  value: Text;
  left?: boolean;
}) {
  const anchor = p.left ? 'end' : 'start';
  const pad = p.left ? -8 : 8;
  return [
    path({ d: `M${p.x} ${p.y}L${p.toX} ${p.toY}`, ink: p.tone, weight: 1.2 }),
    digits(
      { x: p.toX + pad, y: p.toY + 2, anchor, tone: p.tone, size: 20, strong: p.tone === 'brass' },
      p.value,
    ),
    label({ x: p.toX + pad, y: p.toY + 19, anchor, tone: 'muted' }, p.label),
  ];
}
