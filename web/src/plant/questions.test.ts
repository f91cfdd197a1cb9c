import { houseRulesSchema } from '@fulcrant/core/api/requests';
import { say } from '@fulcrant/core/quantities/say';
import { USUAL_HOUSE_RULES, USUAL_WORK } from '@fulcrant/core/sources/schools';
import { describe, expect, it } from 'vitest';
import { QUESTIONS } from './questions.ts';

const rules = Object.keys(houseRulesSchema.fields);

describe('where practitioners disagree', () => {
  it('every rule a plant can follow is asked, once', () => {
    expect(QUESTIONS.map((q) => q.rule).sort()).toEqual(rules.sort());
  });

  it.each(QUESTIONS)(
    '$rule: each answer is one the plant can follow, and every one of them is offered',
    async (q) => {
      const offered = q.answers.map(([school]) => school);
      for (const school of offered) expect(await houseRulesSchema.isValid({ [q.rule]: school })).toBe(true);
      expect(await houseRulesSchema.isValid({ [q.rule]: 'as we always did' })).toBe(false);
      const field = houseRulesSchema.fields[q.rule as keyof typeof houseRulesSchema.fields];
      const all = [...(field.describe() as unknown as { oneOf: string[] }).oneOf].filter(
        (s) => s !== undefined,
      );
      expect([...offered].sort()).toEqual(all.sort());
    },
  );

  it('each says what it means and on whose word, told apart from the others in either unit', () => {
    for (const q of QUESTIONS) {
      for (const unit of ['mm', 'in'] as const) {
        const said = q.answers.map(([, words]) => say(words, unit));
        expect(new Set(said).size, q.rule).toBe(said.length);
      }
      for (const [, , source] of q.answers) expect(source.trim(), q.rule).not.toBe('');
      expect(q.ask, q.rule).toMatch(/^[A-Z]/);
      expect(q.why, q.rule).toMatch(/[.]$/);
    }
  });

  it('what is usual where a plant has said nothing is among the answers', () => {
    const usual: Record<string, string | undefined> = { ...USUAL_WORK, ...USUAL_HOUSE_RULES };
    for (const q of QUESTIONS) expect(q.answers.map(([s]) => s)).toContain(usual[q.rule]);
  });
});
