import { roundedDown } from '../../../arithmetic/shaft/turn-drawing.ts';
import { circle, digits, figure, label, line, polyline } from '../../../judgement/draw.ts';
import type { Point } from '../../../judgement/drawing.ts';
import { num, UNIT } from '../../../quantities/say.ts';
import { M } from '../messages.ts';
import type { RunoutStepValues } from '../runout.ts';
import { seatView } from './seat-view.ts';
import { turnView } from './turn-view.ts';

const W = 700;
const H = 284;
const AXIS_Y = 96;
/** Room on the drawing for the axis to stand off. */
const BEND_PX = 40;

type Props = {
  values: RunoutStepValues;
  before: RunoutStepValues | null;
  shaftMm: number;
  seatMm: number;
  active: { station: number; angleDeg: number } | null;
};

/**
 * The shaft from the side, to scale, with the line its middle runs on (enlarged, seen in the plane of its largest), and the
 * station at hand from the end with every reading.
 */
export function runoutFigure({ values, before, shaftMm, seatMm, active }: Props) {
  const { stations } = values;
  const worst = stations.reduce(
    (w, s, i) => ((s.values.tirMm ?? -1) > (stations[w]?.values.tirMm ?? -1) ? i : w),
    0,
  );
  const at = active?.station ?? worst;
  const here = stations[at];
  const scale = Math.min(300 / seatMm, 100 / shaftMm);
  const x0 = 46 + (316 - seatMm * scale) / 2;
  const r = (shaftMm * scale) / 2;
  const x = (mm: number) => x0 + mm * scale;
  const fitted = stations.map((s) =>
    s.values.taken >= values.wanted ? (s.values.harmonics[0] ?? null) : null,
  );
  const largest = fitted.reduce((a, b) => ((b?.amplitudeMm ?? 0) > (a?.amplitudeMm ?? 0) ? b : a), null);
  const lean = (i: number) => {
    const h = fitted[i];
    return h && largest ? h.amplitudeMm * Math.cos(((h.phaseDeg - largest.phaseDeg) * Math.PI) / 180) : null;
  };
  const times = largest ? Math.min(2000, roundedDown(BEND_PX / (largest.amplitudeMm * scale || 1))) : 1;
  const middle = stations.flatMap((s, i) => {
    const mm = lean(i);
    return mm === null ? [] : [{ x: x(s.atMm), y: AXIS_Y - mm * scale * times, i }];
  });
  const told = values.bend && values.bend.diagnosis !== 'one-station';
  const h1 = here?.values.harmonics[0];
  return figure(
    {
      width: W,
      height: H,
      title: M.shaftStationsFromSideStation({
        count: stations.length,
        at: at + 1,
        count2: here?.readings.length ?? 0,
      }),
    },
    [
      seatView({ x0, axisY: AXIS_Y, r, scale, seatMm, stationsMm: stations.map((t) => t.atMm), active: at }),
      middle.length > 0 && [
        polyline({
          points: middle.map((p): Point => [p.x, p.y]),
          ink: 'steel',
          weight: 3,
        }),
        middle.map((p) => [
          line({ x1: p.x, x2: p.x, y1: AXIS_Y, y2: p.y, ink: 'steel', weight: 1.2 }),
          circle({ cx: p.x, cy: p.y, r: 5, fill: 'steel' }),
        ]),
      ],
      [
        (['at', 'TIR', '1×', '2×', '3×'] as const).map((name, row) => [
          label({ x: 4, y: AXIS_Y + r + 30 + row * 17, anchor: 'start', tone: 'muted', size: 15 }, name),
          stations.map((s, i) => {
            const wave = s.values.taken >= values.wanted ? s.values.harmonics[row - 2] : undefined;
            const v = row === 0 ? s.atMm : row === 1 ? s.values.tirMm : (wave?.amplitudeMm ?? null);
            const spread = 70 + (i + 0.5) * (300 / stations.length);
            return digits(
              {
                x: spread,
                y: AXIS_Y + r + 30 + row * 17,
                tone: v === null || row === 0 ? 'muted' : i === at ? 'brass' : 'ink',
                size: stations.length > 4 ? 12.5 : 14.5,
                strong: row === 1,
              },
              v === null ? '·' : row === 0 ? num(v, 0, 3) : num(v),
            );
          }),
        ]),
      ],
      middle.length > 1 &&
        largest &&
        label(
          { x: 4, y: H - 22, anchor: 'start', tone: told ? 'steel' : 'muted', size: 14 },
          M.lineMiddleSeenPlane({ times, phase: largest.phaseDeg.toFixed(0) }),
        ),
      label(
        { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
        M.shaftScaleStationsAlongSeat({ unit: UNIT }),
      ),
      here &&
        turnView({
          cx: 552,
          cy: AXIS_Y + 32,
          radiusPx: 68,
          radiusMm: shaftMm / 2,
          readings: here.readings,
          before: before?.stations[at]?.readings ?? [],
          active: active?.angleDeg ?? null,
          wanted: values.wanted,
          swing: here.readings.length === 0 && here.values.tirMm !== null,
          title: M.stationFromEnd({ at: at + 1 }),
          prefix: `s${at + 1}/`,
          mark:
            h1 &&
            h1.amplitudeMm > 2 * h1.uncertaintyMm &&
            here.values.shape !== 'oval' &&
            here.values.taken >= values.wanted
              ? { deg: h1.phaseDeg, word: M.high({ phase: h1.phaseDeg.toFixed(0) }) }
              : null,
        }),
    ],
  );
}
