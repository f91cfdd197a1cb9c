/** An outage: its jobs, its plan, its risk, its kit. */

export { circleOf, type Network, type Placed, type Span } from '../arithmetic/planning/network.ts';
export { isWithoutPlace, waitedFor } from '../arithmetic/planning/place.ts';
export { type Doubt, lateRisk, type Risk } from '../arithmetic/planning/risk.ts';
export { type Carried, carriedOn, type Planned, planned, search } from '../arithmetic/planning/search.ts';
export { circleBy, proposedBindings } from '../planning/bindings.ts';
export { type Duration, durationsOf, foundAt, oddsOf, workedByStep } from '../planning/durations.ts';
export { kitOf, kitRowKey, laidNow, toolsWanted } from '../planning/kit.ts';
export {
  type Outage,
  type OutageJob,
  type OutageLine,
  type OutageTold,
  outageSchema,
  type Progress,
} from '../planning/outage.ts';
export { progressOf } from '../planning/progress.ts';
export { minutesFrom, momentAt, planFrom } from '../planning/shifts.ts';
export { type Known, networkOf, type OutageNetwork, type Piece } from '../planning/tasks.ts';
export { toolKey } from '../planning/tools.ts';
export { difference, saidMinutes, supposed, type WhatIf } from '../planning/what-if.ts';
