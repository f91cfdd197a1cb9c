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

/** An act and its trial. */
export const playKey = placeKey('{act:end/push|end/pull|radial/rest|radial/lift}/{trial}');

const place = ([act, label]: (typeof ACTS)[number], trial: number): Place => ({
  key: playKey.write({ act, trial }),
  label: expr`${label}${trial > 1 ? M.trial({ trial }) : ''}`,
  quantity: 'dial',
  low: -10,
  high: 10,
  instrumentKinds: ['dial'],
});
/** The radial play is a careful crew's; the end play is everybody's. */
const actsOf = (setup: ShaftSetup) => (goesTo(setup, 'standard') ? ACTS : ACTS.slice(0, 2));
const places = (setup: ShaftSetup, trials: number): Place[] =>
  Array.from({ length: trials }, (_, t) => actsOf(setup).map((a) => place(a, t + 1))).flat();

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
    const end = Array.from({ length: trials }, (_, t) => ({
      pushMm: at('end/push', t),
      pullMm: at('end/pull', t),
    }));
    const radial = Array.from({ length: trials }, (_, t) => ({
      restMm: at('radial/rest', t),
      liftMm: at('radial/lift', t),
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
      nextOf(facts, step, places(setup, 1)) ??
      (trials > 1 ? nextOf(facts, step, places(setup, trials)) : null);
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
              { key: `end/push/${more}`, label: M.pushPullAgain },
              ...(goesTo(setup, 'standard')
                ? [{ key: `radial/rest/${more}`, label: M.releaseLiftAgain }]
                : []),
            ]
          : next !== null && trials > 1
            ? places(setup, trials)
                .filter((p) => !takenAt(facts, step).some((r) => r.place === p.key))
                .map((p) => ({
                  key: p.key,
                  label: ACTS.find(([act]) => act === playKey.read(p.key)?.act)?.[1] ?? p.label,
                }))
            : [],
      act: next ? M.readIndicator({ label: next.label }) : M.readVerdictTryOnceMore,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, places(facts.setup, TRIALS_MOST), key),
});
