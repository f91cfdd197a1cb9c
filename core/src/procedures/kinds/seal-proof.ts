import type { Finding } from '../../calculators/result.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { temp } from '../../quantities/say.ts';
import type { StepDefinition, StepKind } from '../types.ts';
import { minutesAfter } from './counted.ts';
import { gaugeFindings } from './gauges.ts';
import { itemFindings } from './item-findings.ts';

export type ProofPoint = {
  minutes: number;
  dropsPerMin: number | null;
  temperatureC: number | null;
  at: string | null;
};
export type ProofValues = { points: ProofPoint[]; dueAt: string | null; worse: boolean };

/** When a seal is looked at: at the start, after a quarter of an hour and an hour, and the next day. Common practice, no source. */
export const PROOF_MINUTES = [0, 15, 60, 1440] as const;
const NAME: Record<number, string> = {
  0: 'at the start',
  15: 'after 15 minutes',
  60: 'after an hour',
  1440: 'the next day',
};
/** A gland this hot is a stop. Common practice, no source. */
const HOT_C = 90;

const placesOf = (): Place[] =>
  PROOF_MINUTES.flatMap((m): Place[] => [
    {
      key: `leak/${m}`,
      label: `Leakage ${NAME[m]}, drops a minute`,
      kind: 'count',
      low: 0,
      high: 5000,
      instrumentKinds: ['counter'],
      minutes: m,
    },
    {
      key: `temp/${m}`,
      label: `Gland ${NAME[m]}`,
      kind: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
      minutes: m,
    },
  ]);

/** Leakage and warmth of the gland at the times a seal is proved by, with the trend of both. */
export const sealProof: StepKind = {
  report(facts, step) {
    const points = pointsOf(facts, step);
    const next = placesOf().find((p) => !readingAt(facts, step.id, p.key, 'any')) ?? null;
    const whole = points.filter((p) => p.dropsPerMin !== null && p.temperatureC !== null);
    const begun = Date.parse(points[0]?.at ?? '');
    const due = PROOF_MINUTES.find((m) => !readingAt(facts, step.id, `temp/${m}`, 'any'));
    const worse =
      whole.length >= 2 && (whole.at(-1)?.dropsPerMin ?? 0) > 2 * (whole[0]?.dropsPerMin ?? 0) + 2;
    return {
      findings: [
        ...judge(whole, worse),
        ...early(facts, step, points),
        ...(next
          ? [
              {
                code: 'proof.due',
                verdict: 'incomplete' as const,
                reason: `Still to be read: ${next.label.toLowerCase()}.`,
                acceptable: true,
              },
            ]
          : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id, 'any')),
      ],
      working: whole.map((p) => ({
        what: `${NAME[p.minutes]}`,
        sum: `${p.dropsPerMin} drops a minute, ${temp(p.temperatureC ?? 0)}`,
      })),
      beams: [],
      values: {
        points,
        worse,
        dueAt: due === undefined || Number.isNaN(begun) ? null : minutesAfter(begun, due),
      } satisfies ProofValues,
      next,
      act: next ? next.label : 'Proved over a day.',
    };
  },
  place(facts, step, key) {
    const place = placesOf().find((p) => p.key === key);
    if (!place) return 'There is no such reading of the proof.';
    if (readingAt(facts, step.id, key, 'any')) return 'That is read already. Withdraw it to read it again.';
    const first = placesOf().find((p) => !readingAt(facts, step.id, p.key, 'any'));
    return first && first.key !== key ? `First: ${first.label.toLowerCase()}.` : place;
  },
};

function pointsOf(facts: Facts, step: StepDefinition): ProofPoint[] {
  return PROOF_MINUTES.map((minutes) => {
    const leak = readingAt(facts, step.id, `leak/${minutes}`, 'any');
    const temp = readingAt(facts, step.id, `temp/${minutes}`, 'any');
    return {
      minutes,
      dropsPerMin: leak?.value ?? null,
      temperatureC: temp?.value ?? null,
      at: leak?.at ?? temp?.at ?? null,
    };
  });
}

/** Read long before its time it proves less: said, not refused. */
const EARLY = 0.8;
function early(facts: Facts, step: StepDefinition, points: ProofPoint[]): Finding[] {
  const begun = Date.parse(points[0]?.at ?? '');
  return points.flatMap((p): Finding[] => {
    const reading = readingAt(facts, step.id, `leak/${p.minutes}`, 'any');
    if (!reading || reading.instrument.standIn || p.minutes === 0) return [];
    const after = (Date.parse(reading.at) - begun) / 60_000;
    if (after >= EARLY * p.minutes) return [];
    return [
      {
        code: `proof.early.${p.minutes}`,
        verdict: 'caution',
        reason: `What was to be read ${NAME[p.minutes]} was read after ${Math.max(0, Math.round(after))} minutes.`,
        source: 'practice',
        remedy: 'Withdraw it and read it in its time, or say in a note why not.',
        acceptable: true,
      },
    ];
  });
}

function judge(whole: ProofPoint[], worse: boolean): Finding[] {
  const last = whole.at(-1);
  if (!last) return [];
  const shared = { source: 'practice' as const, acceptable: true };
  const hot = whole.find((p) => (p.temperatureC ?? 0) >= HOT_C);
  return [
    hot
      ? {
          ...shared,
          code: 'proof.hot',
          verdict: 'reject',
          reason: `The gland was ${temp(hot.temperatureC ?? 0)} ${NAME[hot.minutes]}: stop.`,
          limit: temp(HOT_C),
          remedy: 'Is it vented, the flush open and at its port, the compression right?',
        }
      : worse
        ? {
            ...shared,
            code: 'proof.leak',
            verdict: 'reject',
            reason: `Leakage grew from ${whole[0]?.dropsPerMin} to ${last.dropsPerMin} drops a minute.`,
            remedy: 'A seal beds in and leaks less, not more: squareness, centring, dirt on the faces.',
          }
        : {
            ...shared,
            code: 'proof.leak',
            verdict: 'accept',
            reason: `${last.dropsPerMin} drops a minute ${NAME[last.minutes]}, ${temp(last.temperatureC ?? 0)} at the gland.`,
          },
  ];
}
