import { purgeGas } from '../../arithmetic/seals/purge.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { pres, temp } from '../../quantities/say.ts';
import { minutesAfter } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import type { SealSetup } from './setup.ts';

export type ProofPoint = {
  minutes: number;
  dropsPerMin: number | null;
  /** Of a gas seal, which has no drops: the gas at its gauge. MPa. */
  gasMpa: number | null;
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
/** A gland this hot is a stop where its fluid is not known; else so much over its fluid. The rise is our own choice. */
const HOT_C = 90;
const RISE_K = 30;
/** Running, a mechanical seal may lose a drop now and then. Drops a minute; common practice, the sheet's figure outranks. */
const LEAK = { caution: 5, stop: 60 } as const;

const isGas = (setup: SealSetup): boolean => setup.family === 'purged';

const placesOf = (setup: SealSetup): Place[] =>
  PROOF_MINUTES.flatMap((m): Place[] => [
    isGas(setup)
      ? {
          key: `gas/${m}`,
          label: `Gas at its gauge ${NAME[m]}`,
          quantity: 'pressure',
          low: -0.1,
          high: 20,
          instrumentKinds: ['pressure'],
          minutes: m,
        }
      : {
          key: `leak/${m}`,
          label: `Leakage ${NAME[m]}, drops a minute`,
          quantity: 'count',
          low: 0,
          high: 5000,
          instrumentKinds: ['counter'],
          minutes: m,
        },
    {
      key: `temp/${m}`,
      label: `Gland ${NAME[m]}`,
      quantity: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
      minutes: m,
    },
  ]);

/** Leakage and warmth of the gland at the times a seal is proved by, with the trend of both. */
export const sealProof = stepKind<SealSetup, ProofValues>('seal-proof', {
  report(facts, step) {
    const points = pointsOf(facts, step);
    const next = placesOf(facts.setup).find((p) => !readingAt(facts, step.id, p.key, 'any')) ?? null;
    const whole = points.filter((p) => (p.dropsPerMin ?? p.gasMpa) !== null && p.temperatureC !== null);
    const begun = Date.parse(points[0]?.at ?? '');
    const due = PROOF_MINUTES.find((m) => !readingAt(facts, step.id, `temp/${m}`, 'any'));
    const worse =
      whole.length >= 2 && (whole.at(-1)?.dropsPerMin ?? 0) > 2 * (whole[0]?.dropsPerMin ?? 0) + 2;
    const dueAt = due === undefined || Number.isNaN(begun) ? null : minutesAfter(begun, due);
    return {
      findings: [
        ...judge(facts.setup, whole, worse),
        ...early(facts, step, points),
        ...(next
          ? [
              {
                code: 'proof.due',
                verdict: 'incomplete' as const,
                reason: `Still to be read: ${next.label.toLowerCase()}.`,
                params: { label: next.label },
                acceptable: false,
              },
            ]
          : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id, 'any')),
      ],
      working: whole.map((p) => ({
        what: `${NAME[p.minutes]}`,
        sum: `${amount(p)}, ${temp(p.temperatureC ?? 0)}`,
      })),
      beams: [],
      values: {
        points,
        worse,
        dueAt,
      } satisfies ProofValues,
      dueAt,
      next,
      act: next ? next.label : 'Proved over a day.',
    };
  },
  place(facts, step, key) {
    const place = placesOf(facts.setup).find((p) => p.key === key);
    if (!place) return 'There is no such reading of the proof.';
    if (readingAt(facts, step.id, key, 'any')) return 'That is read already. Withdraw it to read it again.';
    const first = placesOf(facts.setup).find((p) => !readingAt(facts, step.id, p.key, 'any'));
    return first && first.key !== key ? `First: ${first.label.toLowerCase()}.` : place;
  },
});

function pointsOf(facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): ProofPoint[] {
  return PROOF_MINUTES.map((minutes) => {
    const leak = readingAt(facts, step.id, `leak/${minutes}`, 'any');
    const gas = readingAt(facts, step.id, `gas/${minutes}`, 'any');
    const temp = readingAt(facts, step.id, `temp/${minutes}`, 'any');
    return {
      minutes,
      dropsPerMin: leak?.value ?? null,
      gasMpa: gas?.value ?? null,
      temperatureC: temp?.value ?? null,
      at: leak?.at ?? gas?.at ?? temp?.at ?? null,
    };
  });
}

