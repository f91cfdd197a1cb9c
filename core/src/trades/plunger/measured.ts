import { passOf, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { decide } from '../../metrology/decision.ts';
import { readingUncertainty } from '../../metrology/uncertainty.ts';
import { len, temp } from '../../quantities/say.ts';
import { minutesAfter } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
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
import type { PlungerSetup } from './setup.ts';

/** A row of what was measured, for the figure. */
export type MeasuredRow = { key: string; label: string; quantity: Place['quantity']; value: number | null };
export type MeasuredValues = { rows: MeasuredRow[] };

/** Places read one after the other, and what is said of them. */
export const measured = kindFamily<PlungerSetup, MeasuredValues>('plunger-measured');

type Judge = (facts: Facts<PlungerSetup>, step: StepDefinition<PlungerSetup>) => Finding[];

const kind = (places: () => Place[], judge: Judge, done: string) =>
  measured.kind({
    repeats: true,
    report(facts, step) {
      const next = nextListed(facts, step, places());
      return {
        findings: [
          ...(next
            ? [
                {
                  code: `${step.id}.open`,
                  verdict: 'incomplete' as const,
                  reason: `Still to be read: ${next.label.toLowerCase()}.`,
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
          rows: places().map((p) => ({
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

const diameter = (key: string, label: string): Place => ({
  key,
  label,
  quantity: 'length',
  low: 5,
  high: 400,
  instrumentKinds: ['micrometer', 'caliper'],
});

/** A plunger is worn where it runs: it is measured there and where it does not. */
const SIZES = (): Place[] => [
  diameter('plunger/run', 'Plunger where it runs in the packing'),
  diameter('plunger/end', 'Plunger where it does not run'),
  { ...diameter('bore', 'Packing bore'), instrumentKinds: ['caliper', 'micrometer'] },
];

/** A waist of this much leaks whatever packs it. Common practice, no source; the sheet’s limits outrank. mm. */
const WAIST_MM = 0.05;

/** Plunger and bore before anything is packed: by the sheet’s sizes, and the waist where it runs. */
export const sizesStep = kind(
  SIZES,
  (facts, step) => {
    const [run, end, bore] = SIZES().map((p) => valueAt(facts, step, p.key));
    const { plungerLowerMm, plungerUpperMm, boreLowerMm, boreUpperMm } = facts.setup.maker;
    const u = Math.max(0.001, ...standing(facts, step.id).map((r) => r.instrument.step));
    const one = readingUncertainty(u);
    const band = (code: string, what: string, mm: number, lower?: number, upper?: number): Finding[] =>
      lower === undefined && upper === undefined
        ? []
        : [
            {
              code,
              verdict: decide(mm, one, { lower, upper }).verdict,
              reason: `${what} ${len(mm)}.`,
              params: { what, mm },
              limit: `${lower === undefined ? 'no least' : len(lower)} to ${upper === undefined ? 'no most' : len(upper)}`,
              source: 'maker',
              remedy: 'Renewed or built up before it is packed.',
              acceptable: true,
            },
          ];
    const waist = run !== null && end !== null && run !== undefined && end !== undefined ? end - run : null;
    return [
      ...(run != null ? band('plunger.size', 'Plunger', run, plungerLowerMm, plungerUpperMm) : []),
      ...(bore != null ? band('plunger.bore', 'Packing bore', bore, boreLowerMm, boreUpperMm) : []),
      ...(waist === null
        ? []
        : [
            {
              code: 'plunger.waist',
              verdict: decide(waist, Math.SQRT2 * one, { upper: WAIST_MM }).verdict,
              reason: `Worn ${len(Math.max(0, waist))} where it runs.`,
              params: { value: Math.max(0, waist) },
              limit: len(WAIST_MM, 2),
              source: 'practice' as const,
              remedy: 'A waist leaks whatever packs it: renew the plunger.',
              acceptable: true,
            },
          ]),
    ];
  },
  'Plunger and bore are measured.',
);

/** When a plunger's packing is looked at after the start, minutes. Common practice, no source. */
const PROVED_MINUTES = [0, 15, 60] as const;
const PROVED = ['at the start', 'after 15 minutes', 'after an hour'] as const;
const proofPlaces = (): Place[] =>
  PROVED.flatMap((when, i): Place[] => [
    {
      key: `leak/${i}`,
      label: `Leakage ${when}, drops a minute`,
      quantity: 'count',
      low: 0,
      high: 5000,
      instrumentKinds: ['counter'],
    },
    {
      key: `temp/${i}`,
      label: `Packing nut ${when}`,
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
            reason: `The packing nut was ${temp(at('temp', hot) ?? 0)} ${PROVED[hot]}: stop.`,
            params: { value: at('temp', hot) ?? 0, PROVED: PROVED[hot] },
            limit: temp(HOT_C),
            source: 'practice' as const,
            remedy: 'Ease the nut an eighth, look at the lubrication; never quench.',
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
            reason: `${drops} drops a minute ${PROVED[last]}.`,
            params: { drops, PROVED: PROVED[last] },
            limit: `${DROPS.caution} drops a minute, stop at ${DROPS.stop}`,
            source: 'practice' as const,
            ...(drops > DROPS.caution
              ? { remedy: 'Is a ring reversed, the plunger worn, the nut still at its mark?' }
              : {}),
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
    const named = (minutes: (typeof PROVED_MINUTES)[number]) =>
      String(PROVED[PROVED_MINUTES.indexOf(minutes)]);
    return {
      findings: [
        ...(next ? [dueFinding(step.id, next.label.toLowerCase(), started ? left.map(named) : [])] : []),
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
            label: due || before.length === 0 ? p.label : `${p.label}, early look`,
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
                what: `Leak check ${named(minutes)}`,
                minutes,
              })),
            ),
          }
        : {}),
      next,
      act: next ? next.label : 'Proved.',
    };
  },
  place(facts, step, key) {
    const place = proofPlaces().find((p) => p.key === key);
    if (!place) return 'There is no such place here.';
    if (looks(facts, step, key).due)
      return `${place.label} is entered already. Withdraw it, with a reason, to enter it again.`;
    const first = proofPlaces().find((p) => !looks(facts, step, p.key).due);
    return first && first.key.split('/')[1] !== key.split('/')[1]
      ? `First: ${first.label.toLowerCase()}.`
      : place;
  },
});
