import { boolean, number, object, string } from 'yup';
import { type Calculator, entry, mm, rule, signed, turn } from '../../judgement/entry.ts';
import { idsOf } from '../../sources/methods.ts';
import { boxBore } from './bore.ts';
import { boxEnvelope } from './envelope.ts';
import { boxFace } from './face.ts';
import { BOX_FACE } from './limits.ts';
import { M } from './messages.ts';

export const BOX_ENTRIES: readonly Calculator[] = [
  entry(
    'box.face',
    M.squarenessBoxFaceTiltWarp,
    object({
      shaftMm: mm(500).required(),
      boxBoreMm: mm(800).required(),
      sweepRadiusMm: mm(800).required(),
      readings: turn(),
      closingMm: signed(),
      resolutionMm: mm(1).required(),
      school: string().oneOf(idsOf(BOX_FACE)).required(),
      makerLimitMm: mm(5),
      endPlayMm: number().min(0).max(20),
      heldOneWay: boolean(),
      rule: rule(),
      wanted: number().integer().min(4).max(24),
    }).noUnknown(),
    boxFace,
  ),
  entry(
    'box.bore',
    M.concentricityBoxBoreBracketSag,
    object({
      readings: turn(),
      closingMm: signed(),
      sagMm: signed(2),
      resolutionMm: mm(1).required(),
      makerLimitMm: mm(5),
      rule: rule(),
      wanted: number().integer().min(4).max(24),
    }).noUnknown(),
    boxBore,
  ),
  entry(
    'box.envelope',
    M.boxAgainstSealsEnvelope,
    object({
      boreMm: mm(),
      depthMm: mm(),
      obstructionMm: mm(),
      studCircleMm: mm(),
      resolutionMm: mm(1).required(),
      sealBoreLowerMm: mm(),
      sealBoreUpperMm: mm(),
      sealDepthMm: mm(),
      sealReachMm: mm(),
      sealStudCircleMm: mm(),
      studPlayMm: number().min(0).max(20),
      rule: rule(),
    }).noUnknown(),
    boxEnvelope,
  ),
];
