import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FormValues } from '../engine/asked.ts';
import { fieldsOf, formName } from '../engine/asked.ts';
import { usualRules } from '../engine/trades.ts';
import { say } from '../quantities/say.ts';
import { english } from '../testing/english.ts';
import { sleeveBearingTrade } from '../trades/sleeve-bearing/index.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import { sleeveSetupSchema, USUAL_SETUP } from '../trades/sleeve-bearing/setup.ts';
import { surveyTrade } from '../trades/survey/index.ts';
import type { ConditionSetup } from '../trades/survey/setup.ts';
import { conditionSetupSchema, USUAL_CONDITION } from '../trades/survey/setup.ts';
import { fieldsAsked, fromForm, readField, showField, toForm } from './setup-form.ts';

const full: SleeveSetup = {
  ...USUAL_SETUP,
  filmBore: 'dry',
  filmTaper: 'dry',
  schools: usualRules(),
  machine: 'Pulp press drive',
  position: 'Gearbox end, fixed',
  partNumber: 'A 100',
};
const setupOf = (values: FormValues, unit: 'mm' | 'in' = 'mm') => {
  const read = fromForm(sleeveBearingTrade, values, unit);
  if ('faults' in read) throw new Error(JSON.stringify(english(read.faults)));
  return read.setup as SleeveSetup;
};
const faultsOf = (change: FormValues, unit: 'mm' | 'in' = 'mm') => {
  const read = fromForm(sleeveBearingTrade, { ...toForm(sleeveBearingTrade, full, unit), ...change }, unit);
  return 'faults' in read ? read.faults : {};
};

/** What a setup of before depths and first fills were asked for comes back with. */
const NEWER = { depth: 'thorough', grease: { how: 'fill', school: 'by-speed' } };

