/** Practice: benches over a hidden truth, drills, classes, marks. */

export { admitted, notAtABench } from './admitted.ts';
export {
  type DrillAnswers,
  decksTold,
  drillAnswersSchema,
  type Kept,
  nextOf,
  putBy,
} from './again.ts';
export { type Action, Bench, type Feel, played, type Shown } from './bench.ts';
export {
  actionsSchema,
  type Competence,
  type CompetenceAsked,
  competenceSchema,
  type DebriefTold,
  type HandedIn,
  handedInSchema,
  type PracticeTold,
  type ResultLine,
  type SetAsked,
  type SetTold,
  setSchema,
} from './class.ts';
export {
  type Attempt,
  type Call,
  type Debrief,
  debrief,
  PART_IDS,
  PARTS,
  WORTH,
} from './debrief.ts';
export { allDrills } from './decks.ts';
export { type Answer, DECKS, type DeckId, type Drill, type Face, isRight } from './drill.ts';
export { BLADES_MM, PRACTICE_GAUGES } from './gauges.ts';
export type { Beside, Logged } from './handled.ts';
export { allRigs, type Laid, layOut, rigOf } from './rigs.ts';
export { atRandom, careful, careless } from './scripted-hands.ts';
