/** Practice: benches over a hidden truth, drills, classes, marks. */

export { DIFFICULTIES, DIFFICULTY_IDS, type Difficulty, type Rig } from '../engine/rig.ts';
export { admitted, notAtABench } from '../practice/admitted.ts';
export {
  type DrillAnswers,
  decksTold,
  drillAnswersSchema,
  type Kept,
  nextOf,
  putBy,
} from '../practice/again.ts';
export { type Action, Bench, type Feel, played, type Shown } from '../practice/bench.ts';
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
} from '../practice/class.ts';
export {
  type Attempt,
  type Call,
  type Debrief,
  debrief,
  PART_IDS,
  PARTS,
  WORTH,
} from '../practice/debrief.ts';
export { allDrills } from '../practice/decks.ts';
export { type Answer, DECKS, type DeckId, type Drill, type Face, isRight } from '../practice/drill.ts';
export { BLADES_MM, PRACTICE_GAUGES } from '../practice/gauges.ts';
export type { Beside, Logged } from '../practice/handled.ts';
export { allRigs, type Laid, layOut, rigOf } from '../practice/rigs.ts';
export { atRandom, careful, careless } from '../practice/scripted-hands.ts';
