import type { PackingRingsValues } from '../../arithmetic/packing/rings.ts';
import { axis, digits, dimension, figure, group, label, line, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { PackingSetup } from './setup.ts';

/** Half the stuffing box in section, to scale: rings from the bottom, lantern under its port, follower. */
export function packingFigure({
  setup: s,
  plan: p,
  seated = p.count,
  active,
  bare = false,
}: {
  setup: PackingSetup;
  plan: PackingRingsValues;
  /** The stack alone, read from afar. */
  bare?: boolean;
  /** Rings that are in. */
  seated?: number;
  active?: number | undefined;
}) {
  const say = (mm: number, digits = 1) => num(mm, digits);
  const room = (s.boxBoreMm - s.shaftMm) / 2;
  const scale = Math.min(520 / (s.boxDepthMm + 20), 84 / room);
  // The shaft is shown as a strip: box, rings and lantern are to scale.
  const [left, middle] = [60, 208];
  const shaftY = middle - 40;
  const boreY = shaftY - scale * room;
  const x = (mm: number) => left + scale * mm;
  const lantern = s.lanternMm ?? 0;
  const below = p.below ?? p.count;
  const places = Array.from({ length: p.count }, (_, i) => i * p.stockMm + (i >= below ? lantern : 0));
  const end = x(s.boxDepthMm);
  return figure(
    {
      width: 680,
      height: bare ? 200 : 262,
      from: [0, bare ? 46 : 0],
      title: M.stuffingBoxSectionRings({
        count: p.count,
        stock: say(p.stockMm),
        below: p.below === null ? M.noLantern : M.belowLantern({ below: p.below }),
      }),
    },
    [
      path({
        d: `M${left} ${shaftY}V${boreY}H${end}V${boreY - 30}H${left - 26}V${shaftY}z`,
        fill: 'shade',
        ink: 'ink',
        weight: 1.6,
      }),
      rect({ x: 14, y: shaftY, width: 640, height: middle - shaftY, fill: 'paper', ink: 'none' }),
      line({ x1: 14, x2: 654, y1: shaftY, y2: shaftY, ink: 'ink', weight: 1.8 }),
      axis({ x1: 8, x2: 672, y1: middle, y2: middle }),
      s.portMm !== undefined &&
        lantern > 0 &&
        rect({ x: x(s.portMm) - 6, y: boreY - 30, width: 12, height: 30, fill: 'paper', ink: 'ink' }),
      lantern > 0 &&
        p.below !== null && [
          path({
            d: `M${x(below * p.stockMm)} ${boreY + 1}h${scale * lantern}v${shaftY - boreY - 2}h${-scale * lantern}z`,
            fill: 'none',
            ink: 'steel',
            weight: 2.4,
          }),
          path({
            d: `M${x(below * p.stockMm + lantern / 2)} ${boreY + 2}V${shaftY - 2}M${x(below * p.stockMm)} ${(boreY + shaftY) / 2}h${scale * lantern}`,
            ink: 'steel',
            weight: 1.4,
          }),
          label(
            {
              x: x(below * p.stockMm + lantern / 2),
              y: shaftY + (bare ? 26 : 16),
              tone: 'steel',
              size: bare ? 26 : 13.5,
            },
            COMMON.lantern,
          ),
        ],
      places.map((mm, i) =>
        group({ opacity: i < seated || i + 1 === active ? 1 : 0.3 }, [
          rect({
            x: x(mm) + 0.8,
            y: boreY + 1,
            width: scale * p.stockMm - 1.6,
            height: shaftY - boreY - 2,
            rx: 2,
            fill: i + 1 === active ? 'none' : 'brass',
            fillOpacity: 0.4,
            ink: i + 1 === active ? 'brass' : 'ink',
            weight: i + 1 === active ? 3 : 1.3,
          }),
          digits(
            { x: x(mm + p.stockMm / 2), y: (boreY + shaftY) / 2 + (bare ? 9 : 5), size: bare ? 26 : 14 },
            i + 1,
          ),
        ]),
      ),
      path({
        d: `M${end - scale * p.entryMm} ${shaftY - 1}V${boreY + 1}H${end + 14}V${boreY - 22}h16V${shaftY - 1}z`,
        fill: 'paper',
        ink: 'ink',
        weight: 1.8,
      }),
      !bare && [
        dimension({ x1: left, y1: boreY - 44, x2: end, y2: boreY - 44 }, say(s.boxDepthMm)),
        dimension({ x1: 654, y1: shaftY, x2: 654, y2: boreY, tone: 'steel' }, say(p.stockMm)),
        label({ x: left - 13, y: shaftY + 18, tone: 'muted' }, M.bottom),
        label(
          { x: 4, y: 256, anchor: 'start', tone: 'muted', size: 14 },
          M.boxScaleShaftAsStrip({
            lanternPut:
              p.lanternPutMm === null || p.lanternDrawnMm === null
                ? ''
                : M.lanternsMiddlePutDrawnUp({
                    lanternPut: say(p.lanternPutMm),
                    lanternDrawn: say(p.lanternDrawnMm),
                    port: say(s.portMm ?? 0),
                  }),
          }),
        ),
      ],
    ],
  );
}

/** The packing laid flat beside its mandrel: neutral length, allowance, and the skew of a diagonal cut. */
export function cutFigure({ setup: s, plan: p }: { setup: PackingSetup; plan: PackingRingsValues }) {
  const say = (mm: number) => num(mm, 1);
  const scale = 520 / p.cutMm;
  const h = Math.max(16, scale * p.stockMm);
  const [x0, y0] = [70, 70];
  const skew = s.cut === 'diagonal' ? h : 0;
  const long = scale * p.cutMm;
  return figure(
    {
      width: 680,
      height: 170,
      title: M.cutLong({ cut: say(p.cutMm), cut2: s.cut === 'diagonal' ? 'n45Diagonal' : 'butt' }),
    },
    [
      path({
        d: `M${x0} ${y0 + h}L${x0 + skew} ${y0}H${x0 + long}L${x0 + long - skew} ${y0 + h}z`,
        fill: 'brass',
        fillOpacity: 0.35,
        ink: 'ink',
        weight: 1.8,
      }),
      dimension({ x1: x0, y1: y0 - 18, x2: x0 + long, y2: y0 - 18, tone: 'steel' }, say(p.cutMm)),
      label({ x: x0 + long / 2, y: y0 - 44, size: 17, strong: true }, M.cut2),
      skew > 0 && [
        dimension({ x1: x0, y1: y0 + h + 20, x2: x0 + skew, y2: y0 + h + 20, side: 22 }, say(p.skewMm)),
        label({ x: x0 + skew + 22, y: y0 + h + 26, anchor: 'start', tone: 'muted' }, M.skew45BothEndsSame),
      ],
      label(
        { x: x0 + long, y: y0 + h + 26, anchor: 'end', tone: 'muted' },
        M.neutralLineAllowance({ neutral: say(p.neutralMm), allowancePercent: s.allowancePercent }),
      ),
      label(
        { x: 4, y: 164, anchor: 'start', tone: 'muted', size: 14 },
        M.mandrelThemOrderAll({
          shaft: say(s.shaftMm),
          count: p.count,
          boxes: (s.boxes ?? 1) > 1 ? M.eachBoxes({ boxes: s.boxes }) : '',
          order: say(p.orderMm),
        }),
      ),
    ],
  );
}
