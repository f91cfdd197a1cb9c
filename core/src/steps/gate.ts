import { answered } from '../engine/facts.ts';
import type { Setup } from '../engine/setup.ts';
import type { Facts, StepReport } from '../engine/state.ts';
import { type GateItem, kindFamily, type StepDefinition } from '../engine/step.ts';
import type { Finding } from '../judgement/result.ts';
import { itemFindings } from './item-findings.ts';
import { M } from './messages.ts';

export type GateValues = { answered: number; of: number };

const gates = kindFamily<Setup, GateValues>('gate');

const reportWith = (facts: Facts, step: StepDefinition, also: readonly Finding[]): StepReport<GateValues> => {
  const findings = itemFindings(facts, step);
  const items = answered(facts, step);
  const open = items.filter((i) => !i.answer);
  return {
    findings: [...findings, ...also],
    working: [],
    beams: [],
    values: { answered: items.length - open.length, of: items.length },
    next: null,
    act: open[0] ? open[0].item.ask : findings[0] ? findings[0].reason : M.allAnswered,
  };
};

/** A list of questions, each answered yes or no by name. A no holds the job until it is put right and answered again. */
export const gate = gates.kind({ quiet: true, report: (facts, step) => reportWith(facts, step, []) });

/** Such a list, of which not every question is asked at every time. */
export const gateAsking = <S extends Setup>(asked: (facts: Facts<S>, item: GateItem) => boolean) =>
  gates.kind<S>({
    quiet: true,
    asks: (facts, step) => (step.items ?? []).filter((item) => asked(facts, item)),
    report: (facts, step) => reportWith(facts, step as unknown as StepDefinition, []),
  });

/** Such a list, with what else has to be said while it is answered. */
export const gateWith = <S extends Setup>(also: (setup: S) => readonly Finding[]) =>
  gates.kind<S>({
    quiet: true,
    report: (facts, step) => reportWith(facts, step as unknown as StepDefinition, also(facts.setup)),
  });
