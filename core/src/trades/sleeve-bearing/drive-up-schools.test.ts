import { describe, expect, it } from 'vitest';
import type { JobState } from '../../engine/state.ts';
import { setupSchema } from '../../engine/trades.ts';
import { readValue } from '../../job/read-value.ts';
import { check } from '../../judgement/sentences.ts';
import { reachesPressure } from '../../quantities/as-typed.ts';
import { MPA_PER_PSI } from '../../quantities/pressure.ts';
import { english } from '../../testing/english.ts';
import { upTo } from '../../testing/every-kind.ts';
import {
  gauge,
  hand,
  handAt,
  refuses,
  round,
  setup,
  step,
  tools,
  valuesOf,
} from '../../testing/test-stand.ts';
import type { DriveUpAngleValues } from './drive-up-angle.ts';
import type { DriveUpHydraulicValues } from './drive-up-hydraulic.ts';
import { endedAt } from './ended.ts';
import { DISMOUNT } from './index.ts';
import type { LockBySchoolValues } from './lock-by-school.ts';
import type { NutZeroValues } from './nut-zero.ts';
import type { SleeveSetup } from './setup.ts';

/** A maker's sheet that gives 280 to 320 degrees from zero for this sleeve: invented, as every sheet's is its own. */
const angle: Partial<SleeveSetup> = {
  driveUp: { school: 'nut-angle' },
  maker: { nutAngleMinDeg: 110, nutAngleMaxDeg: 140 },
};
const felt: Partial<SleeveSetup> = { ...angle, driveUp: { school: 'nut-angle', feelersToo: true } };
/** Pressures and areas of an invented sheet: 2.4 MPa on 12 000 mm², the nut in hand has 10 000. */
const hydraulic: Partial<SleeveSetup> = {
  driveUp: { school: 'hydraulic', indicator: 'away' },
  maker: {
    startPressureMpa: 2.5,
    sheetAreaMm2: 12_000,
    nutAreaMm2: 10_000,
    driveUpMinMm: 0.6,
    driveUpMaxMm: 0.75,
    abortPressureMpa: 30,
  },
};

const bench: Array<[number, number]> = [
  [0.1, 0.1],
  [0.1, 0.105],
  [0.1, 0.1],
];
const toZero = (change: Partial<SleeveSetup>) => {
  const h = hand(change).safe().survey(round).pass('shaft').answerAll('nuts').gate('inboard');
  if (change.driveUp?.feelersToo) h.bench(bench).pass('bench');
  return h.answerAll('fit').pass('fit');
};
const proven = (change: Partial<SleeveSetup>) =>
  toZero(change)
    .read('zero', 'tap/1', 12, 'protractor')
    .read('zero', 'tap/2', 3, 'protractor')
    .read('zero', 'tap/3', 0, 'protractor')
    .answerAll('zero')
    .pass('zero');

describe('what a school needs of the sheet', () => {
  const faults = (change: Partial<SleeveSetup>) => {
    const r = check(setupSchema, { ...setup, ...change });
    return r.ok ? [] : r.faults.map((f) => f.path);
  };
  it('nut angle only from the maker; the hydraulic school its start pressure and drive-up, both areas or none', () => {
    expect(faults(angle)).toEqual([]);
    expect(faults({ driveUp: { school: 'nut-angle' }, maker: { nutAngleMinDeg: 100 } })).toEqual([
      'maker.nutAngleMaxDeg',
    ]);
    expect(faults({ driveUp: { school: 'hydraulic' } })).toEqual([
      'maker.startPressureMpa',
      'maker.driveUpMinMm',
    ]);
    const lone = { driveUp: { school: 'hydraulic' as const } };
    expect(faults({ ...lone, maker: { startPressureMpa: 3, driveUpMinMm: 1.52 } })).toEqual([]);
    expect(
      faults({ ...lone, maker: { startPressureMpa: 3, driveUpMinMm: 1.52, driveUpMaxMm: 1.52 } }),
    ).toEqual([]);
    expect(
      faults({ ...lone, maker: { startPressureMpa: 3, driveUpMinMm: 1.6, driveUpMaxMm: 1.5 } }),
    ).toHaveLength(1);
    expect(
      faults({ ...lone, maker: { startPressureMpa: 3, driveUpMinMm: 1.52, sheetAreaMm2: 9000 } }),
    ).toEqual(['maker.nutAreaMm2']);
    expect(faults(hydraulic)).toEqual([]);
    expect(faults({ ...angle, maker: { nutAngleMinDeg: 140, nutAngleMaxDeg: 110 } })).toHaveLength(1);
  });
});

