import { describe, expect, it } from 'vitest';
import { belongsTo, DEPTHS, isLessDeep } from '../engine/depth.ts';
import type { Setup } from '../engine/setup.ts';
import { allTrades, procedureFor, tradeOf } from '../engine/trades.ts';
import { openingFor } from '../job/opening.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_DEPTH, EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { asta, handAt, imke } from '../testing/test-stand.ts';

const ids = (setup: Setup) => procedureFor(setup).steps.map((s) => s.id);

describe.each(Object.entries(EVERY_DEPTH))('%s', (_name, setup) => {
  it('is worked to its signature', () => {
    const h = workAll(handAt(setup));
    expect(h.state.signed).not.toBeNull();
    const sheet = fitUpSheet(h.state, 'F-1');
    const left = procedureFor(setup).leftOut ?? [];
    const said = english(sheet.document).find((b) => b.block === 'line' && /^Left out/.test(String(b.lead)));
    // What was left out prints in one line, and only there.
    expect(said === undefined).toBe(left.length === 0);
  });
});

describe('the depths', () => {
  it.each(Object.entries(EVERY_KIND))('of %s: each asks for all the one before asks for', (_name, setup) => {
    const asked = DEPTHS.map((depth) =>
      tradeOf(setup)
        .procedure({ ...setup, depth })
        .steps.flatMap((s) => (isLessDeep(depth, belongsTo(s)) ? [] : [s.id])),
    );
    // A deeper measure may stand for a look of a lesser depth; no hazard is ever left out by depth.
    for (const [i, steps] of asked.entries())
      for (const id of asked[i - 1] ?? [])
        if (!/^(square|shimskept\d|shimsback\d)$/.test(id)) expect(steps, id).toContain(id);
    for (const step of tradeOf(setup).procedure(setup).steps)
      for (const item of step.items ?? [])
        if (/isolat|guards|pressure|people clear/i.test(english(item.ask)))
          expect(belongsTo(item)).toBe('essential');
  });

  it('safety, start and signature stand at every depth', () => {
    for (const setup of Object.values(EVERY_DEPTH)) {
      expect(ids(setup)[0]).toBe('safe');
      expect(ids(setup).at(-1)).toBe('sign');
    }
  });

  it('a site rule begins each new job; a job may go deeper; less deep waits for a lead hand at the signature', () => {
    for (const trade of allTrades()) {
      const start = (depth: string) => openingFor(trade, { place: null, rules: { depth } }).start.depth;
      expect(start('essential')).toBe('essential');
      expect(openingFor(trade, { place: null, rules: undefined }).start.depth).toBe('standard');
    }
    const signable = (depth: Setup['depth'], ruled: string) => {
      const setup = {
        ...EVERY_KIND['cartridge seal'],
        depth,
        schools: { decision: 'k2', depth: ruled },
      } as Setup;
      return upTo(handAt(setup), 'sign');
    };
    const shallow = signable('essential', 'standard');
    expect(() => shallow.do('sheet.signed', { name: 'Asta' })).toThrow(/essential depth.*lead hand/s);
    shallow.by(imke).accept('sign', 'sign.depth', 'night shift, pump needed');
    shallow.by(asta);
    shallow.do('sheet.signed', { name: 'Asta' });
    expect(shallow.state.signed).not.toBeNull();
    signable('thorough', 'standard').do('sheet.signed', { name: 'Asta' });
  });
});
