import type { DriveUpForecastValues } from '../../arithmetic/bearings/drive-up-forecast.ts';
import { lockSpacing } from '../../arithmetic/bearings/lock-stops.ts';
import { answerTo, readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { nothingYet } from '../../steps/nothing-yet.ts';
import { driveUp, finalKey, forecastOf, pairsOf } from './drive-up.ts';
import { turnedOtherwise } from './lock-turn.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

export type LockValues = {
  /** How far the nut was turned on to meet the tab; null before it is said. */
  turnedDeg: number | null;
  finalDeg: number;
  final: DriveUpForecastValues | null;
  bent: boolean;
};

/** The last turn forward to a tab, the tab bent, and the residual clearance felt with the nut locked. */
export const lock = stepKind<SleeveSetup, LockValues | null>('nut-lock', {
  essential: true,
  report(facts, step, carried) {
    const driven = driveUp.valuesOf(carried.driveup);
    if (!driven) return nothingYet(M.driveBearingUpFirst);
    const turned = readingAt(facts, step.id, 'turn');
    const finalDeg = driven.angleDeg + (turned?.value ?? 0);
    const forecast = finalForecast(facts, carried, finalDeg);
    const bent = answerTo(facts, step.id, 'bent')?.answer === 'yes';
    const findings: Finding[] = [];
    if (!turned) {
      findings.push({
        code: 'lock.turn',
        verdict: 'incomplete',
        reason: M.howFarNutWentNext,
        params: {},
        remedy: M.turnForwardAlignmentEnterAngle,
        acceptable: false,
      });
    } else if (!forecast) {
      findings.push({
        code: 'lock.final',
        verdict: 'incomplete',
        reason: M.residualClearanceNutLockedNot,
        params: {},
        remedy: M.feelBothRowsOnceMore,
        acceptable: false,
      });
    }
    const least = driven.phase ? driven.lock.least : null;
    if (turned && least)
      findings.push(...turnedOtherwise(turned, least.forwardDeg, lockSpacing(facts.setup)));
    if (forecast) {
      findings.push(
        ...forecast.findings
          .filter((f) => ['driveup.place', 'driveup.over-driven', 'driveup.rows'].includes(f.code))
          .map((f) =>
            f.code === 'driveup.place' && f.verdict === 'incomplete'
              ? {
                  ...f,
                  code: 'lock.short',
                  verdict: 'reject' as const,
                  acceptable: true,
                  remedy: M.withdrawLockReadingsGoSixteenths,
                }
              : f,
          ),
      );
    }
    if (!bent)
      findings.push({
        code: 'lock.bent',
        verdict: 'incomplete',
        reason: M.tabNotYetBentInto,
        params: {},
        remedy: M.bendHomeAnswer,
        acceptable: false,
      });
    const next = forecast?.values.place === 'over-driven' ? null : nextPlace(facts);
    return {
      findings: [...findings, ...gaugeFindings(standing(facts, step.id))],
      working: forecast?.working ?? carried.driveup?.working ?? [],
      beams: forecast?.beams ?? carried.driveup?.beams ?? [],
      values: {
        turnedDeg: turned?.value ?? null,
        finalDeg,
        final: forecast?.values ?? null,
        bent,
      } satisfies LockValues,
      next,
      act: !turned
        ? M.turnNutForwardNextTab
        : !forecast
          ? M.feelBothRowsNutLocked
          : forecast.values.tilted
            ? M.squareOuterRingFeelBoth
            : findings.some((f) => f.code === 'driveup.place' && f.verdict === 'too-close') && !bent
              ? M.tooCloseCallFeelBoth
              : bent
                ? M.locked2({ final: sayNutAngle(finalDeg) })
                : M.bendTabIntoSlot,
    };
  },
  place(facts, step, key, carried) {
    const place = placeOf(facts, key);
    if (!place) return COMMON.thereNoSuchPlaceHere;
    if (readingAt(facts, step.id, key)) return M.alreadyHasReadingWithdrawReason2({ label: place.label });
    if (key !== 'turn' && !readingAt(facts, step.id, 'turn')) return M.firstEnterHowFarNut;
    const driven = driveUp.valuesOf(carried.driveup);
    const finalDeg = (driven?.angleDeg ?? 0) + (readingAt(facts, step.id, 'turn')?.value ?? 0);
    if (finalForecast(facts, carried, finalDeg)?.values.place === 'over-driven') {
      return M.bearingOverDrivenNothingMore;
    }
    return place;
  },
});

/** The forecast with the readings taken locked; null before both rows are felt. At a turn of zero they count with those before. */
function finalForecast(
  facts: Facts<SleeveSetup>,
  carried: Record<string, StepReport>,
  finalDeg: number,
): ReturnType<typeof forecastOf> {
  const pairs = pairsOf(facts, 'lock', finalKey.read).map((p) => ({ ...p, angleDeg: finalDeg }));
  return pairs.length > 0 ? forecastOf(facts, carried, pairs) : null;
}

function nextPlace(facts: Facts<SleeveSetup>): Place | null {
  if (!readingAt(facts, 'lock', 'turn')) return placeOf(facts, 'turn');
  for (let n = 1; n <= 9; n++) {
    for (const row of ['A', 'B'] as const) {
      if (!readingAt(facts, 'lock', finalKey.write({ row, n })))
        return placeOf(facts, finalKey.write({ row, n }));
    }
  }
  return null;
}

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const setup = facts.setup;
  if (key === 'turn')
    return {
      key,
      label: M.nutTurnedForwardTab,
      quantity: 'angle',
      low: 0,
      high: 90,
      instrumentKinds: ['protractor'],
    };
  const at = finalKey.read(key);
  if (!at || at.n < 1 || at.n > 9) return null;
  return {
    key,
    label: M.lockedRow({ row: at.row, n: at.n === 1 ? '' : M.again({ n: at.n }) }),
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
