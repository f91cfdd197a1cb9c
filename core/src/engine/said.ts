import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
/** OK, not OK, or does not apply: the machine has no such thing, and the reason is written down. Kept as yes, no and none. */
export const ANSWERS = ['yes', 'no', 'none'] as const;
export type Said = (typeof ANSWERS)[number];

/** What an answer is called, on screen and on paper. */
export const ANSWER_WORD: Readonly<Record<Said, Text>> = {
  yes: 'OK',
  no: COMMON.notOk,
  none: M.doesNotApply,
};
