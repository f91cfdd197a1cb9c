import { describe, expect, it } from 'vitest';
import { fieldsOf, formName, valueIn } from '../engine/asked.ts';
import type { Setup } from '../engine/setup.ts';
import type { Trade } from '../engine/trade.ts';
import { allTrades, setupSchema, usualRules } from '../engine/trades.ts';
import { unworkable } from '../engine/workable.ts';
import { check } from '../judgement/sentences.ts';
import type { SiteRules } from '../sources/methods.ts';
import { english } from '../testing/english.ts';
import { packingTrade } from '../trades/packing/index.ts';
import { ringsOf } from '../trades/packing/plan.ts';
import { regreasingTrade } from '../trades/regreasing/index.ts';
import { sealTrade } from '../trades/seal/index.ts';
import { sealWearTrade } from '../trades/seal-wear/index.ts';
import { sleeveBearingTrade } from '../trades/sleeve-bearing/index.ts';
import { USUAL_SETUP } from '../trades/sleeve-bearing/setup.ts';
import { splitBearingTrade } from '../trades/split-bearing/index.ts';
import { boxesOf, openingFor } from './opening.ts';
import { fieldsAsked, fromForm, readField, type StartSetup, toForm } from './setup-form.ts';

/** What a person types where nothing is known: from the trade’s own example, as far as it is asked. */
function typedIn(trade: Trade, form: Record<string, string>): Record<string, string> {
  const told = Object.values(trade.example.setups).map((e) => toForm(trade, e as StartSetup, 'mm'));
  const of = (name: string) => told.find((t) => t[name])?.[name] ?? '100';
  const { open } = boxesOf(trade, form, {});
  return { ...form, ...Object.fromEntries(open.map((f) => [formName(f.name), of(formName(f.name))])) };
}
const startFor = (trade: Trade, place: { setup: object } | null, rules?: SiteRules): StartSetup =>
  openingFor(trade, {
    rules,
    place: place && {
      machine: 'Beet washer drum',
      position: 'Gear side',
      setups: {
        [(place.setup as { procedure?: string }).procedure ?? 'sleeve-bearing']: place.setup as Setup,
      },
      past: [],
    },
  }).start;
const known = {
  id: 'p1',
  site: 'Holmbeck',
  machine: 'Beet washer drum',
  position: 'Gear side',
  setup: { ...USUAL_SETUP, machine: 'Beet washer drum', position: 'Gear side', shaftMm: 125, boreMm: 140 },
};
const named = { machine: 'Beet washer drum', position: 'Gear side' };

describe.each(allTrades().map((t) => [t.id, t] as const))('a new job, %s', (kind, trade) => {
  it('begins without any measured number: each is an open box', () => {
    const { start, from } = openingFor(trade, { place: null, rules: usualRules() });
    for (const f of fieldsOf(trade.schema)) {
      const v = valueIn(start, f.name);
      if (f.quantity === 'length' && f.fallback === undefined)
        expect([f.name, v]).toEqual([f.name, undefined]);
      if (v !== undefined && from[f.name]) expect([f.name, from[f.name]]).toEqual([f.name, 'usual']);
    }
  });

  it('at a new place takes at most eight entries, place and stamp among them, and opens', () => {
    const bare = { ...startFor(trade, null, usualRules()), ...named };
    const form = toForm(trade, bare, 'mm');
    const { open } = boxesOf(trade, form, {});
    const stamped = openingFor(trade, { place: null, rules: usualRules(), stamp: '22220 K C3' });
    const byStamp = boxesOf(trade, toForm(trade, { ...stamped.start, ...named }, 'mm'), stamped.from).open;
    const entries = 2 + Math.min(open.length, 1 + byStamp.length);
    expect(entries, open.map((f) => f.name).join(', ')).toBeLessThanOrEqual(8);
    const read = fromForm(trade, typedIn(trade, form), 'mm');
    if ('faults' in read) throw new Error(JSON.stringify(english(read.faults)));
    expect(check(setupSchema, read.setup).ok).toBe(true);
    expect(unworkable(read.setup)).toBeNull();
  });

  it('shown in the form and read back it is the setup it was, in either unit', () => {
    for (const unit of ['mm', 'in'] as const)
      for (const setup of Object.values(trade.example.setups)) {
        const read = fromForm(trade, toForm(trade, setup as StartSetup, unit), unit);
        if ('faults' in read) throw new Error(JSON.stringify(english(read.faults)));
        expect(fromForm(trade, toForm(trade, { ...read.setup }, unit), unit)).toEqual({ setup: read.setup });
      }
  });

  it('takes place and shaft from a position another kind of work knows, and says so', () => {
    const opened = openingFor(trade, {
      rules: usualRules(),
      place: { ...named, setups: { 'sleeve-bearing': known.setup as unknown as Setup }, past: [] },
    });
    expect(opened.start).toMatchObject(named);
    const has = (name: string) => fieldsOf(trade.schema).some((f) => f.name === name);
    if (has('shaftMm')) {
      expect(opened.start.shaftMm).toBe(125);
      expect(opened.from.shaftMm).toBe(kind === 'sleeve-bearing' ? 'here' : 'other-work');
    }
    if (kind === 'regreasing') expect(opened.start.boreMm).toBe(140);
  });
});

