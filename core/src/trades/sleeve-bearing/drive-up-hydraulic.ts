import { hydraulicNut } from '../../arithmetic/bearings/hydraulic-nut.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { readingUncertainty } from '../../metrology/uncertainty.ts';
import { len, pres } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { driveUpBand } from './drive-up-band.ts';
import type { SleeveSetup } from './setup.ts';

/** One stop of the pump: its pressure, and how far the bearing stood up its taper. */
export type PumpPoint = { n: number; pressureMpa: number; travelMm: number | null; aborted: boolean };

export type DriveUpHydraulicValues = {
  school: 'hydraulic';
  startPressureMpa: number;
  /** Null where the sheet gives none. */
  abortPressureMpa: number | null;
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
const STOPS_MOST = 60;

/** What the maker's sheet gives; start pressure and drive-up it must: a setup that lacks them is refused. */
function sheetOf({ maker: m }: SleeveSetup) {
  if (m.startPressureMpa === undefined) throw new RangeError('The start pressure is missing.');
  const band = driveUpBand(m);
  return {
    startPressureMpa: m.startPressureMpa,
    sheetAreaMm2: m.sheetAreaMm2,
    nutAreaMm2: m.nutAreaMm2,
    driveUpMinMm: band.minMm,
    driveUpMaxMm: band.maxMm,
    abortPressureMpa: m.abortPressureMpa,
  };
}

/** Which way the indicator goes as the bearing moves up: 1 as it reads more, −1 as it reads less. */
const signOf = (setup: SleeveSetup): 1 | -1 => (setup.driveUp?.indicator === 'towards' ? 1 : -1);

const at = (facts: Facts<SleeveSetup>, key: string): Reading | undefined => readingAt(facts, 'driveup', key);

/** Travel from the one zero to where the indicator stands now, mm. */
export const travelAt = (facts: Facts<SleeveSetup>, indicatorMm: number): number =>
  signOf(facts.setup) * (indicatorMm - (at(facts, 'start/z')?.value ?? 0));

function sum(
  facts: Facts<SleeveSetup>,
  now?: Reading,
  pressure?: Reading,
): CalculatorResult<{
  travelMm: number | null;
  startPressureMpa: number;
  leftMinMm: number | null;
  leftMaxMm: number | null;
  aborted: boolean;
}> {
  const setup = facts.setup;
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
function pointsOf(facts: Facts<SleeveSetup>): PumpPoint[] {
  const points: PumpPoint[] = [];
  for (let n = 1; n <= STOPS_MOST; n++) {
    const p = at(facts, stopKey.write({ n, what: 'p' }));
    if (!p) break;
    const d = at(facts, stopKey.write({ n, what: 'd' }));
    const { travelMm, aborted } = sum(facts, d, p).values;
    points.push({ n, pressureMpa: p.value, travelMm: d ? travelMm : null, aborted });
  }
  return points;
}

/** The key to read next. */
function nextKey(
  facts: Facts<SleeveSetup>,
  points: PumpPoint[],
  place: DriveUpHydraulicValues['place'],
): string | null {
  if (!at(facts, 'start/p')) return 'start/p';
  if (!at(facts, 'start/z')) return 'start/z';
  const last = points.at(-1);
  if (!last) return 'n1/p';
  if (last.travelMm === null) return stopKey.write({ n: last.n, what: 'd' });
  if (last.aborted) {
    if (!at(facts, stopKey.write({ n: last.n, what: 'release' })))
      return stopKey.write({ n: last.n, what: 'release' });
    if (!at(facts, stopKey.write({ n: last.n, what: 'back' })))
      return stopKey.write({ n: last.n, what: 'back' });
  }
  return place === 'in-band' || place === 'over-driven' || last.n >= STOPS_MOST
    ? null
    : stopKey.write({ n: last.n + 1, what: 'p' });
}

/** The nut that may hold the sleeve: the other one, where there are two. */
const nutOf = (setup: SleeveSetup): string => (setup.driveUp?.twoNuts ? 'the other nut' : 'the lock nut');

/** A stop on the way up: pressure, indicator; where it came to an abort, the release and the other nut. */
const stopKey = placeKey('n{n}/{what:p|d|release|back}');

/**
 * Drive-up by hydraulic nut: the start pressure, one zero there, then pressure and travel stop by stop to the maker's
 * distance. Where the abort pressure comes first it is released, the cause found, and gone on from the same zero.
 */
export const driveUpHydraulic = stepKind<SleeveSetup, DriveUpHydraulicValues | null>('drive-up-hydraulic', {
  essential: true,
  report(facts, step) {
    const setup = facts.setup;
    const sheet = sheetOf(setup);
    const points = pointsOf(facts);
    const last = points.at(-1);
    const lastP = last ? at(facts, stopKey.write({ n: last.n, what: 'p' })) : undefined;
    const lastD = last ? at(facts, stopKey.write({ n: last.n, what: 'd' })) : undefined;
    const result = sum(facts, lastD, lastP);
    const freed = last?.aborted && at(facts, stopKey.write({ n: last.n, what: 'back' })) !== undefined;
    const travel = points.findLast((p) => p.travelMm !== null)?.travelMm ?? null;
    const judged = result.findings.find((f) => f.code === 'hydraulic.travel');
    const place: DriveUpHydraulicValues['place'] =
      last?.aborted && !freed
        ? 'aborted'
        : travel === null
          ? 'not-begun'
          : judged?.verdict === 'reject'
            ? 'over-driven'
            : travel < sheet.driveUpMinMm
              ? 'short'
              : 'in-band';
    const key = nextKey(facts, points, place);
    const start = startFindings(facts, result.values.startPressureMpa);
    const wrong = start.find((f) => f.verdict === 'reject');
    return {
      findings: [
        ...start,
        ...settled(result.findings, freed === true, points.length > 0),
        ...abortsFreed(facts, points),
        ...held(facts, points),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result.working,
      beams: travel === null ? [] : result.beams,
      values: {
        school: 'hydraulic',
        startPressureMpa: result.values.startPressureMpa,
        abortPressureMpa: sheet.abortPressureMpa ?? null,
        driveUpMinMm: sheet.driveUpMinMm,
        driveUpMaxMm: sheet.driveUpMaxMm,
        zeroed: at(facts, 'start/z') !== undefined,
        points,
        travelMm: travel,
        leftMinMm: travel === null ? null : result.values.leftMinMm,
        leftMaxMm: travel === null ? null : result.values.leftMaxMm,
        place,
      } satisfies DriveUpHydraulicValues,
      next: key ? placeOf(facts.setup, key) : null,
      act: wrong
        ? 'Withdraw the start pressure: it is not this nut’s'
        : sayAct(key, place, result.values.startPressureMpa, last, nutOf(facts.setup)),
    };
  },
  place(facts, _step, key) {
    const place = placeOf(facts.setup, key);
    if (!place) return 'There is no such place at the pump.';
    if (at(facts, key))
      return `${place.label} is entered already. Withdraw it, with a reason, to enter it again.`;
    const points = pointsOf(facts);
    if (key.startsWith('start/') && points.length > 0)
      return 'Drive-up has begun: it is never zeroed again half way. Dismount for a new zero.';
    const travel = points.at(-1)?.travelMm ?? null;
    const over =
      travel !== null &&
      sum(facts, at(facts, stopKey.write({ n: points.length, what: 'd' }))).findings.some(
        (f) => f.code === 'hydraulic.travel' && f.verdict === 'reject',
      );
    const wanted = nextKey(facts, points, over ? 'over-driven' : 'short');
    if (wanted === null) return 'Past the band: nothing more is pumped. Dismount, inspect, new zero.';
    return key === wanted
      ? place
      : `First: ${(placeOf(facts.setup, wanted)?.label ?? wanted).toLowerCase()}.`;
  },
});

/** Released is the gauge on its stop: no more than one step of it. */
function held(facts: Facts<SleeveSetup>, points: PumpPoint[]): Finding[] {
  return points.flatMap((p) => {
    const left = at(facts, stopKey.write({ n: p.n, what: 'release' }));
    return left && left.value > left.instrument.step
      ? [
          {
            code: 'hydraulic.held',
            verdict: 'reject' as const,
            reason: `${pres(left.value)} is left on the gauge at stop ${p.n}: the pump is not released.`,
            params: { value: left.value, n: p.n },
            limit: `one step of the gauge, ${pres(left.instrument.step)}`,
            source: 'practice' as const,
            remedy:
              'Withdraw it; release until the gauge lies on its stop and the hose is slack, and read again.',
            acceptable: false,
          },
        ]
      : [];
  });
}

/** An abort that was released and freed stays on the record: at which stop, and how far the other nut was turned back. */
function abortsFreed(facts: Facts<SleeveSetup>, points: PumpPoint[]): Finding[] {
  const freed = points.flatMap((p) => {
    const back = p.aborted ? at(facts, stopKey.write({ n: p.n, what: 'back' })) : undefined;
    return back ? [{ n: p.n, travelMm: p.travelMm ?? 0, backDeg: back.value }] : [];
  });
  const last = freed.at(-1);
  return last
    ? [
        {
          code: 'hydraulic.aborted',
          verdict: 'caution',
          reason: `Abort pressure came first at stop ${last.n}, ${len(last.travelMm)} driven; released, ${nutOf(facts.setup)} turned back ${last.backDeg}°.`,
          params: { n: last.n, travelMm: last.travelMm, setup: nutOf(facts.setup), backDeg: last.backDeg },
          source: 'maker',
          remedy: 'Go on from the same zero.',
          acceptable: false,
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

function startFindings(facts: Facts<SleeveSetup>, wantedMpa: number): Finding[] {
  const read = at(facts, 'start/p');
  if (!read)
    return [
      {
        code: 'hydraulic.start',
        verdict: 'incomplete',
        reason: `The start pressure, ${pres(wantedMpa)} on this nut, is not reached yet.`,
        params: { wantedMpa },
        source: 'maker',
        acceptable: false,
      },
    ];
  // The gauge's own doubt is part of it: one whose step is a third of the pressure cannot tell five parts in a hundred.
  const doubt = 2 * readingUncertainty(read.instrument.step);
  const off = Math.abs(read.value - wantedMpa);
  const shared = {
    code: 'hydraulic.start',
    source: 'maker' as const,
    limit: `${pres(wantedMpa)} ± 5 %`,
    acceptable: false,
  };
  if (off > START_WITHIN * wantedMpa + doubt)
    return [
      {
        ...shared,
        verdict: 'reject',
        reason: `${pres(read.value)} is not the start pressure of this nut, ${pres(wantedMpa)}: a zero there means nothing.`,
        params: { value: read.value, wantedMpa },
        remedy: 'Withdraw it, bring the pump to the start pressure, zero there.',
      },
    ];
  if (doubt > START_WITHIN * wantedMpa)
    return [
      {
        ...shared,
        verdict: 'caution',
        reason: `${pres(read.value)}, by a gauge that shows ${pres(read.instrument.step)} a step: too coarse for five in a hundred of ${pres(wantedMpa)}.`,
        params: { value: read.value, step: read.instrument.step, wantedMpa },
        remedy: 'A finer gauge for the start pressure, if there is one.',
        acceptable: false,
      },
    ];
  return [
    {
      ...shared,
      verdict: 'accept',
      reason: `Start pressure ${pres(read.value)}.`,
      params: { value: read.value },
    },
  ];
}

function sayAct(
  key: string | null,
  place: DriveUpHydraulicValues['place'],
  startMpa: number,
  last: PumpPoint | undefined,
  nut: string,
): string {
  if (place === 'over-driven') return 'Past the band: release, dismount, new zero.';
  if (key === 'start/p') return `Pump to the start pressure, ${pres(startMpa)}`;
  if (key === 'start/z') return 'Zero the indicator, once; plunger in for the whole travel';
  const what = stopKey.read(key ?? undefined)?.what;
  if (what === 'd')
    return place === 'aborted'
      ? 'Abort pressure: stop pumping, read the indicator, then release'
      : 'Hold the pressure: read the indicator';
  if (what === 'release') return 'Abort pressure: release the pump';
  if (what === 'back') return `Is ${nut} loose? Turn it back`;
  if (place === 'in-band') return `Driven ${len(last?.travelMm ?? 0)}: in the band. Release next.`;
  return 'Pump on, a little at a time; read the pressure';
}

function placeOf(setup: SleeveSetup, key: string): Place | null {
  const pressure = (label: string, high = 300): Place => ({
    key,
    label,
    quantity: 'pressure',
    low: 0,
    high,
    instrumentKinds: ['pressure'],
  });
  const dial = (label: string): Place => ({
    key,
    label,
    quantity: 'dial',
    low: -60,
    high: 60,
    instrumentKinds: ['dial'],
  });
  if (key === 'start/p') return pressure('Start pressure at the pump');
  if (key === 'start/z') return dial('Indicator at the start pressure');
  const at = stopKey.read(key);
  if (!at || at.n < 1 || at.n > STOPS_MOST) return null;
  const { n, what } = at;
  if (what === 'p') return pressure(`Pressure, stop ${n}`);
  if (what === 'd') return dial(`Indicator, stop ${n}`);
  if (what === 'release') return pressure('Pump released, pressure left');
  return {
    key,
    label: `How far ${nutOf(setup)} is turned back, 0 if it was loose`,
    quantity: 'angle',
    low: 0,
    high: 720,
    instrumentKinds: ['protractor'],
  };
}
