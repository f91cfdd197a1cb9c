import { ScriptedHand, type ToolBox } from '@fulcrant/core/examples';
import {
  allTrades,
  type Chance,
  type Difficulty,
  type Lookalike,
  type Physics,
  type Rig,
  type RigFault,
  stepOf,
  tradeOf,
} from '@fulcrant/core/job';
import { randomFrom } from '@fulcrant/core/judgement';
import { PRACTICE_GAUGES } from './gauges.ts';

/** Every bench, in the order of the trades. */
export const allRigs = (): Rig[] => allTrades().flatMap((t) => t.slots.practice ?? []);
export const rigOf = (id: string): Rig | undefined => allRigs().find((r) => r.id === id);

/** A bench laid out: which rig, what is truly wrong with it, and its physics. */
export type Laid = {
  rig: Rig;
  seed: number;
  difficulty: Difficulty;
  faults: ReadonlySet<string>;
  looks: readonly Lookalike[];
  physics: Physics;
  /** What the book’s example reads at a place; NaN where it has none. */
  book(step: string, key: string): number;
  /** What it writes down with an answer; empty where nothing is asked for. */
  noted(step: string, item: string): string;
};

/** Some of a list, as many as asked or as there are, none twice. */
function some<T>(c: Chance, list: readonly T[], count: number): T[] {
  const left = [...list];
  const out: T[] = [];
  while (out.length < count && left.length > 0) out.push(...left.splice(Math.floor(c() * left.length), 1));
  return out;
}

/** The first of some faults that may lie beside each other, so many of them. */
function together(of: readonly RigFault[], count: number): RigFault[] {
  const out: RigFault[] = [];
  for (const f of of)
    if (out.length < count && !out.some((o) => o.notWith === f.id || f.notWith === o.id)) out.push(f);
  return out;
}

/** Lay a bench out: the same for the same rig, seed and difficulty, everywhere. */
export function layOut(rig: Rig, seed: number, difficulty: Difficulty): Laid {
  const chance = randomFrom(seed * 31 + 7);
  const count = difficulty === 'one' ? 1 : difficulty === 'several' ? 2 : 0;
  const faults = new Set(together(some(chance, rig.faults, rig.faults.length), count).map((f) => f.id));
  // What only looks wrong lies beside what is, too: once in three.
  const looks =
    difficulty === 'looks' || (difficulty !== 'sound' && chance() < 1 / 3) ? some(chance, rig.looks, 1) : [];
  const taken = rig.faults.filter((f) => faults.has(f.id)).map((f) => `${f.seen?.step}/${f.seen?.item}`);
  return {
    rig,
    seed,
    difficulty,
    faults,
    looks: looks.filter((l) => !taken.includes(`${l.step}/${l.item}`)),
    physics: rig.lay(chance, faults),
    ...bookOf(rig),
  };
}

type Book = { numbers: ReadonlyMap<string, number>; notes: ReadonlyMap<string, string> };
const books = new Map<string, Book>();

/** What the book’s example of a rig’s setup reads, place by place; elsewhere at a step what it read there last. */
function bookOf(rig: Rig): Pick<Laid, 'book' | 'noted'> {
  const known = books.get(rig.id) ?? workedBook(rig);
  books.set(rig.id, known);
  return {
    book: (step, key) => known.numbers.get(`${step} ${key}`) ?? known.numbers.get(step) ?? Number.NaN,
    noted: (step, item) => known.notes.get(`${step} ${item}`) ?? '',
  };
}

/** The rig’s sheet worked by the book up to its last step. */
function workedBook(rig: Rig): Book {
  let n = 0;
  const id = () => `018f0000-0000-7000-8000-${String(++n).padStart(12, '0')}`;
  const hand = new ScriptedHand(
    id(),
    id,
    PRACTICE_GAUGES as ToolBox,
    { id: 'book', name: 'The book', role: 'lead' },
    new Date('2026-01-05T06:00:00Z'),
  );
  hand.open(id(), rig.setup);
  for (let i = 0; i < 60 && hand.state.present; i++) {
    const at = hand.state.present;
    const step = stepOf(hand.state, at);
    if (!step) break;
    if (step.itemsFirst) hand.answerAll(at);
    tradeOf(rig.setup).example.work[at]?.(hand, rig.setup);
    hand.tighten(at).answerAll(at);
    if (at === rig.until) break;
    // A step of the rig that the example leaves open is told by its physics alone.
    try {
      hand.pass(at);
    } catch {
      break;
    }
  }
  const numbers = new Map<string, number>();
  for (const r of hand.state.readings) {
    numbers.set(`${r.step} ${r.place}`, r.value);
    numbers.set(r.step, r.value);
  }
  const notes = new Map(
    hand.state.answers.flatMap((a) => (a.note ? [[`${a.step} ${a.item}`, a.note] as const] : [])),
  );
  return { numbers, notes };
}
