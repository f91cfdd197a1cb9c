import type { AheadStop } from '../../arithmetic/bearings/lock-stops.ts';
import { circle, digits, figure, group, label, line, path, rect, spot } from '../../judgement/draw.ts';
import type { Text } from '../../message/message.ts';
import { M } from './messages.ts';

const C = 150;
const RIM = 112;

/** An arc of a circle about the middle, clockwise from one angle to another; a whole turn and more is drawn as one. */
function arc(from: number, to: number, r: number): string {
  const end = Math.min(to, from + 359.9);
  const a = spot(C, C, from, r);
  const b = spot(C, C, end, r);
  return `M${a.x} ${a.y}A${r} ${r} 0 ${end - from > 180 ? 1 : 0} 1 ${b.x} ${b.y}`;
}

type Props = {
  slots: number;
  /** How far the nut's mark stands from the sleeve's slot. */
  turnedDeg: number;
  /** The maker's band from the mark; null before it matters. */
  band: { minDeg: number; maxDeg: number } | null;
  /** Drawn on the nut once the zero is proven. */
  marked: boolean;
  stops?: readonly AheadStop[];
  note: Text;
};

/**
 * The nut's face as the hand sees it: the sleeve's slot at the top, the mark on the nut going round from it, the maker's band
 * as an arc outside, lock positions as ticks. Angles are true.
 */
export function nutMarkFigure({ slots, turnedDeg, band, marked, stops = [], note }: Props) {
  const mark = spot(C, C, turnedDeg, RIM - 4);
  const in_ = spot(C, C, turnedDeg, 62);
  const whole = Math.floor(turnedDeg / 360);
  return figure(
    {
      width: 352,
      height: 330,
      tall: 20,
      from: [-26, -6],
      title: M.nutTurnedDegreesFromMark({
        turned: turnedDeg.toFixed(0),
        band: band ? M.makersBandDegrees({ min: band.minDeg, max: band.maxDeg }) : '',
      }),
    },
    [
      band && [
        path({ d: arc(band.minDeg, band.maxDeg, RIM + 15), fill: 'none', ink: 'accept', weight: 9 }),
        [band.minDeg, band.maxDeg].map((deg) => {
          const at = spot(C, C, deg, RIM + 34);
          return digits({ x: at.x, y: at.y + 5, size: 15, tone: 'muted' }, `${deg}°`);
        }),
      ],
      circle({ cx: C, cy: C, r: RIM, fill: 'shade', ink: 'ink', weight: 2 }),
      Array.from({ length: slots }, (_, i) => {
        const deg = turnedDeg + (360 * i) / slots + 180 / slots;
        return group({ turn: [deg, C, C] }, [
          rect({ x: C - 9, y: C - RIM - 1, width: 18, height: 17, fill: 'paper', ink: 'ink', weight: 1.5 }),
        ]);
      }),
      circle({ cx: C, cy: C, r: 62, fill: 'paper', ink: 'ink', weight: 1.6 }),
      path({ d: `M${C - 8} ${C - 62}v14h16v-14`, fill: 'shade', ink: 'ink', weight: 1.6 }),
      turnedDeg > 0 && path({ d: arc(0, turnedDeg, 84), fill: 'none', ink: 'steel', weight: 3 }),
      stops.slice(0, 14).map((s) => {
        const a = spot(C, C, s.totalDeg, RIM + 4);
        const b = spot(C, C, s.totalDeg, RIM + (s.inBand ? 8 : 7));
        return line({
          x1: a.x,
          y1: a.y,
          x2: b.x,
          y2: b.y,
          ink: s.inBand ? 'ink' : 'muted',
          weight: s.inBand ? 3.5 : 1.5,
        });
      }),
      marked && line({ x1: in_.x, y1: in_.y, x2: mark.x, y2: mark.y, ink: 'brass', weight: 5 }),
      digits(
        { x: C, y: C + 2, size: 27, tone: 'steel', strong: true },
        `${turnedDeg.toFixed(turnedDeg % 1 ? 1 : 0)}°`,
      ),
      label(
        { x: C, y: C + 23, size: 16, tone: 'muted' },
        whole > 0 ? M.turnMore({ whole }) : marked ? M.fromMark : M.noMarkYet,
      ),
      label({ x: C, y: 316, size: 15, tone: 'muted' }, note),
    ],
  );
}
