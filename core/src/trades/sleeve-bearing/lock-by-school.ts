import { mountingLimits } from '../../arithmetic/bearings/clearance-table.ts';
import { type CrossCheckValues, crossCheck } from '../../arithmetic/bearings/cross-check.ts';
import { pairsUncertainty } from '../../arithmetic/bearings/drive-up-forecast.ts';
import { lockMeasure, lockMeets, lockSpacing, rimDegrees } from '../../arithmetic/bearings/lock-stops.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, PlaceChoice, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { mean } from '../../metrology/uncertainty.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { handWith, inHand, oneInHand } from '../../steps/in-hand.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { nothingYet } from '../../steps/nothing-yet.ts';
import { benchClearance } from './bench-clearance.ts';
import { finalKey, pairsOf, rimPlace } from './drive-up.ts';
import {
  angleBeam,
  anglePlace,
  type DriveUpAngleValues,
  driveUpAngle,
  nutAngleOf,
} from './drive-up-angle.ts';
import { driveUpBand } from './drive-up-band.ts';
import type { DriveUpHydraulicValues } from './drive-up-hydraulic.ts';
import { driveUpHydraulic, travelAt } from './drive-up-hydraulic.ts';
import { turnedOtherwise } from './lock-turn.ts';
import { M } from './messages.ts';
import { pitchOf, type SleeveSetup, schoolOf } from './setup.ts';

export type LockBySchoolValues = {
  school: 'nut-angle' | 'hydraulic';
  /** How far the mount nut went on to its lock position; null before it is said. */
  turnedDeg: number | null;
  /** How far the dismount nut was turned back to its own, where there is one. */
  backDeg: number | null;
  finalDeg: number | null;
  travelMm: number;
  residualMm: number | null;
  reductionMm: number | null;
  cross: CrossCheckValues | null;
  /** Which slot meets which tab next, where the gap was measured; of a dismount nut, going back. */
  meets: Meeting | null;
  backMeets: Meeting | null;
};
type Meeting = { forwardDeg: number; slot: number; tab: number };

/**
 * The lock of a bearing driven up by nut angle or by a hydraulic nut: forward to the lock position, judged by the school's own
 * table; a dismount nut comes back to its own. Felt once more where feelers go along, as a check of one method by the other.
 */
