import { describe, expect, it } from 'vitest';
import { procedureFor, setupSchema, stepOf } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { say } from '../../quantities/say.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import type { BoltValues } from '../../steps/bolt-passes.ts';
import { english } from '../../testing/english.ts';
import { upTo, workAll } from '../../testing/every-kind.ts';
import { handAt, imke, refuses, step, valuesOf } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { vanePump } from './example.ts';
import { PARTS } from './parts.ts';
import type { VanePumpSetup } from './setup.ts';
import { readHeap, type ShimCountValues, writeHeap } from './shims.ts';

const at = (id: string, change: Partial<VanePumpSetup> = {}) => upTo(handAt({ ...vanePump, ...change }), id);
const ids = (change: Partial<VanePumpSetup> = {}) =>
  procedureFor({ ...vanePump, ...change }).steps.map((s) => s.id);
const said = (h: BearingHand, id: string) => say(step(h, id).report?.findings[0]?.reason ?? '', 'mm');
const asks = (change: Partial<VanePumpSetup>, id: string, item: string) =>
  stepOf({ setup: { ...vanePump, ...change } }, id)?.items?.find((i) => i.id === item)?.ask;

describe('the order of a vane pump', () => {
  it('does one side whole, then the other as its mirror', () => {
    const order = ids();
    const of = (n: string) => order.filter((id) => id.endsWith(n)).map((id) => id.slice(0, -1));
    expect(of('1')).toEqual(of('2'));
    expect(of('1')).toEqual(
      'shimsoff thrustoff headoff seat rotary headon headbolts thrust shimson cap capbolts turn'.split(' '),
    );
    expect(order.indexOf('turn1')).toBeLessThan(order.indexOf('shimsoff2'));
    expect(order.indexOf('relief')).toBeLessThan(order.indexOf('shimsoff1'));
    expect(order.indexOf('grease')).toBeLessThan(order.indexOf('start'));
  });

  it('leaves the second side out only by name', () => {
    const one = { sides: 'first' as const };
    expect(check(setupSchema, { ...vanePump, ...one }).ok).toBe(false);
    const named = { ...one, leftBecause: 'changed last year' };
    expect(check(setupSchema, { ...vanePump, ...named }).ok).toBe(true);
    expect(ids(named).some((id) => id.endsWith('2'))).toBe(false);
    expect(asks(named, 'relief', 'left')).toMatchObject({ id: 'vane-pump.otherHeadLeft' });
  });

  it('keeps the cap on where the tools are missing: no shims, no thrust parts', () => {
    const order = ids({ capStays: true });
    expect(order.filter((id) => /shims|thrust|cap/.test(id))).toEqual([]);
    expect(order).toContain('guardoff1');
  });

  it('draws each part where a question puts it on, the second side as the first', () => {
    for (const p of PARTS.filter((x) => x.item))
      for (const n of ['1', '2'])
        expect(
          stepOf({ setup: vanePump }, p.at.replace('1', n))?.items?.map((i) => i.id),
          p.id,
        ).toContain(p.item);
  });

  it('stands weep hole and nipple by how it hangs', () => {
    expect(asks({}, 'headon1', 'weep')).toMatchObject({ id: 'vane-pump.weepHole' });
    expect(asks({ mounted: 'hung' }, 'headon1', 'weep')).toMatchObject({ id: 'vane-pump.weepHole' });
    expect(asks({}, 'cap1', 'nipple')).toMatchObject({ id: 'vane-pump.nipple' });
    expect(asks({ mounted: 'hung' }, 'cap1', 'nipple')).toMatchObject({ id: 'vane-pump.nipple' });
  });
});

