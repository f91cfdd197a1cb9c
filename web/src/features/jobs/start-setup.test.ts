import { check, type JobKind, setupSchema, USUAL_HOUSE_RULES, USUAL_SETUP } from '@fulcrant/core';
import { describe, expect, it } from 'vitest';
import { formName } from './field.ts';
import { fieldsOf } from './field-lists.ts';
import { fieldsAsked, fromForm, toForm } from './setup-fields.ts';
import { startFor } from './start-setup.ts';

const KINDS: JobKind[] = [
  'sleeve-bearing',
  'split-bearing',
  'dismounting',
  'regreasing',
  'seal',
  'packing',
  'plunger',
  'seal-wear',
  'condition.survey',
];
/** Torques come from the seal’s sheet: a seal’s form begins without. */
const FITTED = { fittedOn: '2026-05-01', baselineMm: 1.2 };
const SHEET = { glandNm: 34, screwNm: 6 };
const known = {
  id: 'p1',
  site: 'Holmbeck',
  machine: 'Beet washer drum',
  position: 'Gear side',
  setup: { ...USUAL_SETUP, machine: 'Beet washer drum', position: 'Gear side', shaftMm: 125, boreMm: 140 },
};
const named = { machine: 'Beet washer drum', position: 'Gear side' };

describe.each(KINDS)('a new job, %s', (kind) => {
  it('begins whole: shown in the form and read back it is a setup the checks accept', () => {
    for (const unit of ['mm', 'in'] as const) {
      const start = {
        ...startFor(kind, null, USUAL_HOUSE_RULES),
        ...named,
        ...(kind === 'seal' ? SHEET : kind === 'seal-wear' ? FITTED : {}),
      };
      const read = fromForm(toForm(start, unit), unit, kind);
      if ('faults' in read) throw new Error(JSON.stringify(read.faults));
      expect(check(setupSchema, read.setup).ok).toBe(true);
      // Read once it stays what it is.
      expect(fromForm(toForm(read.setup, unit), unit, kind)).toEqual({ setup: read.setup });
    }
  });
  it('takes place and shaft from a position another kind of work knows', () => {
    const start = startFor(kind, known, USUAL_HOUSE_RULES) as Record<string, unknown>;
    expect(start).toMatchObject(named);
    if ('shaftMm' in start) expect(start.shaftMm).toBe(125);
    if (kind === 'regreasing') expect(start.boreMm).toBe(140);
    expect(fieldsOf(kind).map((f) => f.name)).toContain('machine');
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
    expect(startFor('sleeve-bearing', null, rules)).toMatchObject({
      driveUp: { school: 'nut-angle' },
    });
    expect(startFor('split-bearing', null, rules)).toMatchObject({
      raceSchool: 'square-first',
      gaugeSchool: 'gauge-in',
      film: 'anti-seize',
    });
    expect(startFor('regreasing', null, rules)).toMatchObject({ how: 'still' });
    expect(startFor('sleeve-bearing', known, rules)).not.toHaveProperty('driveUp');
    expect(toForm(startFor('sleeve-bearing', null, rules), 'mm')['grease:school']).toBe('share');
  });
});

describe('a seal’s form', () => {
  const start = { ...startFor('seal', null, USUAL_HOUSE_RULES), ...named, ...SHEET };
  const form = (change: Record<string, string>) => ({ ...toForm(start, 'mm'), ...change });
  it('asks what the family has, and says beside the field what its sheet must give', () => {
    const names = (family: string) => fieldsAsked('seal', form({ family })).map((f) => f.name);
    expect(names('component')).toEqual(expect.arrayContaining(['freeLengthMm', 'compressionMm', 'cups']));
    expect(names('cartridge')).not.toContain('freeLengthMm');
    expect(names('fully-split')).toEqual(expect.arrayContaining(['jointScrews', 'spacer']));
    expect(names('fully-split')).not.toContain('screwNm');
    expect(names('purged')).toContain('processMpa');
    const faults = (change: Record<string, string>) => {
      const read = fromForm(form(change), 'mm', 'seal');
      return 'faults' in read ? read.faults : {};
    };
    expect(faults({ screwNm: '' }).screwNm).toContain('maker’s sheet');
    expect(faults({ family: 'fully-split' }).jointNm).toContain('maker’s sheet');
    expect(faults({ family: 'component', freeLengthMm: '58' }).compressionMm).toContain('compression');
    expect(faults({ family: 'purged' }).processMpa).toContain('process pressure');
  });
  it('begins by the house rules', () => {
    const rules = { ...USUAL_HOUSE_RULES, tail: 'clips-first', spacer: 'fastened', leak: 'flat' } as const;
    expect(startFor('seal', null, rules)).toMatchObject({
      tail: 'clips-first',
      spacer: 'fastened',
      oRings: 'flush',
    });
    expect(startFor('packing', null, rules)).toMatchObject({ leakSchool: 'flat' });
  });
});

describe('what the form asks as it stands', () => {
  const start = { ...startFor('sleeve-bearing', null, USUAL_HOUSE_RULES), ...named };
  const names = (change: Record<string, string>) =>
    fieldsAsked('sleeve-bearing', { ...toForm(start, 'mm'), ...change }).map((f) => f.name);
  it('the school’s own values of the sheet, the float’s span, a part’s fields only where it is on', () => {
    expect(names({})).not.toContain('maker.startPressureMpa');
    expect(names({ 'driveUp:school': 'hydraulic' })).toContain('maker.startPressureMpa');
    expect(names({ 'driveUp:school': 'nut-angle' })).toContain('maker.nutAngleMinDeg');
    expect(names({ role: 'float' })).toContain('float.spanMm');
    expect(names({ [formName('with.closing')]: '' })).not.toContain('closing.seals');
  });
  it('a part taken off leaves the setup; pressures and angles are read as people say them', () => {
    const read = (change: Record<string, string>) => {
      const r = fromForm({ ...toForm(start, 'mm'), ...change }, 'mm');
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
    const bad = fromForm({ ...toForm(start, 'mm'), 'lock:by': 'clip', 'lock:nutDeg': '0 ninety' }, 'mm');
    expect('faults' in bad && bad.faults['lock:nutDeg']).toMatch(/degrees with blanks/);
  });
});
