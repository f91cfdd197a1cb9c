import { INSTRUMENT_KINDS } from '@fulcrant/core/instruments';
import { allTrades, DIFFICULTY_IDS, type Difficulty, eventSchema } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { array, boolean, type InferType, lazy, number, object, type Schema, string } from 'yup';
import type { Action } from './bench.ts';
import type { Debrief } from './debrief.ts';
import { M } from './messages.ts';
import { rigOf } from './rigs.ts';

const word = () => string().min(1).max(60).required();
/** What may be done at a bench, each by its own shape. */
const SHAPES: Record<Action['do'], Schema> = {
  look: object({ do: word(), step: word(), item: word() }).noUnknown(),
  at: object({
    do: word(),
    step: word(),
    key: word(),
    kind: string().oneOf(INSTRUMENT_KINDS).required(),
  }).noUnknown(),
  blade: object({ do: word(), mm: number().min(0).max(10).required() }).noUnknown(),
  square: object({ do: word() }).noUnknown(),
  tap: object({ do: word() }).noUnknown(),
  rock: object({ do: word() }).noUnknown(),
  blow: object({ do: word() }).noUnknown(),
  stroke: object({ do: word() }).noUnknown(),
  pull: object({ do: word(), jerk: boolean().required() }).noUnknown(),
  off: object({ do: word() }).noUnknown(),
};
const actionSchema = lazy((v: unknown) => {
  const what = (v as { do?: unknown } | null)?.do;
  return typeof what === 'string' && Object.hasOwn(SHAPES, what)
    ? SHAPES[what as Action['do']]
    : object({ do: string().oneOf(Object.keys(SHAPES)).required() }).noUnknown();
});

/** So much may be done at one bench; it is more than anybody does in a day. */
const ACTS_MOST = 4000;
/** So many entries a practice sheet has at the most. */
const ENTRIES_MOST = 600;
export const actionsSchema = object({
  actions: array(actionSchema).min(1).max(ACTS_MOST).required(),
}).noUnknown();

const rigId = () =>
  string()
    .required(M.whichBench)
    .test('rig', COMMON.thereNoSuchBench, (v) => v === undefined || rigOf(v) !== undefined);
const difficulty = () => string().oneOf(DIFFICULTY_IDS).required();

/** What was done at a bench and made of it, handed in: a set of a class by its id, or a bench of one’s own by how and from what number it was laid out. */
export const handedInSchema = object({
  set: string().length(36).notRequired(),
  own: object({
    rig: rigId(),
    difficulty: difficulty(),
    seed: number()
      .integer()
      .min(0)
      .max(2 ** 31)
      .required(),
  })
    .noUnknown()
    .notRequired()
    .default(undefined),
  events: array(eventSchema as unknown as Schema)
    .max(ENTRIES_MOST)
    .required(),
  log: array(
    object({ action: actionSchema, after: number().integer().min(0).max(ENTRIES_MOST).required() })
      .noUnknown()
      .required(),
  )
    .max(ACTS_MOST)
    .required(),
  call: object({
    fit: boolean().required(),
    faults: array(string().min(1).max(40).required()).max(12).required(),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('which', 'Which bench?', (v) => !v || (v.set == null) !== (v.own == null));
export type HandedIn = InferType<typeof handedInSchema>;

/** A bench set for a class: by its number the same for all, or each with a seed of their own. */
export const setSchema = object({
  rig: rigId(),
  difficulty: difficulty(),
  /** The number of the bench; left out, each has their own. */
  seed: number()
    .typeError(M.wholeNumberNothingThenEach)
    .integer(COMMON.wholeNumber)
    .min(1, M.from1Up)
    .max(2 ** 31, M.tooLarge)
    .notRequired(),
  says: string().trim().max(200).notRequired(),
}).noUnknown();
export type SetAsked = InferType<typeof setSchema>;

/** That somebody is competent in a trade, as another has seen: signed, with the day it is to be renewed. */
export const competenceSchema = object({
  person: string().max(40).required(M.who),
  trade: string()
    .required(M.whichTrade)
    .test('trade', M.thereNoSuchTrade, (v) => v === undefined || allTrades().some((t) => t.id === v)),
  renewOn: string()
    .required(M.whenRenewed)
    .matches(/^\d{4}-\d\d-\d\d$/, { message: M.writeDayLike202711 })
    .test('real', COMMON.thereNoSuchDay, (v) => {
      const t = Date.parse(`${v}T00:00:00Z`);
      return v === undefined || (Number.isFinite(t) && new Date(t).toISOString().slice(0, 10) === v);
    }),
  words: string().trim().min(3, M.fewWordsWhatSeen).max(400).required(M.fewWordsWhatSeen),
}).noUnknown();
export type CompetenceAsked = InferType<typeof competenceSchema>;

/** A set of a class as the page is told it: never what is wrong at it, nor its seed. */
export type SetTold = {
  id: string;
  rig: string;
  /** Told to who teaches alone: how it is laid out is part of its truth. */
  difficulty?: Difficulty;
  each: boolean;
  says: string;
  by: string;
  at: string;
  /** Who handed it in, once each: afterwards its truth is known. */
  marks: Array<{ person: string; score: number; at: string }>;
};
export type ResultLine = {
  id: string;
  person: string;
  rig: string;
  difficulty: Difficulty;
  set: string | null;
  score: number;
  minutes: number;
  at: string;
};
export type Competence = {
  id: string;
  person: string;
  trade: string;
  by: string;
  at: string;
  renewOn: string;
  words: string;
};
export type PracticeTold = {
  sets: SetTold[];
  results: ResultLine[];
  competences: Competence[];
  /** For who may sign: everybody who practises here. */
  people: Array<{ id: string; name: string }>;
};
export type DebriefTold = { id: string; debrief: Debrief };
