import { describe, expect, it } from 'vitest';
import { allTrades, procedureFor, whyOf } from '../engine/trades.ts';
import { MEASURES } from '../steps/condition/condition.ts';
import { english } from '../testing/english.ts';
import { EVERY_DEPTH } from '../testing/every-kind.ts';
import { surveyTrade } from './survey/index.ts';

/** Every step of every variant, with what its trade says of why it is there. */
const told = Object.entries(EVERY_DEPTH).flatMap(([name, setup]) =>
  procedureFor(setup).steps.map((step) => ({ name, step, why: whyOf(setup, step.id) })),
);

describe('why a step is there', () => {
  it('is told of every step of every variant, and of every measure', () => {
    expect(told.filter((t) => t.why === null).map((t) => `${t.name}: ${t.step.id}`)).toEqual([]);
    for (const m of MEASURES) expect(surveyTrade.why?.[m], m).toBeTruthy();
  });

  it('says more than what is to be done: some sentences, not the line under the title again', () => {
    for (const { step, why } of told) {
      expect(english(why)?.length, step.id).toBeGreaterThan(60);
      expect(english(why), step.id).not.toContain(english(step.guide));
    }
  });

  it('has nothing told of a step no job can have', () => {
    // Steps of a setup asked for more than the variants here ask.
    const rare = [...MEASURES, 'carrieron', 'carrierbolts', 'ringscrews', 'inboard'] as string[];
    const ids = new Set([...rare, ...told.map((t) => t.step.id.replace(/\d+$/, ''))]);
    for (const trade of allTrades())
      for (const id of Object.keys(trade.why ?? {}))
        expect([...ids], `${trade.id}: ${id}`).toContain(id.replace(/\d+$/, ''));
  });
});
