/** A job: its setup, its events, the one `take` of browser and server, and what the trades give. */

export type { ActHere } from '../engine/act.ts';
export { placeAt } from '../engine/admit.ts';
export { canLack, comesBefore, isSettled, kindOf } from '../engine/answers.ts';
export { type Field, type FormValues, fieldsOf, formName } from '../engine/asked.ts';
export { timeOf } from '../engine/clock.ts';
export { belongsTo } from '../engine/depth.ts';
export { type EventDataOf, type EventType, eventSchema, type JobEvent, NOTE_MOST } from '../engine/events.ts';
export { acceptanceOf, answered, answerTo, standing } from '../engine/facts.ts';
export { apply, factsOf, gather, judge, reduce } from '../engine/judge.ts';
export { LACKING, lackingAt, mayLack } from '../engine/lacking.ts';
export { paramsToSend } from '../engine/params.ts';
export { measuredAt, type PlaceQuantity } from '../engine/place-quantity.ts';
export type { Chance, Difficulty, Handled, Lookalike, Physics, Rig, RigFault } from '../engine/rig.ts';
export { between, DIFFICULTIES, DIFFICULTY_IDS, either } from '../engine/rig.ts';
export { records } from '../engine/roles.ts';
export { checksLeft, isRunning } from '../engine/running.ts';
export { ANSWER_WORD, type Said } from '../engine/said.ts';
export type { Setup } from '../engine/setup.ts';
export { setupListing } from '../engine/setup-schema.ts';
export type { MeasuredPlace, PositionPiece } from '../engine/slots.ts';
export type {
  Answer,
  BoltTick,
  Facts,
  JobState,
  LackingWhy,
  Place,
  PlaceChoice,
  Reading,
  Signature,
  StepReport,
  StepState,
  Struck,
} from '../engine/state.ts';
export type { GateItem, KindFamily, LimitQuestion, StepDefinition } from '../engine/step.ts';
export { type StillHolds, stillHolding } from '../engine/still-holds.ts';
export { take } from '../engine/take.ts';
export { actsLeft, goesOnTo } from '../engine/together.ts';
export type { Trade } from '../engine/trade.ts';
export {
  actOn,
  actsOn,
  allMethods,
  allSharedTools,
  allSkills,
  allTrades,
  failureGuideOf,
  failureGuides,
  procedureFor,
  reportAt,
  rulesWith,
  sameTrade,
  signsAt,
  stepOf,
  tradeOf,
  usualRules,
  whyOf,
} from '../engine/trades.ts';
export { upcast } from '../engine/upcast.ts';
