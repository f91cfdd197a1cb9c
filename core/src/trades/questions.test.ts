import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { canLack, isSettled, kindOf } from '../engine/answers.ts';
import { answered } from '../engine/facts.ts';
import type { Procedure } from '../engine/step.ts';
import type { Trade } from '../engine/trade.ts';
import { allTrades, enrol, procedureFor } from '../engine/trades.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workStep } from '../testing/every-kind.ts';
import { handAt, refuses } from '../testing/test-stand.ts';

const LIST = join(import.meta.dirname, '../../golden/questions.txt');

/** Every question of every example, a line each: trade, step, question, kind. Sides that are alike but for a number are one. */
const lines = (): string[] =>
  [
    ...new Set(
      allTrades().flatMap((trade) =>
        Object.values(trade.example.setups).flatMap((setup) =>
          procedureFor(setup).steps.flatMap((s) =>
            (s.items ?? []).map((i) => `${trade.id} ${s.id.replace(/\d+$/, '')}.${i.id} ${kindOf(i)}`),
          ),
        ),
      ),
    ),
  ].sort();

describe('questions', () => {
  // A question that becomes one to be skipped is seen here; where that is meant, `GOLDEN=write` writes the list anew.
  it('each has the kind it was given', () => {
    if (process.env.GOLDEN === 'write' || !existsSync(LIST)) writeFileSync(LIST, `${lines().join('\n')}\n`);
    expect(lines()).toEqual(readFileSync(LIST, 'utf8').trim().split('\n'));
  });

  // What keeps somebody whole, by its words; a list of its own beside the declarations. Common practice, no source.
  it.each([
    /isolat|locked and tagged|try-start/i,
    /no pressure|depressur|drained|released; the gauge/i,
    /guards? on|nobody beside|people clear/i,
    /rated gear|fingers|blocked/i,
    /eye protection/i,
    /(clips|spacers|tools?|shims|fixtures|plates|pins|rods)\b.*\bout\b/i,
    /at rest: no drop/i,
    /turns? .*(free|by hand)/i,
    /vented|inert gas|vapour/i,
    /direction|way the arrow/i,
  ])('what says %s is never skipped', (words) => {
    const found = allTrades().flatMap((t) =>
      Object.values(t.example.setups).flatMap((s) =>
        procedureFor(s).steps.flatMap((x) => (x.items ?? []).filter((i) => words.test(english(i.ask)))),
      ),
    );
    expect(found.length).toBeGreaterThan(0);
    const loose = [...new Set(found.filter(canLack).map((i) => i.ask))];
    // A machine may stand without these, and says why.
    const may =
      /^(Turned over by hand: free\.|A pull cord, where there is one, out last\.|Guard ring, shaft guard|Labyrinth halves: joining pins)/;
    expect(loose.filter((ask) => !may.test(english(ask)))).toEqual([]);
  });

  it.each(Object.entries(EVERY_KIND))('of %s: no hazard and no choice is skipped', (_name, setup) => {
    const h = handAt(setup);
    for (let i = 0; i < 90 && h.state.present && h.state.present !== 'sign'; i++) {
      const at = h.state.present;
      const definition = procedureFor(h.state.setup).steps.find((s) => s.id === at);
      if (!definition) throw new Error(at);
      for (const { item, answer } of answered(h.state, definition))
        if (!canLack(item) && !isSettled(answer, item))
          refuses(
            () => h.answer(at, item.id, 'none', 'there is none'),
            /never skipped|^First|not open|asked now/,
          );
      workStep(h);
      h.pass(at);
    }
    expect(h.state.present).toBe('sign');
  });

  it('a doubled question or step is found when its trade is enrolled', () => {
    const [real] = allTrades();
    if (!real) throw new Error('no trade');
    const double = (procedure: (p: Procedure) => Procedure): Trade => ({
      ...real,
      id: 'doubled',
      oldest: undefined as never,
      also: [],
      procedure: (setup) => procedure(real.procedure(setup)),
      example: {
        ...real.example,
        setups: Object.fromEntries(
          Object.entries(real.example.setups).map(([k, s]) => [k, { ...s, procedure: 'doubled' }]),
        ),
      },
    });
    const twice = <T>(list: readonly T[]): T[] => [...list, ...list.slice(0, 1)];
    expect(() => enrol([double((p) => ({ ...p, steps: twice(p.steps) }))])).toThrow(/two steps/);
    expect(() =>
      enrol([
        double((p) => ({ ...p, steps: p.steps.map((s) => (s.items ? { ...s, items: twice(s.items) } : s)) })),
      ]),
    ).toThrow(/two questions/);
  });
});
