import type { CalculatorResult } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { tor } from '../../quantities/say.ts';
import { M } from './messages.ts';
import { type BoltPass, crosswiseCircle } from './pattern.ts';

/**
 * Passes of a collar with dog and cup points: dog points go into their holes first, snug and to torque, then the cup points;
 * all once round at the end. Dogs are numbered before cups. Source: common practice, no source.
 * @throws RangeError where there is no screw at all
 */
export function setScrewPasses(dogs: number, cups: number, torqueNm: number): BoltPass[] {
  if (dogs + cups < 1) throw new MessageError(M.thereNoSetScrewTighten);
  const part = (count: number, from: number): number[] =>
    count === 0 ? [] : count === 1 ? [from + 1] : crosswiseCircle(count).map((i) => i + from);
  const pass = (name: Text, order: number[], share: number, kind: BoltPass['kind']): BoltPass => ({
    name,
    kind,
    share,
    torqueNm: kind === 'hand' ? null : share * torqueNm,
    order,
  });
  const groups: Array<[Text, number[]]> = [
    [COMMON.dogPoints, part(dogs, 0)],
    [COMMON.cupPoints, part(cups, dogs)],
  ];
  return [
    ...groups
      .filter(([, order]) => order.length > 0)
      .flatMap(([name, order]) => [
        pass(M.snug({ name }), order, 0, 'hand'),
        pass(M.torque({ name }), order, 1, 'torque'),
      ]),
    pass(
      M.allOnceRound,
      Array.from({ length: dogs + cups }, (_, i) => i + 1),
      1,
      'round',
    ),
  ];
}

/** The passes of a collar's set screws as a calculator gives them. @throws RangeError as `setScrewPasses` */
export function setScrewSequence(input: {
  dogs: number;
  cups: number;
  torqueNm: number;
}): CalculatorResult<{ passes: BoltPass[] }> {
  const passes = setScrewPasses(input.dogs, input.cups, input.torqueNm);
  return {
    values: { passes },
    findings: [
      {
        code: 'set-screws.order',
        verdict: 'accept',
        reason: input.dogs > 0 && input.cups > 0 ? M.dogPointsIntoTheirHoles : M.oneKindPointOnlySnug,
        params: { dogs: Boolean(input.dogs > 0 && input.cups > 0) },
        source: 'practice',
        acceptable: false,
      },
    ],
    working: passes.map((p) => ({
      what: p.name,
      sum: expr`${p.torqueNm === null ? COMMON.hand : tor(p.torqueNm)}: ${p.order.join(' · ')}`,
    })),
    beams: [],
  };
}
