import type { Instrument } from '@fulcrant/core/instruments';
import { between, type Chance, either, type Handled } from '@fulcrant/core/job';
import { randomFrom } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { scatterOf } from './gauges.ts';
import { M } from './messages.ts';
import type { Laid } from './rigs.ts';

/** What a hand does at a bench. */
export type Action =
  /** Look at what a question asks. */
  | { do: 'look'; step: string; item: string }
  /** The tool is brought to a place. */
  | { do: 'at'; step: string; key: string; kind: Instrument['kind'] }
  /** A blade is pushed in. */
  | { do: 'blade'; mm: number }
  /** The ring is squared up by hand. */
  | { do: 'square' }
  /** The dial is tapped. */
  | { do: 'tap' }
  /** A gauge is rocked over the crest, or set down twice, till it shows the same. */
  | { do: 'rock' }
  /** A blow on the spanner of the nut. */
  | { do: 'blow' }
  /** A stroke of the pump. */
  | { do: 'stroke' }
  /** A pull at the wrench, steady or jerked. */
  | { do: 'pull'; jerk: boolean }
  /** What was driven up is taken off again: nut and pump begin anew. */
  | { do: 'off' };

export const FEELS = ['goes', 'snug', 'will not'] as const;
export type Feel = (typeof FEELS)[number];

/** What the hand, the eye or the gauge tells of it; never more. */
export type Shown =
  /** `nothing`: nothing is out of the way there. */
  | { kind: 'seen'; text: Text; nothing?: true }
  | { kind: 'feel'; mm: number; feel: Feel; force: number }
  | { kind: 'dial'; mm: number }
  | { kind: 'digits'; value: number }
  | { kind: 'nut'; deg: number }
  | { kind: 'pump'; mpa: number; mm: number }
  | { kind: 'click'; jerked: boolean }
  | { kind: 'done'; text: Text };

/** Pushing a blade: no force where it is thinner than the gap by this, all of it where it is thicker by the other. mm */
const LOOSE_MM = 0.008;
const TIGHT_MM = 0.008;
/** A dial nobody taps sticks so far off; a gauge nobody rocks stands so far off. mm */
const STICK_MM = 0.02;
const CROOKED_MM = 0.016;
const NOTHING = M.nothingOutWaySeen;

/** Force on a blade in a gap, from 0, it falls through, to 1, it will not go; never less for a thicker blade. */
export const forceOf = (bladeMm: number, gapMm: number): number =>
  Math.min(1, Math.max(0, (bladeMm - gapMm + LOOSE_MM) / (LOOSE_MM + TIGHT_MM)));
const feelOf = (force: number): Feel => (force <= 0 ? 'goes' : force >= 1 ? 'will not' : 'snug');

/** A bench under the hands: every act answered by what it really is. The same acts upon the same bench are answered alike. */
export class Bench {
  private readonly chance: Chance;
  private where: { step: string; key: string; kind: Instrument['kind'] } | null = null;
  private squared = false;
  private crooked = 0;
  private tilt = 0;
  private given = 0;
  private strokes = 0;
  private creeps = 0;
  private readonly taps = new Map<string, number[]>();
  nutDeg = 0;

  constructor(readonly laid: Laid) {
    this.chance = randomFrom(laid.seed * 17 + 3);
  }

  /**
   * What a perfect gauge would read at a place as it is written; NaN where there is nothing to read.
   * @param nutDeg where the nut really stands, for a place that names where it should
   */
  trueAt(step: string, key: string, nutDeg = Number.NaN): number {
    return this.laid.physics.at?.({ step, key, nutDeg, strokes: this.strokes }) ?? this.laid.book(step, key);
  }

  get handled(): Handled {
    const pump = this.laid.physics.pump?.(this.strokes) ?? { mpa: 0, mm: 0 };
    return { taps: this.taps, pump: { strokes: this.strokes, ...pump } };
  }