describe('shims', () => {
  it('one lost is found by the count, however thin, and no lead hand can wave it through', () => {
    const h = at('shimson1');
    expect(valuesOf<ShimCountValues>(h, 'shimson1')).toMatchObject({
      off: [3, 2, 1],
      on: null,
      wanted: [3, 2, 1],
    });
    h.answer('shimson1', 'heaps', 'yes', writeHeap([2, 2, 1]));
    expect(said(h, 'shimson1')).toBe('Not the shims that were removed: 1 of 0.100 mm missing.');
    refuses(() => h.pass('shimson1'), /missing/);
    expect(() => h.by(imke).accept('shimson1', 'shims.on', 'never mind')).toThrow();
    h.answer('shimson1', 'heaps', 'yes', '3 2 1').pass('shimson1');
  });

  it('the other side has its own: the first side’s heap is not the second’s', () => {
    const h = at('shimson2');
    h.answer('shimson2', 'heaps', 'yes', '3 2 1');
    expect(said(h, 'shimson2')).toMatch(/2 of 0\.100 mm too many, 2 of 0\.200 mm missing/);
  });

  it('of equal thickness is not the same heap: two of 0.1 are not one of 0.2', () => {
    const h = at('shimson1').answer('shimson1', 'heaps', 'yes', '5 1 1');
    expect(said(h, 'shimson1')).toMatch(/2 of 0\.100 mm too many, 1 of 0\.200 mm missing/);
  });

  it('with a new head go by the float: measured, worked out, and held to it', () => {
    const change = { renewed: true, thinSpare: 4, maker: { floatMinMm: 0.1, floatMaxMm: 0.2 } };
    const h = at('float1', change);
    // 1.1 mm came off (3 × 0.1, 2 × 0.2, 1 × 0.4); 0.35 of float is 0.2 too much, so 0.9 goes back.
    h.read('float1', 'float', 0.35, 'dial').pass('float1');
    expect(valuesOf<ShimCountValues>(h, 'shimson1').wanted).toEqual([1, 2, 1]);
    h.answer('shimson1', 'heaps', 'yes', '3 2 1');
    expect(said(h, 'shimson1')).toMatch(/float will be wrong/);
    // Another heap of the same thickness does as well.
    h.answer('shimson1', 'heaps', 'yes', '3 1 1').pass('shimson1');
    expect(check(setupSchema, { ...vanePump, renewed: true }).ok).toBe(false);
  });

  it('are read back from what was written, and nothing else is a heap', () => {
    expect(readHeap(writeHeap([0, 60, 1]), 3)).toEqual([0, 60, 1]);
    for (const bad of [undefined, '', '1 2', '1 2 3 4', '1 -2 3', '1.5 0 0', 'a b c', '61 0 0', '1  2'])
      expect(readHeap(bad, 3)).toBeNull();
  });
});

describe('a head over its rods', () => {
  it('waits for jacking bolts and rods to be out of their holes', () => {
    const h = at('headbolts1');
    const v = () => valuesOf<BoltValues>(h, 'headbolts1');
    expect(v().held).toEqual({ waits: null, filled: [1, 5], jacked: false });
    h.tighten('headbolts1');
    expect(v().held?.waits).toMatchObject({ id: 'vane-pump.guideRodsStillFillLast' });
    h.answer('headbolts1', 'rods', 'yes').tighten('headbolts1').pass('headbolts1');
  });

  it('caps go crosswise without rods', () => {
    const h = at('capbolts1');
    expect(valuesOf<BoltValues>(h, 'capbolts1').passes.map((p) => p.order)).toEqual(
      Array.from({ length: 4 }, () => [1, 3, 2, 4]).concat([[1, 2, 3, 4]]),
    );
  });
});

describe('what decides', () => {
  it('a hammered seat, a notch beside its pin, grease into a blocked relief: each a stop that says what it costs', () => {
    for (const [id, item, words] of [
      ['seat1', 'hands', /cracks unseen/],
      ['rotary1', 'retainer', /ring stands still/],
      ['grease', 'free', /into the seal/],
      ['headon1', 'jackout', /hold the head off/],
    ] as const) {
      const h = at(id).answer(id, item, 'no');
      expect(english(step(h, id).blocking[0]?.remedy)).toMatch(words);
      refuses(() => h.pass(id), /Not OK/);
    }
  });

  it('light ends come up with vapour first; a liquid slowly', () => {
    expect(asks({ product: 'light' }, 'start', 'vapour')).toMatchObject({
      id: 'vane-pump.filledVapourFirstSlowlyLiquid',
    });
    expect(asks({ product: 'liquid' }, 'start', 'vapour')).toBeUndefined();
  });
});

it('signed, its sheet tells both heaps and draws them as piles', () => {
  const h = workAll(handAt(vanePump));
  const sheet = fitUpSheet(h.state, 'H-0001');
  expect(sheet.results).toMatchObject({ shims1Mm: 1.1, shims2Mm: 1.3, torqueNm: 45 });
  const drawn = sheet.document.flatMap((b) => (b.block === 'drawings' ? b.drawings : []));
  expect(drawn.map((d) => say(d.title, 'mm').split(':')[0])).toEqual([
    'Shims, first side',
    'Shims, second side',
  ]);
});
