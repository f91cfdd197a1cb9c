import { axis, digits, dimension, figure, label, line, path, rect } from '../../judgement/draw.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { SettingStepValues } from './setting.ts';

const CY = 196;
const FACE = 430;
/** Room for the drawing left of the box face, and right of it. */
const ROOM = 330;
const OUTSIDE = 200;
/** The shaft is shown as a strip: only lengths along it are to scale. */
const HALF_SHAFT = 46;
/** A dimension nobody has measured yet. */
const OPEN = '?';

/**
 * Shaft, box, gland, seat and rotary along the axis, to scale: where the seat's face stands from the box face with its sign, working
 * length and the collar's back, which is the scribe line.
 */
export function sealSettingFigure({
  values: v,
  active,
  typed,
}: {
  values: SettingStepValues;
  active: string | undefined;
  typed: number | null;
}) {
  const say = (mm: number) => num(mm, 2);
  const seatRead = active === 'seat' && typed !== null ? typed : v.seatMm;
  // What is not measured is drawn somewhere, but carries no figure.
  const measured = v.setting !== null || seatRead !== null;
  const seatRaw = seatRead ?? 0;
  const seat = v.setting?.seatFaceMm ?? seatRaw - (v.gasketMm ?? 0);
  const inside = v.rotary === 'inside';
  const length = v.setting?.workingLengthMm ?? v.freeLengthMm - v.compressionMm;
  const wanted = v.setting?.collarMm ?? null;
  const set = active === 'collar' && typed !== null ? typed : v.collarMm;
  const collar = set ?? wanted ?? length + (inside ? seat : -seat);
  // A slip of the hand far outside is still drawn on the sheet.
  const scale = Math.min(
    ROOM / Math.max(Math.abs(collar), length, 20),
    OUTSIDE / Math.max(Math.abs(seat), 1),
    6,
  );
  const away = inside ? -1 : 1;
  const seatX = FACE - scale * seat;
  const collarX = FACE + away * scale * collar;
  const gasket = Math.max(2, scale * (v.gasketMm ?? 0));
  const top = CY - HALF_SHAFT;
  const [seatH, rotaryH] = [30, 26];
  const spring = Array.from({ length: 9 }, (_, i) => {
    const from = collarX - away * 16;
    const to = seatX + away * 18;
    return `${from + ((to - from) * i) / 8} ${top - (i % 2 ? 24 : 6)}`;
  }).join('L');
  return figure(
    {
      width: 680,
      height: 286,
      title: measured
        ? M.sealSettingSeatFaceBox({
            seat: say(seat),
            seat2: seat >= 0 ? 'inside' : 'outside',
            collar: say(collar),
          })
        : M.sealSettingSeatNotMeasured,
    },
    [
      path({ d: `M20 ${top - 84}H${FACE}V${top - 100}H20z`, fill: 'shade', ink: 'ink', weight: 1.6 }),
      rect({ x: FACE, y: top - 100, width: gasket, height: 60, fill: 'brass', opacity: 0.55 }),
      path({
        d: `M${FACE + gasket} ${top - 100}h34v${100 - 6}h-34z`,
        fill: 'paper',
        ink: 'ink',
        weight: 1.6,
      }),
      rect({ x: 20, y: top, width: 640, height: CY - top, fill: 'shade', ink: 'none' }),
      line({ x1: 20, x2: 660, y1: top, y2: top, ink: 'ink', weight: 1.8 }),
      axis({ x1: 8, x2: 672, y1: CY, y2: CY }),
      rect({
        x: Math.min(seatX, seatX - away * 26),
        y: top - seatH,
        width: 26,
        height: seatH - 3,
        fill: 'steel',
        opacity: 0.5,
        ink: 'ink',
      }),
      rect({
        x: Math.min(seatX, seatX + away * 16),
        y: top - rotaryH,
        width: 16,
        height: rotaryH,
        fill: 'paper',
        ink: 'ink',
        weight: 1.6,
      }),
      path({ d: `M${spring}`, fill: 'none', ink: 'ink', weight: 1.8 }),
      rect({
        x: Math.min(collarX, collarX - away * 16),
        y: top - 34,
        width: 16,
        height: 34,
        fill: 'shade',
        ink: 'ink',
        weight: 2,
      }),
      line({ x1: collarX, x2: collarX, y1: top - 44, y2: CY + 40, ink: 'brass', weight: 2, dash: '7 4' }),
      line({ x1: FACE, x2: FACE, y1: top - 106, y2: CY + 64, ink: 'ink', weight: 1.2 }),
      label({ x: FACE + 44, y: CY + 64, anchor: 'start', tone: 'muted' }, M.boxFace),
      dimension(
        { x1: FACE, y1: CY + 34, x2: collarX, y2: CY + 34, tone: active === 'collar' ? 'brass' : 'steel' },
        measured || set !== null ? say(collar) : OPEN,
      ),
      label(
        { x: (FACE + collarX) / 2, y: CY + 50, tone: 'muted' },
        set !== null
          ? M.collarAsSet({ wanted: wanted === null ? '' : M.wanted({ wanted: say(wanted) }) })
          : measured
            ? M.collarsBackScribeHere
            : M.collarsBackOnceSeatMeasured,
      ),
      dimension({ x1: seatX, y1: top - 58, x2: collarX, y2: top - 58 }, say(length)),
      label(
        { x: (seatX + collarX) / 2, y: top - 44, tone: 'muted', size: 14 },
        M.workingLengthFree({ freeLength: say(v.freeLengthMm), compression: say(v.compressionMm) }),
      ),
      [
        path({
          d: `M${FACE} ${top - 112}H${FACE - 50}m0 0l8 -4m-8 4l8 4M${FACE} ${top - 112}H${FACE + 50}m0 0l-8 -4m8 4l-8 4`,
          ink: active === 'seat' ? 'brass' : 'muted',
          weight: 1.6,
          fill: 'none',
        }),
        digits(
          { x: FACE - 56, y: top - 107, anchor: 'end', tone: active === 'seat' ? 'brass' : 'muted' },
          M.inside,
        ),
        digits(
          { x: FACE + 56, y: top - 107, anchor: 'start', tone: active === 'seat' ? 'brass' : 'muted' },
          M.outside,
        ),
      ],
      line({ x1: seatX, x2: seatX, y1: top, y2: CY + 14, ink: 'steel', weight: 1.2 }),
      path({ d: `M${FACE} ${CY + 12}H${seatX}`, ink: 'steel', weight: 4 }),
      label(
        {
          x: FACE + 44,
          y: CY + 18,
          anchor: 'start',
          tone: active === 'seat' ? 'brass' : 'steel',
          size: 16,
          strong: active === 'seat',
        },
        measured
          ? M.seatsFace({
              seat: seat >= 0 ? 'text' : 'text2',
              seat2: say(Math.abs(seat)),
              seat3: seat >= 0 ? 'inside' : 'outside',
            })
          : M.seatsFaceNotMeasured,
      ),
      label(
        { x: 4, y: 280, anchor: 'start', tone: 'muted', size: 14 },
        M.lengthsAlongShaftScale({
          gasket: v.gasketMm ? M.gasketMovesSeatOutward({ gasket: say(v.gasketMm) }) : '',
        }),
      ),
    ],
  );
}