/** Read long before its time it proves less: said, not refused. */
const EARLY = 0.8;
function early(facts: Facts<SealSetup>, step: StepDefinition<SealSetup>, points: ProofPoint[]): Finding[] {
  const begun = Date.parse(points[0]?.at ?? '');
  return points.flatMap((p): Finding[] => {
    const reading =
      readingAt(facts, step.id, `leak/${p.minutes}`, 'any') ??
      readingAt(facts, step.id, `gas/${p.minutes}`, 'any');
    if (!reading || reading.instrument.standIn || p.minutes === 0) return [];
    const after = (Date.parse(reading.at) - begun) / 60_000;
    if (after >= EARLY * p.minutes) return [];
    return [
      {
        code: `proof.early.${p.minutes}`,
        verdict: 'caution',
        reason: `What was to be read ${NAME[p.minutes]} was read after ${Math.max(0, Math.round(after))} minutes.`,
        params: { NAME: NAME[p.minutes], value: Math.max(0, Math.round(after)) },
        source: 'practice',
        remedy: 'Withdraw it and read it in its time, or say in a note why not.',
        acceptable: false,
      },
    ];
  });
}

/** What a seal lost, or the gas that holds it. */
const amount = (p: ProofPoint): string =>
  p.gasMpa === null ? `${p.dropsPerMin} drops a minute` : `gas ${pres(p.gasMpa)}`;

function judge(setup: SealSetup, whole: ProofPoint[], worse: boolean): Finding[] {
  const last = whole.at(-1);
  if (!last) return [];
  const hotC = setup.temperatureC === undefined ? HOT_C : Math.max(HOT_C, setup.temperatureC + RISE_K);
  const hot = whole.find((p) => (p.temperatureC ?? 0) >= hotC);
  const shared = { source: 'practice' as const, acceptable: true };
  if (hot)
    return [
      {
        ...shared,
        code: 'proof.hot',
        verdict: 'reject',
        reason: `The gland was ${temp(hot.temperatureC ?? 0)} ${NAME[hot.minutes]}: stop.`,
        params: { temperatureC: hot.temperatureC ?? 0, NAME: NAME[hot.minutes] },
        limit:
          setup.temperatureC === undefined
            ? temp(hotC)
            : `${temp(hotC)}, over a fluid of ${temp(setup.temperatureC)}`,
        remedy: 'Is it vented, the flush open and at its port, the compression right?',
      },
    ];
  return [isGas(setup) ? judgeGas(setup, last) : judgeLeak(setup, whole, worse)];
}

/** A gas seal is held by its gas: the window over the process, as it was set. */
function judgeGas(setup: SealSetup, last: ProofPoint): Finding {
  const { findings } = purgeGas({
    processMpa: setup.processMpa ?? 0,
    gasMpa: last.gasMpa ?? undefined,
    mostOverMpa: setup.maker.gasMostOverMpa,
    seals: 1,
    regulators: 1,
  });
  const found = findings.find((f) => f.code === 'purge.pressure');
  if (!found) throw new RangeError('The gas could not be judged.');
  return { ...found, code: 'proof.gas' };
}

function judgeLeak(setup: SealSetup, whole: ProofPoint[], worse: boolean): Finding {
  const last = whole.at(-1);
  const drops = last?.dropsPerMin ?? 0;
  const most = setup.maker.leakDropsPerMin;
  const stop = most ?? LEAK.stop;
  const shared = {
    code: 'proof.leak',
    source: most === undefined ? ('practice' as const) : ('maker' as const),
    limit:
      most === undefined ? `${LEAK.caution} drops a minute, stop at ${LEAK.stop}` : `${most} drops a minute`,
    acceptable: true,
  };
  const when = NAME[last?.minutes ?? 0];
  if (drops > stop || (most === undefined && drops >= stop))
    return {
      ...shared,
      verdict: 'reject',
      reason: `${drops} drops a minute ${when}: a mechanical seal does not leak so.`,
      params: { drops, when },
      remedy: 'Stop it: squareness, centring, a damaged or dirty face, a cut O-ring.',
    };
  if (worse)
    return {
      ...shared,
      verdict: 'reject',
      reason: `Leakage grew from ${whole[0]?.dropsPerMin} to ${drops} drops a minute.`,
      params: { dropsPerMin: whole[0]?.dropsPerMin, drops },
      remedy: 'A seal beds in and leaks less, not more: squareness, centring, dirt on the faces.',
    };
  const said = `${drops} drops a minute ${when}, ${temp(last?.temperatureC ?? 0)} at the gland.`;
  return drops > LEAK.caution && most === undefined
    ? {
        ...shared,
        verdict: 'caution',
        reason: said,
        params: { said },
        remedy: 'It may still bed in; count again before it is left.',
      }
    : { ...shared, verdict: 'accept', reason: said, params: { said } };
}
