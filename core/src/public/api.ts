/** What travels between browser and server beside events. */

export { type AutopsyTold, autopsySchema } from '../api/autopsies.ts';
export type { DueLine } from '../api/due.ts';
export { type HandCardKept, handDueOn, handFor, newHandSchema } from '../api/hands.ts';
export {
  changedPersonSchema,
  firstVisitSchema,
  newPersonSchema,
  type PersonLine,
  type Plant,
  type PlantGreeting,
  type PlantSettings,
  passwordChangeSchema,
  passwordResetSchema,
  pinChangeSchema,
  pinSchema,
  pinSignInSchema,
  plantSchema,
  type SessionLine,
  secondOffSchema,
  secondSchema,
} from '../api/plant.ts';
export {
  type Imported,
  type ImportFault,
  type ImportLine,
  importSchema,
  type NewPosition,
  newPositionSchema,
  type PartCard,
  type PartCardBody,
  type PositionCard,
  partCardSchema,
  partKey,
  type RegisterLine,
  type ShaftCardBody,
  shaftCardSchema,
} from '../api/register.ts';
export {
  type Certificate,
  calibratedSchema,
  type EventOutcome,
  type EventsResponse,
  eventsRequestSchema,
  gaugeUseSchema,
  type LacksAsked,
  type LacksTold,
  lacksSchema,
  newInstrumentSchema,
  type Person,
  type SignIn,
  signInSchema,
  siteRulesSchema,
} from '../api/requests.ts';
export { ROLE_SAID, ROLES, type Role } from '../api/roles.ts';
