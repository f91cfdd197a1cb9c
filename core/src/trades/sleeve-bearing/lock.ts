import type { DriveUpForecastValues } from '../../arithmetic/bearings/drive-up-forecast.ts';
import { answerTo, readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { nothingYet } from '../../steps/nothing-yet.ts';
import { driveUp, finalKey, forecastOf, pairsOf } from './drive-up.ts';
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
    if (!driven) return nothingYet('Drive the bearing up first.');
    const turned = readingAt(facts, step.id, 'turn');
    const finalDeg = driven.angleDeg + (turned?.value ?? 0);
    const forecast = finalForecast(facts, carried, finalDeg);
    const bent = answerTo(facts, step.id, 'bent')?.answer === 'yes';
    const findings: Finding[] = [];
    if (!turned) {
      findings.push({
        code: 'lock.turn',
        verdict: 'incomplete',
        reason: 'How far the nut went on to the next tab is not entered.',
        params: {},
        remedy: 'Turn forward to the alignment and enter the angle; 0 if a tab already met.',
        acceptable: false,
      });
    } else if (!forecast) {
      findings.push({
        code: 'lock.final',
        verdict: 'incomplete',
        reason: 'The residual clearance with the nut locked is not yet felt.',
        params: {},
        remedy: 'Feel both rows once more.',
        acceptable: false,
      });
    }
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
                  remedy: 'Withdraw the lock readings and go on in sixteenths, or the lead hand accepts.',
                }
              : f,
          ),
      );
    }
    if (!bent)
      findings.push({
        code: 'lock.bent',
        verdict: 'incomplete',
        reason: 'The tab is not yet bent into its slot.',
        params: {},
        remedy: 'Bend it home and answer.',
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
        ? 'Turn the nut forward to the next tab and enter the angle.'
        : !forecast
          ? 'Feel both rows with the nut locked.'
          : forecast.values.tilted
            ? 'Square the outer ring, feel both rows again'
            : findings.some((f) => f.code === 'driveup.place' && f.verdict === 'too-close') && !bent
              ? 'Too close to call: feel both rows three times more, then bend the tab.'
              : bent
                ? `Locked at ${sayNutAngle(finalDeg)}.`
                : 'Bend the tab into its slot.',
    };
  },
  place(facts, step, key, carried) {
    const place = placeOf(facts, key);
    if (!place) return 'There is no such place here.';
    if (readingAt(facts, step.id, key))
      return `${place.label} already has a reading. Withdraw it, with a reason, to enter it again.`;
    if (key !== 'turn' && !readingAt(facts, step.id, 'turn'))
      return 'First enter how far the nut was turned on to the tab.';
    const driven = driveUp.valuesOf(carried.driveup);
    const finalDeg = (driven?.angleDeg ?? 0) + (readingAt(facts, step.id, 'turn')?.value ?? 0);
    if (finalForecast(facts, carried, finalDeg)?.values.place === 'over-driven') {
      return 'The bearing is over-driven: nothing more is measured on it. Dismount it, or withdraw the reading if it was misread.';
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
      label: 'Nut turned forward to the tab',
      quantity: 'angle',
      low: 0,
      high: 90,
      instrumentKinds: ['protractor'],
    };
  const at = finalKey.read(key);
  if (!at || at.n < 1 || at.n > 9) return null;
  return {
    key,
    label: `Locked, row ${at.row}${at.n === 1 ? '' : `, again (${at.n})`}`,
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