describe('where a value of a new job comes from', () => {
  const rules = usualRules();
  it('the stamp: bore, taper, class and the shaft its sleeve usually sits on', () => {
    const { start, from } = openingFor(sleeveBearingTrade, { place: null, rules, stamp: '22220 K C3' });
    // 20 × 5 = 100, K is 1:12; a sleeve of 100 sits on 90: from memory, common practice.
    expect(start).toMatchObject({
      boreMm: 100,
      taper: 12,
      clearanceClass: 'C3',
      shaftMm: 90,
      partNumber: '22220 K C3',
    });
    for (const f of ['boreMm', 'clearanceClass', 'shaftMm']) expect(from[f]).toBe('stamp');
    expect(from.stations).toBe('usual');
    const none = openingFor(sleeveBearingTrade, { place: null, rules, stamp: 'no stamp at all' });
    expect(none.start.boreMm).toBeUndefined();
  });

  it('the last job here; a stamp read today outranks it, a card outranks the stamp; one not looked over says so', () => {
    const place = { ...named, setups: { 'sleeve-bearing': known.setup as unknown as Setup }, past: [] };
    const last = openingFor(sleeveBearingTrade, { place, rules });
    expect(last.from.boreMm).toBe('here');
    expect(last.start.partNumber).toBeUndefined();
    const stamped = openingFor(sleeveBearingTrade, { place, rules, stamp: '22226 K' });
    expect([stamped.start.boreMm, stamped.from.boreMm]).toEqual([130, 'stamp']);
    for (const looked of [true, false]) {
      const card = { values: { 'maker.benchLowerMm': 0.08 }, looked };
      const { start, from } = openingFor(sleeveBearingTrade, { place, rules, card });
      expect((start as { maker: object }).maker).toMatchObject({ benchLowerMm: 0.08 });
      expect(from['maker.benchLowerMm']).toBe(looked ? 'card' : 'card-unlooked');
    }
  });

  it('the past of the place: a wear watch opens with nothing left to type', () => {
    const past = [{ signedAt: '2026-03-01T10:00:00Z', results: { baselineMm: 1.2 } }];
    const { start, from } = openingFor(sealWearTrade, { place: { ...named, setups: {}, past }, rules });
    expect(start).toMatchObject({ baselineMm: 1.2, fittedOn: '2026-03-01' });
    expect(from.baselineMm).toBe('past');
    expect(boxesOf(sealWearTrade, toForm(sealWearTrade, start, 'mm'), from).open.map((f) => f.name)).toEqual([
      'serviceMm',
    ]);
  });
});

describe('what nobody may suppose', () => {
  it('bolts of a new bearing are asked at their step; a position that had them brings them', () => {
    const bare = { ...startFor(sleeveBearingTrade, null, usualRules()), ...named };
    const form = toForm(sleeveBearingTrade, bare, 'mm');
    expect([form.boltSize, form.boltGrade, form.boltCount, form['baseBolts:size']]).toEqual(['', '', '', '']);
    expect(boxesOf(sleeveBearingTrade, form, {}).later.map((f) => f.name)).toEqual(
      expect.arrayContaining(['boltSize', 'boltCount', 'baseBolts.size']),
    );
    const again = startFor(sleeveBearingTrade, known, usualRules());
    expect(again.boltSize).toBe(USUAL_SETUP.boltSize);
  });
});

describe('house rules of the work', () => {
  const rules = {
    ...usualRules(),
    driveUp: 'nut-angle',
    fill: 'share',
    race: 'square-first',
    film: 'anti-seize',
    regrease: 'still',
  } as const;
  it('are what a new job begins with, and a position’s own setup outranks them', () => {
    expect(startFor(sleeveBearingTrade, null, rules)).toMatchObject({
      driveUp: { school: 'nut-angle' },
    });
    expect(startFor(splitBearingTrade, null, rules)).toMatchObject({
      raceSchool: 'square-first',
      gaugeSchool: 'gauge-in',
      film: 'anti-seize',
    });
    expect(startFor(regreasingTrade, null, rules)).toMatchObject({ how: 'still' });
    expect(startFor(sleeveBearingTrade, known, rules)).not.toHaveProperty('driveUp.school');
    expect(toForm(sleeveBearingTrade, startFor(sleeveBearingTrade, null, rules), 'mm')['grease:school']).toBe(
      'share',
    );
  });
});

