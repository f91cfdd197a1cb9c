import { describe, expect, it } from 'vitest';
import { check } from '../../judgement/sentences.ts';
import type { BeltStepValues } from '../../steps/condition/belts.ts';
import type { CouplingStepValues } from '../../steps/condition/coupling.ts';
import { english } from '../../testing/english.ts';
import { firstOf, step, surveyor, valuesOf } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { type ConditionSetup, conditionSetupSchema, USUAL_CONDITION } from './setup.ts';

/** What each finding of a step says, by its code. */
const verdicts = (h: BearingHand, id: string) =>
  Object.fromEntries((step(h, id).report?.findings ?? []).map((f) => [f.code, f.verdict]));

/** What a survey that measures so still lacks, in the form's words; nothing where it may be opened. */
const lackOf = (condition: ConditionSetup['condition']): string => {
  const checked = check(conditionSetupSchema, { ...USUAL_CONDITION, machine: 'P', position: 'S', condition });
  return checked.ok ? '' : english(checked.faults.map((f) => f.message)).join(' ');
};

describe('coupling aligned cold for a machine that runs warm', () => {
  const cold = {
    measures: ['coupling' as const],
    couplingMethod: 'rim-and-face' as const,
    ...{ speedRpm: 1480, faceDiameterMm: 120, frontFeetMm: 150, feetSpanMm: 400 },
  };
  // A pump of 225 runs 60 K warmer, its motor of 225 by 20 K: 11e-6 × 225 × 40 = 0.099 the motor is to stand high (physics).
  const warm = { driverHeightMm: 225, driverWarmerK: 20, drivenHeightMm: 225, drivenWarmerK: 60 };
  const read = (condition: ConditionSetup['condition'], offset: number) => {
    const h = surveyor({}, condition).safe();
    h.read('coupling', 'rim/sag', 0, 'dial');
    // The dial on the driver’s rim reads twice the offset between top and bottom.
    h.follow('coupling', 'dial', (p) =>
      p.key === 'rim/180' ? -2 * offset : p.key === 'rim/90' || p.key === 'rim/270' ? -offset : 0,
    );
    return { h, values: valuesOf<CouplingStepValues>(h, 'coupling') };
  };
  it('standing so much high it is right cold, and in line it is to be raised', () => {
    const right = read({ ...cold, ...warm }, 0.099);
    expect(right.values.targetOffsetMm).toBeCloseTo(0.099, 9);
    expect(right.values.result?.vertical.offsetMm).toBeCloseTo(0, 9);
    expect(step(right.h, 'coupling').verdict).toBe('accept');
    const level = read({ ...cold, ...warm }, 0);
    expect(level.values.result?.vertical.frontMm).toBeCloseTo(0.099, 9);
    expect(step(level.h, 'coupling').verdict).toBe('reject');
  });
  it('without a word on warmth nothing changes; warmth without its height is asked for', () => {
    const plain = read(cold, 0);
    expect(plain.values.targetOffsetMm).toBeUndefined();
    expect(step(plain.h, 'coupling').verdict).toBe('accept');
    expect(lackOf({ ...cold, driverWarmerK: 20 })).toMatch(/height of the driver’s shaft/);
  });
});

describe('belts of the drive', () => {
  const condition = {
    measures: ['belts' as const],
    ...{ belts: 2, beltBy: 'note' as const, beltSpanMm: 500, beltMassKgPerM: 0.2, beltWantedN: 320 },
  };
  it('are struck one by one, tensioned and struck again; both rounds stand', () => {
    const h = surveyor({}, condition).safe();
    expect(english(step(h, 'belts').report?.act)).toContain('40 Hz');
    h.follow('belts', 'tension', () => 32);
    expect(verdicts(h, 'belts')['belt.1']).toBe('reject');
    h.do('measure.repeated', { step: 'belts', done: 'motor out two turns of the jack screw' });
    h.follow('belts', 'tension', () => 40);
    expect(step(h, 'belts').verdict).toBe('accept');
    expect(firstOf<BeltStepValues>(h, 'belts').tensionsN[0]).toBeCloseTo(4 * 0.2 * 0.25 * 32 * 32, 6);
    h.pass('belts');
    expect(h.state.present).toBe('verdict');
  });
  it('cannot be judged without a tension wanted: the form asks for it, or for what is driven', () => {
    const { beltWantedN: _, ...rest } = condition;
    expect(lackOf(rest)).toMatch(/tension is missing/);
    expect(lackOf({ ...rest, beltPowerKw: 22, beltSpeedMPerS: 16 })).toBe('');
    expect(lackOf({ ...condition, beltMassKgPerM: undefined })).toMatch(/belt mass/);
    expect(lackOf({ ...condition, beltBy: 'force', beltMassKgPerM: undefined })).toBe('');
  });
});
