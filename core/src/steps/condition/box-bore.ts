import { BOX_BORE_TIR_MM, type BoxBoreValues, boxBore } from '../../arithmetic/box/bore.ts';
import { readingAt } from '../../engine/facts.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { isText } from '../../message/message.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { byPractice } from '../../sources/limits.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { needed } from './condition.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';
import { againInTurn, boxTurn, nextInTurn, sweptAt, turnOf, turnPlace } from './turn.ts';

export type BoxBoreStepValues = BoxBoreValues & {
  readings: AngleReading[];
  closingMm: number | null;
  wanted: number;
  boxBoreMm: number;
};

const look = (facts: Facts<ShaftSetup>) => boxTurn(facts, M.bore);

const SAG: Place = {
  key: 'sag',
  label: M.bracketSagBottomStiffBar,
  quantity: 'dial',
  low: -2,
  high: 2,
  instrumentKinds: ['dial'],
};

/** The bore swept from the shaft, the bracket's sag measured first and taken out. */
export const boxBoreStep = stepKind<ShaftSetup, BoxBoreStepValues>('box-bore', {
  limits: () => [
    { title: COMMON.boxBoreTir, maker: 'boreMm', quantity: 'length', schools: [byPractice(BOX_BORE_TIR_MM)] },
  ],
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const l = look(facts);
    const turn = turnOf(facts, step, l.prefix);
    const sag = readingAt(facts, step.id, SAG.key, 'any');
    const used = sag ? [...turn.taken, sag] : turn.taken;
    const result = boxBore({
      readings: turn.readings,
      closingMm: turn.closingMm,
      sagMm: sag?.value,
      ...inHand(used, 0.01),
      makerLimitMm: setup.maker.boreMm,
      rule: decisionOf(setup),
      wanted: l.wanted,
    });
    const key = sag || turn.count > 0 ? nextInTurn(turn, l) : SAG.key;
    const found = key === SAG.key ? SAG : key ? turnPlace(facts, step, l, key) : null;
    const next = found && !isText(found) ? found : null;
    return {
      findings: [...result.findings, ...gaugeFindings(used)],
      working: result.working,
      beams: result.beams,
      values: {
        ...result.values,
        readings: turn.readings,
        closingMm: turn.closingMm ?? null,
        wanted: l.wanted,
        boxBoreMm: needed(conditionOf(setup), 'boxBoreMm'),
      } satisfies BoxBoreStepValues,
      next,
      choices: [
        ...(sag ? [] : [{ key: SAG.key, label: M.bracketSag }]),
        ...(turn.count === 0 ? [{ key: `${l.prefix}0`, label: M.bore0 }] : []),
        ...(turn.count >= l.wanted ? againInTurn(turn, l) : []),
      ],
      turn: { prefix: l.prefix, wanted: l.wanted },
      act: next
        ? next.key === SAG.key
          ? M.readBracketsSagStiffBar
          : M.sweepBore({ at: sweptAt(facts, step, l, next.key) })
        : M.turnWholeReadVerdict,
    };
  },
  place(facts, step, key) {
    if (key !== SAG.key) return turnPlace(facts, step, look(facts), key) ?? M.thereNoSuchPlaceBore;
    return readingAt(facts, step.id, key, 'any') ? M.sagReadAlreadyWithdrawReason : SAG;
  },
});
