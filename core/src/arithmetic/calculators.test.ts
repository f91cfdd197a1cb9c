import { describe, expect, it } from 'vitest';
import { english } from '../testing/english.ts';
import { CALCULATORS, listCalculators, runCalculator } from './registry.ts';

const EXAMPLES: Record<string, unknown> = {
  'tolerance.fit': { nominalMm: 50, hole: 'H7', shaft: 'g6' },
  'bearing.warm-fit': { boreMm: 100, seat: 'm5', clearanceMm: 0.05 },
  'bearing.life': { kind: 'ball', ratingKn: 35.1, radialKn: 5, speedRpm: 1000 },
  'alignment.growth': {
    driverFrontMm: 250,
    driverRearMm: 650,
    driverHeightMm: 225,
    driverFrontK: 20,
    driverRearK: 20,
    drivenFrontMm: 200,
    drivenRearMm: 600,
    drivenHeightMm: 225,
    drivenFrontK: 60,
    drivenRearK: 60,
  },
  'bolting.stretch': { size: 'M24', grade: '8.8', gripMm: 200, threadMm: 200 },
  'seal.o-ring': { insideMm: 49, sectionMm: 3.5, seatMm: 50, depthMm: 2.8, use: 'static' },
  'drive.belt': { spanMm: 500, massKgPerM: 0.2, hertz: 40, wantedN: 300 },
  'drive.belt-set': { by: 'note', spanMm: 500, readings: [38, 39], step: 1, massKgPerM: 0.2, wantedN: 300 },
  'drive.vibration': { mmPerS: 3, machine: 'medium', support: 'rigid' },
  'tolerance.iso286': { nominalMm: 90, designation: 'h9' },
  'shaft.diameter-survey': {
    nominalMm: 90,
    system: 'metric',
    stationsMm: [0, 30],
    anglesDeg: [0, 60, 120],
    diametersMm: [
      [89.97, 89.97, 89.97],
      [89.97, null, 89.97],
    ],
    resolutionMm: 0.001,
  },
  'bearing.clearance-class': {
    boreMm: 100,
    clearanceClass: 'CN',
    sets: [{ rowAMm: 0.1, rowBMm: 0.1 }],
    bladeStepMm: 0.01,
  },
  'bearing.drive-up-target': { boreMm: 100, taper: 12, clearanceClass: 'CN', benchMm: 0.1, pitchMm: 2 },
  'bearing.drive-up-forecast': {
    boreMm: 100,
    taper: 12,
    clearanceClass: 'CN',
    benchMm: 0.1,
    pitchMm: 2,
    bladeStepMm: 0.01,
    readings: [{ angleDeg: 0, rowAMm: 0.1, rowBMm: 0.1 }],
  },
  'bearing.lock-alignment': {
    boreMm: 100,
    taper: 12,
    pitchMm: 2,
    nut: { count: 4 },
    washer: { anglesDeg: [0, 20, 50] },
    forwardDeg: 3,
  },
  'shaft.runout': {
    shaftMm: 60,
    readings: [0, 90, 180, 270].map((angleDeg) => ({ angleDeg, valueMm: angleDeg / 9000 })),
    closingMm: 0,
    resolutionMm: 0.001,
    school: 'flat',
    wanted: 4,
  },
  'shaft.bend': {
    stations: [
      { atMm: 0, eccentricityMm: 0.01, highSpotDeg: 20, uncertaintyMm: 0.001 },
      { atMm: 100, eccentricityMm: 0.03, highSpotDeg: 22, uncertaintyMm: 0.001 },
    ],
  },
  'shaft.runout-growth': {
    readings: [
      { days: 0, runoutMm: 0.02 },
      { days: 400, runoutMm: 0.03 },
    ],
    limitMm: 0.05,
  },
  'packing.travel': {
    readings: [
      { days: 0, leftMm: 22 },
      { days: 400, leftMm: 12 },
    ],
    stopMm: 2,
    resolutionMm: 0.5,
  },
  'shaft.finish': { surface: 'shaft', parameter: 'Rq', readingsUm: [0.6], resolutionUm: 0.01 },
  'shaft.play': { end: [{ pushMm: 0, pullMm: 0.08 }], resolutionMm: 0.01, school: 'strict' },
  'box.face': {
    shaftMm: 60,
    boxBoreMm: 100,
    sweepRadiusMm: 80,
    readings: [0, 90, 180, 270].map((angleDeg) => ({ angleDeg, valueMm: 0 })),
    resolutionMm: 0.01,
    school: 'standards',
  },
  'box.bore': {
    readings: [0, 90, 180, 270].map((angleDeg) => ({ angleDeg, valueMm: 0 })),
    sagMm: -0.05,
    resolutionMm: 0.01,
  },
  'box.envelope': { boreMm: 100, sealBoreLowerMm: 95, resolutionMm: 0.02 },
  'alignment.coupling': {
    method: 'rim-and-face',
    speedRpm: 1480,
    rimMm: [0, -0.1, -0.2, -0.1],
    faceMm: [0, 0, 0, 0],
    faceDiameterMm: 120,
    frontFeetMm: 150,
    feetSpanMm: 400,
    resolutionMm: 0.01,
  },
  'alignment.housings': {
    widthMm: 80,
    resolutionMm: 0.01,
    housings: [0, 900].map((atMm) => ({
      atMm,
      verticalNearMm: 0,
      verticalFarMm: 0.1,
      horizontalNearMm: 0,
      horizontalFarMm: 0,
    })),
  },
  'alignment.soft-foot': { feet: [[0.02], [0.1, 0.1], [], [0]], resolutionMm: 0.01 },
  'metrology.decision': { readingsMm: [0.048, 0.05], stepMm: 0.002, upperMm: 0.05 },
  'bearing.interference': {
    jointMm: 100,
    racewayMm: 126,
    widthMm: 46,
    taper: 12,
    reductionMm: 0.05,
    benchMm: 0.1,
  },
  'bearing.nut-angle': {
    boreMm: 60,
    taper: 12,
    pitchMm: 2,
    makerMinDeg: 80,
    makerMaxDeg: 100,
    turnedDeg: 90,
    zeroProven: true,
    benchMm: 0.07,
  },
  'bearing.hydraulic-nut': {
    startPressureMpa: 3.2,
    sheetAreaMm2: 12000,
    nutAreaMm2: 10000,
    driveUpMinMm: 0.6,
    driveUpMaxMm: 0.75,
    abortPressureMpa: 30,
    zeroMm: 2,
    sign: -1,
    nowMm: 1.34,
    nowPressureMpa: 18,
    resolutionMm: 0.01,
  },
  'bearing.float': { spanMm: 2400, shaftOverBaseK: 35, roomMm: 10 },
  'bearing.split-race-gap': { gapAMm: 0.3, gapBMm: 0.35, bladeStepMm: 0.05 },
  'bolting.wrench': { torqueNm: 196, wrenchMm: 450, extensionMm: 100, scaleLowNm: 60, scaleHighNm: 330 },
  'lubrication.first-fill': {
    boreMm: 100,
    outsideMm: 180,
    widthMm: 46,
    massKg: 4.9,
    speedRpm: 980,
    housingCm3: 900,
    school: 'by-speed',
  },
  'lubrication.regreasing': { outsideMm: 180, widthMm: 46, gramsPerStroke: 1.2 },
  'lubrication.interval': { kind: 'spherical', boreMm: 100, speedRpm: 980 },
  'lubrication.run-in': {
    ambientC: 22,
    readings: [
      { minutes: 0, temperatureC: 24 },
      { minutes: 15, temperatureC: 41 },
      { minutes: 30, temperatureC: 52 },
    ],
  },
  'bolting.torque': { size: 'M10', grade: '8.8', friction: 'oiled', mu: 0.12 },
  'bolting.sequence': { count: 6, layout: 'rectangle', torqueNm: 100 },
  'bolting.set-screws': { dogs: 2, cups: 2, torqueNm: 12 },
  'bearing.clearance-reduction': { boreMm: 100, taper: 12, clearanceClass: 'CN' },
  'bearing.cross-check': {
    school: 'nut-angle',
    boreMm: 60,
    taper: 12,
    travelMm: 0.5,
    reductionMm: 0.031,
    uncertaintyMm: 0.002,
  },
  'bearing.thermal': { boreMm: 100, shaftOverRingK: 20 },
  'lubrication.watch': {
    startC: 48,
    readings: [
      { minutes: 0, temperatureC: 50 },
      { minutes: 15, temperatureC: 58 },
    ],
  },
  'lubrication.compatibility': { inside: 'polyurea', fresh: 'lithium' },
  'seal.setting': { freeLengthMm: 62, compressionMm: 6, rotary: 'inside', seatMm: 5 },
  'seal.compression-shift': { compressionMm: 6, impellerMm: 0.3, resolutionMm: 0.01 },
  'seal.face-load': {
    faceOutsideMm: 71,
    faceInsideMm: 61,
    balanceMm: 63,
    springN: 200,
    pressureMpa: 1,
    speedRpm: 1450,
  },
  'seal.flush': { powerW: 300, riseK: 10 },
  'seal.set-screws': { shaftMm: 60, boxPressureMpa: 1.7, hardened: false },
  'seal.gland-tilt': {
    gaps: [
      { angleDeg: 0, gapMm: 0.5 },
      { angleDeg: 90, gapMm: 0.55 },
      { angleDeg: 180, gapMm: 0.6 },
      { angleDeg: 270, gapMm: 0.55 },
    ],
    bolts: 4,
    resolutionMm: 0.01,
  },
  'seal.angles': {
    marks: { 'gland-split': 0, 'rotary-split': 90 },
    rules: [{ a: 'gland-split', b: 'rotary-split', want: 'square' }],
  },
  'seal.ports': { rotation: 'clockwise', seenFrom: 'drive-end' },
  'seal.purge': { processMpa: 0.1, seals: 2, regulators: 2 },
  'seal.wear': {
    readings: [
      { days: 0, projectionMm: 1.2 },
      { days: 90, projectionMm: 1 },
      { days: 180, projectionMm: 0.8 },
    ],
  },
  'seal.elastomer': { elastomer: 'EPDM', fluid: 'water', temperatureC: 80 },
  'packing.rings': { shaftMm: 60, boxBoreMm: 85, boxDepthMm: 90, allowancePercent: 2, cut: 'diagonal' },
  'packing.break-in': {
    shaftMm: 60,
    school: 'per-diameter',
    pitchMm: 2,
    followerMm: 25,
    readings: [{ minutes: 0, flats: 0, dropsPerMin: 120 }],
  },
  'packing.friction': { shaftMm: 60, lengthMm: 62.5, glandMpa: 0.5, speedRpm: 1450, sectionMm: 12.5 },
  'packing.plunger-preload': { pitchMm: 3, backDeg: 270, endDeg: 20 },
  'rebuild.gasket-stack': {
    pieces: [
      { thicknessMm: 0.1, count: 8 },
      { thicknessMm: 0.15, count: 6 },
    ],
    stackMm: 0.5,
    clearancesMm: [0.05, 0.06, 0.04, 0.05],
    leastMm: 0,
    mostMm: 0.25,
    pairs: [
      { looseMm: 0.4, torquedMm: 0.37 },
      { looseMm: 0.6, torquedMm: 0.55 },
    ],
    resolutionMm: 0.01,
  },
  'rebuild.gasket-compression': { pairs: [{ looseMm: 0.4, torquedMm: 0.37 }] },
  'rebuild.shim-stack': { pieces: [{ thicknessMm: 0.1, count: 4 }], wantedMm: 0.3, toleranceMm: 0.02 },
  'rebuild.end-float': {
    floatMm: 0.28,
    stackMm: 1.3,
    leastMm: 0.1,
    mostMm: 0.2,
    moreShims: 'looser',
    resolutionMm: 0.01,
  },
  'planning.schedule': {
    tasks: [{ id: 'a', minutes: 30, needs: 'pump' }],
    resources: [{ id: 'pump', count: 1 }],
  },
  'rebuild.lip-orientation': { lips: [{ name: 'front', wants: 'inward', fitted: 'outward' }] },
};