describe('nut angle from zero', () => {
  it('the zero is proven by a tap that moves nothing, and the angle means nothing before', () => {
    const h = toZero(angle);
    refuses(() => h.pass('zero'), /not proved/);
    h.read('zero', 'tap/1', 12, 'protractor');
    refuses(() => h.pass('zero'), /moved the nut 12°/);
    refuses(() => h.read('driveup', 'turn/1', 90, 'protractor'), /not open yet/);
    h.read('zero', 'tap/2', 3, 'protractor').read('zero', 'tap/3', 0, 'protractor');
    refuses(() => h.read('zero', 'tap/4', 0, 'protractor'), /zero is true/);
    refuses(() => h.pass('zero'), /2 of 2 questions/);
    h.answerAll('zero').pass('zero');
    expect(valuesOf<NutZeroValues>(h, 'zero')).toEqual({ taps: [12, 3, 0], proven: true });
  });

  it('a nut that turns at every tap is queried, not believed', () => {
    const h = toZero(angle);
    for (let n = 1; n <= 4; n++) h.read('zero', `tap/${n}`, 5, 'protractor');
    expect(step(h, 'zero').report?.findings.map((f) => f.code)).toContain('zero.taps');
  });

  it('goes forward only, to the maker’s band; past it is over-driven and nothing more is turned', () => {
    const h = proven(angle).read('driveup', 'turn/1', 90, 'protractor');
    refuses(() => h.pass('driveup'), /still to turn/);
    refuses(() => h.read('driveup', 'turn/2', 80, 'protractor'), /forward only/);
    h.read('driveup', 'turn/2', 120, 'protractor');
    expect(valuesOf<DriveUpAngleValues>(h, 'driveup')).toMatchObject({ place: 'in-band', turnedDeg: 120 });
    h.pass('driveup');
    const over = proven(angle).read('driveup', 'turn/1', 150, 'protractor');
    expect(valuesOf<DriveUpAngleValues>(over, 'driveup').place).toBe('over-driven');
    refuses(() => over.pass('driveup'), /past the maker's band/);
    over.act('dismount', undefined, 'over-driven');
    expect(over.state.present).toBe('inboard');
  });

  it('travel is pitch × angle ÷ 360: 120° at 2 mm is two thirds of a millimetre (geometry)', () => {
    const h = proven(angle).read('driveup', 'turn/1', 120, 'protractor');
    expect(valuesOf<DriveUpAngleValues>(h, 'driveup').travelMm).toBeCloseTo(2 / 3, 9);
  });

  it('short of the band it may go on where the next lock position brings it there', () => {
    const h = proven(angle)
      .read('driveup', 'turn/1', 108, 'protractor')
      .read('driveup', 'lock/deg108', 4, 'protractor');
    const v = valuesOf<DriveUpAngleValues>(h, 'driveup');
    expect(v.stops[0]).toEqual({ forwardDeg: 4, totalDeg: 112, inBand: true });
    // 4 slots and 17 tabs meet every 360/68 degrees (geometry).
    expect(v.spacingDeg).toBeCloseTo(360 / 68, 9);
    h.pass('driveup').read('lock', 'turn', 4, 'protractor').answerAll('lock').pass('lock');
    expect(valuesOf<LockBySchoolValues>(h, 'lock').finalDeg).toBe(112);
  });

  it('the lock turn is judged by the same band', () => {
    const h = proven(angle).read('driveup', 'turn/1', 138, 'protractor').pass('driveup');
    h.read('lock', 'turn', 9, 'protractor').answerAll('lock');
    refuses(() => h.pass('lock'), /past the maker's band/);
  });

  it('feelers beside it check one method by the other and say why they differ', () => {
    const locked = (residual: number) =>
      proven(felt)
        .read('driveup', 'turn/1', 130, 'protractor')
        .pass('driveup')
        .read('lock', 'turn', 2, 'protractor')
        .read('lock', 'final/A/1', residual, 'feeler')
        .read('lock', 'final/B/1', residual, 'feeler')
        .answerAll('lock');
    // k·travel/12 with 132° at 2 mm pitch: 0.77 × 0.7333 / 12 = 0.047.
    const agree = valuesOf<LockBySchoolValues>(locked(0.055), 'lock');
    expect(agree.cross).toMatchObject({ cause: 'agree' });
    expect(agree.cross?.convertedMm).toBeCloseTo(0.04706, 4);
    expect(valuesOf<LockBySchoolValues>(locked(0.09), 'lock').cross?.cause).toBe('zero-early');
    expect(valuesOf<LockBySchoolValues>(locked(0.02), 'lock').cross?.cause).toBe('zero-late');
    // Information only: the job goes on by its own school.
    expect(locked(0.09).pass('lock').state.present).toBe('bolts');
  });

  it('an angle that would eat the whole bench clearance is asked about before the first turn', () => {
    const h = proven({ ...felt, maker: { nutAngleMinDeg: 400, nutAngleMaxDeg: 460 } });
    expect(step(h, 'driveup').report?.findings.map((f) => f.code)).toContain('nut-angle.eats-all');
  });
});

describe('the hydraulic nut', () => {
  const toPump = (change: Partial<SleeveSetup> = hydraulic) => upTo(hand(change), 'driveup');
  const zeroed = (change?: Partial<SleeveSetup>) =>
    toPump(change).read('driveup', 'start/p', 3, 'pressure').read('driveup', 'start/z', 2, 'dial');

  it('the start pressure is the sheet’s by the ratio of piston areas: 2.5 × 12 000 ÷ 10 000 = 3 MPa', () => {
    const h = toPump();
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup').startPressureMpa).toBeCloseTo(3, 9);
    refuses(() => h.read('driveup', 'start/z', 2, 'dial'), /First: start pressure/);
    h.read('driveup', 'start/p', 2, 'pressure');
    expect(step(h, 'driveup').blocking[0]?.reason).toMatchObject({
      id: 'sleeve-bearing.notStartPressureNutZero',
    });
  });

  it('is driven to the distance, and never zeroed again half way', () => {
    const h = zeroed().read('driveup', 'n1/p', 12, 'pressure').read('driveup', 'n1/d', 1.7, 'dial');
    // The anvil sees the face move away: 2.00 to 1.70 is 0.30 driven.
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup').travelMm).toBeCloseTo(0.3, 9);
    refuses(() => h.pass('driveup'), /more. Never zero again/);
    const zero = h.state.readings.find((r) => r.place === 'start/z');
    h.do('reading.withdrawn', { reading: zero?.id ?? '', reason: 'thought better of it' });
    refuses(() => h.read('driveup', 'start/z', 1.7, 'dial'), /never set a new zero/);
    const on = zeroed()
      .read('driveup', 'n1/p', 20, 'pressure')
      .read('driveup', 'n1/d', 1.35, 'dial')
      .pass('driveup');
    expect(on.state.present).toBe('release');
    on.answerAll('release')
      .pass('release')
      .read('lock', 'turn', 0, 'protractor')
      .answerAll('lock')
      .pass('lock');
    expect(on.state.present).toBe('bolts');
  });

  it('abort pressure first: released, the other nut found, and on from the same zero', () => {
    const h = zeroed().read('driveup', 'n1/p', 31, 'pressure').read('driveup', 'n1/d', 1.9, 'dial');
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup').place).toBe('aborted');
    refuses(() => h.pass('driveup'), /Abort pressure came first/);
    refuses(() => h.read('driveup', 'n2/p', 20, 'pressure'), /First: pump released/);
    // Zero is the gauge on its stop: 0.9 MPa is pressure, whatever it is a small part of.
    h.read('driveup', 'n1/release', 0.9, 'pressure');
    expect(step(h, 'driveup').blocking.map((b) => b.code)).toContain('hydraulic.held');
    h.do('reading.withdrawn', {
      reading: h.state.readings.find((r) => r.place === 'n1/release')?.id ?? '',
      reason: 'not released yet',
    });
    h.read('driveup', 'n1/release', 0, 'pressure').read('driveup', 'n1/back', 360, 'protractor');
    h.read('driveup', 'n2/p', 18, 'pressure').read('driveup', 'n2/d', 1.33, 'dial');
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup')).toMatchObject({ place: 'in-band' });
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup').points.map((p) => p.aborted)).toEqual([
      true,
      false,
    ]);
    h.pass('driveup');
  });

  it('an abort pressure met exactly aborts, in the unit of the sheet, before the indicator is read', () => {
    const abortPressureMpa = 3500 * MPA_PER_PSI;
    const sheet = { ...hydraulic, maker: { ...hydraulic.maker, abortPressureMpa } };
    const typed = readValue('3500 psi', 'pressure', 'in');
    if (!('value' in typed)) throw new Error(english(typed.message));
    const h = toPump(sheet).read('driveup', 'start/p', 3, 'pressure').read('driveup', 'start/z', 2, 'dial');
    h.read('driveup', 'n1/p', typed.value, 'pressure');
    expect(step(h, 'driveup').report?.act).toMatchObject({
      id: 'sleeve-bearing.abortPressureStopPumpingRead',
    });
    expect(step(h, 'driveup').blocking.map((b) => b.code)).toContain('hydraulic.abort');
    h.read('driveup', 'n1/d', 1.9, 'dial');
    expect(step(h, 'driveup').report?.act).toMatchObject({ id: 'sleeve-bearing.abortPressureReleasePump' });
    // Setups kept until now hold it to four decimals, rounded up; just under it nothing aborts.
    for (const [limit, read, reached] of [
      [24.1317, typed.value, true],
      [abortPressureMpa, typed.value - 0.01, false],
    ] as const)
      expect(reachesPressure(read, limit)).toBe(reached);
  });

  it('one value on the sheet is a target, a twentieth either side; no abort pressure is said', () => {
    const lone = { ...hydraulic, maker: { startPressureMpa: 3, driveUpMinMm: 0.67 } };
    const h = toPump(lone).read('driveup', 'start/p', 3, 'pressure').read('driveup', 'start/z', 2, 'dial');
    h.read('driveup', 'n1/p', 20, 'pressure').read('driveup', 'n1/d', 1.33, 'dial');
    const v = valuesOf<DriveUpHydraulicValues>(h, 'driveup');
    expect([v.driveUpMinMm, v.driveUpMaxMm].map((x) => Number(x.toFixed(4)))).toEqual([0.6365, 0.7035]);
    expect(v).toMatchObject({ place: 'in-band', abortPressureMpa: null });
    expect(step(h, 'driveup').report?.findings.map((f) => f.code)).toContain('hydraulic.no-abort');
    h.pass('driveup');
  });

  it('a gauge whose step is a third of the start pressure cannot tell five in a hundred, and that is said', () => {
    const coarse = { ...tools, pressure: gauge('coarse', 'pressure', 1, 0, 100) };
    const h = toPump(hydraulic).do('reading.taken', {
      ...{ step: 'driveup', place: 'start/p', value: 3, raw: '3' },
      instrument: coarse.pressure,
    });
    const start = step(h, 'driveup').report?.findings.find((f) => f.code === 'hydraulic.start');
    expect([start?.verdict, start?.reason]).toEqual([
      'caution',
      {
        id: 'sleeve-bearing.gaugeShowsStepTooCoarse',
        params: { value: { mpa: 3 }, step: { mpa: 1 }, wanted: { mpa: 3 } },
      },
    ]);
  });

  it('the nut’s turn to its lock drives on: its travel is judged, by thread or by an indicator that still stands', () => {
    const toLock = () =>
      zeroed()
        .read('driveup', 'n1/p', 18, 'pressure')
        .read('driveup', 'n1/d', 1.27, 'dial')
        .pass('driveup')
        .answerAll('release')
        .pass('release');
    // 0.73 driven of 0.60 to 0.75; 60° of 2 mm are 0.33 more.
    const h = toLock().read('lock', 'turn', 60, 'protractor');
    expect(valuesOf<{ travelMm: number }>(h, 'lock').travelMm).toBeCloseTo(0.73 + 1 / 3, 6);
    expect(step(h, 'lock').blocking.find((b) => b.code === 'lock.turn')).toMatchObject({ acceptable: false });
    // One lock position of 4 slots and 17 tabs is 5.3°: past the band by less is the least forward turn, normal practice.
    const near = toLock().read('lock', 'turn', 5, 'protractor');
    expect(step(near, 'lock').report?.findings.find((f) => f.code === 'lock.turn')).toMatchObject({
      verdict: 'accept',
      reason: { id: 'sleeve-bearing.travelWithLockTurn' },
    });
    // And that travel is the one on the sheet.
    near.answerAll('lock').pass('lock');
    expect(endedAt(near.state as JobState<SleeveSetup>).travelMm).toBeCloseTo(0.73 + (5 * 2) / 360, 9);
    const seen = toLock().read('lock', 'turn', 5, 'protractor').read('lock', 'indicator', 1.26, 'dial');
    expect(valuesOf<{ travelMm: number }>(seen, 'lock').travelMm).toBeCloseTo(0.74, 9);
    expect(step(seen, 'lock').report?.findings[0]?.verdict).toBe('accept');
  });

  it('a dial that says it went down under pressure reads the other way', () => {
    const h = zeroed().read('driveup', 'n1/p', 18, 'pressure').read('driveup', 'n1/d', 2.6, 'dial');
    expect(step(h, 'driveup').report?.act).toMatchObject({ id: 'sleeve-bearing.dialWrongWay' });
    expect(step(h, 'driveup').report?.next).toBeNull();
    expect(step(h, 'driveup').blocking.map((f) => f.code)).toContain('hydraulic.way');
  });

  it('which way the dial reads is asked when it is set, never taken from a default', () => {
    const h = toPump({ ...hydraulic, driveUp: { school: 'hydraulic' } });
    expect(step(h, 'driveup').report?.asks).toEqual(['driveUp.indicator']);
  });

  it('the gap to the lock and the turn that was made are one angle', () => {
    // A plate of six holes on six: a position every 60°.
    const plate = { ...hydraulic, lock: { by: 'plate', nutHoles: 6, lockHoles: 6 } } as Partial<SleeveSetup>;
    const h = zeroed(plate)
      .read('driveup', 'n1/p', 18, 'pressure')
      .read('driveup', 'n1/d', 1.35, 'dial')
      .pass('driveup')
      .answerAll('release')
      .pass('release')
      .read('lock', 'gap', 8, 'protractor')
      .read('lock', 'turn', 3, 'protractor');
    expect(step(h, 'lock').blocking.map((f) => f.code)).toContain('lock.gap');
  });

  it('past the distance is over-driven, and the way off is the one way on', () => {
    const h = zeroed().read('driveup', 'n1/p', 22, 'pressure').read('driveup', 'n1/d', 1.1, 'dial');
    expect(valuesOf<DriveUpHydraulicValues>(h, 'driveup').place).toBe('over-driven');
    refuses(() => h.read('driveup', 'n2/p', 23, 'pressure'), /stop pumping/);
    expect(DISMOUNT.onlyWay?.(h.state as JobState<SleeveSetup>)).toBe(true);
  });

  it('two nuts: told apart first, the dismount nut back to its own lock position last', () => {
    const two = { ...hydraulic, driveUp: { school: 'hydraulic', twoNuts: true, indicator: 'away' } as const };
    const h = toPump(two)
      .read('driveup', 'start/p', 3, 'pressure')
      .read('driveup', 'start/z', 2, 'dial')
      .read('driveup', 'n1/p', 20, 'pressure')
      .read('driveup', 'n1/d', 1.35, 'dial')
      .pass('driveup')
      .answerAll('release')
      .pass('release')
      .read('lock', 'turn', 6, 'protractor');
    refuses(() => h.pass('lock'), /dismount nut came back/);
    refuses(() => h.answer('lock', 'bent', 'yes'), /dismount nut came back/);
    h.read('lock', 'back', 4, 'protractor').answerAll('lock').pass('lock');
    expect(valuesOf<LockBySchoolValues>(h, 'lock')).toMatchObject({ turnedDeg: 6, backDeg: 4 });
  });

  it('feelers go along where they are asked for', () => {
    const h = handAt({
      ...setup,
      ...hydraulic,
      driveUp: { school: 'hydraulic', feelersToo: true, indicator: 'away' },
    });
    expect(h.state.steps.map((s) => s.id)).toContain('bench');
  });
});