export const lockBySchool = stepKind<SleeveSetup, LockBySchoolValues | null>('nut-lock-by-school', {
  essential: true,
  report(facts, step, carried) {
    const driven = driveUpAngle.valuesOf(carried.driveup) ?? driveUpHydraulic.valuesOf(carried.driveup);
    if (!driven) return nothingYet(M.driveBearingUpFirst);
    const setup = facts.setup;
    const taken = standing(facts, step.id);
    const turned = readingAt(facts, step.id, 'turn');
    const back = readingAt(facts, step.id, 'back');
    const byAngle = driven.school === 'nut-angle';
    const finalDeg = byAngle ? driven.turnedDeg + (turned?.value ?? 0) : null;
    // The nut's turn on to its lock drives on, whatever drove before; an indicator still on it says how far.
    const pitchTravel = (pitchOf(setup).pitchMm * (turned?.value ?? 0)) / 360;
    const read = readingAt(facts, step.id, 'indicator');
    const travelMm =
      read && driven.school === 'hydraulic'
        ? travelAt(facts, read.value)
        : (driven.travelMm ?? 0) + pitchTravel;
    const gapAt = (key: 'gap' | 'backgap'): number | null => {
      const along = readingAt(facts, step.id, `${key}-rim`);
      return along && setup.nutRimMm !== undefined
        ? rimDegrees(along.value, setup.nutRimMm)
        : (readingAt(facts, step.id, key)?.value ?? null);
    };
    const [gap, backGap] = [gapAt('gap'), gapAt('backgap')];
    const meets = gap === null ? null : lockMeets(setup, gap, 'forward');
    const backMeets = backGap === null ? null : lockMeets(setup, backGap, 'back');
    const felt = feltOf(facts, carried);
    const cross = felt
      ? crossCheck({
          school: driven.school,
          boreMm: setup.boreMm,
          taper: setup.taper,
          hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
          travelMm,
          reductionMm: felt.reductionMm,
          uncertaintyMm: felt.u,
          residualMm: felt.residualMm,
          leastResidualMm:
            setup.maker.leastResidualMm ??
            mountingLimits(setup.boreMm, setup.clearanceClass, setup.taper)?.leastResidualMm ??
            undefined,
        })
      : null;
    const next = nextPlace(facts, felt !== null);
    const judged = turned ? judge(facts, carried, driven, finalDeg, travelMm) : [];
    const findings: Finding[] = [
      ...(turned
        ? judged
        : [
            {
              code: 'lock.turn',
              verdict: 'incomplete' as const,
              reason: M.howFarNutWentLock,
              params: {},
              remedy: M.turnForwardLockEnterAngle,
              acceptable: false,
            },
          ]),
      ...(turned && meets ? turnedOtherwise(turned, meets.forwardDeg, lockSpacing(setup)) : []),
      ...missing(facts, felt !== null),
      ...(cross?.findings ?? []),
      ...itemFindings(facts, step),
      ...gaugeFindings(taken),
    ];
    const working: WorkingLine[] = [...(carried.driveup?.working ?? []), ...(cross?.working ?? [])];
    return {
      findings,
      working,
      beams:
        finalDeg !== null && turned && byAngle
          ? [
              angleBeam(
                finalDeg,
                oneInHand(turned),
                driven.makerMinDeg,
                driven.makerMaxDeg,
                judged[0]?.verdict ?? 'incomplete',
              ),
            ]
          : (carried.driveup?.beams ?? []),
      values: {
        school: driven.school,
        turnedDeg: turned?.value ?? null,
        backDeg: back?.value ?? null,
        finalDeg,
        travelMm,
        residualMm: felt?.residualMm ?? null,
        reductionMm: felt?.reductionMm ?? null,
        cross: cross?.values ?? null,
        meets,
        backMeets,
      } satisfies LockBySchoolValues,
      next,
      choices: choicesOf(facts, turned !== undefined),
      act:
        next?.key === 'turn'
          ? meets
            ? M.slotTabForwardEnterHow({
                slot: meets.slot,
                tab: meets.tab,
                forward: meets.forwardDeg.toFixed(1),
              })
            : M.nutForwardNextLockPosition
          : next?.key === 'back'
            ? backMeets
              ? M.dismountNutSlotTabBack({
                  slot: backMeets.slot,
                  tab: backMeets.tab,
                  forward: backMeets.forwardDeg.toFixed(1),
                })
              : M.dismountNutSnugThenBack
            : next
              ? M.feelBothRowsNutLocked
              : M.secureLockAnswer,
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return COMMON.thereNoSuchPlaceHere;
    if (readingAt(facts, step.id, key)) return M.alreadyHasReadingWithdrawReason2({ label: place.label });
    if (!['turn', 'gap', 'gap-rim'].includes(key) && !readingAt(facts, step.id, 'turn'))
      return M.firstEnterHowFarNut2;
    return place;
  },
});

const twoNuts = (facts: Facts<SleeveSetup>): boolean => facts.setup.driveUp?.twoNuts === true;
const feels = (facts: Facts<SleeveSetup>): boolean => facts.setup.driveUp?.feelersToo === true;

/** An indicator that still stands on the nut says the travel better than its thread does. */
function choicesOf(facts: Facts<SleeveSetup>, turned: boolean): PlaceChoice[] {
  const open = (key: string) => !readingAt(facts, 'lock', key);
  const gap = (key: 'gap' | 'backgap', label: Text): PlaceChoice[] =>
    open(key) && open(`${key}-rim`)
      ? [
          { key, label },
          ...(facts.setup.nutRimMm === undefined
            ? []
            : [{ key: `${key}-rim`, label: M.alongRim({ label }) }]),
        ]
      : [];
  return [
    ...(turned ? [] : gap('gap', M.gapNext)),
    ...(turned && twoNuts(facts) && open('back') ? gap('backgap', M.gapBackLock) : []),
    ...(turned && schoolOf(facts.setup) === 'hydraulic' && open('indicator')
      ? [{ key: 'indicator', label: M.indicatorLock }]
      : []),
  ];
}

/** The final turn by the school’s own table. */
function judge(
  facts: Facts<SleeveSetup>,
  carried: Record<string, StepReport>,
  driven: DriveUpAngleValues | DriveUpHydraulicValues,
  finalDeg: number | null,
  travelMm: number,
): Finding[] {
  if (driven.school === 'hydraulic') return [lockedTravel(facts.setup, driven, travelMm)];
  const read = readingAt(facts, 'lock', 'turn');
  const place = anglePlace(finalDeg ?? 0, read?.instrument.step ?? 1, driven.makerMinDeg, driven.makerMaxDeg);
  return nutAngleOf(facts, carried, finalDeg ?? 0)
    .findings.filter((f) => f.code === 'nut-angle.turned')
    .map((f) =>
      place === 'over-driven' &&
      driven.place !== 'over-driven' &&
      (finalDeg ?? 0) <= driven.makerMaxDeg + lockSpacing(facts.setup)
        ? {
            ...f,
            // The least forward turn to the lock, after a drive-up that was in its band: normal practice.
            verdict: 'accept' as const,
            reason: M.pastBandByLockTurn({ final: finalDeg }),
            remedy: undefined,
            acceptable: false,
          }
        : place === 'short'
          ? {
              ...f,
              verdict: 'reject' as const,
              remedy: M.withdrawLockTurnGoNext,
              acceptable: true,
            }
          : f,
    );
}

/** The travel with the nut at its lock, against the sheet's band. */
function lockedTravel(setup: SleeveSetup, driven: DriveUpHydraulicValues, travelMm: number): Finding {
  const { minMm, maxMm, said, ours } = driveUpBand(setup.maker);
  const shared = {
    code: 'lock.turn',
    source: ours ? ('practice' as const) : ('maker' as const),
    limit: said,
  };
  const over = travelMm - maxMm;
  // No more than the way to one lock position, on top of a travel that was in its band.
  const oneLock = (pitchOf(setup).pitchMm * lockSpacing(setup)) / 360;
  if (over > EVEN_MM && over <= oneLock && driven.place === 'in-band')
    return {
      ...shared,
      verdict: 'accept',
      reason: M.travelWithLockTurn({ travel: len(travelMm), over: len(over) }),
      params: { travelMm, over },
      acceptable: false,
    };
  if (over > EVEN_MM)
    return {
      ...shared,
      verdict: 'reject',
      reason: M.nutLockBearingStandsUp({ travel: len(travelMm), over: len(over) }),
      params: { travelMm, over },
      remedy: M.overDrivenDismountInspectStart,
      acceptable: false,
    };
  return travelMm < minMm - EVEN_MM
    ? {
        ...shared,
        verdict: 'reject',
        reason: M.nutLockBearingStandsUp2({ travel: len(travelMm), min: len(minMm - travelMm) }),
        params: { travelMm, minMm: minMm - travelMm },
        remedy: M.withdrawLockTurnGoNext2,
        acceptable: true,
      }
    : {
        ...shared,
        verdict: 'accept',
        reason: M.nutLockBearingStandsUp3({ travel: len(travelMm) }),
        params: { travelMm },
        acceptable: false,
      };
}
/** Two travels are one. */
const EVEN_MM = 1e-6;

/** Reduction and residual by feelers with the nut locked, where the bench was felt too. */
function feltOf(
  facts: Facts<SleeveSetup>,
  carried: Record<string, StepReport>,
): { residualMm: number; reductionMm: number; u: number } | null {
  const bench = benchClearance.valuesOf(carried.bench);
  const pairs = pairsOf(facts, 'lock', finalKey.read);
  if (!feels(facts) || !bench || bench.benchMm === null || pairs.length === 0) return null;
  const means = pairs.map((p) => (p.rowAMm + p.rowBMm) / 2);
  const blades = inHand(
    standing(facts, 'lock').filter((r) => r.instrument.kind === 'feeler'),
    bench.bladeStepMm,
  );
  const step = blades.resolutionMm;
  const residualMm = mean(means) + (facts.setup.feel === 'goes' ? step / 2 : 0);
  const u = Math.hypot(
    bench.standardUncertaintyMm ?? 0,
    pairsUncertainty(pairs, { bladeStepMm: step, hand: handWith(bench.hand, blades.hand?.card) }),
  );
  return { residualMm, reductionMm: bench.benchMm - residualMm, u };
}

function missing(facts: Facts<SleeveSetup>, felt: boolean): Finding[] {
  const out: Finding[] = [];
  const add = (code: string, reason: Text, remedy: Text) =>
    out.push({ code, verdict: 'incomplete', reason, params: {}, remedy, acceptable: false });
  if (!readingAt(facts, 'lock', 'turn')) return out;
  if (twoNuts(facts) && !readingAt(facts, 'lock', 'back'))
    add('lock.back', M.howFarDismountNutCame, M.snugLastTurnBackFirst);
  if (feels(facts) && !felt) add('lock.final', M.residualClearanceNutLockedNot, M.feelBothRowsOnceMore);
  return out;
}

function nextPlace(facts: Facts<SleeveSetup>, felt: boolean): Place | null {
  if (!readingAt(facts, 'lock', 'turn')) return placeOf(facts, 'turn');
  if (twoNuts(facts) && !readingAt(facts, 'lock', 'back')) return placeOf(facts, 'back');
  if (!feels(facts) || felt) return null;
  for (const row of ['A', 'B'] as const)
    if (!readingAt(facts, 'lock', finalKey.write({ row, n: 1 })))
      return placeOf(facts, finalKey.write({ row, n: 1 }));
  return null;
}

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const angle = (label: Text): Place => ({
    key,
    label,
    quantity: 'angle',
    low: 0,
    high: 180,
    instrumentKinds: ['protractor'],
  });
  if (key === 'turn') return angle(twoNuts(facts) ? M.mountNutLockPosition : M.nutLockPosition);
  if (key === 'gap' || (key === 'backgap' && twoNuts(facts))) {
    const { label, high } = lockMeasure(facts.setup);
    return { ...angle(key === 'gap' ? label : M.goingBack({ label })), high };
  }
  if (key === 'gap-rim' || (key === 'backgap-rim' && twoNuts(facts))) return rimPlace(facts.setup, key);
  if (key === 'indicator')
    return schoolOf(facts.setup) === 'hydraulic'
      ? {
          key,
          label: M.indicatorNutLockWhereStill,
          quantity: 'dial',
          low: -60,
          high: 60,
          instrumentKinds: ['dial'],
        }
      : null;
  if (key === 'back') return twoNuts(facts) ? angle(M.dismountNutBackLockPosition) : null;
  const at = finalKey.read(key);
  if (!at || at.n < 1 || at.n > 9 || !feels(facts)) return null;
  return {
    key,
    label: M.lockedRow({ row: at.row, n: at.n === 1 ? '' : M.again({ n: at.n }) }),
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, facts.setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
