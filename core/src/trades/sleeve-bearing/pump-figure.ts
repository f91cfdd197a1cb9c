import { bearingSection, type Vec } from '../../arithmetic/bearings/section.ts';
import { circle, digits, figure, group, label, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { num, pres, UNIT } from '../../quantities/say.ts';
import type { DriveUpHydraulicValues } from './drive-up-hydraulic.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

const W = 680;
const H = 268;
const PLOT = { x: 442, y: 20, w: 222, h: 204 };
const SECTION = { x: 6, w: 372, h: 214 };

type Props = {
  setup: SleeveSetup;
  values: DriveUpHydraulicValues;
  typedMpa: number | null;
};

/** The hydraulic nut in section with its piston out as far as the bearing went, and pressure over travel with its limits. */
export function pumpFigure({ setup, values: v, typedMpa }: Props) {
  const most = Math.max(v.driveUpMaxMm * 1.25, ...v.points.map((p) => 1.05 * (p.travelMm ?? 0)));
  const top = Math.max(
    (v.abortPressureMpa ?? v.startPressureMpa * 4) * 1.12,
    ...v.points.map((p) => 1.05 * p.pressureMpa),
  );
  const px = (mm: number) => PLOT.x + (PLOT.w * Math.max(0, mm)) / most;
  const py = (mpa: number) => PLOT.y + PLOT.h - (PLOT.h * mpa) / top;
  const read = v.points.filter((p) => p.travelMm !== null);
  const start = { x: px(0), y: py(v.startPressureMpa) };
  const curve = [start, ...read.map((p) => ({ x: px(p.travelMm ?? 0), y: py(p.pressureMpa) }))];
  return figure(
    {
      width: W,
      height: H,
      title: M.hydraulicNutDriven({
        travel: num(v.travelMm ?? 0),
        driveUpMin: num(v.driveUpMinMm),
        driveUpMax: num(v.driveUpMaxMm),
        unit: UNIT,
        abortPressure:
          v.abortPressureMpa === null ? '' : M.abort({ abortPressure: pres(v.abortPressureMpa) }),
      }),
    },
    [
      drawNutSection({ setup, travelMm: v.travelMm ?? 0, mostMm: v.driveUpMaxMm }),
      rect({
        x: px(v.driveUpMinMm),
        y: PLOT.y,
        width: px(v.driveUpMaxMm) - px(v.driveUpMinMm),
        height: PLOT.h,
        fill: 'accept',
        opacity: 0.18,
      }),
      group({ ink: 'ink', weight: 1.4, fill: 'none' }, [
        path({ d: `M${PLOT.x} ${PLOT.y}V${PLOT.y + PLOT.h}H${PLOT.x + PLOT.w}` }),
        v.abortPressureMpa !== null &&
          path({
            d: `M${PLOT.x} ${py(v.abortPressureMpa)}H${PLOT.x + PLOT.w}`,
            ink: 'stop',
            dash: '9 5',
            weight: 2,
          }),
      ]),
      v.abortPressureMpa !== null &&
        label(
          { x: PLOT.x + PLOT.w, y: py(v.abortPressureMpa) - 6, anchor: 'end', tone: 'stop' },
          COMMON.abort({ abortPressure: pres(v.abortPressureMpa) }),
        ),
      label({ x: PLOT.x - 9, y: start.y - 3, anchor: 'end', tone: 'steel' }, COMMON.start3),
      label({ x: PLOT.x - 9, y: start.y + 14, anchor: 'end', tone: 'steel' }, pres(v.startPressureMpa)),
      digits(
        { x: px(v.driveUpMinMm) - 4, y: H - 26, size: 14, tone: 'muted', anchor: 'end' },
        num(v.driveUpMinMm, 2),
      ),
      digits(
        { x: px(v.driveUpMaxMm) + 4, y: H - 26, size: 14, tone: 'muted', anchor: 'start' },
        num(v.driveUpMaxMm, 2),
      ),
      label({ x: PLOT.x + PLOT.w / 2, y: H - 6, tone: 'muted', size: 14.5 }, M.pressureOverDriveUp),
      v.zeroed &&
        curve.length > 1 &&
        path({
          d: curve.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join(''),
          fill: 'none',
          ink: 'steel',
          weight: 2.5,
        }),
      v.zeroed && circle({ cx: start.x, cy: start.y, r: 5, fill: 'brass' }),
      read.map((p) =>
        circle({ cx: px(p.travelMm ?? 0), cy: py(p.pressureMpa), r: 5.5, fill: p.aborted ? 'stop' : 'ink' }),
      ),
      typedMpa !== null &&
        path({
          d: `M${PLOT.x} ${py(Math.min(top, typedMpa))}h${PLOT.w}`,
          ink: 'brass',
          weight: 2,
          dash: '2 4',
        }),
    ],
  );
}

/** Upper half of shaft, sleeve, bearing and nut to scale; the travel alone is drawn larger, and said so. */
function drawNutSection({
  setup,
  travelMm,
  mostMm,
}: {
  setup: SleeveSetup;
  travelMm: number;
  mostMm: number;
}) {
  // As large as keeps the piston in its nut.
  const times = Math.max(1, Math.floor((0.16 * setup.boreMm) / Math.max(mostMm, travelMm)));
  const s = bearingSection({
    shaftMm: setup.shaftMm,
    boreMm: setup.boreMm,
    taper: setup.taper,
    travelMm: travelMm * times,
    clearanceMm: 0.0006 * setup.boreMm,
  });
  const b = setup.boreMm;
  const floor = setup.shaftMm / 2 - b * 0.13;
  // The shaft runs on to both sides; only so much of it is drawn.
  const [left, right] = [-0.74 * b, 0.84 * b];
  const scale = Math.min(SECTION.w / (right - left), SECTION.h / (s.top - floor));
  const px = (x: number) => SECTION.x + scale * (Math.min(right, Math.max(left, x)) - left);
  const py = (y: number) => H - 30 - scale * (y - floor);
  const outline = (points: Vec[]) =>
    `${points.map((p, i) => `${i ? 'L' : 'M'}${px(p.x).toFixed(1)} ${py(p.y).toFixed(1)}`).join('')}Z`;
  const box = (x0: number, y0: number, x1: number, y1: number) =>
    outline([
      { x: x0, y: y0 },
      { x: x1, y: y0 },
      { x: x1, y: y1 },
      { x: x0, y: y1 },
    ]);
  const face = b * 0.28 - travelMm * times;
  const nut = { x0: b * 0.36, x1: b * 0.66, y0: b / 2 - b * 0.01, y1: b * 0.86 };
  return [
    group({ ink: 'ink', weight: 1.6, fill: 'paper', moves: true }, [
      path({ d: outline(s.shaft.map((p) => (p.y === 0 ? { x: p.x, y: floor } : p))), fill: 'shade' }),
      path({ d: outline(s.sleeve) }),
      path({ d: box(nut.x0, nut.y0, nut.x1, nut.y1) }),
      path({ d: box(nut.x0, nut.y0, nut.x1, nut.y1), fill: 'hatch' }),
      path({ d: box(nut.x0, b * 0.6, b * 0.56, b * 0.76), fill: 'brass', fillOpacity: 0.4 }),
      path({ d: box(face, b * 0.6, b * 0.46, b * 0.76) }),
      path({ d: outline(s.innerRing) }),
      path({ d: outline(s.innerRing), fill: 'hatch' }),
      path({ d: outline(s.outerRing) }),
      path({ d: outline(s.outerRing), fill: 'hatch' }),
      s.rollers.map((r) => path({ d: outline(r) })),
    ]),
    setup.driveUp?.twoNuts &&
      path({
        d: box(-b * 0.56, b / 2 + b * 0.02, -b * 0.42, b * 0.7),
        fill: 'none',
        ink: 'muted',
        weight: 1.6,
        dash: '5 3',
      }),
    path({ d: `M${px(nut.x1)} ${py(b * 0.68)}h16v-22h14`, fill: 'none', ink: 'brass', weight: 3 }),
    path({ d: `M${px(face)} ${py(s.top) - 6}V${py(b * 0.79)}`, ink: 'brass', fill: 'none' }),
    path({ d: `M${px(b * 0.28)} ${py(s.top) - 6}V${py(b * 0.79)}`, ink: 'muted', fill: 'none' }),
    digits(
      { x: px(b * 0.28) + 6, y: py(s.top) + 4, anchor: 'start', size: 19, tone: 'brass', strong: true },
      num(travelMm),
    ),
    label(
      { x: SECTION.x, y: H - 6, anchor: 'start', tone: 'muted', size: 14.5 },
      M.sectionScaleTravel({ times, twoNuts: setup.driveUp?.twoNuts ? 'otherNutDashed' : 'none' }),
    ),
  ];
}
