import { type Field, type FormValues, fieldsOf, formName, valueIn } from '../engine/asked.ts';
import { DEPTH, type Depth, depthOf, isLessDeep } from '../engine/depth.ts';
import type { Setup } from '../engine/setup.ts';
import type { Past, Trade } from '../engine/trade.ts';
import { tradeOf } from '../engine/trades.ts';
import { chosenOf, type SiteRules } from '../sources/methods.ts';
import { type PartValues, withPart } from './part-card.ts';
import { fieldsAsked, type StartSetup } from './setup-form.ts';

/** Where a value of a new job comes from. */
export type Origin =
  /** The last job of this work here, or one of other work that knows the shaft. */
  | 'here'
  | 'other-work'
  /** What a signed sheet of this position says. */
  | 'past'
  /** What is stamped on the part, read as such stamps are. */
  | 'stamp'
  /** The part’s card; looked over by somebody else, or not yet. */
  | 'card'
  | 'card-unlooked'
  /** The way it usually is: nobody has said so here. */
  | 'usual';

/** What is known of the place before a job is opened there. */
export type KnownPlace = {
  machine: string;
  position: string;
  /** The newest setup of each kind of work done there. */
  setups: Readonly<Record<string, Setup>>;
  /** Its signed jobs, the newest first. */
  past: readonly Past[];
};

export type OpeningAsked = {
  place: KnownPlace | null;
  rules: SiteRules | undefined;
  /** What the plant keeps in its store. */
  plant?: { stockMm: readonly number[] } | undefined;
  /** What is stamped on the part, as typed; nothing where nothing is. */
  stamp?: string | undefined;
  /** How deep it is to be checked, where that was chosen; else as the site's rule has it. */
  depth?: Depth | undefined;
  card?: { values: PartValues; looked: boolean } | null | undefined;
};

/** A new job as far as anybody has said it, and where each value comes from, by the field’s name. */
export type Opening = { start: StartSetup; from: Readonly<Record<string, Origin>> };

/** The fields of a setup that are the place’s: what another kind of work tells a new job. */
function ofPlace(setup: Setup): Array<[string, unknown]> {
  const fields = fieldsOf(tradeOf(setup).schema).filter((f) => f.ofPlace);
  return fields.flatMap((f): Array<[string, unknown]> => {
    const value = valueIn(setup, f.name);
    return value === undefined ? [] : [[f.name, value]];
  });
}

/** The site's depth, or that of the last job here where it went deeper; one of before depths were told apart says nothing. */
function depthHere(rules: SiteRules | undefined, last: Setup | undefined): Depth {
  const ruled = chosenOf(rules ?? {}, DEPTH);
  return last?.depth && isLessDeep(ruled, last.depth) ? last.depth : ruled;
}

/** A setup with the fields of another in place of its own; of its parts, too. */
function laidOver(under: StartSetup, over: StartSetup | undefined): StartSetup {
  const both = { ...under };
  for (const [name, value] of Object.entries(over ?? {})) {
    const before = both[name];
    const parts = [before, value].every((v) => v !== null && typeof v === 'object' && !Array.isArray(v));
    both[name] = parts ? { ...(before as object), ...(value as object) } : value;
  }
  return both;
}

/** A measured size, or what is chosen by whoever has it in front of him: nothing is usual there. */
const nobodyKnows = (f: Field): boolean =>
  f.decided === true || (f.quantity === 'length' && f.fallback === undefined);

/** The usual setup of a trade without any number nobody gave. */
function usualOf(trade: Trade, rules: SiteRules | undefined, depth: Depth): StartSetup {
  const left: StartSetup = {
    ...laidOver(laidOver(trade.usual, trade.usualAt?.(depth)), rules && trade.slots.byRules?.(rules)),
    depth,
  };
  for (const field of fieldsOf(trade.schema)) {
    if (!nobodyKnows(field)) continue;
    const [head = '', tail] = field.name.split('.') as [string, string?];
    const part = left[head];
    if (tail === undefined) delete left[head];
    else if (part !== null && typeof part === 'object') left[head] = { ...part, [tail]: undefined };
  }
  return left;
}

