import { defineTrade } from '../../engine/trade.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { example } from './example.ts';
import { conditionSurvey } from './procedure.ts';
import { type ConditionSetup, conditionSetupSchema, USUAL_CONDITION } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A machine surveyed: is this shaft, and the box round it, fit to receive anything? */
export const surveyTrade = defineTrade<ConditionSetup>({
  id: 'condition.survey',
  schema: conditionSetupSchema,
  usual: USUAL_CONDITION,
  procedure: conditionSurvey,
  words,
  figures: SHARED_FIGURES,
  slots,
  why,
  example,
});
