import { type InferType, object, string } from 'yup';
import { isWhole } from '../../engine/asked.ts';
import { COMMON } from '../../message/common/messages.ts';
import { conditionPart, MEASURES } from '../../steps/condition/condition.ts';
import { makerCondition, makerShaft, shaftFields, shaftSchools } from '../../steps/condition/setup-fields.ts';
import { everyJob, holdBefore, inOrder, MAKER_ORDER, placeFields } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

/** A survey of a machine: no part is fitted, what is measured is `condition`. */
export const conditionSetupSchema = object({
  procedure: string()
    .oneOf(['condition.survey'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ verdict: M.verdict2, sign: COMMON.signature2 }),
  ...shaftFields,
  condition: conditionPart(MEASURES, 'asked', { inSight: true }).required(),
  schools: shaftSchools,
  maker: object({ ...makerShaft, ...makerCondition })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('whole', isWhole)
  .test('maker-order', MAKER_ORDER, inOrder);

export type ConditionSetup = InferType<typeof conditionSetupSchema>;

/** A usual pump to survey before a seal: a 60 shaft in a box of 100. Nothing of it is a limit. */
export const USUAL_CONDITION: Omit<ConditionSetup, 'machine' | 'position'> = {
  procedure: 'condition.survey',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 60,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  condition: {
    measures: ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore'],
    seat: 'mechanical-seal',
    runoutStations: 3,
    turnBy: 'swing',
    runoutAngles: 8,
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};
