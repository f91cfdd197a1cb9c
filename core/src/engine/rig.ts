import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import type { Setup } from './setup.ts';
import type { JobState } from './state.ts';

/** Numbers from 0 to 1, the same for the same seed. */
export type Chance = () => number;
/** Somewhere between two numbers. */
export const between = (c: Chance, low: number, high: number): number => low + (high - low) * c();
/** As much as that to either side. */
export const either = (c: Chance, most: number): number => between(c, -most, most);
/** One of a list. */
export const oneOf = <T>(c: Chance, list: readonly [T, ...T[]]): T =>
  list[Math.floor(c() * list.length)] ?? list[0];

/** How a bench is laid out. */
export const DIFFICULTIES = {
  sound: M.nothingWrong,
  one: M.oneThingWrong,
  several: M.severalThingsWrong,
  looks: M.soundButLooksWrong,
} as const;
export type Difficulty = keyof typeof DIFFICULTIES;
export const DIFFICULTY_IDS = Object.keys(DIFFICULTIES) as Difficulty[];

/** What was done at the bench, beside what was written on the sheet, as far as a fault may show in it. */
export type Handled = {
  /** What a dial came to rest at after each tap, in order, by place. */
  taps: ReadonlyMap<string, readonly number[]>;
  /** Strokes of the pump, and the pressure and the travel after the last. */
  pump: { strokes: number; mpa: number; mm: number };
};

/** Something that may be wrong on a bench. */
export type RigFault = {
  id: string;
  /** As it is named when the work is stopped for it. */
  name: Text;
  /** The step at which it can first be known. */
  step: string;
  /** The question whose thing it shows at, and what is seen there; a fault that is only measured has none. */
  seen?: { step: string; item: string; says: Text };
  /** Does the sheet, with what was handled, tell it? What a careful person would see in the numbers. */
  sign?(state: JobState, handled: Handled): boolean;
  /** Why it is as it is, for the debrief. */
  because: Text;
  /** One it never lies beside: they would hide each other. */
  notWith?: string;
};
/** What looks wrong at a question, and is not. */
export type Lookalike = { step: string; item: string; says: Text; because: Text };

/** Where the tool stands, and how far nut and pump are; the angle is NaN where what is written names it. */
export type At = { step: string; key: string; nutDeg: number; strokes: number };

/** The bench as it truly is. What it does not say of a place is as the book’s example has it. */
export type Physics = {
  /** What a perfect gauge would read, in the unit inside; undefined for a place that is as the book has it. */
  at?(where: At): number | undefined;
  /** How far a ring nobody has squared takes a gap off, mm. */
  tiltMm?: number;
  /** How far the dial’s base gives at each tap, mm. */
  looseMm?: number;
  /** The nut: how far a blow turns it, degrees, least and most; what it has turned lies in `nutDeg`. */
  blow?: readonly [number, number];
  /** How far the nut creeps on by itself after a blow, degrees, at the most: its angle is looked at again before it is written. */
  creepDeg?: number;
  /** The pump: pressure and travel after so many strokes. */
  pump?(strokes: number): { mpa: number; mm: number };
};

/** A practice job: one trade’s own sheet, up to a step, with true values the learner does not see. */
export type Rig<S extends Setup = Setup> = {
  id: string;
  name: Text;
  /** What lies there, in a sentence. */
  says: Text;
  setup: S;
  /** The last step worked here; after it the bench asks what the apprentice makes of it. */
  until: string;
  faults: readonly RigFault[];
  looks: readonly Lookalike[];
  lay(chance: Chance, faults: ReadonlySet<string>): Physics;
  /** What its hand moves beside the gauges, and at which step. */
  moves?: { by: 'nut' | 'pump'; step: string };
  /** Where a reading is written that the sheet asks for at one nut angle and the nut stands at another. */
  keyAt?(key: string, nutDeg: number): string;
  /** How far the nut is to be, degrees, or how many strokes are to be given, before this place is read. */
  ready?(key: string, handled: Handled, nutDeg: number): 'blow' | 'stroke' | 'read';
};

/** A rig as a trade offers it. */
export const defineRig = <S extends Setup>(rig: Rig<S>): Rig => rig;