describe('the setup form', () => {
  it('shows a setup and reads it back, in mm', () => {
    expect(setupOf(toForm(sleeveBearingTrade, full, 'mm'))).toEqual({ ...full, ...NEWER });
  });

  it('shows it in inches and reads it back within a hundredth of a micrometre of what it showed', () => {
    const back = setupOf(
      toForm(sleeveBearingTrade, { ...full, maker: { leastResidualMm: 0.0381, torqueNm: 180 } }, 'in'),
      'in',
    );
    expect(back.boreMm).toBeCloseTo(full.boreMm, 2);
    expect(back.shaftMm).toBeCloseTo(full.shaftMm, 2);
    expect(back.maker).toEqual({ leastResidualMm: 0.0381, torqueNm: 180 });
  });

  it.each([
    ['abortPressureMpa', '3500 psi', '3500 psi'],
    ['abortPressureMpa', '350 bar', '35 MPa'],
    ['startPressureMpa', '24.35 bar', '2.435 MPa'],
  ] as const)('%s typed as %s comes back as %s and reads as the same value', (field, typed, shown) => {
    const asked = fieldsOf(sleeveSetupSchema).find((f) => f.name === `maker.${field}`);
    if (!asked) throw new Error(field);
    const first = readField(asked, typed, 'mm');
    const value = 'value' in first ? (first.value as number) : Number.NaN;
    expect(showField(asked, value, 'mm')).toBe(shown);
    expect(english(readField(asked, shown, 'in'))).toEqual(english(first));
    // 3500 psi is 24.1316… MPa (exact definitions): never rounded up.
    if (typed === '3500 psi') expect(value).toBeCloseTo(24.13165051, 7);
  });

  it('keeps a hold point and the maker’s values', () => {
    const held = {
      ...full,
      holdBefore: ['bolts' as const],
      maker: { reductionMinMm: 0.05, reductionMaxMm: 0.06 },
    };
    expect(setupOf(toForm(sleeveBearingTrade, held, 'mm'))).toEqual({ ...held, ...NEWER });
  });

  it('reads lengths as people say them', () => {
    const values = {
      ...toForm(sleeveBearingTrade, full, 'mm'),
      shaftMm: '2 7/16',
      boreMm: '70 mm',
      seatMm: '2 1/8 in',
      shaftSystem: 'inch',
    };
    expect(setupOf(values)).toMatchObject({
      shaftMm: 61.9125,
      boreMm: 70,
      seatMm: 53.975,
      shaftSystem: 'inch',
    });
  });

  it('says what is wrong beside the field it is wrong in', () => {
    expect(faultsOf({ machine: '' })).toEqual({
      machine: { id: 'common.missing', params: { label: { id: 'common.machine', params: {} } } },
    });
    expect(faultsOf({ nutSlots: 'four' })).toEqual({
      nutSlots: { id: 'job.number', params: { label: { id: 'sleeve-bearing.nutSlots', params: {} } } },
    });
    expect(faultsOf({ boreMm: 'wide' }).boreMm).toMatchObject({ id: 'quantities.notLengthWriteAs0' });
    expect(faultsOf({ washerTabs: '2.5' })).toEqual({
      washerTabs: {
        id: 'judgement.pathWhole',
        params: { path: { id: 'sleeve-bearing.washerTabs', params: {} } },
      },
    });
    expect(faultsOf({ boreMm: '900' })).toEqual({
      boreMm: {
        id: 'judgement.pathAtMost',
        params: { path: { id: 'common.bearingBore', params: {} }, max: { mm: 500, digits: 0 } },
      },
    });
    // In the unit it is typed in.
    expect(
      Object.values(faultsOf({ boreMm: '60 in' }, 'in'))
        .map((t) => say(t, 'in'))
        .join(),
    ).toMatch(/Bearing bore must be 19\.\d+ in or less/);
    expect(faultsOf({ [formName('maker.torqueNm')]: '3 elephants' })['maker:torqueNm']).toMatchObject({
      id: 'quantities.notTorqueUnitKnownHere',
    });
    expect(Object.keys(faultsOf({ machine: '', position: '', boreMm: '' }))).toEqual([
      'machine',
      'position',
      'boreMm',
    ]);
  });

  it('what only the whole can tell is said too', () => {
    expect(english(Object.values(faultsOf({ shaftMm: '120' }))).join()).toMatch(
      /smaller than the bearing bore/,
    );
    expect(english(Object.values(faultsOf({ boltCount: '5' }))).join()).toMatch(/even number/);
  });

  it('never throws, whatever is typed', () => {
    const names = fieldsOf(sleeveSetupSchema)
      .filter((f) => f.quantity !== 'choice' && f.quantity !== 'flag')
      .map((f) => formName(f.name));
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.string({ maxLength: 30 }), (name, text) => {
        const read = fromForm(
          sleeveBearingTrade,
          { ...toForm(sleeveBearingTrade, full, 'mm'), [name]: text },
          'mm',
        );
        expect('setup' in read || Object.values(read.faults).every((f) => english(f).length > 5)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the form of a survey', () => {
  const survey: ConditionSetup = {
    ...USUAL_CONDITION,
    machine: 'Raw juice pump 4',
    position: 'Seal, drive side',
    schools: { ...usualRules(), runout: 'standards' },
    maker: { runoutMm: 0.03, finishUm: 0.4 },
  };
  const read = (change: FormValues, unit: 'mm' | 'in' = 'mm') =>
    fromForm(surveyTrade, { ...toForm(surveyTrade, survey, unit), ...change }, unit);

  it('shows a survey and reads it back', () => {
    expect(read({})).toEqual({ setup: { ...survey, depth: 'thorough' } });
  });

  it('asks only for what its measures need, and drops what is not asked any more', () => {
    const names = (v: FormValues) => fieldsAsked(surveyTrade, v).map((f) => f.name);
    const values = toForm(surveyTrade, survey, 'mm');
    expect(names(values)).toContain('condition.faceRadiusMm');
    expect(names(values)).not.toContain('condition.speedRpm');
    expect(names({ ...values, 'measures:coupling': 'yes' })).toContain('condition.speedRpm');
    const without = read({ 'measures:face': '', 'measures:bore': '' });
    expect('setup' in without && (without.setup as ConditionSetup).condition).not.toHaveProperty('boxBoreMm');
  });

  it('says at its field what a measure lacks', () => {
    const faults = (change: FormValues) => {
      const r = read(change);
      return 'faults' in r ? r.faults : {};
    };
    expect(faults({ 'measures:coupling': 'yes' })['condition:speedRpm']).toMatchObject({
      id: 'steps.condition.speedMissingCouplingJudged',
    });
    expect(faults({ 'condition:seat': 'throttle' })['condition:throttleBoreMm']).toMatchObject({
      id: 'steps.condition.boreThrottleMissing',
    });
    expect(faults({ 'maker:finishUm': 'smooth' })['maker:finishUm']).toMatchObject({
      id: 'quantities.typeRoughnessSuchAs0',
    });
    const none = Object.fromEntries(
      fieldsOf(conditionSetupSchema)
        .filter((f) => f.quantity === 'flag')
        .map((f) => [formName(f.name), '']),
    );
    expect(english(Object.values(faults(none))).join()).toMatch(/Nothing is to be measured/);
  });

  it('a bearing job keeps the diameters in', () => {
    const r = fromForm(
      sleeveBearingTrade,
      { ...toForm(sleeveBearingTrade, full, 'mm'), 'measures:shaft': '' },
      'mm',
    );
    expect('faults' in r && r.faults['measures:shaft']).toMatchObject({
      id: 'job.nothingFittedShaftNotMeasured',
    });
  });
});
