import { type InferType, object, string } from 'yup';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr } from '../message/message.ts';
import { M } from './messages.ts';
import { ROLES, type Role } from './roles.ts';
import '../judgement/sentences.ts';

/** Who did something, and in what role. */
export const authorSchema = object({
  id: string().min(1).max(40).required(),
  name: string().min(1).max(60).required(),
  role: string().oneOf(ROLES).required(),
})
  .noUnknown()
  .required();
export type Author = InferType<typeof authorSchema>;
/** A role as the beginning of a sentence. */
export const roleSaid = (role: Role): Text =>
  expr`${role === 'instructor' ? M.an : 'A'} ${role === 'lead' ? COMMON.leadHand : role}`;
