import { roundedDown } from '../../../arithmetic/shaft/turn-drawing.ts';
import {
  axis,
  circle,
  dialGauge,
  digits,
  dimension,
  figure,
  label,
  line,
  path,
  rect,
} from '../../../judgement/draw.ts';
import { COMMON } from '../../../message/common/messages.ts';
import { expr } from '../../../message/message.ts';
import { num, UNIT } from '../../../quantities/say.ts';
import type { BoxBoreStepValues } from '../box-bore.ts';
import type { BoxFaceStepValues } from '../box-face.ts';
import type { EnvelopeStepValues } from '../envelope.ts';
import { M } from '../messages.ts';
import { turnView } from './turn-view.ts';

const W = 700;
const H = 288;
const MID = 126;

/** The box in section, face to the right: shaft, box and the face's own line, tilted as it was found (enlarged). */
export function faceFigure({
  values: v,
  before,
  shaftMm,
  active,
}: {
  values: BoxFaceStepValues;
  before: BoxFaceStepValues | null;
  shaftMm: number;
  active: number | null;
}) {
  const outer = v.sweepRadiusMm * 1.25;
  const scale = 104 / outer;
  const [shaft, bore, sweep] = [(shaftMm / 2) * scale, (v.boxBoreMm / 2) * scale, v.sweepRadiusMm * scale];
  const face = 226;
  // The tilt seen square to its own direction: the nearest side on top.
  const off = v.tiltMmPer100 === null ? 0 : (v.tiltMmPer100 / 100) * v.sweepRadiusMm * scale;
  const times = off > 0 ? Math.min(2000, roundedDown(26 / off)) : 1;
  const lean = off * times;
  return figure({ width: W, height: H, title: M.boxFaceSectionSweepReadings({ count: v.readings.length }) }, [
    [1, -1].map((s) =>
      path({
        d: `M70 ${MID - s * bore}H${face}V${MID - s * outer * scale}H104V${MID - s * (outer * scale - 22)}H70Z`,
        fill: 'shade',
        ink: 'ink',
        weight: 1.6,
      }),
    ),
    rect({ x: 40, y: MID - shaft, width: 330, height: 2 * shaft, fill: 'paper', ink: 'ink', weight: 1.8 }),
    axis({ x1: 20, x2: 392, y1: MID, y2: MID }),
    line({ x1: face + lean, y1: MID - sweep, x2: face - lean, y2: MID + sweep, ink: 'steel', weight: 3 }),
    dialGauge({ x: face + lean, y: MID - sweep, deg: 90 }),
    path({
      d: `M${face + lean + 37} ${MID - sweep}h34V${MID - shaft}`,
      fill: 'none',
      ink: 'brass',
      weight: 3,
    }),
    dimension(
      { x1: 334, y1: MID, x2: 334, y2: MID - sweep, tone: 'muted', side: 6 },
      num(v.sweepRadiusMm, 1),
    ),
    label(
      { x: 4, y: H - 22, anchor: 'start', tone: 'steel', size: 14 },
      expr`${
        v.tiltMmPer100 === null
          ? M.tiltNotKnownYet
          : M.tiltPer100Nearest({
              tiltMmPer100: num(v.tiltMmPer100, 4),
              times,
              tilt: (v.tiltDeg ?? 0).toFixed(0),
            })
      }${v.warpMm !== null ? M.warp({ warp: num(v.warpMm, 4) }) : ''}`,
    ),
    label({ x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 }, M.sectionScale({ unit: UNIT })),
    turnView({
      cx: 552,
      cy: MID,
      radiusPx: 68,
      radiusMm: v.sweepRadiusMm,
      readings: v.readings,
      before: before?.readings ?? [],
      active,
      wanted: v.wanted,
      swing: v.readings.length === 0 && v.tirMm !== null,
      title: M.face3,
      prefix: 'turn/',
      mark:
        v.tiltDeg === null || (v.tiltMmPer100 ?? 0) < 0.001
          ? null
          : { deg: v.tiltDeg, word: M.near({ tilt: v.tiltDeg.toFixed(0) }) },
    }),
  ]);
}