describe('unequal lock patterns', () => {
  it('the first slot’s lead says which meets next, and it grows as the nut turns', () => {
    const uneven: Partial<SleeveSetup> = {
      ...angle,
      lock: { by: 'plate', nutDeg: [0, 90, 180, 270], washerDeg: [0, 50, 110] },
    };
    const h = proven(uneven)
      .read('driveup', 'lock/deg0', 20, 'protractor')
      .read('driveup', 'turn/1', 115, 'protractor');
    // Slots at 20 + 115 = 135, 225, 315, 45: tab 50 is 5° ahead of the slot at 45 (by hand).
    expect(valuesOf<DriveUpAngleValues>(h, 'driveup').stops[0]?.forwardDeg).toBeCloseTo(5, 6);
  });
});

describe('a shaft warmer than its ring', () => {
  it('what is felt on it is corrected, and a shaft hot in service wants more left', () => {
    const warm = hand({ shaftOverRingK: 10 })
      .safe()
      .survey(round)
      .pass('shaft')
      .answerAll('nuts')
      .gate('inboard')
      .bench(bench)
      .pass('bench');
    warm.pass('target').gate('fit').drive(0, 0.1, 0.1);
    // α·ΔT·1.6·d = 11.7e-6 × 10 × 160 = 0.019, the outside not being known.
    expect(valuesOf<{ clearanceMm: number }>(warm, 'driveup').clearanceMm).toBeCloseTo(0.119, 3);
    expect(step(warm, 'driveup').report?.findings.map((f) => f.code)).toContain('driveup.heat');
    const hot = hand({ serviceOverRingK: 20 })
      .safe()
      .survey(round)
      .pass('shaft')
      .answerAll('nuts')
      .gate('inboard')
      .bench(bench)
      .pass('bench');
    expect(valuesOf<{ leastResidualMm: number }>(hot, 'target').leastResidualMm).toBeCloseTo(
      0.035 + 0.037,
      3,
    );
  });
});

it('a stand-in and an overdue gauge are said at every school', () => {
  const overdue = { ...tools, pressure: gauge('old', 'pressure', 0.5, 0, 100, '2026-01-01') };
  const h = hand(hydraulic)
    .safe()
    .survey(round)
    .pass('shaft')
    .answerAll('nuts')
    .gate('inboard')
    .answerAll('fit')
    .pass('fit');
  h.do('reading.taken', {
    step: 'driveup',
    place: 'start/p',
    value: 3,
    raw: '3',
    instrument: overdue.pressure,
  });
  expect(step(h, 'driveup').report?.findings.map((f) => f.code)).toContain('gauge.old');
});
