import { boltSaid, boltTorque, looksLikeUnit, type TorqueValues } from '../arithmetic/bolting/torque.ts';
import type { StepDefinition } from '../engine/step.ts';
import type { Finding, WorkingLine } from '../judgement/result.ts';
import type { Text } from '../message/message.ts';
import { inline, textKey } from '../message/message.ts';
import { MessageError } from '../quantities/message-error.ts';
import { tor } from '../quantities/say.ts';
import type { BoltSpec } from './bolt-passes.ts';
import { M } from './messages.ts';

/** The sheet's torque; of a range its middle. */
const aimOf = ({ makerTorqueNm: least, makerMostNm: most }: BoltSpec): number | undefined =>
  least === undefined || most === undefined ? least : (least + most) / 2;

/** The torque of a set: worked out with its sources, or the sheet’s alone, looked at for a slip of unit. */
export function torqueOf(
  step: StepDefinition,
  spec: BoltSpec,
): { values: Pick<TorqueValues, 'torqueNm' | 'source'>; findings: Finding[]; working: WorkingLine[] } {
  if (spec.snug)
    return {
      values: { torqueNm: 0, source: 'maker' },
      findings: [
        {
          code: `${step.id}.torque`,
          verdict: 'accept',
          reason: M.onlySnugEvenlyHandKey({ what: spec.what }),
          params: { what: spec.what },
          source: 'practice',
          acceptable: false,
        },
      ],
      working: [],
    };
  const { bolt } = spec;
  if (bolt) {
    const aimNm = aimOf(spec);
    const told = boltTorque({ ...bolt, makerTorqueNm: aimNm });
    return spec.housing && aimNm === undefined
      ? { ...told, findings: told.findings.map((f) => byBoltAlone(f, boltSaid(bolt, told.values.torqueNm))) }
      : told;
  }
  const leastNm = spec.makerTorqueNm;
  if (leastNm === undefined) throw new MessageError(M.torqueMissing({ textKey: textKey(spec.what) }));
  const torqueNm = aimOf(spec) ?? leastNm;
  const range =
    spec.makerMostNm === undefined ? '' : M.middle({ least: tor(leastNm), makerMost: tor(spec.makerMostNm) });
  const [low, high] = spec.usualNm ?? [0, Number.POSITIVE_INFINITY];
  const slip = looksLikeUnit(torqueNm, (low + high) / 2);
  if (spec.usualNm && slip)
    return {
      values: { torqueNm, source: 'maker' },
      findings: [
        {
          code: `${step.id}.unit`,
          verdict: 'reject',
          reason: M.torqueTenTimesUsual({
            torque: tor(torqueNm),
            what: inline(spec.what),
            low: tor(low),
            high: tor(high),
          }),
          params: { torqueNm, what: spec.what },
          source: 'practice',
          remedy: slip,
          acceptable: true,
        },
      ],
      working: [],
    };
  const odd = torqueNm < low / 3 || torqueNm > 3 * high;
  return {
    values: { torqueNm, source: 'maker' },
    findings: [
      {
        code: `${step.id}.torque`,
        verdict: odd ? 'caution' : 'accept',
        reason: odd
          ? M.farFromWhatUsual({
              torque: tor(torqueNm),
              what: inline(spec.what),
              low: tor(low),
              high: tor(high),
            })
          : M.makerSSheet({ what: spec.what, range, torque: tor(torqueNm) }),
        params: {
          torqueNm: odd ? torqueNm : null,
          what: odd ? spec.what : null,
          low: odd ? low : null,
          high: odd ? high : null,
          what2: odd ? null : spec.what,
          range: odd ? null : range,
          torqueNm2: odd ? null : torqueNm,
        },
        source: 'maker',
        ...(odd ? { remedy: M.readSheetAgainValueUnit } : {}),
        acceptable: true,
      },
    ],
    working: [],
  };
}

/** What a bolt bears is not what a housing bears: some ask for half. */
const byBoltAlone = (f: Finding, torque: Text): Finding =>
  f.code === 'bolting.torque'
    ? {
        ...f,
        verdict: 'caution',
        reason: M.fromBoltAloneMayDistort({ torque }),
        remedy: M.lookHousingsOwnTorqueSheet,
      }
    : f;