/** The bore from its mouth: shaft to scale inside it, moved off its middle by what was found (enlarged). */
export function boreFigure({
  values: v,
  before,
  shaftMm,
  active,
}: {
  values: BoxBoreStepValues;
  before: BoxBoreStepValues | null;
  shaftMm: number;
  active: number | null;
}) {
  const R = 92;
  const scale = R / (v.boxBoreMm / 2);
  const e = (v.eccentricityMm ?? 0) * scale;
  const times = e > 0 ? Math.min(1000, roundedDown(24 / e)) : 1;
  // The wall stands nearest where the reading is highest: the shaft stands off towards that side.
  const rad = ((v.nearestDeg ?? 0) * Math.PI) / 180;
  const [dx, dy] = [e * times * Math.sin(rad), -e * times * Math.cos(rad)];
  const cx = 190;
  return figure(
    {
      width: W,
      height: H,
      title: M.boxBoreShaftSweepReadings({ count: v.readings.length }),
    },
    [
      circle({ cx, cy: MID, r: R + 22, fill: 'shade', ink: 'muted' }),
      circle({ cx, cy: MID, r: R, fill: 'paper', ink: 'ink', weight: 2 }),
      axis({ x1: cx - R - 34, x2: cx + R + 34, y1: MID, y2: MID }),
      axis({ x1: cx, x2: cx, y1: MID - R - 30, y2: MID + R + 30 }),
      circle({
        cx: cx + dx,
        cy: MID + dy,
        r: (shaftMm / 2) * scale,
        fill: 'shade',
        ink: 'steel',
        weight: 2.5,
      }),
      path({ d: `M${cx + dx - 6} ${MID + dy}h12M${cx + dx} ${MID + dy - 6}v12`, ink: 'steel', weight: 2 }),
      label(
        { x: 4, y: H - 22, anchor: 'start', tone: 'steel', size: 14 },
        v.eccentricityMm === null
          ? M.eccentricityNotKnownYet
          : M.shaftOffBoresMiddleTowards({
              eccentricity: num(v.eccentricityMm, 4),
              times,
              nearest: (v.nearestDeg ?? 0).toFixed(0),
            }),
      ),
      label(
        { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
        M.scaleBracketSag({ unit: UNIT, sag: v.sagMm === null ? COMMON.notMeasured : num(v.sagMm) }),
      ),
      turnView({
        cx: 552,
        cy: MID,
        radiusPx: 68,
        radiusMm: v.boxBoreMm / 2,
        readings: v.corrected,
        before: before?.corrected ?? (v.sagMm === null ? [] : v.readings),
        beforeWord: before ? M.before : M.asReadBracketSagging,
        active,
        wanted: v.wanted,
        title: v.sagMm === null ? M.boreAsRead : M.boreSagTakenOut,
        mark:
          v.nearestDeg === null || (v.eccentricityMm ?? 0) < 0.002
            ? null
            : { deg: v.nearestDeg, word: M.near2({ nearest: v.nearestDeg.toFixed(0) }) },
      }),
    ],
  );
}

/** Sizes of the box, each named as it is called. */
const PARTS = ['bore', 'depth', 'obstruction', 'studs'];

/** The box in section with the measured sizes on it, and what the seal's sheet asks for dashed in it. */
export function envelopeFigure({
  values: v,
  place,
}: {
  values: EnvelopeStepValues;
  place: string | undefined;
}) {
  const known = (...s: Array<number | null>) => s.find((x) => x !== null) ?? null;
  const bore = known(v.boreMm, v.seal.boreUpperMm, v.seal.boreLowerMm) ?? v.shaftMm * 1.6;
  const depth = known(v.depthMm, v.seal.depthMm) ?? 60;
  const studs = known(v.studCircleMm, v.seal.studCircleMm) ?? bore * 1.5;
  const scale = Math.min(
    250 / (studs + 24),
    240 / Math.max(depth, v.obstructionMm ?? 0, v.seal.reachMm ?? 0),
  );
  const face = 400;
  const y = (mm: number) => MID + 12 - mm * scale;
  const x = (mm: number) => face - mm * scale;
  const say = (mm: number | null) => (mm === null ? '…' : num(mm, 2));
  const tone = (key: string) => (place === key ? 'brass' : 'ink');
  const outer = (studs / 2 + 14) * scale;
  const half = (bore / 2) * scale;
  return figure({ width: W, height: H, title: M.sealBoxSectionMeasuredSizes }, [
    [1, -1].map((s) =>
      path({
        d: `M${x(depth)} ${MID + 12 - s * half}H${face}V${MID + 12 - s * outer}H${face - 30}V${MID + 12 - s * (half + 26)}H${x(depth) - 26}V${MID + 12 - s * (v.shaftMm / 2) * scale - s * 6}H${x(depth)}Z`,
        fill: 'shade',
        ink: 'ink',
        weight: 1.6,
      }),
    ),
    rect({
      x: 60,
      y: y(v.shaftMm / 2),
      width: 460,
      height: v.shaftMm * scale,
      fill: 'paper',
      ink: 'ink',
      weight: 1.8,
    }),
    axis({ x1: 40, x2: 548, y1: MID + 12, y2: MID + 12 }),
    v.seal.depthMm !== null &&
      v.seal.boreLowerMm !== null &&
      rect({
        x: x(v.seal.depthMm),
        y: y(v.seal.boreLowerMm / 2),
        width: v.seal.depthMm * scale,
        height: v.seal.boreLowerMm * scale,
        fill: 'none',
        ink: 'steel',
        weight: 2,
        dash: '7 4',
      }),
    [studs / 2, -studs / 2].map((mm) =>
      line({ x1: face - 34, x2: face + 40, y1: y(mm), y2: y(mm), ink: 'muted', weight: 6 }),
    ),
    dimension(
      { x1: face + 62, y1: y(bore / 2), x2: face + 62, y2: y(-bore / 2), tone: tone('bore'), side: 7 },
      say(v.boreMm),
    ),
    dimension(
      { x1: face + 150, y1: y(studs / 2), x2: face + 150, y2: y(-studs / 2), tone: tone('studs'), side: 7 },
      say(v.studCircleMm),
    ),
    dimension({ x1: x(depth), y1: 24, x2: face, y2: 24, tone: tone('depth') }, say(v.depthMm)),
    dimension(
      {
        x1: x(known(v.obstructionMm, v.seal.reachMm) ?? depth),
        y1: H - 52,
        x2: face,
        y2: H - 52,
        tone: tone('obstruction'),
      },
      say(v.obstructionMm),
    ),
    PARTS.filter((k) => place === k).map((k) =>
      label({ x: W - 6, y: 22, anchor: 'end', tone: 'brass', strong: true }, k),
    ),
    label(
      { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
      M.sectionScaleDashedWhatSeals({ unit: UNIT }),
    ),
    digits(
      { x: W - 6, y: H - 5, anchor: 'end', tone: 'steel' },
      v.fits === null ? '' : v.fits ? M.takesSeal : M.doesNotTake,
    ),
  ]);
}
