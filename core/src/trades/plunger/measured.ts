import { goesTo } from '../../engine/depth.ts';
import { passOf, readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { len, temp } from '../../quantities/say.ts';
import { minutesAfter } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { doubtInHand } from '../../steps/in-hand.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import {
  checksToCome,
  dueFinding,
  earlyFindings,
  type Looks,
  looksAt,
  warmthOf,
} from '../../steps/timed-checks.ts';
import { M } from './messages.ts';
import type { PlungerSetup } from './setup.ts';

/** A row of what was measured, for the figure. */
export type MeasuredRow = { key: string; label: Text; quantity: Place['quantity']; value: number | null };
export type MeasuredValues = { rows: MeasuredRow[] };

/** Places read one after the other, and what is said of them. */
export const measured = kindFamily<PlungerSetup, MeasuredValues>('plunger-measured');

type Judge = (facts: Facts<PlungerSetup>, step: StepDefinition<PlungerSetup>) => Finding[];

const kind = (places: (facts: Facts<PlungerSetup>) => Place[], judge: Judge, done: Text) =>
  measured.kind({
    repeats: true,
    report(facts, step) {
      const next = nextListed(facts, step, places(facts));
      return {
        findings: [
          ...(next
            ? [
                {
                  code: `${step.id}.open`,
                  verdict: 'incomplete' as const,
                  reason: M.stillRead({ label: inline(next.label) }),
                  params: { label: next.label },
                  acceptable: false,
                },
              ]
            : []),
          ...judge(facts, step),
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: [],
        beams: [],
        values: {
          rows: places(facts).map((p) => ({
            key: p.key,
            label: p.label,
            quantity: p.quantity,
            value: valueAt(facts, step, p.key),
          })),
        },
        next,
        act: next ? next.label : done,
      };
    },
    place: listedPlace(places),
  });

const diameter = (key: string, label: Text): Place => ({
  key,
  label,
  quantity: 'length',
  low: 5,
  high: 400,
  instrumentKinds: ['micrometer', 'caliper'],
});

/** A plunger is worn where it runs: it is measured there and where it does not. */
const SIZES = ({ setup }: Pick<Facts<PlungerSetup>, 'setup'>): Place[] => [
  diameter('plunger/run', M.plungerWhereRunsPacking),
  diameter('plunger/end', M.plungerWhereDoesNotRun),
  ...(goesTo(setup, 'thorough')
    ? [{ ...diameter('bore', M.packingBore), instrumentKinds: ['caliper' as const, 'micrometer' as const] }]
    : []),
];

/** A waist of this much leaks whatever packs it. Common practice, no source; the sheet’s limits outrank. mm. */
const WAIST_MM = 0.05;

/** Plunger and bore before anything is packed: by the sheet’s sizes, and the waist where it runs. */
export const sizesStep = kind(
  SIZES,
  (facts, step) => {
    const [run, end, bore] = SIZES(facts).map((p) => valueAt(facts, step, p.key));
    const { plungerLowerMm, plungerUpperMm, boreLowerMm, boreUpperMm } = facts.setup.maker;
    const doubtAt = (key: string): number => {
      const r = readingAt(facts, step.id, key);
      return r ? doubtInHand(r) : 0;
    };
    const band = (
      code: string,
      what: Text,
      mm: number,
      one: number,
      lower?: number,
      upper?: number,
    ): Finding[] =>
      lower === undefined && upper === undefined
        ? []
        : [
            {
              code,
              verdict: decide(mm, one, { lower, upper }).verdict,
              reason: expr`${what} ${len(mm)}.`,
              params: { what, mm },
              limit: M.to({
                lower: lower === undefined ? COMMON.noLeast : len(lower),
                upper: upper === undefined ? COMMON.noMost : len(upper),
              }),
              source: 'maker',
              remedy: M.renewedBuiltUpBeforePacked,
              acceptable: true,
            },
          ];
    const waist = run !== null && end !== null && run !== undefined && end !== undefined ? end - run : null;
    return [
      ...(run != null
        ? band('plunger.size', M.plunger, run, doubtAt('plunger/run'), plungerLowerMm, plungerUpperMm)
        : []),
      ...(bore != null
        ? band('plunger.bore', M.packingBore, bore, doubtAt('bore'), boreLowerMm, boreUpperMm)
        : []),
      ...(waist === null
        ? []
        : [
            {
              code: 'plunger.waist',
              verdict: decide(waist, Math.hypot(doubtAt('plunger/run'), doubtAt('plunger/end')), {
                upper: WAIST_MM,
              }).verdict,
              reason: M.wornWhereRuns({ value: len(Math.max(0, waist)) }),
              params: { value: Math.max(0, waist) },
              limit: len(WAIST_MM, 2),
              source: 'practice' as const,
              remedy: M.waistLeaksWhateverPacksRenew,
              acceptable: true,
            },
          ]),
    ];
  },
  M.plungerBoreMeasured,
);

/** When a plunger's packing is looked at after the start, minutes. Common practice, no source. */
const PROVED_MINUTES = [0, 15, 60] as const;
const PROVED = [COMMON.start2, COMMON.after15Minutes, COMMON.afterHour] as const;
const proofPlaces = (): Place[] =>
  PROVED.flatMap((when, i): Place[] => [
    {
      key: `leak/${i}`,
      label: M.leakageDropsMinute({ when }),
      quantity: 'count',
      low: 0,
      high: 5000,
      instrumentKinds: ['counter'],
    },
    {
      key: `temp/${i}`,
      label: M.packingNut({ when }),
      quantity: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
    },
  ]);

const begunOf = (facts: Facts<PlungerSetup>, step: StepDefinition<PlungerSetup>): number =>
  Date.parse(standing(facts, step.id).find((r) => r.place === 'leak/0')?.at ?? '');

/** What was read at a place of the proof: in its time, and before it. */
function looks(facts: Facts<PlungerSetup>, step: StepDefinition<PlungerSetup>, key: string): Looks {
  const minutes = PROVED_MINUTES[Number(key.split('/')[1])] ?? 0;
  const passed = passOf(facts, step as StepDefinition) !== undefined;
  return looksAt(standing(facts, step.id), key, begunOf(facts, step), minutes, passed);
}

/** V-rings hold tight once they have bedded in: so many drops a minute are looked at, so many stop it; so warm the packing burns. Common practice, no source. */
const DROPS = { caution: 10, stop: 60 } as const;
const HOT_C = 80;

function judgeProof(facts: Facts<PlungerSetup>, step: StepDefinition<PlungerSetup>): Finding[] {
  // An early look is judged as well: hot or leaking is a stop whenever it is seen.
  const at = (what: string, i: number) => {
    const { due, early } = looks(facts, step, `${what}/${i}`);
    return (due ?? early.at(-1))?.value ?? null;
  };
  const hot = PROVED.findIndex((_, i) => (at('temp', i) ?? 0) >= HOT_C);
  const last = PROVED.findLastIndex((_, i) => at('leak', i) !== null);
  const drops = last < 0 ? null : at('leak', last);
  return [
    ...(hot >= 0
      ? [
          {
            code: 'plunger.hot',
            verdict: 'reject' as const,
            reason: M.packingNutStop({ at: temp(at('temp', hot) ?? 0), proved: PROVED[hot] }),
            params: { value: at('temp', hot) ?? 0, PROVED: PROVED[hot] },
            limit: temp(HOT_C),
            source: 'practice' as const,
            remedy: M.easeNutEighthLookLubrication,
            acceptable: true,
          },
        ]
      : []),
    ...(drops === null
      ? []
      : [
          {
            code: 'plunger.leak',
            verdict:
              drops >= DROPS.stop
                ? ('reject' as const)
                : drops > DROPS.caution
                  ? ('caution' as const)
                  : ('accept' as const),
            reason: M.dropsMinute({ drops, proved: PROVED[last] }),
            params: { drops, PROVED: PROVED[last] },
            limit: COMMON.dropsMinuteStop({ caution: DROPS.caution, stop: DROPS.stop }),
            source: 'practice' as const,
            ...(drops > DROPS.caution ? { remedy: M.ringReversedPlungerWornNut } : {}),
            acceptable: true,
          },
        ]),
  ];
}

/** Leak and warmth after the start, each in its time: V-rings are tight but for a film. */
export const provedStep = measured.kind({
  essential: true,
  repeats: true,
  report(facts, step) {
    const open = proofPlaces().filter((p) => !looks(facts, step, p.key).due);
    const early = proofPlaces().flatMap((p) => looks(facts, step, p.key).early);
    const warmth = warmthOf(standing(facts, step.id), early);
    const next = open.find((p) => p.key === warmth) ?? open[0] ?? null;
    const begun = begunOf(facts, step);
    const minutesOf = (p: Place) => PROVED_MINUTES[Number(p.key.split('/')[1])] ?? 0;
    const left = PROVED_MINUTES.filter((m) => m > 0 && open.some((p) => minutesOf(p) === m));
    const started = !open.some((p) => minutesOf(p) === 0);
    const named = (minutes: (typeof PROVED_MINUTES)[number]) => PROVED[PROVED_MINUTES.indexOf(minutes)] ?? '';
    return {
      findings: [
        ...(next ? [dueFinding(step.id, inline(next.label), started ? left.map(named) : [])] : []),
        ...judgeProof(facts, step),
        ...earlyFindings(step.id, early, begun),
        ...(started ? itemFindings(facts, step) : []),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: [],
      beams: [],
      values: {
        rows: proofPlaces().map((p) => {
          const { due, early: before } = looks(facts, step, p.key);
          return {
            key: p.key,
            label: due || before.length === 0 ? p.label : M.earlyLook({ label: p.label }),
            quantity: p.quantity,
            value: (due ?? before.at(-1))?.value ?? null,
          };
        }),
      },
      dueAt: next === null || Number.isNaN(begun) ? null : minutesAfter(begun, minutesOf(next)),
      ...(started
        ? {
            toCome: checksToCome(
              begun,
              left.map((minutes) => ({
                what: M.leakCheck({ named: named(minutes) }),
                minutes,
              })),
            ),
          }
        : {}),
      next,
      act: next ? next.label : M.proved,
    };
  },
  place(facts, step, key) {
    const place = proofPlaces().find((p) => p.key === key);
    if (!place) return COMMON.thereNoSuchPlaceHere;
    if (looks(facts, step, key).due) return COMMON.enteredAlreadyWithdrawReasonEnter({ label: place.label });
    const first = proofPlaces().find((p) => !looks(facts, step, p.key).due);
    return first && first.key.split('/')[1] !== key.split('/')[1]
      ? COMMON.first({ label: inline(first.label) })
      : place;
  },
});