describe('a seal’s form', () => {
  const start = {
    ...startFor(sealTrade, null, usualRules()),
    ...named,
    glandNm: 34,
    screwNm: 6,
    shaftMm: 60,
    seatMm: 60,
  };
  const form = (change: Record<string, string>) => ({ ...toForm(sealTrade, start, 'mm'), ...change });
  it('asks what the family has, and says beside the field what its sheet must give', () => {
    const names = (family: string) => fieldsAsked(sealTrade, form({ family })).map((f) => f.name);
    expect(names('component')).toEqual(expect.arrayContaining(['freeLengthMm', 'compressionMm', 'cups']));
    expect(names('cartridge')).not.toContain('freeLengthMm');
    expect(names('fully-split')).toEqual(expect.arrayContaining(['jointScrews', 'spacer']));
    expect(names('fully-split')).not.toContain('screwNm');
    expect(names('purged')).toContain('processMpa');
    const faults = (change: Record<string, string>) => {
      const read = fromForm(sealTrade, form(change), 'mm');
      return 'faults' in read ? read.faults : {};
    };
    expect(english(faults({ family: 'component', freeLengthMm: '58' }).compressionMm)).toContain(
      'compression',
    );
    expect(english(faults({ family: 'purged' }).processMpa)).toContain('process pressure');
  });
  it('begins by the house rules', () => {
    const rules = { ...usualRules(), tail: 'clips-first', spacer: 'fastened', leak: 'flat' } as const;
    expect(startFor(sealTrade, null, rules)).toMatchObject({
      tail: 'clips-first',
      spacer: 'fastened',
      oRings: 'flush',
    });
    expect(startFor(packingTrade, null, rules)).toMatchObject({ leakSchool: 'flat' });
  });
});

describe('what the form asks as it stands', () => {
  const start = { ...startFor(sleeveBearingTrade, null, usualRules()), ...named };
  const names = (change: Record<string, string>) =>
    fieldsAsked(sleeveBearingTrade, { ...toForm(sleeveBearingTrade, start, 'mm'), ...change }).map(
      (f) => f.name,
    );
  it('the school’s own values of the sheet, the float’s span, a part’s fields only where it is on', () => {
    expect(names({})).not.toContain('maker.startPressureMpa');
    expect(names({ 'driveUp:school': 'hydraulic' })).toContain('maker.startPressureMpa');
    expect(names({ 'driveUp:school': 'nut-angle' })).toContain('maker.nutAngleMinDeg');
    expect(names({ role: 'float' })).toContain('float.spanMm');
    expect(names({ [formName('with.closing')]: '' })).not.toContain('closing.seals');
  });
  it('a part taken off leaves the setup; pressures and angles are read as people say them', () => {
    const read = (change: Record<string, string>) => {
      const form = typedIn(sleeveBearingTrade, toForm(sleeveBearingTrade, start, 'mm'));
      const r = fromForm(sleeveBearingTrade, { ...form, ...change }, 'mm');
      if ('faults' in r) throw new Error(JSON.stringify(english(r.faults)));
      return r.setup as Record<string, unknown>;
    };
    expect(read({ 'with:baseBolts': '' })).not.toHaveProperty('baseBolts');
    expect(read({ 'lock:by': 'plate', 'lock:nutDeg': '0 90; 200' }).lock).toEqual({
      by: 'plate',
      nutDeg: [0, 90, 200],
    });
    const pump = read({
      'driveUp:school': 'hydraulic',
      'maker:startPressureMpa': '26 bar',
      'maker:sheetAreaMm2': '11500',
      'maker:nutAreaMm2': '10000',
      'maker:driveUpMinMm': '0.6',
      'maker:driveUpMaxMm': '0.75',
      'maker:abortPressureMpa': '30',
    });
    expect(pump.maker).toMatchObject({ startPressureMpa: 2.6, abortPressureMpa: 30 });
    const bad = fromForm(
      sleeveBearingTrade,
      { ...toForm(sleeveBearingTrade, start, 'mm'), 'lock:by': 'clip', 'lock:nutDeg': '0 ninety' },
      'mm',
    );
    expect('faults' in bad && bad.faults['lock:nutDeg']).toMatchObject({
      id: 'job.degreesBlanksBetweenThemSuch',
    });
  });
});

describe('packing from what the store keeps', () => {
  const packed = { shaftMm: 60, boxBoreMm: 79, boxDepthMm: 90 };
  const withStore = (stockMm: number[]) => {
    const { start } = openingFor(packingTrade, { place: null, rules: usualRules(), plant: { stockMm } });
    const form = {
      ...toForm(packingTrade, { ...start, ...packed, seatMm: 60, machine: 'P', position: 'B' }, 'mm'),
    };
    const read = fromForm(packingTrade, form, 'mm');
    if (!('setup' in read)) throw new Error(JSON.stringify(english(read.faults)));
    return ringsOf({ setup: read.setup as never }).values;
  };
  it('takes the nearest of the store, and says how far it is off; an empty list is the usual series', () => {
    // Section (79 − 60)/2 = 9.5: kept in the usual series, not in this store.
    expect(withStore([]).stockMm).toBe(9.5);
    expect(withStore([8, 12]).stockMm).toBe(8);
  });
  it('can be said otherwise for one job; what is no number is told in words', () => {
    const field = { name: 'stockMm', label: 'Sections in the store, mm', quantity: 'list' } as never;
    expect(readField(field, '8 9,5; 12', 'in')).toEqual({ value: [8, 9.5, 12] });
    expect(readField(field, '8 or so', 'mm')).toEqual({
      message: { id: 'job.numbersBlanksBetweenThemSuch', params: { label: 'Sections in the store, mm' } },
    });
  });
});
