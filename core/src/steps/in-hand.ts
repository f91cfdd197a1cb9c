import type { Reading } from '../engine/state.ts';
import { handOn } from '../instruments/in-hand.ts';
import {
  boundedBy,
  type Hand,
  type HandCard,
  handOver,
  readingUncertainty,
  spreadOver,
} from '../metrology/hand.ts';
import { mean } from '../metrology/uncertainty.ts';

/** The gauge that doubts the most of those used, in its hand. */
const coarsest = (readings: readonly Reading[]): Reading =>
  readings.reduce((a, b) => (alone(b) > alone(a) ? b : a));
const alone = ({ instrument }: Reading): number =>
  readingUncertainty(instrument.step, { card: handOn(instrument) });

const valuesOf = (r: Reading): readonly number[] => r.repeats ?? [r.value];

/** One value in its hand: the gauge it was read with, whatever was used elsewhere. */
export const oneInHand = (reading: Reading): { stepMm: number; hand: Hand } => ({
  stepMm: reading.instrument.step,
  hand: handOver([valuesOf(reading)], reading.instrument.step, handOn(reading.instrument)),
});

/** Doubt of one value, by the gauge it was read with: half of what holds 95 in 100. */
export const doubtInHand = (reading: Reading): number => {
  const { stepMm, hand } = oneInHand(reading);
  return readingUncertainty(stepMm, hand);
};

/**
 * Step and hand of values that are judged together: by the gauge that doubts the most, with what all repeats show of the hand.
 * @param usual the step to be expected before anything is read
 * @param alike the places are of one size: how far they lie apart bounds a hand nothing is known of
 */
export function inHand(
  readings: readonly Reading[],
  usual: number,
  { alike = false } = {},
): { resolutionMm: number; hand: Hand | undefined } {
  if (readings.length === 0) return { resolutionMm: usual, hand: undefined };
  const { instrument } = coarsest(readings);
  const { step } = instrument;
  // Without a card on every reading the hand is known by its repeats alone.
  const card = readings.every((r) => handOn(r.instrument)) ? handOn(instrument) : undefined;
  const known = handOver(readings.map(valuesOf), step, card);
  const values = readings.map((r) => r.value);
  return { resolutionMm: step, hand: alike ? boundedBy(values, step, known) : known };
}

/** What was read at one place: the mean of its finest gauge's readings, and its doubt. */
export type PlaceRead = { value: number; doubt: number; count: number };

/**
 * Each of several places by itself, read once or more, with the gauge it was read with; what all repeats show of a hand counts at
 * every place that hand and gauge have read.
 */
export function placesInHand(
  places: ReadonlyArray<readonly Reading[]>,
  { alike = false } = {},
): Array<PlaceRead | null> {
  const finest = places.map((at) => {
    const step = Math.min(...at.map((r) => r.instrument.step));
    return at.filter((r) => r.instrument.step === step);
  });
  // Whose card is known once is known for what they read before it.
  const gaugeOf = (at: readonly Reading[]) => (at.find((r) => r.instrument.hand) ?? at[0])?.instrument;
  const whose = (at: readonly Reading[]): string => JSON.stringify([gaugeOf(at)?.step, gaugeOf(at)?.hand]);
  const seen = new Map<string, Array<readonly number[]>>();
  for (const at of finest) seen.set(whose(at), [...(seen.get(whose(at)) ?? []), at.flatMap(valuesOf)]);
  return finest.map((at) => {
    const gauge = gaugeOf(at);
    if (!gauge) return null;
    const values = at.flatMap(valuesOf);
    const all = handOver(seen.get(whose(at)) ?? [], gauge.step, handOn(gauge));
    const own = {
      ...(alike
        ? boundedBy(
            (seen.get(whose(at)) ?? []).map((p) => mean([...p])),
            gauge.step,
            all,
          )
        : all),
      count: values.length,
      scattered: values.length > 1 && spreadOver(values, gauge.step),
    };
    return { value: mean(values), doubt: readingUncertainty(gauge.step, own), count: values.length };
  });
}

/** What the bench showed of a hand, with the card of whoever reads now. */
export const handWith = (seen: Hand, card: HandCard | undefined): Hand => ({
  card,
  scatterMm: seen.scatterMm,
  free: seen.free,
});
