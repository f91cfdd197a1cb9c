import { expect, it } from 'vitest';
import { GLOSSARY } from './terms.ts';

it('says each term once, in one sentence, and calls nothing both right and wrong', () => {
  const terms = GLOSSARY.map((t) => t.term);
  expect(new Set(terms).size).toBe(terms.length);
  for (const { term, means, not } of GLOSSARY) {
    expect(means, term).toMatch(/^[A-Z][^.!?]*\.$/);
    expect(means.split(' ').length, term).toBeLessThanOrEqual(20);
    for (const n of not) expect(terms, term).not.toContain(n);
  }
});