/**
 * A new job of a trade: the last one of its kind here, else what is usual without any measured number; then what the past of the
 * place, the stamp and the part’s card say. What is typed at the part outranks what was remembered of the last one.
 * @example openingFor(sleeveBearingTrade, { place: null, rules, stamp: '22220 K C3' }).from.boreMm // 'stamp'
 */
export function openingFor(
  trade: Trade,
  { place, rules, plant, stamp, card, depth: chosen }: OpeningAsked,
): Opening {
  const fields = fieldsOf(trade.schema);
  const from: Record<string, Origin> = {};
  let start: StartSetup = {};
  const lay = (next: StartSetup, origin: Origin) => {
    for (const f of fields) {
      const v = valueIn(next, f.name);
      if (v !== undefined && v !== null && JSON.stringify(v) !== JSON.stringify(valueIn(start, f.name)))
        from[f.name] = origin;
    }
    start = next;
  };
  const last =
    place?.setups[trade.id] ?? Object.values(place?.setups ?? {}).find((s) => tradeOf(s) === trade);
  const depth = chosen ?? depthHere(rules, last);
  lay(usualOf(trade, rules, depth), 'usual');
  if (last) {
    const { partNumber: _before, ...kept } = last as StartSetup;
    // As last time; where another depth is chosen, its own measures.
    const asDeep =
      chosen === undefined || depthOf(last) === depth ? kept : laidOver(kept, trade.usualAt?.(depth));
    lay({ ...asDeep, depth }, 'here');
  } else {
    const other = Object.values(place?.setups ?? {})[0];
    const known = (other ? ofPlace(other) : []).filter(([k]) =>
      fields.some((f) => f.ofPlace && f.name === k),
    );
    lay({ ...start, ...Object.fromEntries(known) }, 'other-work');
  }
  // What the store keeps today, not what it kept when the last one was packed.
  if (plant) lay({ ...start, ...trade.slots.fromPlant?.(plant) }, 'usual');
  const past = trade.fromPast?.(place?.past ?? []) ?? {};
  lay({ ...start, ...past }, 'past');
  if (stamp?.trim()) lay({ ...start, ...trade.fromStamp?.(stamp), partNumber: stamp.trim() }, 'stamp');
  if (card) lay(withPart(start, card.values), card.looked ? 'card' : 'card-unlooked');
  return {
    start: {
      ...start,
      ...(place ? { machine: place.machine, position: place.position } : {}),
      ...(rules ? { schools: rules } : {}),
    },
    from,
  };
}

/** What is asked when a job is opened: nothing here can be left open, or it is a size of the part or the place. */
export type Boxes = {
  /** To be filled before the sheet opens. */
  open: Field[];
  /** Sizes and words that came from somewhere, to be looked at: touched, they are changed. */
  known: Field[];
  /** Sizes that may be left out where there is no such thing. */
  free: Field[];
  /** Asked at the step that needs them. */
  later: Field[];
  /** The way it usually is; one touch away. */
  usual: Field[];
};

const HEAD = ['machine', 'position', 'partNumber', 'holdBefore', 'depth'];

/** The fields of a job being opened, by what has to happen to them. */
export function boxesOf(trade: Trade, values: FormValues, from: Opening['from']): Boxes {
  const boxes: Boxes = { open: [], known: [], free: [], later: [], usual: [] };
  for (const f of fieldsAsked(trade, values)) {
    if (HEAD.includes(f.name)) continue;
    const typed = (values[formName(f.name)] ?? '').trim();
    const needed = typeof f.needed === 'function' ? f.needed(values) : f.needed;
    // By where it came from, not by what is typed just now: a field that is being filled stays where it is.
    if (f.later) (from[f.name] ? boxes.known : boxes.later).push(f);
    else if (typed === '' && (!f.optional || needed)) boxes.open.push(f);
    else if (nobodyKnows(f) && (typed !== '' || from[f.name])) boxes.known.push(f);
    else if (nobodyKnows(f) && !f.name.startsWith('maker.')) boxes.free.push(f);
    else boxes.usual.push(f);
  }
  return boxes;
}
