import { hydraulicNut } from '../../arithmetic/bearings/hydraulic-nut.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline } from '../../message/message.ts';
import { usualDoubt } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, pres } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { driveUpBand } from './drive-up-band.ts';
import { M } from './messages.ts';
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
  if (m.startPressureMpa === undefined) throw new MessageError(M.startPressureMissing);
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
    ...inHand(
      [zero, now].filter((r) => r !== undefined),
      0.01,
    ),
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
const nutOf = (setup: SleeveSetup): Text => (setup.driveUp?.twoNuts ? COMMON.otherNut : M.lockNut);

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
    const backwards = travel !== null && goesBack(facts, travel);
    const key = backwards ? null : nextKey(facts, points, place);
    const start = startFindings(facts, result.values.startPressureMpa);
    const wrong = start.find((f) => f.verdict === 'reject');
    return {
      findings: [
        ...start,
        ...(backwards && travel !== null ? [wrongWay(travel)] : []),
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
      act: backwards
        ? M.dialWrongWay
        : wrong
          ? M.withdrawStartPressureNotNuts
          : sayAct(key, place, result.values.startPressureMpa, last, nutOf(facts.setup)),
    };
  },
  place(facts, _step, key) {
    const place = placeOf(facts.setup, key);
    if (!place) return M.thereNoSuchPlacePump;
    if (at(facts, key)) return COMMON.enteredAlreadyWithdrawReasonEnter({ label: place.label });
    const points = pointsOf(facts);
    if (key.startsWith('start/') && points.length > 0) return M.driveUpHasBegunNever;
    const travel = points.at(-1)?.travelMm ?? null;
    const over =
      travel !== null &&
      sum(facts, at(facts, stopKey.write({ n: points.length, what: 'd' }))).findings.some(
        (f) => f.code === 'hydraulic.travel' && f.verdict === 'reject',
      );
    const wanted = nextKey(facts, points, over ? 'over-driven' : 'short');
    if (wanted === null) return M.pastBandNothingMorePumped;
    return key === wanted
      ? place
      : COMMON.first({ label: inline(placeOf(facts.setup, wanted)?.label ?? wanted) });
  },
});

/** Under pressure a bearing goes up: a dial that says otherwise by more than two of its steps reads the other way, or has slipped. */
const goesBack = (facts: Facts<SleeveSetup>, travelMm: number): boolean =>
  travelMm < -2 * (at(facts, 'start/z')?.instrument.step ?? 0.01);

const wrongWay = (travelMm: number): Finding => ({
  code: 'hydraulic.way',
  verdict: 'reject',
  reason: M.travelNegative({ travel: len(travelMm) }),
  params: { travelMm },
  source: 'geometry',
  remedy: M.changeWayOfDial,
  acceptable: false,
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
            reason: M.leftGaugeStopPumpNot({ value: pres(left.value), n: p.n }),
            params: { value: left.value, n: p.n },
            limit: M.oneStepGauge({ step: pres(left.instrument.step) }),
            source: 'practice' as const,
            remedy: M.withdrawReleaseUntilGaugeLies,
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
          reason: M.abortPressureCameFirstStop({
            n: last.n,
            travel: len(last.travelMm),
            nutOf: nutOf(facts.setup),
            back: last.backDeg,
          }),
          params: { n: last.n, travelMm: last.travelMm, setup: nutOf(facts.setup), backDeg: last.backDeg },
          source: 'maker',
          remedy: M.goFromSameZero,
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
        reason: M.startPressureNutNotReached({ wanted: pres(wantedMpa) }),
        params: { wantedMpa },
        source: 'maker',
        acceptable: false,
      },
    ];
  // The gauge's own doubt is part of it: one whose step is a third of the pressure cannot tell five parts in a hundred.
  const doubt = 2 * usualDoubt(read.instrument.step);
  const off = Math.abs(read.value - wantedMpa);
  const shared = {
    code: 'hydraulic.start',
    source: 'maker' as const,
    limit: expr`${pres(wantedMpa)} ± 5 %`,
    acceptable: false,
  };
  if (off > START_WITHIN * wantedMpa + doubt)
    return [
      {
        ...shared,
        verdict: 'reject',
        reason: M.notStartPressureNutZero({ value: pres(read.value), wanted: pres(wantedMpa) }),
        params: { value: read.value, wantedMpa },
        remedy: M.withdrawBringPumpStartPressure,
      },
    ];
  if (doubt > START_WITHIN * wantedMpa)
    return [
      {
        ...shared,
        verdict: 'caution',
        reason: M.gaugeShowsStepTooCoarse({
          value: pres(read.value),
          step: pres(read.instrument.step),
          wanted: pres(wantedMpa),
        }),
        params: { value: read.value, step: read.instrument.step, wantedMpa },
        remedy: M.finerGaugeStartPressureIf,
        acceptable: false,
      },
    ];
  return [
    {
      ...shared,
      verdict: 'accept',
      reason: M.startPressure2({ value: pres(read.value) }),
      params: { value: read.value },
    },
  ];
}

function sayAct(
  key: string | null,
  place: DriveUpHydraulicValues['place'],
  startMpa: number,
  last: PumpPoint | undefined,
  nut: Text,
): Text {
  if (place === 'over-driven') return M.pastBandReleaseDismountNew;
  if (key === 'start/p') return M.pumpStartPressure({ start: pres(startMpa) });
  if (key === 'start/z') return M.zeroIndicatorOncePlungerWhole;
  const what = stopKey.read(key ?? undefined)?.what;
  if (what === 'd') return place === 'aborted' ? M.abortPressureStopPumpingRead : M.holdPressureReadIndicator;
  if (what === 'release') return M.abortPressureReleasePump;
  if (what === 'back') return M.looseTurnBack({ nut });
  if (place === 'in-band') return M.drivenBandReleaseNext({ travel: len(last?.travelMm ?? 0) });
  return M.pumpLittleTimeReadPressure;
}

function placeOf(setup: SleeveSetup, key: string): Place | null {
  const pressure = (label: Text, high = 300): Place => ({
    key,
    label,
    quantity: 'pressure',
    low: 0,
    high,
    instrumentKinds: ['pressure'],
  });
  const dial = (label: Text): Place => ({
    key,
    label,
    quantity: 'dial',
    low: -60,
    high: 60,
    instrumentKinds: ['dial'],
  });
  if (key === 'start/p') return pressure(M.startPressurePump);
  if (key === 'start/z') return dial(M.indicatorStartPressure);
  const at = stopKey.read(key);
  if (!at || at.n < 1 || at.n > STOPS_MOST) return null;
  const { n, what } = at;
  if (what === 'p') return pressure(M.pressureStop({ n }));
  if (what === 'd') return dial(M.indicatorStop({ n }));
  if (what === 'release') return pressure(M.pumpReleasedPressureLeft);
  return {
    key,
    label: COMMON.howFarTurnedBack({ nutOf: nutOf(setup) }),
    quantity: 'angle',
    low: 0,
    high: 720,
    instrumentKinds: ['protractor'],
  };
}