  do(a: Action): Shown {
    // The nut has crept on by the time the hand does anything else.
    if (a.do !== 'blow' && this.creeps > 0) {
      this.nutDeg += this.creeps;
      this.creeps = 0;
    }
    switch (a.do) {
      case 'look':
        return this.seen(a.step, a.item);
      case 'at':
        return this.bring(a);
      case 'blade': {
        const force = forceOf(a.mm, this.value() + (this.squared ? 0 : this.tilt));
        return { kind: 'feel', mm: a.mm, force, feel: feelOf(force) };
      }
      case 'square':
        this.squared = true;
        return { kind: 'done', text: M.ringStandsSquareBothFaces };
      case 'tap':
        return this.tap();
      case 'rock':
        this.crooked = 0;
        return this.show();
      case 'blow': {
        const [least, most] = this.laid.physics.blow ?? [0, 0];
        this.nutDeg += Math.round(between(this.chance, least, most));
        this.creeps = Math.round(this.chance() * (this.laid.physics.creepDeg ?? 0));
        this.squared = false;
        this.tilt = either(this.chance, this.laid.physics.tiltMm ?? 0);
        return { kind: 'nut', deg: this.nutDeg };
      }
      case 'stroke': {
        this.strokes++;
        const { mpa, mm } = this.handled.pump;
        return { kind: 'pump', mpa, mm };
      }
      case 'pull':
        return { kind: 'click', jerked: a.jerk };
      case 'off':
        this.nutDeg = 0;
        this.strokes = 0;
        return { kind: 'done', text: M.offNutBackWhereBegan };
    }
  }

  private seen(step: string, item: string): Shown {
    const { rig, faults, looks } = this.laid;
    const fault = rig.faults.find((f) => faults.has(f.id) && f.seen?.step === step && f.seen.item === item);
    const odd = fault?.seen?.says ?? looks.find((l) => l.step === step && l.item === item)?.says;
    return odd === undefined
      ? { kind: 'seen', text: this.asItShould(step, item), nothing: true }
      : { kind: 'seen', text: odd };
  }

  /** Nothing is wrong with it; where it is to be written down how it is, that is seen. */
  private asItShould(step: string, item: string): Text {
    const noted = this.laid.noted(step, item);
    return noted ? M.writeDown({ nothing: NOTHING, noted }) : NOTHING;
  }

  private bring({ step, key, kind }: Extract<Action, { do: 'at' }>): Shown {
    this.where = { step, key, kind };
    this.given = 0;
    const shaky = kind === 'dial' ? STICK_MM : kind === 'micrometer' || kind === 'caliper' ? CROOKED_MM : 0;
    // Never by chance dead right: a gauge set down in haste stands off by something.
    this.crooked = (this.chance() < 0.5 ? -1 : 1) * between(this.chance, shaky / 2, shaky);
    this.squared = false;
    this.tilt = either(this.chance, this.laid.physics.tiltMm ?? 0);
    return kind === 'feeler' ? { kind: 'done', text: M.chooseBladePush } : this.show();
  }

  private tap(): Shown {
    this.crooked = 0;
    this.given = either(this.chance, this.laid.physics.looseMm ?? 0);
    const shown = this.show();
    if (this.where && shown.kind === 'dial') {
      const place = `${this.where.step} ${this.where.key}`;
      this.taps.set(place, [...(this.taps.get(place) ?? []), shown.mm]);
    }
    return shown;
  }

  private value(): number {
    return this.where ? this.trueAt(this.where.step, this.where.key, this.nutDeg) : Number.NaN;
  }

  private show(): Shown {
    const kind = this.where?.kind ?? 'caliper';
    const scatter = scatterOf(kind) * (this.chance() + this.chance() + this.chance() - 1.5) * 2;
    const value = this.value() + this.crooked + this.given + scatter;
    // A count, an angle, a pressure never shows less than nothing.
    return kind === 'dial' ? { kind: 'dial', mm: value } : { kind: 'digits', value: Math.max(0, value) };
  }
}

/** What a bench answers to a row of acts, from its beginning. */
export function played(laid: Laid, actions: readonly Action[]): { shown: Shown[]; bench: Bench } {
  const bench = new Bench(laid);
  return { shown: actions.map((a) => bench.do(a)), bench };
}
