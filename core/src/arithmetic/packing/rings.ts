import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type PackingRingsInput = {
  shaftMm: number;
  boxBoreMm: number;
  boxDepthMm: number;
  lanternMm?: number | undefined;
  /** Middle of the flush port from the bottom of the box; where there is a lantern ring. */
  portMm?: number | undefined;
  /** Allowance over the neutral line, per cent; the house's school. */
  allowancePercent: number;
  cut: 'butt' | 'diagonal';
  /** How much the stack gives when drawn up, per cent. */
  compressionPercent?: number | undefined;
  boxes?: number | undefined;
  wastePercent?: number | undefined;
  /** Joints staggered by. */
  staggerDeg?: 90 | 120 | undefined;
  /** Sections on the shelf; the usual lists where left out. */
  stockMm?: readonly number[] | undefined;
};

export type PackingRingsValues = {
  sectionMm: number;
  stockMm: number;
  /** At the neutral line, and as it is cut with allowance and skew. */
  neutralMm: number;
  cutMm: number;
  skewMm: number;
  count: number;
  /** Rings below the lantern, from the bottom of the box; null without one. */
  below: number | null;
  /** Middle of the lantern from the bottom, as put in and when drawn up. */
  lanternPutMm: number | null;
  lanternDrawnMm: number | null;
  /** Joint of each ring, degrees from the top. */
  jointsDeg: number[];
  orderMm: number;
  entryMm: number;
};

export const METRIC_SECTIONS_MM = [
  3, 4, 5, 6, 6.5, 8, 9.5, 10, 11, 12, 12.5, 14, 15, 16, 18, 19, 20, 22, 25,
] as const;
/** From an eighth of an inch in sixteenths. */
export const INCH_SECTIONS_MM: readonly number[] = Array.from(
  { length: 15 },
  (_, i) => (25.4 * (i + 2)) / 16,
);
/** A section further off its stock than this is said. Common practice, no source. */
const OFF_MM = 0.3;
const COMPRESSION_PERCENT = 12;
const WASTE_PERCENT = 5;
/** More than so many rings add friction, not sealing. Common practice, no source. */
const RINGS_ENOUGH = 6;

/**
 * Packing of a stuffing box: section (bore − shaft)/2 and the stock nearest it, ring length π(d + s) with allowance and the skew of
 * a diagonal cut, how many rings go in, where the lantern stands before and after it is drawn up, how the joints are staggered,
 * and how much to order.
 * Source: geometry; the entry max(3 mm, s/3), 10 to 15 % of compression and the counts by common practice.
 * @throws RangeError where the box takes no packing
 */
