import { type SleeveSetup, sleeveOf } from '../../api/setup.ts';
import { hydraulicNut } from '../../bearings/hydraulic-nut.ts';
import type { CalculatorResult, Finding } from '../../calculators/result.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { len, pres } from '../../quantities/say.ts';
import type { StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';

/** One stop of the pump: its pressure, and how far the bearing stood up its taper. */
export type PumpPoint = { n: number; pressureMpa: number; travelMm: number | null; aborted: boolean };

export type DriveUpHydraulicValues = {
  school: 'hydraulic';
  startPressureMpa: number;
  abortPressureMpa: number;
  driveUpMinMm: number;
  driveUpMaxMm: number;
  zeroed: boolean;
  points: PumpPoint[];
  travelMm: number | null;
  leftMinMm: number | null;
  leftMaxMm: number | null;
  place: 'not-begun' | 'short' | 'in-band' | 'over-driven' | 'aborted';
};

/** How near the start pressure the indicator is zeroed. Common practice, no source. */
const START_WITHIN = 0.05;
/** A released pump shows no more than this. */
const RELEASED_MPA = 1;
const STOPS_MOST = 60;

type Sheet = Required<
  Pick<
    SleeveSetup['maker'],
    'startPressureMpa' | 'sheetAreaMm2' | 'nutAreaMm2' | 'driveUpMinMm' | 'driveUpMaxMm' | 'abortPressureMpa'
  >
>;

/** What the maker's sheet must give; a setup that lacks it is refused. */
function sheetOf(setup: SleeveSetup): { [K in keyof Sheet]: number } {
  const m = setup.maker;
  const value = (v: number | undefined, what: string): number => {
    if (v === undefined) throw new RangeError(`${what} is missing.`);
    return v;
  };
  return {
    startPressureMpa: value(m.startPressureMpa, 'The start pressure'),
    sheetAreaMm2: value(m.sheetAreaMm2, 'The piston area on the sheet'),
    nutAreaMm2: value(m.nutAreaMm2, 'The piston area of the nut'),
    driveUpMinMm: value(m.driveUpMinMm, 'The least drive-up'),
    driveUpMaxMm: value(m.driveUpMaxMm, 'The most drive-up'),
    abortPressureMpa: value(m.abortPressureMpa, 'The abort pressure'),
  };
}

/** Which way the indicator goes as the bearing moves up: 1 as it reads more, −1 as it reads less. */
const signOf = (setup: SleeveSetup): 1 | -1 => (setup.driveUp?.indicator === 'towards' ? 1 : -1);

const at = (facts: Facts, key: string): Reading | undefined => readingAt(facts, 'driveup', key);

function sum(
  facts: Facts,
  now?: Reading,
  pressure?: Reading,
): CalculatorResult<{
  travelMm: number | null;
  startPressureMpa: number;
  leftMinMm: number | null;
  leftMaxMm: number | null;
  aborted: boolean;
}> {
  const setup = sleeveOf(facts);
  const zero = at(facts, 'start/z');
  return hydraulicNut({
    ...sheetOf(setup),
    zeroMm: zero?.value,
    sign: signOf(setup),
    nowMm: now?.value ?? zero?.value,
    nowPressureMpa: pressure?.value,
    resolutionMm: Math.max(zero?.instrument.step ?? 0.01, now?.instrument.step ?? 0),
  });
}

/** Every stop of the pump so far, in order. */
function pointsOf(facts: Facts): PumpPoint[] {
  const points: PumpPoint[] = [];
  for (let n = 1; n <= STOPS_MOST; n++) {
    const p = at(facts, `n${n}/p`);
    if (!p) break;
    const d = at(facts, `n${n}/d`);
    const { travelMm, aborted } = sum(facts, d, p).values;
    points.push({ n, pressureMpa: p.value, travelMm: d ? travelMm : null, aborted: d ? aborted : false });
  }
  return points;
}

/** The key to read next. */
function nextKey(facts: Facts, points: PumpPoint[], place: DriveUpHydraulicValues['place']): string | null {
  if (!at(facts, 'start/p')) return 'start/p';
  if (!at(facts, 'start/z')) return 'start/z';
  const last = points.at(-1);
  if (!last) return 'n1/p';
  if (last.travelMm === null) return `n${last.n}/d`;
  if (last.aborted) {
    if (!at(facts, `n${last.n}/release`)) return `n${last.n}/release`;
    if (!at(facts, `n${last.n}/back`)) return `n${last.n}/back`;
  }
  return place === 'in-band' || place === 'over-driven' || last.n >= STOPS_MOST ? null : `n${last.n + 1}/p`;
}

/**
 * Drive-up by hydraulic nut: the start pressure, one zero there, then pressure and travel stop by stop to the maker's
 * distance. Where the abort pressure comes first it is released, the cause found, and gone on from the same zero.
 */
export const driveUpHydraulic: StepKind = {
  report(facts, step) {
    const setup = sleeveOf(facts);
    const sheet = sheetOf(setup);
    const points = pointsOf(facts);
    const last = points.at(-1);
    const lastP = last ? at(facts, `n${last.n}/p`) : undefined;
    const lastD = last ? at(facts, `n${last.n}/d`) : undefined;
    const result = sum(facts, lastD, last?.travelMm === null ? undefined : lastP);
    const freed = last?.aborted && at(facts, `n${last.n}/back`) !== undefined;
    const travel = points.findLast((p) => p.travelMm !== null)?.travelMm ?? null;
    const judged = result.findings.find((f) => f.code === 'hydraulic.travel');
    const place: DriveUpHydraulicValues['place'] =
      travel === null
        ? 'not-begun'
        : last?.aborted && !freed
          ? 'aborted'
          : judged?.verdict === 'reject'
            ? 'over-driven'
            : travel < sheet.driveUpMinMm
              ? 'short'
              : 'in-band';
    const key = nextKey(facts, points, place);
    return {
      findings: [
        ...startFindings(facts, result.values.startPressureMpa),
        ...settled(result.findings, freed === true, points.length > 0),
        ...abortsFreed(facts, points),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result.working,
      beams: travel === null ? [] : result.beams,
      values: {
        school: 'hydraulic',
        startPressureMpa: result.values.startPressureMpa,
        abortPressureMpa: sheet.abortPressureMpa,
        driveUpMinMm: sheet.driveUpMinMm,
        driveUpMaxMm: sheet.driveUpMaxMm,
        zeroed: at(facts, 'start/z') !== undefined,
        points,
        travelMm: travel,
        leftMinMm: travel === null ? null : result.values.leftMinMm,
        leftMaxMm: travel === null ? null : result.values.leftMaxMm,
        place,
      } satisfies DriveUpHydraulicValues,
      next: key ? placeOf(key) : null,
      act: sayAct(key, place, result.values.startPressureMpa, last),
    };
  },
  place(facts, _step, key) {
    const place = placeOf(key);
    if (!place) return 'There is no such place at the pump.';
    if (at(facts, key))
      return `${place.label} is entered already. Withdraw it, with a reason, to enter it again.`;
    const points = pointsOf(facts);
    if (key.startsWith('start/') && points.length > 0)
      return 'Drive-up has begun: it is never zeroed again half way. Dismount for a new zero.';
    const travel = points.at(-1)?.travelMm ?? null;
    const over =
      travel !== null &&
      sum(facts, at(facts, `n${points.length}/d`)).findings.some(
        (f) => f.code === 'hydraulic.travel' && f.verdict === 'reject',
      );
    const wanted = nextKey(facts, points, over ? 'over-driven' : 'short');
    if (wanted === null) return 'Past the band: nothing more is pumped. Dismount, inspect, new zero.';
    return key === wanted ? place : `First: ${(placeOf(wanted)?.label ?? wanted).toLowerCase()}.`;
  },
};

/** An abort that was released and freed stays on the record: at which stop, and how far the other nut was turned back. */
function abortsFreed(facts: Facts, points: PumpPoint[]): Finding[] {
  const freed = points.flatMap((p) => {
    const back = p.aborted ? at(facts, `n${p.n}/back`) : undefined;
    return back ? [{ n: p.n, travelMm: p.travelMm ?? 0, backDeg: back.value }] : [];
  });
  const last = freed.at(-1);
  return last
    ? [
        {
          code: 'hydraulic.aborted',
          verdict: 'caution',
          reason: `Abort pressure came first at stop ${last.n}, ${len(last.travelMm)} driven; released, the other nut turned back ${last.backDeg}°.`,
          source: 'maker',
          remedy: 'Go on from the same zero.',
          acceptable: true,
        },
      ]
    : [];
}

/** An abort that was freed stands no more in the way; before the first stop there is no travel to judge. */
function settled(findings: Finding[], freed: boolean, begun: boolean): Finding[] {
  return findings.flatMap((f) => {
    if (f.code === 'hydraulic.abort' && freed) return [];
    return f.code === 'hydraulic.travel' && !begun ? [{ ...f, verdict: 'incomplete' as const }] : [f];
  });
}

function startFindings(facts: Facts, wantedMpa: number): Finding[] {
  const read = at(facts, 'start/p');
  if (!read)
    return [
      {
        code: 'hydraulic.start',
        verdict: 'incomplete',
        reason: `The start pressure, ${pres(wantedMpa)} on this nut, is not reached yet.`,
        source: 'maker',
        acceptable: false,
      },
    ];
  const off = Math.abs(read.value - wantedMpa) / wantedMpa;
  return [
    {
      code: 'hydraulic.start',
      source: 'maker',
      limit: `${pres(wantedMpa)} ± 5 %`,
      acceptable: false,
      ...(off <= START_WITHIN
        ? { verdict: 'accept', reason: `Start pressure ${pres(read.value)}.` }
        : {
            verdict: 'reject',
            reason: `${pres(read.value)} is not the start pressure of this nut, ${pres(wantedMpa)}: a zero there means nothing.`,
            remedy: 'Withdraw it, bring the pump to the start pressure, zero there.',
          }),
    },
  ];
}

function sayAct(
  key: string | null,
  place: DriveUpHydraulicValues['place'],
  startMpa: number,
  last: PumpPoint | undefined,
): string {
  if (place === 'over-driven') return 'Past the band: release, dismount, new zero.';
  if (key === 'start/p') return `Pump to the start pressure, ${pres(startMpa)}`;
  if (key === 'start/z') return 'Zero the indicator, once; plunger in for the whole travel';
  if (key?.endsWith('/d')) return 'Hold the pressure: read the indicator';
  if (key?.endsWith('/release')) return 'Abort pressure: release the pump';
  if (key?.endsWith('/back')) return 'Is the other nut loose? Turn it back';
  if (place === 'in-band') return `Driven ${len(last?.travelMm ?? 0)}: in the band. Release next.`;
  return 'Pump on, a little at a time; read the pressure';
}

function placeOf(key: string): Place | null {
  const pressure = (label: string, high = 300): Place => ({
    key,
    label,
    kind: 'pressure',
    low: 0,
    high,
    instrumentKinds: ['pressure'],
  });
  const dial = (label: string): Place => ({
    key,
    label,
    kind: 'dial',
    low: -60,
    high: 60,
    instrumentKinds: ['dial'],
  });
  if (key === 'start/p') return pressure('Start pressure at the pump');
  if (key === 'start/z') return dial('Indicator at the start pressure');
  const m = /^n(\d{1,2})\/(p|d|release|back)$/.exec(key);
  const n = Number(m?.[1]);
  if (!m || n < 1 || n > STOPS_MOST) return null;
  if (m[2] === 'p') return pressure(`Pressure, stop ${n}`);
  if (m[2] === 'd') return dial(`Indicator, stop ${n}`);
  if (m[2] === 'release') return pressure('Pump released, pressure left', RELEASED_MPA);
  return {
    key,
    label: 'Other nut turned back, 0 if it was loose',
    kind: 'angle',
    low: 0,
    high: 720,
    instrumentKinds: ['protractor'],
  };
}
