import { axis, label, line, rect } from '../../../judgement/draw.ts';

type Props = {
  /** Where the seat begins on the drawing, the axis' height, the shaft's radius there, and pixels a millimetre. */
  x0: number;
  axisY: number;
  r: number;
  scale: number;
  seatMm: number;
  stationsMm: readonly number[];
  active: number | null;
};

/** The shaft from the side, to scale: its seat, and the stations at which it is measured. */
export function seatView({ x0, axisY, r, scale, seatMm, stationsMm, active }: Props) {
  const length = seatMm * scale;
  return [
    rect({
      x: x0 - 42,
      y: axisY - r * 0.94,
      width: length + 84,
      height: r * 1.88,
      fill: 'shade',
      ink: 'muted',
    }),
    rect({ x: x0, y: axisY - r, width: length, height: 2 * r, fill: 'paper', ink: 'ink', weight: 1.8 }),
    axis({ x1: x0 - 56, x2: x0 + length + 56, y1: axisY, y2: axisY }),
    stationsMm.map((mm, i) => {
      const x = x0 + mm * scale;
      const on = i === active;
      return [
        line({
          x1: x,
          x2: x,
          y1: axisY - r - 13,
          y2: axisY + r + 13,
          ink: on ? 'brass' : 'muted',
          weight: on ? 3 : 1.2,
        }),
        label({ x, y: axisY - r - 19, tone: on ? 'brass' : 'ink', size: 17, strong: on }, i + 1),
      ];
    }),
  ];
}