export function packingRings(input: PackingRingsInput): CalculatorResult<PackingRingsValues> {
  const sectionMm = (input.boxBoreMm - input.shaftMm) / 2;
  if (!(sectionMm >= 2)) throw new MessageError(M.betweenShaftBoxThereNo);
  const stock = input.stockMm ?? [...METRIC_SECTIONS_MM, ...INCH_SECTIONS_MM];
  const stockMm = stock.reduce((a, b) => (Math.abs(b - sectionMm) < Math.abs(a - sectionMm) ? b : a));
  const neutralMm = Math.PI * (input.shaftMm + sectionMm);
  const skewMm = input.cut === 'diagonal' ? sectionMm : 0;
  const cutMm = neutralMm * (1 + input.allowancePercent / 100) + skewMm;
  const lantern = input.lanternMm ?? 0;
  const entryMm = entryOf(sectionMm);
  const count = ringsOf(input);
  if (count < 1) throw new MessageError(M.boxNotDeepEnoughOne);
  const give = 1 - (input.compressionPercent ?? COMPRESSION_PERCENT) / 100;
  const place =
    lantern > 0 && input.portMm !== undefined
      ? lanternPlace(input.portMm, lantern, sectionMm, give, count)
      : null;
  const stagger = input.staggerDeg ?? 90;
  const jointsDeg = Array.from({ length: count }, (_, i) => (i * stagger) % 360);
  const boxes = input.boxes ?? 1;
  const orderMm = boxes * count * cutMm * (1 + (input.wastePercent ?? WASTE_PERCENT) / 100);
  const findings: Finding[] = [
    {
      code: 'packing.rings',
      verdict: 'accept',
      reason: M.ringsCutLong({
        count,
        stock: len(stockMm, 1),
        cut: len(cutMm, 1),
        cut2: input.cut === 'diagonal' ? 'diagonally' : 'none',
      }),
      params: { count, stockMm, cutMm, cut: Boolean(input.cut === 'diagonal') },
      source: 'geometry',
      acceptable: false,
    },
  ];
  if (Math.abs(stockMm - sectionMm) > OFF_MM)
    findings.push({
      code: 'packing.section',
      verdict: 'caution',
      reason: M.nearestStockOffBox({
        stock: len(stockMm, 2),
        stock2: len(Math.abs(stockMm - sectionMm), 2),
        section: len(sectionMm, 2),
      }),
      params: { stockMm, stockMm2: Math.abs(stockMm - sectionMm), sectionMm },
      source: 'practice',
      remedy: M.anotherSizeSleeveDoNot,
      acceptable: false,
    });
  if (count > RINGS_ENOUGH)
    findings.push({
      code: 'packing.deep',
      verdict: 'caution',
      reason: M.ringsMoreThanFiveSix({ count }),
      params: { count },
      source: 'practice',
      remedy: M.bushBottomDeepBox,
      acceptable: false,
    });
  if (place && Math.abs(place.drawnMm - (input.portMm ?? 0)) > lantern / 2)
    findings.push({
      code: 'packing.lantern',
      verdict: 'reject',
      reason: M.drawnUpLanternsMiddleStands({
        drawn: len(place.drawnMm, 1),
        port: len(input.portMm ?? 0, 1),
      }),
      params: { drawnMm: place.drawnMm, portMm: input.portMm ?? 0 },
      source: 'geometry',
      remedy: M.halfRingBushBelowWider,
      acceptable: true,
    });
  return {
    values: {
      sectionMm,
      stockMm,
      neutralMm,
      cutMm,
      skewMm,
      count,
      below: place?.below ?? null,
      lanternPutMm: place?.putMm ?? null,
      lanternDrawnMm: place?.drawnMm ?? null,
      jointsDeg,
      orderMm,
      entryMm,
    },
    findings,
    working: [
      {
        what: M.section,
        sum: expr`(${num(input.boxBoreMm, 2)} − ${num(input.shaftMm, 2)}) ÷ 2 = ${len(sectionMm, 2)}`,
      },
      {
        what: M.neutralLine,
        sum: expr`π × (${num(input.shaftMm, 2)} + ${num(sectionMm, 2)}) = ${len(neutralMm, 1)}`,
      },
      {
        what: M.cut,
        sum: expr`× ${(1 + input.allowancePercent / 100).toFixed(3)}${skewMm > 0 ? M.skew({ skew: num(skewMm, 1) }) : ''} = ${len(cutMm, 1)}`,
      },
      {
        what: M.count,
        sum: M.whole({
          boxDepth: num(input.boxDepthMm, 1),
          lantern: num(lantern, 1),
          entry: num(entryMm, 1),
          section: num(sectionMm, 2),
          count,
        }),
      },
      ...(place
        ? [
            {
              what: COMMON.lantern,
              sum: M.ringsBelowMiddleDrawnUp({
                below: place.below,
                put: num(place.putMm, 1),
                drawn: len(place.drawnMm, 1),
                port: len(input.portMm ?? 0, 1),
              }),
            },
          ]
        : []),
      {
        what: M.order,
        sum: expr`${boxes} × ${count} × ${num(cutMm, 1)} + ${input.wastePercent ?? WASTE_PERCENT} % = ${len(orderMm, 0)}`,
      },
    ],
    beams: [],
  };
}

/** What the follower needs to enter the box. Common practice, no source. */
const entryOf = (sectionMm: number): number => Math.max(3, sectionMm / 3);

/** Whole rings that go into a box beside its lantern; less than one where there is no room. mm. */
export function ringsOf(
  box: Pick<PackingRingsInput, 'shaftMm' | 'boxBoreMm' | 'boxDepthMm' | 'lanternMm'>,
): number {
  const sectionMm = (box.boxBoreMm - box.shaftMm) / 2;
  return Math.floor((box.boxDepthMm - (box.lanternMm ?? 0) - entryOf(sectionMm)) / sectionMm + 1e-9);
}

/** How many rings go below the lantern so that it comes under its port when the stack is drawn up. */
function lanternPlace(
  portMm: number,
  lanternMm: number,
  sectionMm: number,
  give: number,
  count: number,
): { below: number; putMm: number; drawnMm: number } {
  const at = (below: number) => ({
    below,
    putMm: below * sectionMm + lanternMm / 2,
    drawnMm: below * sectionMm * give + lanternMm / 2,
  });
  return Array.from({ length: count }, (_, i) => at(i)).reduce((a, b) =>
    Math.abs(b.drawnMm - portMm) < Math.abs(a.drawnMm - portMm) ? b : a,
  );
}
