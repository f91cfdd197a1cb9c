import { describe, expect, it } from 'vitest';
import { fieldsOf, formName, lacking, valueIn } from '../engine/asked.ts';
import type { Trade } from '../engine/trade.ts';
import { allTrades, setupSchema } from '../engine/trades.ts';
import { check } from '../judgement/sentences.ts';
import { USUAL_HOUSE_RULES } from '../sources/schools.ts';
import { packingTrade } from '../trades/packing/index.ts';
import { regreasingTrade } from '../trades/regreasing/index.ts';
import { sealTrade } from '../trades/seal/index.ts';
import { sleeveBearingTrade } from '../trades/sleeve-bearing/index.ts';
import { USUAL_SETUP } from '../trades/sleeve-bearing/setup.ts';
import { splitBearingTrade } from '../trades/split-bearing/index.ts';
import { fieldsAsked, fromForm, startFor, toForm } from './setup-form.ts';

/** What comes from the maker’s sheet, or is known of this one machine: a form begins without it. */
const onlyTyped = (trade: Trade, start: object): object =>
  Object.fromEntries(
    fieldsOf(trade.schema)
      .filter((f) => !f.optional || lacking(trade.schema, start).some((l) => l.path === f.name))
      .filter((f) => valueIn(start, f.name) === undefined)
      .map((f) => [f.name, valueIn(Object.values(trade.example.setups)[0] ?? {}, f.name)]),
  );
/** Bolts begin unsaid; here somebody has them in front of him. */
const decided = (trade: Trade, form: Record<string, string>): Record<string, string> => ({
  ...form,
  ...Object.fromEntries(
    fieldsOf(trade.schema).flatMap((f) =>
      f.decided && !form[formName(f.name)]
        ? [[formName(f.name), /size$/i.test(f.name) ? 'M16' : /grade$/i.test(f.name) ? '8.8' : '4']]
        : [],
    ),
  ),
});
const known = {
  id: 'p1',
  site: 'Holmbeck',
  machine: 'Beet washer drum',
  position: 'Gear side',
  setup: { ...USUAL_SETUP, machine: 'Beet washer drum', position: 'Gear side', shaftMm: 125, boreMm: 140 },
};
const named = { machine: 'Beet washer drum', position: 'Gear side' };

describe.each(allTrades().map((t) => [t.id, t] as const))('a new job, %s', (kind, trade) => {
  it('begins whole: shown in the form and read back it is a setup the checks accept', () => {
    for (const unit of ['mm', 'in'] as const) {
      const bare = { ...startFor(trade, null, USUAL_HOUSE_RULES), ...named };
      const start = { ...bare, ...onlyTyped(trade, bare) };
      const read = fromForm(trade, decided(trade, toForm(trade, start, unit)), unit);
      if ('faults' in read) throw new Error(JSON.stringify(read.faults));
      expect(check(setupSchema, read.setup).ok).toBe(true);
      // Read once it stays what it is.
      expect(fromForm(trade, toForm(trade, { ...read.setup }, unit), unit)).toEqual({ setup: read.setup });
    }
  });
  it('takes place and shaft from a position another kind of work knows', () => {
    const start = startFor(trade, known, USUAL_HOUSE_RULES) as Record<string, unknown>;
    expect(start).toMatchObject(named);
    if ('shaftMm' in start) expect(start.shaftMm).toBe(125);
    if (kind === 'regreasing') expect(start.boreMm).toBe(140);
    expect(fieldsOf(trade.schema).map((f) => f.name)).toContain('machine');
  });
});

describe('what nobody may suppose', () => {
  it('bolts of a new bearing begin unsaid and are asked for; a position that had them brings them', () => {
    const bare = { ...startFor(sleeveBearingTrade, null, USUAL_HOUSE_RULES), ...named };
    const form = toForm(sleeveBearingTrade, bare, 'mm');
    expect([form.boltSize, form.boltGrade, form.boltCount, form['baseBolts:size']]).toEqual(['', '', '', '']);
    const read = fromForm(sleeveBearingTrade, form, 'mm');
    expect('faults' in read && Object.keys(read.faults)).toEqual(
      expect.arrayContaining(['baseBolts:size', 'baseBolts:grade', 'baseBolts:count']),
    );
    const whole = fromForm(sleeveBearingTrade, { ...form, 'with:baseBolts': '' }, 'mm');
    expect('faults' in whole && whole.faults.boltSize).toMatch(/size of the cap bolts is missing/);
    const again = startFor(sleeveBearingTrade, known, USUAL_HOUSE_RULES);
    expect(again.boltSize).toBe(USUAL_SETUP.boltSize);
  });
});

describe('house rules of the work', () => {
  const rules = {
    ...USUAL_HOUSE_RULES,
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
    expect(startFor(sleeveBearingTrade, known, rules)).not.toHaveProperty('driveUp');
    expect(toForm(sleeveBearingTrade, startFor(sleeveBearingTrade, null, rules), 'mm')['grease:school']).toBe(
      'share',
    );
  });
});

describe('a seal’s form', () => {
  const start = { ...startFor(sealTrade, null, USUAL_HOUSE_RULES), ...named, glandNm: 34, screwNm: 6 };
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
    expect(faults({ screwNm: '' }).screwNm).toContain('maker’s sheet');
    expect(faults({ family: 'fully-split' }).jointNm).toContain('maker’s sheet');
    expect(faults({ family: 'component', freeLengthMm: '58' }).compressionMm).toContain('compression');
    expect(faults({ family: 'purged' }).processMpa).toContain('process pressure');
  });
  it('begins by the house rules', () => {
    const rules = { ...USUAL_HOUSE_RULES, tail: 'clips-first', spacer: 'fastened', leak: 'flat' } as const;
    expect(startFor(sealTrade, null, rules)).toMatchObject({
      tail: 'clips-first',
      spacer: 'fastened',
      oRings: 'flush',
    });
    expect(startFor(packingTrade, null, rules)).toMatchObject({ leakSchool: 'flat' });
  });
});

describe('what the form asks as it stands', () => {
  const start = { ...startFor(sleeveBearingTrade, null, USUAL_HOUSE_RULES), ...named };
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
      const form = decided(sleeveBearingTrade, toForm(sleeveBearingTrade, start, 'mm'));
      const r = fromForm(sleeveBearingTrade, { ...form, ...change }, 'mm');
      if ('faults' in r) throw new Error(JSON.stringify(r.faults));
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
    expect('faults' in bad && bad.faults['lock:nutDeg']).toMatch(/degrees with blanks/);
  });
});
