import {
  type VibrationInput,
  type VibrationValues,
  vibrationZone,
} from '../../arithmetic/drives/vibration.ts';
import { type RunInValues, runIn } from '../../arithmetic/lubrication/run-in.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { lackingAt } from '../../engine/lacking.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { sayReading } from '../../instruments/quantity.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { EVERY_MIN, minutesAfter, nextCount, rowOf, type TimedReading, timedRow } from '../counted.ts';
import { gaugeFindings } from '../gauges.ts';
import { itemFindings } from '../item-findings.ts';
import type { BearingSetup } from './bearing-setup.ts';
import type { VIBRATION_CLASSES } from './fitting-parts.ts';
import { M } from './messages.ts';

export type RunInStepValues = RunInValues & {
  ambientC: number | null;
  /** What it vibrated by, mm/s rms, and in which zone that is; null where it was not read. */
  vibration: { mmPerS: number; zone: VibrationValues['zone'] } | null;
  points: TimedReading[];
  /** When the next reading is due; null before the start and once it is steady. */
  dueAt: string | null;
};

/** A temperature in its row. */
const timeKey = placeKey('t/{n}');

const READINGS_MOST = 60;

const VIBRATION: Place = {
  key: 'vibration',
  label: M.vibrationBearingLargestDirections,
  quantity: 'velocity',
  low: 0,
  high: 100,
  instrumentKinds: ['vibration'],
};

/** The first hours: temperature with times due until it is steady, then what was heard and seen. */
export const runInLog = stepKind<BearingSetup, RunInStepValues>('run-in-log', {
  // Of hours that have not passed nothing is asked.
  asks: (facts, step) => (isSteady(facts, step.id) || lackingAt(facts, step.id) ? (step.items ?? []) : []),
  ahead: (facts, step) => (isSteady(facts, step.id) || lackingAt(facts, step.id) ? [] : (step.items ?? [])),
  report(facts, step) {
    const ambientC = readingAt(facts, step.id, 'ambient', 'any')?.value ?? null;
    const all = standing(facts, step.id, 'any');
    const taken = rowOf(all, 't/');
    const first = Date.parse(taken[0]?.at ?? '');
    const points = timedRow(all, 't/', first, 0);
    const result = runIn({ ambientC: ambientC ?? 20, readings: points });
    const { nextMinutes, steady } = result.values;
    const dueAt = points.length > 0 && nextMinutes !== null ? minutesAfter(first, nextMinutes) : null;
    const vibration = vibrationOf(facts, step.id);
    const next = ambientC === null ? 'ambient' : steady ? null : `t/${nextCount(all, 't/')}`;
    return {
      ...result,
      findings: [
        ...(ambientC === null
          ? [
              {
                code: 'run-in.ambient',
                verdict: 'incomplete' as const,
                reason: M.temperatureAroundMachineNotRead,
                params: {},
                acceptable: false,
              },
            ]
          : result.findings),
        ...(vibration?.findings ?? []),
        ...itemFindings(facts, step),
        ...gaugeFindings(standing(facts, step.id, 'any')),
      ],
      working: [...result.working, ...(vibration?.working ?? [])],
      values: {
        ...result.values,
        ambientC,
        points,
        dueAt,
        vibration: vibration ? { mmPerS: vibration.mmPerS, zone: vibration.values.zone } : null,
      } satisfies RunInStepValues,
      dueAt,
      ...(dueAt !== null ? { toCome: [{ what: M.temperatureBearingUntilSteady, at: dueAt }] } : {}),
      next: next ? placeOf(next) : null,
      choices: [
        ...(steady ? [{ key: `t/${nextCount(all, 't/')}`, label: COMMON.readOnceMore }] : []),
        ...(points.length > 0 && !vibration ? [{ key: VIBRATION.key, label: M.readVibration }] : []),
      ],
      act:
        ambientC === null
          ? M.readTemperatureAroundMachine
          : points.length === 0
            ? M.startReadBearingOnce
            : steady
              ? M.steady({ value: sayReading('thermometer', points.at(-1)?.temperatureC ?? 0) })
              : M.readBearingAgainMinutesAfter({ nextMinutes }),
    };
  },
  place(facts, step, key) {
    if (key === VIBRATION.key && rowOf(standing(facts, step.id, 'any'), 't/').length === 0)
      return M.readWhileMachineRunsStart;
    const place = placeOf(key);
    if (!place) return M.thereNoSuchReadingRun;
    if (readingAt(facts, step.id, key, 'any')) return M.readAlreadyWithdrawReasonRead;
    return inOrder(facts, step.id, key) ? place : M.temperatureAroundMachineFirstThen;
  },
});

/** Has its temperature come to rest? */
function isSteady(facts: Facts<BearingSetup>, step: string): boolean {
  const all = standing(facts, step, 'any');
  const first = Date.parse(rowOf(all, 't/')[0]?.at ?? '');
  const ambientC = readingAt(facts, step, 'ambient', 'any')?.value ?? 20;
  return runIn({ ambientC, readings: timedRow(all, 't/', first, 0) }).values.steady;
}

function inOrder(facts: Facts<BearingSetup>, step: string, key: string): boolean {
  if (key === 'ambient' || key === VIBRATION.key) return true;
  const number = nextCount(standing(facts, step, 'any'), 't/');
  return readingAt(facts, step, 'ambient', 'any') !== undefined && key === `t/${number}`;
}

/** The row of the zones each class of machine stands in. */
const ROW: Record<keyof typeof VIBRATION_CLASSES, Omit<VibrationInput, 'mmPerS'>> = {
  'medium-rigid': { machine: 'medium', support: 'rigid' },
  'medium-flexible': { machine: 'medium', support: 'flexible' },
  'large-rigid': { machine: 'large', support: 'rigid' },
  'large-flexible': { machine: 'large', support: 'flexible' },
  pump: { machine: 'pump' },
  'pump-critical': { machine: 'pump', critical: true },
  'large-pump': { machine: 'large-pump' },
  'large-pump-critical': { machine: 'large-pump', critical: true },
};

/** What it vibrates by, in the zone of its machine; of the strictest where nobody said which it is. */
function vibrationOf(facts: Facts<BearingSetup>, step: string) {
  const mmPerS = readingAt(facts, step, VIBRATION.key, 'any')?.value;
  if (mmPerS === undefined) return null;
  return { mmPerS, ...vibrationZone({ mmPerS, ...ROW[facts.setup.runIn?.vibration ?? 'medium-rigid'] }) };
}

function placeOf(key: string): Place | null {
  if (key === VIBRATION.key) return VIBRATION;
  const temperature = (label: Text, minutes: number): Place => ({
    minutes,
    key,
    label,
    quantity: 'temperature',
    low: -40,
    high: 250,
    instrumentKinds: ['thermometer'],
  });
  if (key === 'ambient') return temperature(M.aroundMachine, -1);
  const n = timeKey.read(key)?.n ?? 0;
  return n >= 1 && n <= READINGS_MOST ? temperature(M.bearingReading({ n }), EVERY_MIN * (n - 1)) : null;
}
