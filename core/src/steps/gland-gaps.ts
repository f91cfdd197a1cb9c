import { type GlandTiltValues, glandTilt } from '../arithmetic/seals/gland-tilt.ts';
import { standing } from '../engine/facts.ts';
import type { Setup } from '../engine/setup.ts';
import type { Facts, Place } from '../engine/state.ts';
import { kindFamily } from '../engine/step.ts';
import { COMMON } from '../message/common/messages.ts';
import { inline } from '../message/message.ts';
import { gaugeFindings } from './gauges.ts';
import { inHand } from './in-hand.ts';
import { itemFindings } from './item-findings.ts';
import { M } from './messages.ts';
import { gapPlace, listedPlace, nextListed, valueAt } from './places-in-order.ts';

export type GlandGapsValues = {
  tilt: GlandTiltValues | null;
  gaps: Array<{ angleDeg: number; gapMm: number | null }>;
  bolts: number;
};

type Gland = {
  bolts: number;
  rigid: boolean;
  atDeg: readonly number[];
  /** The spread that is square, where the sheet gives none. */
  limitMm?: number;
  stopMm?: number;
  /** It is tapped square, not pulled square by its bolts. */
  tapped?: boolean;
  /** What a gap is read with, the usual one first. */
  gauges?: Place['instrumentKinds'];
};

/** A setup whose maker may give the spread of the gaps. mm. */
type GlandSetup = Setup & { maker: { glandSpreadMm?: number | undefined } };

/** Gaps of a gland, or of a follower, at places round it. */
export const gaps = kindFamily<GlandSetup, GlandGapsValues>('gland-gaps');

/** Gaps felt at places round it: square, or which bolt comes in by how much. */
export const glandGaps = <S extends GlandSetup>(glandOf: (facts: Facts<S>) => Gland) => {
  const places = (facts: Facts<S>): Place[] =>
    glandOf(facts).atDeg.map((deg) => ({
      ...gapPlace(`gap/${deg}`, M.gapFromTopClockwise({ deg }), 50),
      ...(glandOf(facts).gauges ? { instrumentKinds: glandOf(facts).gauges ?? [] } : {}),
    }));
  return gaps.kind<S>({
    repeats: true,
    report(facts, step) {
      const gland = glandOf(facts);
      const at = gland.atDeg.map((angleDeg) => ({
        angleDeg,
        gapMm: valueAt(facts, step, `gap/${angleDeg}`),
      }));
      const next = nextListed(facts, step, places(facts));
      const used = standing(facts, step.id);
      const read = at.filter((g): g is { angleDeg: number; gapMm: number } => g.gapMm !== null);
      const result = next
        ? null
        : glandTilt({
            gaps: read,
            bolts: gland.bolts,
            rigid: gland.rigid,
            stopMm: gland.stopMm,
            ...inHand(used, 0.001, { alike: true }),
            makerLimitMm: facts.setup.maker.glandSpreadMm,
            limitMm: gland.limitMm,
            tapped: gland.tapped,
          });
      return {
        findings: [
          ...(result?.findings ?? [
            {
              code: 'gland.open',
              verdict: 'incomplete' as const,
              reason: M.gapsStillFelt({ count: at.length - read.length, count2: at.length }),
              params: { length: at.length - read.length, length2: at.length },
              acceptable: false,
            },
          ]),
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(used),
        ],
        working: result?.working ?? [],
        beams: result?.beams ?? [],
        values: { tilt: result?.values ?? null, gaps: at, bolts: gland.bolts } satisfies GlandGapsValues,
        next,
        act: next
          ? COMMON.feel({ label: inline(next.label) })
          : (result?.findings[0]?.remedy ?? result?.findings[0]?.reason ?? ''),
      };
    },
    place: listedPlace(places),
  });
};

/** The quarters of a clock face. */
export const QUARTERS = [0, 90, 180, 270] as const;
