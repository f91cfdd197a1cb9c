import {
  type ClockReadings,
  type CouplingMethod,
  type CouplingValues,
  couplingAlignment,
} from '../../arithmetic/alignment/coupling.ts';
import { couplingTolerance } from '../../arithmetic/alignment/coupling-tolerance.ts';
import { shaftRise } from '../../arithmetic/alignment/growth.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline } from '../../message/message.ts';
import { byPractice } from '../../sources/limits.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { type Condition, needed } from './condition.ts';
import { listedPlace, nextOf, offer, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type CouplingStepValues = {
  method: CouplingMethod;
  rim: Array<number | null>;
  second: Array<number | null>;
  rimSagMm: number | null;
  secondSagMm: number | null;
  frontFeetMm: number;
  feetSpanMm: number;
  /** Between the dials of reverse indicators; not asked of the other method. */
  dialDistanceMm: number | undefined;
  /** Swept on the face by rim and face; not asked of the other method. */
  faceDiameterMm: number | undefined;
  /** Where the driver is to stand cold, low negative; nothing where nothing is said of warmth. */
  targetOffsetMm?: number;
  result: CouplingValues | null;
};

const CLOCK = [
  [0, 'top'],
  [90, 'right'],
  [180, 'bottom'],
  [270, 'left'],
] as const;

type Dial = { key: 'rim' | 'face' | 'back'; name: Text };
const dials = (method: CouplingMethod): [Dial, Dial] => [
  { key: 'rim', name: method === 'reverse' ? M.dialDriver : COMMON.rim },
  method === 'reverse' ? { key: 'back', name: M.dialDrivenShaft } : { key: 'face', name: M.face2 },
];

const clockPlaces = ({ key, name }: Dial): Place[] =>
  CLOCK.map(([deg, word]) => ({
    key: `${key}/${deg}`,
    label: expr`${name}, ${word}`,
    quantity: 'dial' as const,
    low: -10,
    high: 10,
    instrumentKinds: ['dial' as const],
    turn: { station: 0, atMm: 0, angleDeg: deg },
  }));

const sagPlace = ({ key, name }: Dial): Place & { offer: Text } => ({
  key: `${key}/sag`,
  label: M.bracketSagBottomStiffBar2({ name }),
  offer: M.sag({ name: inline(name) }),
  quantity: 'dial',
  low: -2,
  high: 2,
  instrumentKinds: ['dial'],
});

/** Where the driver is to stand cold: by how much more the driven shaft rises than its own. */
function coldPlace(c: Condition): { targetOffsetMm?: number } {
  if (c.driverWarmerK === undefined && c.drivenWarmerK === undefined) return {};
  const rise = (heightMm: number | undefined, k: number | undefined) => shaftRise(heightMm ?? 0, k ?? 0);
  return {
    targetOffsetMm: rise(c.drivenHeightMm, c.drivenWarmerK) - rise(c.driverHeightMm, c.driverWarmerK),
  };
}

const methodOf = ({ setup }: Facts<ShaftSetup>): CouplingMethod =>
  conditionOf(setup).couplingMethod ?? 'rim-and-face';
const sagged = (method: CouplingMethod): Dial[] =>
  method === 'reverse' ? dials(method) : [dials(method)[0]];

const clock = (
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  key: string,
): Array<number | null> => CLOCK.map(([deg]) => valueAt(facts, step, `${key}/${deg}`) ?? null);
const whole = (r: Array<number | null>): ClockReadings | null =>
  r.every((v) => v !== null) ? (r as unknown as ClockReadings) : null;

/** Two dials at four clock places: offset and angle at the coupling, shims and moves at the feet. */
export const couplingStep = stepKind<ShaftSetup, CouplingStepValues>('coupling', {
  limits({ condition }) {
    const rpm = needed(condition, 'speedRpm');
    const { offsetMm, anglePer100Mm } = couplingTolerance(rpm);
    const at = M.rpm({ rpm });
    return [
      { title: M.offset, maker: 'offsetMm', quantity: 'length', schools: [byPractice(offsetMm, at)] },
      {
        title: M.anglePer100,
        maker: 'anglePer100Mm',
        quantity: 'length',
        schools: [byPractice(anglePer100Mm, at)],
      },
    ];
  },
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const c = conditionOf(setup);
    const method = methodOf(facts);
    const [first, second] = dials(method);
    const taken = takenAt(facts, step);
    const rim = clock(facts, step, first.key);
    const other = clock(facts, step, second.key);
    const [rimMm, otherMm] = [whole(rim), whole(other)];
    const places = [...clockPlaces(first), ...clockPlaces(second)];
    const next = nextOf(facts, step, places);
    const rimSagMm = valueAt(facts, step, `${first.key}/sag`);
    const secondSagMm = valueAt(facts, step, `${second.key}/sag`);
    const sizes = {
      frontFeetMm: needed(c, 'frontFeetMm'),
      feetSpanMm: needed(c, 'feetSpanMm'),
      dialDistanceMm: c.dialDistanceMm,
      faceDiameterMm: c.faceDiameterMm,
    };
    const target = coldPlace(c);
    const result =
      rimMm && otherMm
        ? couplingAlignment({
            method,
            speedRpm: needed(c, 'speedRpm'),
            rimMm,
            ...(method === 'reverse' ? { backMm: otherMm } : { faceMm: otherMm }),
            rimSagMm,
            backSagMm: secondSagMm,
            ...sizes,
            ...target,
            ...inHand(
              taken.filter((r) => r.place.startsWith(`${first.key}/`)),
              0.01,
            ),
            second: inHand(
              taken.filter((r) => r.place.startsWith(`${second.key}/`)),
              0.01,
            ),
            makerOffsetMm: setup.maker.offsetMm,
            makerAnglePer100Mm: setup.maker.anglePer100Mm,
            rule: decisionOf(setup),
          })
        : null;
    const noSag = sagged(method).filter((d) => valueAt(facts, step, `${d.key}/sag`) === undefined);
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'coupling.unread',
            verdict: 'incomplete' as const,
            reason: M.clockPlacesStillRead({
              count: places.filter((p) => valueAt(facts, step, p.key) === undefined).length,
              count2: places.length,
            }),
            params: {
              length: places.filter((p) => valueAt(facts, step, p.key) === undefined).length,
              length2: places.length,
            },
            acceptable: false,
          },
        ]),
        ...(result && noSag.length > 0
          ? [
              {
                code: 'coupling.sag',
                verdict: 'caution' as const,
                reason: M.sagBracketNotMeasuredStands,
                params: {},
                source: 'practice' as const,
                remedy: M.hangSetUpStiffBar,
                acceptable: false,
              },
            ]
          : []),
        ...gaugeFindings(taken),
      ],
      working: result?.working ?? [],
      beams: result?.beams ?? [],
      values: {
        method,
        rim,
        second: other,
        rimSagMm: rimSagMm ?? null,
        secondSagMm: secondSagMm ?? null,
        ...sizes,
        ...target,
        result: result?.values ?? null,
      } satisfies CouplingStepValues,
      next,
      choices: [
        ...(next ? [{ key: next.key, label: next.label }] : []),
        ...offer(facts, step, sagged(method).map(sagPlace)),
      ],
      act: next ? M.readDial({ label: inline(next.label, 'first') }) : COMMON.readVerdict,
    };
  },
  place(facts, step, key) {
    const method = methodOf(facts);
    return listedPlace(
      facts,
      step,
      [...dials(method).flatMap(clockPlaces), ...sagged(method).map(sagPlace)],
      key,
    );
  },
});
