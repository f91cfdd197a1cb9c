import { purgeGas } from '../../arithmetic/seals/purge.ts';
import { type Depth, goesTo } from '../../engine/depth.ts';
import { acceptanceOf, passOf, standing } from '../../engine/facts.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline, listOf } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { pres, temp } from '../../quantities/say.ts';
import { minutesAfter } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import {
  checksToCome,
  dueFinding,
  earlyFindings,
  type Looks,
  looksAt,
  warmthOf,
} from '../../steps/timed-checks.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

export type ProofPoint = {
  minutes: (typeof PROOF_MINUTES)[number];
  dropsPerMin: number | null;
  /** Of a gas seal, which has no drops: the gas at its gauge. MPa. */
  gasMpa: number | null;
  temperatureC: number | null;
  at: string | null;
  /** Looked at before its time, so many minutes after the start; left out where it was in time. */
  early?: number;
};
export type ProofValues = { points: ProofPoint[]; dueAt: string | null; worse: boolean };

/** When a seal is looked at: at the start, after a quarter of an hour and an hour, and the next day. Common practice, no source. */
const PROOF_MINUTES = [0, 15, 60, 1440] as const;
const DEPTH_OF: Record<(typeof PROOF_MINUTES)[number], Depth> = {
  0: 'essential',
  15: 'standard',
  60: 'standard',
  1440: 'thorough',
};
/** The looks a job asks for, in minutes after the start. */
export const proofMinutes = (setup: SealSetup) => PROOF_MINUTES.filter((m) => goesTo(setup, DEPTH_OF[m]));
const NAME: Record<(typeof PROOF_MINUTES)[number], Text> = {
  0: COMMON.start2,
  15: COMMON.after15Minutes,
  60: COMMON.afterHour,
  1440: M.nextDay,
};
/** A gland this hot is a stop where its fluid is not known; else so much over its fluid. The rise is our own choice. */
const HOT_C = 90;
const RISE_K = 30;
/** Running, a mechanical seal may lose a drop now and then. Drops a minute; common practice, the sheet's figure outranks. */
const LEAK = { caution: 5, stop: 60 } as const;

const isGas = (setup: SealSetup): boolean => setup.family === 'purged';

const placesOf = (setup: SealSetup): Place[] =>
  proofMinutes(setup).flatMap((m): Place[] => [
    isGas(setup)
      ? {
          key: `gas/${m}`,
          label: M.gasGauge({ name: NAME[m] }),
          quantity: 'pressure',
          low: -0.1,
          high: 20,
          instrumentKinds: ['pressure'],
          minutes: m,
        }
      : {
          key: `leak/${m}`,
          label: M.leakageDropsMinute({ name: NAME[m] }),
          quantity: 'count',
          low: 0,
          high: 5000,
          instrumentKinds: ['counter'],
          minutes: m,
        },
    {
      key: `temp/${m}`,
      label: M.gland2({ name: NAME[m] }),
      quantity: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
      minutes: m,
    },
  ]);

/** When the start was, ms since 1970; NaN before it. */
const begunOf = (facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): number =>
  Date.parse(
    standing(facts, step.id, 'any').find((r) => r.place === 'leak/0' || r.place === 'gas/0')?.at ?? '',
  );

/** What was read at a place of the proof: in its time, and before it. */
function looks(facts: Facts<SealSetup>, step: StepDefinition<SealSetup>, key: string): Looks {
  const minutes = Number(key.split('/')[1]);
  const passed = passOf(facts, step as StepDefinition) !== undefined;
  return looksAt(standing(facts, step.id, 'any'), key, begunOf(facts, step), minutes, passed);
}

/** Places of the proof that are not read in their time yet. */
const openPlaces = (facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): Place[] =>
  placesOf(facts.setup).filter((p) => !looks(facts, step, p.key).due);

