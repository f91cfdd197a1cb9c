import type { Finding } from '../judgement/result.ts';
import { mean } from '../metrology/uncertainty.ts';
import { sameParams } from './params.ts';
import type { Answer, Deviation, Facts, Pass, Reading } from './state.ts';
import type { GateItem, StepDefinition } from './step.ts';

/** Each time all bolts of a step were loosened. */
export const loosenedAt = (facts: Pick<Facts, 'loosened'>, step: string): Facts['loosened'] =>
  facts.loosened.filter((l) => l.step === step);

/** How often a step has been measured anew. */
export function roundOf(facts: Pick<Facts, 'repeats'>, step: string): number {
  return facts.repeats.filter((r) => r.step === step).length;
}

/** The facts as they stood in an earlier measuring of a step. */
export function inRound(facts: Facts, step: string, round: number): Facts {
  let seen = 0;
  const next = facts.repeats.filter((r) => r.step === step)[round];
  return {
    ...facts,
    repeats: facts.repeats.filter((r) => r.step !== step || seen++ < round),
    // What had no number in that measuring had none to its end; what is lacking since says nothing of it.
    lacking: facts.lacking.flatMap((l): Facts['lacking'] => {
      if (l.step !== step) return [l];
      if (l.round !== round) return [];
      const { until, ...stood } = l;
      return [until && until.at !== next?.at ? l : stood];
    }),
  };
}

/** Standing readings by the list they are taken from: a step asks for its own place by place. */
const stood = new WeakMap<Facts['readings'], Map<string, Facts['readings']>>();

/** The first measuring of a step whose readings count: the last one before which something was done to what is measured. */
function countsFrom(facts: Pick<Facts, 'repeats'>, step: string): number {
  const changed = facts.repeats.filter((r) => r.step === step).findLastIndex((r) => r.done !== undefined);
  return changed + 1;
}

/**
 * A reading together with those taken there before, nothing done between: their mean, of the finest gauge among them. What a coarser
 * one shows besides adds nothing.
 */
function together(reading: Reading, before: readonly Reading[]): Reading {
  if (before.length === 0) return reading;
  const all = [...before, reading];
  const finest = all.reduce((a, b) => (b.instrument.step <= a.instrument.step ? b : a));
  const alike = all.filter((r) => r.instrument.step === finest.instrument.step);
  const repeats = alike.map((r) => r.value);
  return {
    ...reading,
    instrument: finest.instrument,
    value: mean(repeats),
    ...(repeats.length > 1 ? { repeats } : {}),
  };
}

/** Readings that stand: not withdrawn, of the latest measuring, of this attempt (or of any, for steps a dismounting does not reopen). */
export function standing(
  facts: Facts,
  step: string,
  attempt: number | 'any' = facts.attempt,
): Facts['readings'] {
  const round = roundOf(facts, step);
  const key = `${attempt} ${round} ${step}`;
  const known = stood.get(facts.readings) ?? new Map<string, Facts['readings']>();
  const before = known.get(key);
  if (before) return before;
  const here = facts.readings.filter(
    (r) => r.step === step && !r.withdrawn && (attempt === 'any' || r.attempt === attempt),
  );
  const from = countsFrom(facts, step);
  const now = here
    .filter((r) => r.round === round)
    .map((r) =>
      from === round
        ? r
        : together(
            r,
            here.filter((b) => b.place === r.place && b.round >= from && b.round < round),
          ),
    );
  known.set(key, now);
  stood.set(facts.readings, known);
  return now;
}

/** The standing reading at a place, if one was taken. */
export function readingAt(
  facts: Facts,
  step: string,
  place: string,
  attempt: number | 'any' = facts.attempt,
): Facts['readings'][number] | undefined {
  return standing(facts, step, attempt).find((r) => r.place === place);
}

/** The answer last given to a gate's item in this attempt (or in any). */
export function answerTo(
  facts: Facts,
  step: string,
  item: string,
  attempt: number | 'any' = facts.attempt,
): Facts['answers'][number] | undefined {
  return facts.answers.find(
    (a) => a.step === step && a.item === item && (attempt === 'any' || a.attempt === attempt),
  );
}

/**
 * The acceptance that covers a finding as it stands: of the same code and parameters, whatever the words. Where a number, a
 * material or a place has changed since, it is another finding and wants a lead hand anew; the acceptance before stays on the record.
 */
export function acceptanceOf(
  facts: Pick<Facts, 'deviations'>,
  step: string,
  finding: Finding,
): Deviation | undefined {
  return facts.deviations.find(
    (d) =>
      d.step === step &&
      d.finding === finding.code &&
      d.params !== null &&
      sameParams(d.params, finding.params),
  );
}

/** The setup as it stood after so many of its changes. */
export const setupAfter = (facts: Pick<Facts, 'setup' | 'setupChanges'>, changes: number): Facts['setup'] =>
  facts.setupChanges[changes]?.before ?? facts.setup;

/** The pass of a step that stands; none where a dismounting has let it fall. */
export const passOf = (facts: Pick<Facts, 'passes' | 'attempt'>, step: StepDefinition): Pass | undefined =>
  facts.passes.find((p) => p.step === step.id && (!step.again || p.attempt === facts.attempt));

/** A step's questions with the answers given to them in this attempt, or in any where a dismounting does not reopen it. */
export function answered(
  facts: Facts,
  step: StepDefinition,
): Array<{ item: GateItem; answer: Answer | undefined }> {
  const scope = step.again ? facts.attempt : 'any';
  return (step.kind.asks?.(facts, step) ?? step.items ?? []).map((item) => ({
    item,
    answer: answerTo(facts, step.id, item.id, scope),
  }));
}
