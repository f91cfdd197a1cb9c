import { type Text, textKey } from '@fulcrant/core/messages';
import { describe, expect, it } from 'vitest';
import { allTrades, procedureFor } from '../../../core/src/engine/trades.ts';
import { parseLength } from '../../../core/src/quantities/length.ts';
import { english } from '../../../core/src/testing/english.ts';
import { decksTold, type Kept, nextOf, putBy } from './again.ts';
import { allDrills, drillsOf, opensAgain, shuffled } from './decks.ts';
import { DECK_IDS, isRight } from './drill.ts';

const DAY = 86_400_000;
const later = (at: string, days: number) => new Date(Date.parse(at) + days * DAY).toISOString();

/** Texts as answers name them. */
const keys = (texts: readonly Text[]): string[] => texts.map(textKey);

describe('drills', () => {
  it('there are some in every deck, each under a name of its own, and each right answer is among what is offered', () => {
    const all = allDrills();
    expect(new Set(all.map((d) => d.id)).size).toBe(all.length);
    for (const deck of DECK_IDS) expect(drillsOf(deck).length, deck).toBeGreaterThanOrEqual(8);
    for (const d of all) {
      expect(english(d.ask).length > 8 && english(d.why).length > 8, d.id).toBe(true);
      if (d.form === 'choice') expect(english(d.options)).toContain(english(d.right));
      if (d.form === 'choice') expect(new Set(d.options).size).toBe(d.options.length);
      if (d.form === 'several') for (const r of d.right) expect(english(d.options)).toContain(english(r));
      if (d.form === 'row') expect(english(d.pieces).sort()).toEqual(english(d.right).sort());
      if (d.form === 'row') expect(english(d.pieces)).not.toEqual(english(d.right));
    }
  });

  it('orders are those of the trades today', () => {
    for (const d of drillsOf('order')) {
      const [, trade = '', variant = '', at = ''] = d.id.split('/');
      const setup = allTrades().find((t) => t.id === trade)?.example.setups[variant];
      const titles = setup ? procedureFor(setup).steps.map((s) => s.title) : [];
      if (d.form === 'row')
        expect(english(titles.slice(Number(at), Number(at) + d.right.length))).toEqual(english(d.right));
    }
  });

  it('are judged: right, wrong, and not answered yet', () => {
    const order = drillsOf('order')[0];
    if (order?.form !== 'row') throw new Error();
    expect(isRight(order, keys(order.right))).toBe(true);
    expect(isRight(order, keys(order.pieces))).toBe(false);
    expect(isRight(order, keys(order.right.slice(1)))).toBeNull();
    const stands = drillsOf('stands')[0];
    if (stands?.form !== 'several') throw new Error();
    expect(isRight(stands, keys([...stands.right].reverse()))).toBe(true);
    expect(isRight(stands, keys(stands.options))).toBe(false);
    expect(isRight(stands, [])).toBeNull();
    for (const d of drillsOf('gauge')) {
      if (d.form !== 'number') throw new Error();
      expect(isRight(d, `${d.right}`.replace('.', ','))).toBe(true);
      expect(isRight(d, `${d.right + 2.1 * d.within}`)).toBe(false);
      expect(isRight(d, 'much')).toBeNull();
      expect(isRight(d, ' ')).toBeNull();
    }
  });

  it('gauges are of every kind a hand has: dials in both units, vernier, micrometer, blades by their stamps', () => {
    const faces = drillsOf('gauge').flatMap((d) =>
      d.form === 'number' && d.face ? [{ ...d, face: d.face }] : [],
    );
    expect(new Set(faces.map((f) => (f.face.kind === 'dial' ? f.face.unit : f.face.kind)))).toEqual(
      new Set(['mm', 'thou', 'vernier', 'feelers', 'micrometer']),
    );
    // Stamps read back by what reads typed lengths: they add up to what is right.
    for (const { face, right, within } of faces) {
      if (face.kind !== 'feelers') continue;
      const sum = face.stamps.reduce((mm, stamp) => {
        const read = parseLength(english(stamp), 'mm');
        return mm + (read.ok ? read.mm : Number.NaN);
      }, 0);
      expect(Math.abs(sum - right)).toBeLessThanOrEqual(within);
    }
    expect(faces.some((f) => f.face.kind === 'feelers' && english(f.face.stamps[0])?.endsWith('in'))).toBe(
      true,
    );
  });

  it('fractions are what the reader of typed lengths makes of them; verdicts cover all three', () => {
    for (const d of drillsOf('fraction')) {
      const read = parseLength(d.id.split('fraction/')[1] ?? '', 'in');
      expect(read.ok && d.form === 'number' && Math.abs(read.mm - d.right) < 1e-3).toBe(true);
    }
    const said = drillsOf('verdict').map((d) => (d.form === 'choice' ? d.right : ''));
    expect(new Set(english(said))).toEqual(new Set(['accept', 'too close to call', 'reject']));
  });

  it('what stands on what is told through: what stands on what stands on it opens too', () => {
    const step = (id: string, ...standsOn: string[]) => ({ id, title: id, standsOn }) as never;
    expect(opensAgain([step('a'), step('b', 'a'), step('c', 'b'), step('d')], 'a')).toEqual(['b', 'c']);
    expect(shuffled([1, 2], 1)).not.toEqual([1, 2]);
    expect(shuffled([1], 1)).toEqual([1]);
  });
});

describe('what was got wrong comes again, sooner', () => {
  const at = '2027-03-01T08:00:00.000Z';
  it('wrong within the day, right later and later each time', () => {
    const wrong = putBy(null, 'gauge/1', false, at);
    expect(Date.parse(wrong.due) - Date.parse(at)).toBeLessThan(DAY / 2);
    let kept: Kept = putBy(null, 'gauge/1', true, at);
    const gaps: number[] = [];
    for (let i = 0; i < 5; i++) {
      const now = kept.due;
      kept = putBy(kept, 'gauge/1', true, now);
      gaps.push((Date.parse(kept.due) - Date.parse(now)) / DAY);
    }
    for (let i = 1; i < gaps.length; i++) expect(gaps[i]).toBeGreaterThanOrEqual(gaps[i - 1] ?? 0);
    expect(gaps.at(-1)).toBeGreaterThan(7);
    const lapsed = putBy(kept, 'gauge/1', false, later(kept.due, 1));
    expect(lapsed).toMatchObject({ right: 6, wrong: 1 });
    expect(Date.parse(lapsed.due) - Date.parse(later(kept.due, 1))).toBeLessThan(2 * DAY);
  });

  it('what is due comes before what was never met, the longest overdue first; then there is nothing', () => {
    const [a, b, c] = drillsOf('fraction');
    if (!a || !b || !c) throw new Error();
    const kept = [
      { id: a.id, due: later(at, -1), card: '', right: 1, wrong: 0 },
      { id: b.id, due: later(at, -2), card: '', right: 1, wrong: 0 },
    ];
    expect(nextOf('fraction', kept, at)?.id).toBe(b.id);
    expect(nextOf('fraction', kept.slice(0, 1), at)?.id).toBe(a.id);
    expect(nextOf('fraction', [], at)?.id).toBe(a.id);
    const all = drillsOf('fraction').map((d) => ({
      id: d.id,
      due: later(at, 3),
      card: '',
      right: 1,
      wrong: 0,
    }));
    expect(nextOf('fraction', all, at)).toBeNull();
    expect(decksTold(kept, at).find((d) => d.deck === 'fraction')).toMatchObject({
      met: 2,
      due: 2,
      right: 2,
    });
  });
});
