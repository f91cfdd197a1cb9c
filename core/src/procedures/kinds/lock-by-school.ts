import { sleeveOf } from '../../api/setup.ts';
import { mountingLimits } from '../../bearings/clearance-table.ts';
import { type CrossCheckValues, crossCheck } from '../../bearings/cross-check.ts';
import type { Finding, WorkingLine } from '../../calculators/result.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { mean, meanUncertainty } from '../../metrology/uncertainty.ts';
import type { StepKind } from '../types.ts';
import type { BenchValues } from './bench-clearance.ts';
import { pairsOf } from './drive-up.ts';
import { angleBeam, anglePlace, type DriveUpAngleValues, nutAngleOf } from './drive-up-angle.ts';
import type { DriveUpHydraulicValues } from './drive-up-hydraulic.ts';
import { gaugeFindings } from './gauges.ts';
import { itemFindings } from './item-findings.ts';
import { nothingYet } from './nothing-yet.ts';

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
};

/**
 * The lock of a bearing driven up by nut angle or by a hydraulic nut: forward to the lock position, judged by the school's own
 * table; a dismount nut comes back to its own. Felt once more where feelers go along, as a check of one method by the other.
 */
export const lockBySchool: StepKind = {
  report(facts, step, carried) {
    const driven = carried.driveup?.values as DriveUpAngleValues | DriveUpHydraulicValues | null | undefined;
    if (!driven) return nothingYet('Drive the bearing up first.');
    const setup = sleeveOf(facts);
    const taken = standing(facts, step.id);
    const turned = readingAt(facts, step.id, 'turn');
    const back = readingAt(facts, step.id, 'back');
    const byAngle = driven.school === 'nut-angle';
    const finalDeg = byAngle ? driven.turnedDeg + (turned?.value ?? 0) : null;
    const travelMm = byAngle
      ? driven.travelMm + (setup.pitchMm * (turned?.value ?? 0)) / 360
      : (driven.travelMm ?? 0);
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
    const judged = turned ? judge(facts, carried, driven, finalDeg) : [];
    const findings: Finding[] = [
      ...(turned
        ? judged
        : [
            {
              code: 'lock.turn',
              verdict: 'incomplete' as const,
              reason: 'How far the nut went on to its lock position is not entered.',
              remedy: 'Turn forward to the lock and enter the angle; 0 if it met already.',
              acceptable: false,
            },
          ]),
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
                turned.instrument.step,
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
      } satisfies LockBySchoolValues,
      next,
      act:
        next?.key === 'turn'
          ? 'Nut forward to the next lock position: enter how far.'
          : next?.key === 'back'
            ? 'Dismount nut snug, then back to its first lock position.'
            : next
              ? 'Feel both rows with the nut locked.'
              : 'Secure the lock and answer.',
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return 'There is no such place here.';
    if (readingAt(facts, step.id, key))
      return `${place.label} already has a reading. Withdraw it, with a reason, to enter it again.`;
    if (key !== 'turn' && !readingAt(facts, step.id, 'turn'))
      return 'First enter how far the nut was turned on to its lock.';
    return place;
  },
};

const twoNuts = (facts: Facts): boolean => sleeveOf(facts).driveUp?.twoNuts === true;
const feels = (facts: Facts): boolean => sleeveOf(facts).driveUp?.feelersToo === true;

/** The final turn by the school’s own table. */
function judge(
  facts: Facts,
  carried: Record<string, StepReport>,
  driven: DriveUpAngleValues | DriveUpHydraulicValues,
  finalDeg: number | null,
): Finding[] {
  if (driven.school === 'hydraulic')
    return [
      {
        code: 'lock.turn',
        verdict: 'accept',
        reason: 'The lock nut is snug and at its lock position; the travel stands as driven.',
        source: 'maker',
        acceptable: true,
      },
    ];
  const read = readingAt(facts, 'lock', 'turn');
  const place = anglePlace(finalDeg ?? 0, read?.instrument.step ?? 1, driven.makerMinDeg, driven.makerMaxDeg);
  return nutAngleOf(facts, carried, finalDeg ?? 0)
    .findings.filter((f) => f.code === 'nut-angle.turned')
    .map((f) =>
      place === 'short'
        ? {
            ...f,
            verdict: 'reject' as const,
            remedy: 'Withdraw the lock turn and go on to the next lock position in the band.',
            acceptable: true,
          }
        : f,
    );
}

/** Reduction and residual by feelers with the nut locked, where the bench was felt too. */
function feltOf(
  facts: Facts,
  carried: Record<string, StepReport>,
): { residualMm: number; reductionMm: number; u: number } | null {
  const bench = carried.bench?.values as BenchValues | null | undefined;
  const pairs = pairsOf(facts, 'lock', 'final');
  if (!feels(facts) || !bench || bench.benchMm === null || pairs.length === 0) return null;
  const means = pairs.map((p) => (p.rowAMm + p.rowBMm) / 2);
  const step = Math.max(
    bench.bladeStepMm,
    ...standing(facts, 'lock')
      .filter((r) => r.instrument.kind === 'feeler')
      .map((r) => r.instrument.step),
  );
  const residualMm = mean(means) + (sleeveOf(facts).feel === 'goes' ? step / 2 : 0);
  const u = Math.hypot(bench.standardUncertaintyMm ?? 0, meanUncertainty(means, step / Math.SQRT2));
  return { residualMm, reductionMm: bench.benchMm - residualMm, u };
}

function missing(facts: Facts, felt: boolean): Finding[] {
  const out: Finding[] = [];
  const add = (code: string, reason: string, remedy: string) =>
    out.push({ code, verdict: 'incomplete', reason, remedy, acceptable: false });
  if (!readingAt(facts, 'lock', 'turn')) return out;
  if (twoNuts(facts) && !readingAt(facts, 'lock', 'back'))
    add(
      'lock.back',
      'How far the dismount nut came back to its lock position is not entered.',
      'Snug it last, turn it back to its first lock position; enter the angle.',
    );
  if (feels(facts) && !felt)
    add(
      'lock.final',
      'The residual clearance with the nut locked is not yet felt.',
      'Feel both rows once more.',
    );
  return out;
}

function nextPlace(facts: Facts, felt: boolean): Place | null {
  if (!readingAt(facts, 'lock', 'turn')) return placeOf(facts, 'turn');
  if (twoNuts(facts) && !readingAt(facts, 'lock', 'back')) return placeOf(facts, 'back');
  if (!feels(facts) || felt) return null;
  for (const row of ['A', 'B'])
    if (!readingAt(facts, 'lock', `final/${row}/1`)) return placeOf(facts, `final/${row}/1`);
  return null;
}

function placeOf(facts: Facts, key: string): Place | null {
  const angle = (label: string): Place => ({
    key,
    label,
    kind: 'angle',
    low: 0,
    high: 180,
    instrumentKinds: ['protractor'],
  });
  if (key === 'turn')
    return angle(twoNuts(facts) ? 'Mount nut on to its lock position' : 'Nut on to its lock position');
  if (key === 'back') return twoNuts(facts) ? angle('Dismount nut back to its lock position') : null;
  const m = /^final\/([AB])\/([1-9])$/.exec(key);
  if (!m || !feels(facts)) return null;
  return {
    key,
    label: `Locked, row ${m[1]}${m[2] === '1' ? '' : `, again (${m[2]})`}`,
    kind: 'gap',
    low: 0,
    high: Math.max(0.3, sleeveOf(facts).boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