/** Leakage and warmth of the gland at the times a seal is proved by, with the trend of both. */
export const sealProof = stepKind<SealSetup, ProofValues>('seal-proof', {
  essential: true,
  report(facts, step) {
    const points = pointsOf(facts, step);
    const open = openPlaces(facts, step);
    const early = earlyLooks(facts, step);
    const warmth = warmthOf(standing(facts, step.id, 'any'), early);
    const next = open.find((p) => p.key === warmth) ?? open[0] ?? null;
    const begun = begunOf(facts, step);
    const seen = [...points, ...earlyPoints(early, begun)]
      .filter((p) => (p.dropsPerMin ?? p.gasMpa ?? p.temperatureC) !== null)
      .sort((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
    const isOpen = (m: number) => open.some((p) => p.key === `temp/${m}`);
    const due = proofMinutes(facts.setup).find(isOpen);
    const leaks = seen.filter((p) => p.dropsPerMin !== null);
    const worse =
      leaks.length >= 2 && (leaks.at(-1)?.dropsPerMin ?? 0) > 2 * (leaks[0]?.dropsPerMin ?? 0) + 2;
    const dueAt = due === undefined || Number.isNaN(begun) ? null : minutesAfter(begun, due);
    const left = proofMinutes(facts.setup).filter((m) => m > 0 && isOpen(m));
    const started = !open.some((p) => p.minutes === 0);
    const judged = judge(facts.setup, seen, worse);
    const stop = judged.find((f) => f.verdict === 'reject' && !acceptanceOf(facts, step.id, f));
    return {
      findings: [
        ...judged,
        ...earlyFindings('proof', early, begun),
        ...(next && !stop
          ? [dueFinding('proof', inline(next.label), started ? left.map((m) => NAME[m]) : [])]
          : []),
        ...(started ? itemFindings(facts, step) : []),
        ...gaugeFindings(standing(facts, step.id, 'any')),
      ],
      working: seen.map((p) => ({
        what: p.early === undefined ? NAME[p.minutes] : M.earlyMinutesAfterStart({ early: p.early }),
        sum: listOf([...amount(p), ...(p.temperatureC === null ? [] : [temp(p.temperatureC)])], ', '),
      })),
      beams: [],
      values: {
        points,
        worse,
        dueAt: stop ? null : dueAt,
      } satisfies ProofValues,
      dueAt: stop ? null : dueAt,
      ...(started && !stop
        ? {
            toCome: checksToCome(
              begun,
              left.map((minutes) => ({ what: M.leakCheck({ name: NAME[minutes] }), minutes })),
            ),
          }
        : {}),
      // A leak that was a stop may be counted again, but nobody waits for it: the seal comes off, or is centred.
      next: stop ? null : next,
      choices: stop && next ? [{ key: next.key, label: M.countOnceMore }] : [],
      act: stop ? M.stoppedSealFails({ reason: stop.reason }) : next ? next.label : M.leakChecksDone,
    };
  },
  place(facts, step, key) {
    const place = placesOf(facts.setup).find((p) => p.key === key);
    if (!place) return M.thereNoSuchReadingProof;
    if (looks(facts, step, key).due) return COMMON.readAlreadyWithdrawReadAgain;
    const [first] = openPlaces(facts, step);
    // Leakage and warmth of one check are read in either order.
    return first && first.minutes !== place.minutes ? COMMON.first({ label: inline(first.label) }) : place;
  },
});

function pointsOf(facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): ProofPoint[] {
  return proofMinutes(facts.setup).map((minutes) => {
    const at = (what: string) => looks(facts, step, `${what}/${minutes}`).due;
    const [leak, gas, warm] = [at('leak'), at('gas'), at('temp')];
    return {
      minutes,
      dropsPerMin: leak?.value ?? null,
      gasMpa: gas?.value ?? null,
      temperatureC: warm?.value ?? null,
      at: leak?.at ?? gas?.at ?? warm?.at ?? null,
    };
  });
}

/** Readings taken before their check was due, in the order they were taken. */
const earlyLooks = (facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): Reading[] =>
  placesOf(facts.setup)
    .flatMap((p) => looks(facts, step, p.key).early)
    .sort((a, b) => a.at.localeCompare(b.at));

/** Early looks as points: leakage with the warmth that was read after it. */
function earlyPoints(early: readonly Reading[], begunMs: number): ProofPoint[] {
  return early.flatMap((r, i): ProofPoint[] => {
    const [what = '', minutes] = r.place.split('/');
    if (what === 'temp') return [];
    const warm = early.slice(i).find((x) => x.place === `temp/${minutes}`);
    return [
      {
        minutes: PROOF_MINUTES.find((m) => m === Number(minutes)) ?? 0,
        dropsPerMin: what === 'leak' ? r.value : null,
        gasMpa: what === 'gas' ? r.value : null,
        temperatureC: warm?.value ?? null,
        at: r.at,
        early: Math.max(0, Math.round((Date.parse(r.at) - begunMs) / 60_000)),
      },
    ];
  });
}

/** What a seal lost, or the gas that holds it. */
const amount = (p: ProofPoint): Text[] =>
  p.gasMpa !== null
    ? [M.gas({ gas: pres(p.gasMpa) })]
    : p.dropsPerMin === null
      ? []
      : [COMMON.dropsMinute2({ dropsPerMin: p.dropsPerMin })];

function judge(setup: SealSetup, whole: ProofPoint[], worse: boolean): Finding[] {
  const hotC = setup.temperatureC === undefined ? HOT_C : Math.max(HOT_C, setup.temperatureC + RISE_K);
  const hot = whole.find((p) => (p.temperatureC ?? 0) >= hotC);
  const shared = { source: 'practice' as const, acceptable: true };
  if (hot)
    return [
      {
        ...shared,
        code: 'proof.hot',
        verdict: 'reject',
        reason: M.glandStop({ temperatureC: temp(hot.temperatureC ?? 0), name: NAME[hot.minutes] }),
        params: { temperatureC: hot.temperatureC ?? 0, NAME: NAME[hot.minutes] },
        limit:
          setup.temperatureC === undefined
            ? temp(hotC)
            : M.overFluid({ hotC: temp(hotC), temperatureC: temp(setup.temperatureC) }),
        remedy: M.ventedFlushOpenPortCompression,
      },
    ];
  // Leakage is judged as soon as it is counted, whether the gland’s warmth is read yet or not.
  const last = whole.findLast((p) => (isGas(setup) ? p.gasMpa : p.dropsPerMin) !== null);
  if (!last) return [];
  return [isGas(setup) ? judgeGas(setup, last) : judgeLeak(setup, whole, last, worse)];
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
  if (!found) throw new MessageError(M.gasCouldNotJudged);
  return { ...found, code: 'proof.gas' };
}

function judgeLeak(setup: SealSetup, whole: ProofPoint[], last: ProofPoint, worse: boolean): Finding {
  const drops = last.dropsPerMin ?? 0;
  const first = whole.find((p) => p.dropsPerMin !== null)?.dropsPerMin ?? 0;
  const most = setup.maker.leakDropsPerMin;
  const stop = most ?? LEAK.stop;
  const shared = {
    code: 'proof.leak',
    source: most === undefined ? ('practice' as const) : ('maker' as const),
    limit:
      most === undefined
        ? COMMON.dropsMinuteStop({ caution: LEAK.caution, stop: LEAK.stop })
        : M.dropsMinute2({ most }),
    acceptable: true,
  };
  const when = last.early === undefined ? NAME[last.minutes] : M.minutesAfterStart({ early: last.early });
  if (drops > stop || (most === undefined && drops >= stop))
    return {
      ...shared,
      verdict: 'reject',
      reason: M.dropsMinuteMechanicalSealDoes({ drops, when }),
      params: { drops, when },
      remedy: M.stopSquarenessCentringDamagedDirty,
    };
  if (worse)
    return {
      ...shared,
      verdict: 'reject',
      reason: M.leakageGrewFromDropsMinute({ first, drops }),
      params: { first, drops },
      remedy: M.sealBedsLeaksLessNot,
    };
  const warm = last.temperatureC === null ? '' : M.gland3({ temperatureC: temp(last.temperatureC) });
  const said = M.dropsMinute3({ drops, when, warm });
  return drops > LEAK.caution && most === undefined
    ? {
        ...shared,
        verdict: 'caution',
        reason: said,
        params: { drops, when, warm },
        remedy: M.mayStillBedCountAgain,
      }
    : { ...shared, verdict: 'accept', reason: said, params: { said } };
}
