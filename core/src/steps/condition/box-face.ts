import { type BoxFaceValues, boxFace } from '../../arithmetic/box/face.ts';
import { BOX_FACE, faceLimits } from '../../arithmetic/box/limits.ts';
import { answerTo } from '../../engine/facts.ts';
import { decisionOf, rulesOf } from '../../engine/setup.ts';
import type { Facts } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { isText } from '../../message/message.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { chosenOf } from '../../sources/methods.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { needed } from './condition.ts';
import { M } from './messages.ts';
import { playStep } from './play.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';
import { againInTurn, boxTurn, nextInTurn, readsSwing, sweptAt, turnOf, turnPlace } from './turn.ts';

export type BoxFaceStepValues = BoxFaceValues & {
  readings: AngleReading[];
  closingMm: number | null;
  wanted: number;
  boxBoreMm: number;
  sweepRadiusMm: number;
};

const look = (facts: Facts<ShaftSetup>) => ({ ...boxTurn(facts, M.face), bySwing: readsSwing(facts) });

/** The box face swept by an indicator clamped on the shaft. */
export const boxFaceStep = stepKind<ShaftSetup, BoxFaceStepValues>('box-face', {
  limits: ({ shaftMm, condition }) => [
    {
      title: COMMON.boxFaceTir,
      maker: 'faceMm',
      quantity: 'length',
      rule: BOX_FACE.id,
      schools: faceLimits(shaftMm, needed(condition, 'boxBoreMm')),
    },
  ],
  repeats: true,
  report(facts, step, carried) {
    const setup = facts.setup;
    const c = conditionOf(setup);
    const rules = rulesOf(setup);
    const l = look(facts);
    const turn = turnOf(facts, step, l.prefix);
    const held = answerTo(facts, step.id, 'held', 'any')?.answer;
    const boxBoreMm = needed(c, 'boxBoreMm');
    const sweepRadiusMm = needed(c, 'faceRadiusMm');
    const endPlayMm = playStep.valuesOf(carried.play)?.endPlayMm ?? undefined;
    const result = boxFace({
      shaftMm: setup.shaftMm,
      boxBoreMm,
      sweepRadiusMm,
      readings: turn.readings,
      swingsMm: turn.swingsMm,
      bySwing: l.bySwing,
      closingMm: turn.closingMm,
      ...inHand(turn.taken, 0.01),
      school: chosenOf(rules, BOX_FACE),
      makerLimitMm: setup.maker.faceMm,
      endPlayMm,
      heldOneWay: held === 'yes',
      rule: decisionOf(setup),
      wanted: l.wanted,
    });
    const key = nextInTurn(turn, l);
    const found = key ? turnPlace(facts, step, l, key) : null;
    const next = found && !isText(found) ? found : null;
    return {
      findings: [...result.findings, ...gaugeFindings(turn.taken)],
      working: result.working,
      beams: result.beams,
      values: {
        ...result.values,
        readings: turn.readings,
        closingMm: turn.closingMm ?? null,
        wanted: l.wanted,
        boxBoreMm,
        sweepRadiusMm,
      } satisfies BoxFaceStepValues,
      next,
      choices: turn.count >= l.wanted || turn.swingsMm.length > 0 ? againInTurn(turn, l) : [],
      ...(l.bySwing && turn.count === 0 ? {} : { turn: { prefix: l.prefix, wanted: l.wanted } }),
      act: next ? M.sweepFace({ at: sweptAt(facts, step, l, next.key) }) : M.turnWholeReadVerdict,
    };
  },
  place: (facts, step, key) => turnPlace(facts, step, look(facts), key) ?? M.thereNoSuchPlaceFace,
});
