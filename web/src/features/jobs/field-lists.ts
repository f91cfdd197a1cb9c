import type { JobKind } from '@fulcrant/core';
import type { Field } from './field.ts';
import { SLEEVE_FIELDS } from './field-lists-bearing.ts';
import { PACKING_FIELDS, PLUNGER_FIELDS, SEAL_FIELDS, WEAR_FIELDS } from './field-lists-boxes.ts';
import { SURVEY_FIELDS } from './field-lists-condition.ts';
import { DISMOUNT_FIELDS, REGREASE_FIELDS, SPLIT_FIELDS } from './field-lists-other.ts';

const LISTS: Record<JobKind, readonly Field[]> = {
  'sleeve-bearing': SLEEVE_FIELDS,
  'split-bearing': SPLIT_FIELDS,
  dismounting: DISMOUNT_FIELDS,
  regreasing: REGREASE_FIELDS,
  seal: SEAL_FIELDS,
  packing: PACKING_FIELDS,
  plunger: PLUNGER_FIELDS,
  'seal-wear': WEAR_FIELDS,
  'condition.survey': SURVEY_FIELDS,
};

/** What is asked for a kind of job, in the order of the work. */
export const fieldsOf = (kind: JobKind): readonly Field[] => LISTS[kind];
