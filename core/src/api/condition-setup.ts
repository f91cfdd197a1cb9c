import { type InferType, object, string } from 'yup';
import { conditionSchema } from './condition.ts';
import { inOrder, MAKER_ORDER, machineFields, shaftFields, wholeCondition } from './setup-parts.ts';
import './sentences.ts';

/** A survey of a machine: no part is fitted, what is measured is `condition`. */
export const conditionSetupSchema = object({
  procedure: string()
    .oneOf(['condition.survey'] as const)
    .required(),
  ...machineFields,
  ...shaftFields,
  condition: conditionSchema.required(),
})
  .noUnknown()
  .test('condition-whole', (s, context) => wholeCondition(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type ConditionSetup = InferType<typeof conditionSetupSchema>;
