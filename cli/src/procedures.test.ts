import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import '@fulcrant/core/every-trade';
import { proceduresDocument } from './procedures-document.ts';

const PATH = join(import.meta.dirname, '../../docs/procedures.md');

describe('the order of work on paper', () => {
  // `npm run procedures` writes it anew; so does GOLDEN=write.
  it('is the one the procedures have, every kind to its signature', () => {
    const made = proceduresDocument();
    if (process.env.GOLDEN === 'write') writeFileSync(PATH, made);
    expect(readFileSync(PATH, 'utf8')).toBe(made);
    expect(made.match(/\*\*Signature\*\*/g)?.length).toBeGreaterThanOrEqual(18);
  }, 30_000);
});
