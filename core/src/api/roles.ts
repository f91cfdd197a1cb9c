import type { Role } from '../engine/roles.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';

export { ROLES, type Role } from '../engine/roles.ts';

/** What each role is called and may do, as a person reads it. */
export const ROLE_SAID: Readonly<Record<Role, readonly [name: Text, may: Text]>> = {
  fitter: ['fitter', M.worksSignsSheets],
  lead: [COMMON.leadHand, M.releasesHoldsAcceptsDeviationsKeeps],
  viewer: ['viewer', M.readsRecordsNothing],
  instructor: ['instructor', M.readsSetsPracticeSignsCompetence],
};
