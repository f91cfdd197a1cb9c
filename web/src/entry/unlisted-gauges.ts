import { type Instrument, unlisted, WAYS } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { array, number, object, string } from 'yup';

/** Gauges named on this device that are in no list, the last named first. */
const KEPT = 'fulcrant.unlisted';
/** So many are offered again. */
const MOST = 6;

const keptSchema = array(
  object({
    id: string().required(),
    name: string().required(),
    kind: string().required(),
    step: number().required(),
  }).required(),
).required();

type Kept = { id: string; name: string; kind: Instrument['kind']; step: number };

function kept(): Kept[] {
  try {
    return keptSchema.validateSync(JSON.parse(localStorage.getItem(KEPT) ?? '[]')) as Kept[];
  } catch {
    return [];
  }
}

/** What can be told without a gauge of the list: by eye, by watch and the like, and what was named here before. */
export const withoutList = (
  kinds: ReadonlyArray<Instrument['kind']>,
  say: (t: Text) => string,
): Instrument[] => [
  ...WAYS.filter((w) => kinds.includes(w.kind) && w.id !== BY_HAND).map((w) =>
    unlisted(w.kind, w.id, say(w.name), w.step),
  ),
  ...kept()
    .filter((g) => kinds.includes(g.kind))
    .map((g) => unlisted(g.kind, g.id, g.name, g.step)),
];

const BY_HAND = 'by-hand';

/** Hand tight needs no wrench. */
export function byHand(say: (t: Text) => string): Instrument {
  const way = WAYS.find((w) => w.id === BY_HAND);
  if (!way) throw new Error('There is no way by hand.');
  return unlisted(way.kind, way.id, say(way.name), way.step);
}

/** Keep a gauge that was named, so that it is offered again; the one of the same name and kind is renewed. */
export function keepUnlisted(kind: Instrument['kind'], name: string, step: number): Instrument {
  const id = `n-${crypto.randomUUID().slice(0, 8)}`;
  const others = kept().filter((g) => g.name !== name || g.kind !== kind);
  localStorage.setItem(KEPT, JSON.stringify([{ id, name, kind, step }, ...others].slice(0, MOST)));
  return unlisted(kind, id, name, step);
}
