import { END_PLAY, endPlayLimits } from '../../arithmetic/shaft/limits.ts';
import { type PlayValues, RADIAL_PLAY_MM, shaftPlay } from '../../arithmetic/shaft/play.ts';
import { goesTo } from '../../engine/depth.ts';
import { placeKey } from '../../engine/place-key.ts';
import { decisionOf, rulesOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { byPractice } from '../../sources/limits.ts';
import { chosenOf } from '../../sources/methods.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { readsSwing } from './turn.ts';

export type PlayStepValues = PlayValues & {
  end: Array<{ pushMm: number | null; pullMm: number | null }>;
  radial: Array<{ restMm: number | null; liftMm: number | null }>;
};

/** Trials anyone makes of one play. */
const TRIALS_MOST = 6;
const ACTS = [
  ['end/push', M.shaftPushed],
  ['end/pull', M.shaftPulledOut],
  ['radial/rest', M.besideSealReleased],
  ['radial/lift', M.besideSealLifted],
] as const;

/** The same two in one: the dial at zero after the first, and read after the second. */
const WHOLES = [
  ['end/whole', M.pushedZeroPulled],
  ['radial/whole', M.releasedZeroLifted],
] as const;

/** An act and its trial. */
export const playKey = placeKey(
  '{act:end/push|end/pull|end/whole|radial/rest|radial/lift|radial/whole}/{trial}',
);

const place = ([act, label]: (typeof ACTS | typeof WHOLES)[number], trial: number): Place => ({
  key: playKey.write({ act, trial }),
  label: expr`${label}${trial > 1 ? M.trial({ trial }) : ''}`,
  quantity: 'dial',
  low: -10,
  high: 10,
  instrumentKinds: ['dial'],
});
type Way = 'end' | 'radial';
/** The radial play is a careful crew's; the end play is everybody's. */
const waysOf = (setup: ShaftSetup): Way[] => (goesTo(setup, 'standard') ? ['end', 'radial'] : ['end']);

/** Is a play read as one movement? Where the dial is read so, unless somebody has begun to read its two ends apart. */
const isWhole = (facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>, way: Way): boolean =>
  readsSwing(facts) && !takenAt(facts, step).some((r) => isPart(r.place, way));
const isPart = (key: string, way: Way): boolean =>
  key.startsWith(`${way}/`) && !key.startsWith(`${way}/whole`);

/** The places asked for, in their order: each play whole, or by its two ends. */
const places = (facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>, trials: number): Place[] =>
  Array.from({ length: trials }, (_, t) =>
    waysOf(facts.setup).flatMap((way) =>
      (isWhole(facts, step, way) ? WHOLES : ACTS)
        .filter(([act]) => act.startsWith(way))
        .map((a) => place(a, t + 1)),
    ),
  ).flat();

/** Every place that may be read. */
const allPlaces = ({ setup }: Facts<ShaftSetup>): Place[] =>
  Array.from({ length: TRIALS_MOST }, (_, t) =>
    [...ACTS, ...WHOLES]
      .filter(([act]) => waysOf(setup).some((way) => act.startsWith(way)))
      .map((a) => place(a, t + 1)),
  ).flat();

const trialsOf = (facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>): number =>
  Math.max(1, ...takenAt(facts, step).map((r) => playKey.read(r.place)?.trial ?? 1));

/** Push and pull, release and lift, as often as it takes. */
export const playStep = stepKind<ShaftSetup, PlayStepValues>('play', {
  limits: () => [
    {
      title: COMMON.endPlay,
      maker: 'endPlayMm',
      quantity: 'length',
      rule: END_PLAY.id,
      schools: endPlayLimits(),
    },
    {
      title: COMMON.radialPlay,
      maker: 'radialPlayMm',
      quantity: 'length',
      schools: [byPractice(RADIAL_PLAY_MM)],
    },
  ],
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const rules = rulesOf(setup);
    const taken = takenAt(facts, step);
    const trials = trialsOf(facts, step);
    const at = (key: string, t: number) => valueAt(facts, step, `${key}/${t + 1}`) ?? null;
    // A whole movement is read from the zero it was set to: that zero has the error of a reading, too.
    const whole = (way: Way, t: number) => at(`${way}/whole`, t);
    const end = Array.from({ length: trials }, (_, t) => ({
      pushMm: at('end/push', t) ?? (whole('end', t) === null ? null : 0),
      pullMm: at('end/pull', t) ?? whole('end', t),
    }));
    const radial = Array.from({ length: trials }, (_, t) => ({
      restMm: at('radial/rest', t) ?? (whole('radial', t) === null ? null : 0),
      liftMm: at('radial/lift', t) ?? whole('radial', t),
    }));
    const result = shaftPlay({
      end: end.flatMap(({ pushMm, pullMm }) =>
        pushMm === null || pullMm === null ? [] : [{ pushMm, pullMm }],
      ),
      radial: radial.flatMap(({ restMm, liftMm }) =>
        restMm === null || liftMm === null ? [] : [{ restMm, liftMm }],
      ),
      ...inHand(taken, 0.01),
      school: chosenOf(rules, END_PLAY),
      makerEndMm: setup.maker.endPlayMm,
      makerRadialMm: setup.maker.radialPlayMm,
      rule: decisionOf(setup),
    });
    const next =
      nextOf(facts, step, places(facts, step, 1)) ??
      (trials > 1 ? nextOf(facts, step, places(facts, step, trials)) : null);
    const more = trials < TRIALS_MOST ? trials + 1 : null;
    return {
      findings: [...result.findings, ...gaugeFindings(taken)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, end, radial } satisfies PlayStepValues,
      next,
      choices:
        next === null && more !== null
          ? [
              {
                key: `${isWhole(facts, step, 'end') ? 'end/whole' : 'end/push'}/${more}`,
                label: M.pushPullAgain,
              },
              ...(goesTo(setup, 'standard')
                ? [
                    {
                      key: `${isWhole(facts, step, 'radial') ? 'radial/whole' : 'radial/rest'}/${more}`,
                      label: M.releaseLiftAgain,
                    },
                  ]
                : []),
            ]
          : next !== null && trials > 1
            ? places(facts, step, trials)
                .filter((p) => !takenAt(facts, step).some((r) => r.place === p.key))
                .map((p) => ({
                  key: p.key,
                  label:
                    [...ACTS, ...WHOLES].find(([act]) => act === playKey.read(p.key)?.act)?.[1] ?? p.label,
                }))
            : next
              ? apart(next)
              : [],
      act: next ? M.readIndicator({ label: next.label }) : M.readVerdictTryOnceMore,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, allPlaces(facts), key),
});

/** Where a play is asked for whole: its two ends can be read apart instead. */
const apart = ({ key }: Place) => {
  const read = playKey.read(key);
  if (read?.act === 'end/whole') return [{ key: `end/push/${read.trial}`, label: M.pushPullApart }];
  if (read?.act === 'radial/whole') return [{ key: `radial/rest/${read.trial}`, label: M.releaseLiftApart }];
  return [];
};