describe('the registry', () => {
  it('a plan takes whole minutes: it is laid on them', () => {
    const plan = (minutes: number) =>
      runCalculator('planning.schedule', { tasks: [{ id: 'a', minutes }], resources: [] });
    expect(plan(4)).toMatchObject({ ok: true });
    expect(plan(0.4)).toMatchObject({ ok: false, faults: [{ path: 'tasks[0].minutes' }] });
  });
  it('has an example here for every calculator, and each runs', () => {
    expect(CALCULATORS.map((c) => c.id).sort()).toEqual(Object.keys(EXAMPLES).sort());
    for (const [id, input] of Object.entries(EXAMPLES)) {
      const answer = runCalculator(id, input);
      if (!answer.ok) throw new Error(`${id}: ${english(answer.faults.map((f) => f.message)).join()}`);
      expect(answer.result.working.length, id).toBeGreaterThan(0);
      expect(JSON.stringify(english(answer.result))).not.toMatch(/[⟦⟧]/);
    }
  });

  it('a pointer is as thick as its words say, wherever they are said', () => {
    let said = 0;
    for (const [id, input] of Object.entries(EXAMPLES)) {
      const answer = runCalculator(id, input);
      for (const beam of answer.ok ? answer.result.beams : []) {
        if (!beam.doubt) continue;
        said++;
        expect(
          Number.parseFloat(english(beam.doubt[0])?.replace('± ', '') ?? ''),
          `${id}: ${english(beam.label)}`,
        ).toBeCloseTo(
          beam.expanded,
          // A roughness is told to a hundredth of a µm, a force to a tenth of a N.
          beam.quantity === 'roughness' ? 2 : beam.quantity === 'force' ? 0 : 4,
        );
        expect(beam.doubt.length).toBeGreaterThan(2);
      }
    }
    expect(said).toBeGreaterThan(7);
  });

  it('lists a JSON Schema for every input, naming its fields and refusing others', () => {
    for (const { id, title, input } of listCalculators()) {
      const schema = input as {
        type: string;
        properties: object;
        required: string[];
        additionalProperties: boolean;
      };
      expect(english(title).length).toBeGreaterThan(8);
      expect(schema.type).toBe('object');
      expect(Object.keys(schema.properties), id).toEqual(
        expect.arrayContaining(Object.keys(EXAMPLES[id] as object)),
      );
      expect(schema.required.length).toBeGreaterThan(0);
      expect(schema.additionalProperties).toBe(false);
    }
  });

  it('says one sentence per fault', () => {
    const answer = runCalculator('bearing.drive-up-target', {
      boreMm: 'big',
      taper: 10,
      clearanceClass: 'CN',
      pitchMm: 2,
      colour: 'red',
    });
    expect(answer.ok).toBe(false);
    if (answer.ok) return;
    const text = answer.faults.map((f) => f.message);
    expect(text).toHaveLength(4);
    expect(english(text).join(' ')).toMatch(/boreMm must be a number/);
    expect(english(text).join(' ')).toMatch(/taper must be one of: 12, 30/);
    expect(english(text).join(' ')).toMatch(/benchMm is missing/);
    expect(english(text).join(' ')).toMatch(/colour/);
    for (const t of text) expect(english(t)).toMatch(/\.$/);
  });

  it('what lies outside a table is the asker’s fault, said plainly', () => {
    const answer = runCalculator('tolerance.iso286', { nominalMm: 90, designation: 'z9' });
    expect(!answer.ok && answer.faults[0]?.message).toMatchObject({
      id: 'arithmetic.shaft.notTabledHereShaftsD',
    });
    const unknown = runCalculator('seal.tea', {});
    expect(!unknown.ok && unknown.known).toBe(false);
    expect(runCalculator('tolerance.iso286', null).ok).toBe(false);
    expect(runCalculator('tolerance.iso286', []).ok).toBe(false);
  });

  it('gives the same values in either unit and says them in the one asked for', () => {
    const mm = runCalculator('bearing.drive-up-target', EXAMPLES['bearing.drive-up-target'], 'mm');
    const inch = runCalculator('bearing.drive-up-target', EXAMPLES['bearing.drive-up-target'], 'in');
    expect(mm.ok && inch.ok && mm.result.values).toEqual(inch.ok && inch.result.values);
    expect(english(inch.ok && inch.result.findings[0]?.reason)).toMatch(/ in/);
  });
});
