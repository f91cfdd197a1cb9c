import { standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

/** A length read before something was done and after it; the maker's band for it as it is left, where there is one. mm. */
export type KeptValues = {
  what: 'impeller' | 'sleeve to gland';
  beforeMm: number | null;
  afterMm: number | null;
  lowerMm: number | null;
  upperMm: number | null;
};

/** Lengths that prove a setting: read before, read after. */
export const kept = kindFamily<SealSetup, KeptValues>('seal-setting-kept');

/** A preset seal that moved so little kept its setting; by more than the usual band of a compression it is lost. Our own choice; the band is common practice. */
const KEPT_MM = 0.25;
const LOST_MM = 0.8;

type Told = { findings: Finding[]; next: Place | null; act: Text; values: KeptValues };

const kind = (
  places: (facts: Facts<SealSetup>) => Place[],
  tell: (facts: Facts<SealSetup>, step: StepDefinition<SealSetup>, next: Place | null) => Told,
) =>
  kept.kind({
    repeats: true,
    report(facts, step) {
      const next = nextListed(facts, step, places(facts));
      const told = tell(facts, step, next);
      return {
        findings: [
          ...told.findings,
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: [],
        beams: [],
        values: told.values,
        next,
        act: told.act,
      };
    },
    place: listedPlace(places),
  });

const open = (step: StepDefinition, next: Place): Finding => ({
  code: `${step.id}.open`,
  verdict: 'incomplete',
  reason: COMMON.notMeasuredYet({ label: next.label }),
  params: { label: next.label },
  acceptable: false,
});

/** Where the sleeve stands is measured at two steps: with the clips in, and when the screws hold. */
const REACH = { id: 'reach' };
const reachPlace = (): Place[] => [lengthPlace('sleeve', M.sleevesEndFromGland, 0, 500)];

/** With the clips in, as the maker set it. */
export const reachStep = kind(reachPlace, (facts, step, next) => {
  const beforeMm = valueAt(facts, step, 'sleeve');
  return {
    findings: next
      ? [open(step, next)]
      : [
          {
            code: 'reach.set',
            verdict: 'accept',
            reason: M.clipsSleevesEndStandsFrom({ before: len(beforeMm ?? 0, 2) }),
            params: { beforeMm: beforeMm ?? 0 },
            source: 'practice',
            acceptable: false,
          },
        ],
    next,
    act: next ? M.clipsMeasureFromSleevesEnd : M.notedMeasuredAgainWhenScrews,
    values: { what: 'sleeve to gland' as const, beforeMm, afterMm: null, lowerMm: null, upperMm: null },
  };
});

/** When the screws hold and the clips are off: the setting is proved by the same length. */
export const reachedStep = kind(reachPlace, (facts, step, next) => {
  const beforeMm = valueAt(facts, REACH, 'sleeve');
  const afterMm = valueAt(facts, step, 'sleeve');
  const values = { what: 'sleeve to gland' as const, beforeMm, afterMm, lowerMm: null, upperMm: null };
  if (next || beforeMm === null || afterMm === null)
    return {
      findings: [
        next
          ? open(step, next)
          : {
              ...open(step, reachPlace()[0] as Place),
              reason: M.notMeasuredClips,
              params: {},
            },
      ],
      next,
      act: M.clipsOffMeasureFromSleeves,
      values,
    };
  const moved = Math.abs(afterMm - beforeMm);
  const verdict = moved <= KEPT_MM + 1e-9 ? 'accept' : moved <= LOST_MM + 1e-9 ? 'caution' : 'reject';
  return {
    findings: [
      {
        code: 'reach.kept',
        verdict,
        reason:
          verdict === 'accept'
            ? M.settingKeptFromWhereClips({ after: len(afterMm, 2), moved: len(moved, 2) })
            : M.sleeveMovedSinceClipsHeld({ moved: len(moved, 2) }),
        params: {
          afterMm: verdict === 'accept' ? afterMm : null,
          moved: verdict === 'accept' ? moved : null,
          moved2: verdict === 'accept' ? null : moved,
        },
        limit: M.overSettingLostOurOwn({ keptMm: len(KEPT_MM, 2), lostMm: len(LOST_MM, 2) }),
        source: 'practice',
        ...(verdict === 'accept' ? {} : { remedy: M.clipsScrewsLooseSleeveBack }),
        acceptable: verdict !== 'reject',
      },
    ],
    next,
    act: verdict === 'accept' ? M.settingKept : M.settingMovedLookBeforeHand,
    values,
  };
});

const impellerPlaces = ({ setup }: Pick<Facts<SealSetup>, 'setup'>): Place[] =>
  setup.impellerSet
    ? [
        lengthPlace('before', M.impellerClearanceAsFound, 0, 50),
        lengthPlace('after', M.impellerClearanceAsLeft, 0, 50),
      ]
    : [];

/** The impeller adjusted, in numbers where it is adjusted at all: as found and as left, by the maker's band. */
export const impellerClearance = kind(impellerPlaces, (facts, step, next) => {
  const { impellerLowerMm: low, impellerUpperMm: high } = facts.setup.maker;
  const beforeMm = valueAt(facts, step, 'before');
  const afterMm = valueAt(facts, step, 'after');
  const values = {
    what: 'impeller' as const,
    beforeMm,
    afterMm,
    lowerMm: low ?? null,
    upperMm: high ?? null,
  };
  if (next)
    return { findings: [open(step, next)], next, act: M.measure({ label: inline(next.label) }), values };
  if (afterMm === null) return { findings: [], next, act: M.everyAdjustmentImpellerMadeNow, values };
  const banded = low !== undefined || high !== undefined;
  const inside = afterMm >= (low ?? 0) && afterMm <= (high ?? Number.POSITIVE_INFINITY);
  const limit = M.to({
    low: low === undefined ? COMMON.noLeast : len(low, 2),
    high: high === undefined ? COMMON.noMost : len(high, 2),
  });
  return {
    findings: [
      {
        code: 'impeller.clearance',
        verdict: !banded ? 'caution' : inside ? 'accept' : 'reject',
        reason: M.impellerClearanceAsFoundAs({
          before: len(beforeMm ?? 0, 2),
          after: len(afterMm, 2),
          banded: !banded ? 'sheetGivesNoBand' : inside ? 'none' : 'outsideMakersBand',
        }),
        params: { beforeMm: beforeMm ?? 0, afterMm, inside: !banded ? null : Boolean(inside) },
        ...(banded ? { limit } : {}),
        source: banded ? 'maker' : 'practice',
        ...(banded && inside ? {} : { remedy: banded ? M.adjustMeasureAgain : M.lookUpPumpsOwnSheet }),
        acceptable: true,
      },
    ],
    next,
    act: M.everyAdjustmentImpellerMadeNow,
    values,
  };
});
