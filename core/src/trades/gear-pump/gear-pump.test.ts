import { describe, expect, it } from 'vitest';
import { procedureFor, stepOf } from '../../engine/trades.ts';
import { say } from '../../quantities/say.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import type { BoltValues } from '../../steps/bolt-passes.ts';
import type { AssemblyValues } from '../../steps/rebuild/assembly.ts';
import { english } from '../../testing/english.ts';
import { upTo, workAll } from '../../testing/every-kind.ts';
import { handAt, imke, refuses, step, valuesOf } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { type ClearanceValues, gapKey } from './clearance.ts';
import type { SqueezeValues } from './compression.ts';
import { feelStack, gearPump } from './example.ts';
import { GEAR_PUMP_TAGGED, lipsOf, PARTS } from './parts.ts';
import type { GearPumpSetup } from './setup.ts';

const at = (id: string, change: Partial<GearPumpSetup> = {}) => upTo(handAt({ ...gearPump, ...change }), id);
const blocking = (h: BearingHand, id: string) => step(h, id).blocking.map((b) => b.code);
const verdicts = (h: BearingHand, id: string) =>
  Object.fromEntries((step(h, id).report?.findings ?? []).map((f) => [f.code, f.verdict]));
const ids = (setup: GearPumpSetup) => procedureFor(setup).steps.map((s) => s.id);

describe('the order of a gear pump', () => {
  it('makes up on the bench what a plate will cover, measures the clearance before the second plate, turns it twice', () => {
    const order = ids(gearPump);
    const before = (a: string, b: string) =>
      expect([a, b, order.indexOf(a) < order.indexOf(b)]).toEqual([a, b, true]);
    for (const [a, b] of [
      ['lips', 'front'],
      ['bench', 'front'],
      ['front', 'frontbolts'],
      ['frontbolts', 'gears'],
      ['gears', 'clearance'],
      ['clearance', 'rear'],
      ['rear', 'rearbolts'],
      ['rearbolts', 'chambers'],
      ['chambers', 'turn1'],
      ['turn1', 'drive'],
      ['drive', 'main'],
      ['main', 'nut'],
      ['nuttorque', 'turn2'],
      ['turn2', 'sign'],
    ] as const)
      before(a, b);
    // Only what is measured here is a step of its own.
    expect(order).not.toContain('compress');
    expect(ids({ ...gearPump, compression: 'measured' })).toContain('compress');
  });

  it('refuses what is not its turn, with the step that is', () => {
    const h = at('frontbolts');
    refuses(() => h.answer('rear', 'wear', 'yes'), /not reached|comes first|bolts/i);
    refuses(() => h.read('clearance', 'stack', 0.5, 'caliper'), /bolts/i);
    refuses(() => h.pass('gears'), /bolts/i);
    refuses(() => h.do('sheet.signed', { name: 'Asta' }), /./);
  });

  it('draws every part once, at a step there is, doors where they close', () => {
    const order = ids(gearPump);
    for (const p of PARTS) expect(order).toContain(p.at);
    expect(new Set(PARTS.map((p) => p.id)).size).toBe(PARTS.length);
    const h = at('gears');
    const state = (part: string) => valuesOf<AssemblyValues>(h, 'gears').parts.find((p) => p.id === part);
    expect(state('frontplate')).toMatchObject({ state: 'on', shut: false });
    // Behind the front plate nothing is seen any more; the case is still open to the rear.
    expect(state('wear1')).toMatchObject({ state: 'on', shut: true });
    expect(state('case')).toMatchObject({ state: 'on', shut: false });
    expect([state('drivegear')?.state, state('idler')?.state]).toEqual(['now', 'later']);
    h.answer('gears', 'drive', 'yes');
    expect([state('drivegear')?.state, state('idler')?.state]).toEqual(['on', 'now']);
    expect(state('rearplate')?.state).toBe('later');
    // Each part is put on by a question there is.
    for (const p of PARTS)
      if (p.item)
        expect(
          stepOf(h.state, p.at)?.items?.map((i) => i.id),
          p.id,
        ).toContain(p.item);
  });
});

describe('parts and lips', () => {
  it('a gasket to be used again is a stop that names it; tagged anew it goes on', () => {
    const h = at('tags');
    for (const p of GEAR_PUMP_TAGGED) h.answer('tags', p.id, 'yes', 'reuse');
    expect(blocking(h, 'tags')).toEqual(GEAR_PUMP_TAGGED.filter((p) => p.renewed).map((p) => `tags.${p.id}`));
    refuses(() => h.pass('tags'), /not used again/);
    for (const p of GEAR_PUMP_TAGGED) if (p.renewed) h.answer('tags', p.id, 'yes', 'renew');
    expect(blocking(h, 'tags')).toEqual([]);
  });

  it('every lip seal is there, and one the wrong way is a stop nobody can accept', () => {
    // Three small chambers with two lips each, their housings with two, the drive housing with two.
    expect(lipsOf(gearPump)).toHaveLength(14);
    const h = at('lips');
    for (const l of lipsOf(gearPump))
      h.answer('lips', l.id, 'yes', l.id === 'housing2b' ? 'outward' : l.wants);
    expect(blocking(h, 'lips')).toEqual(['lips.housing2b']);
    expect(() => h.by(imke).accept('lips', 'lips.housing2b', 'it will do')).toThrow();
    h.answer('lips', 'housing2b', 'yes', 'inward');
    expect(blocking(h, 'lips')).toEqual([]);
    // Another drawing turns those of the small housings round.
    expect(lipsOf({ ...gearPump, housingLips: 'outward' }).filter((l) => l.wants === 'outward')).toHaveLength(
      6,
    );
  });
});

describe('a plate over its guide pins', () => {
  it('leaves two holes until the pins are out, then those two, then the star', () => {
    const h = at('frontbolts');
    const v = () => valuesOf<BoltValues>(h, 'frontbolts');
    expect(v().held?.filled).toEqual([1, 5]);
    expect(v().passes.map((p) => p.order.length)).toEqual([6, 2, 8, 8, 8, 8]);
    // Not asked before the others hold the plate.
    refuses(() => h.answer('frontbolts', 'pins', 'yes'), /not asked now/);
    h.tighten('frontbolts');
    expect(v().ticks).toHaveLength(6);
    expect(v().next).toBeNull();
    const wrench = h.state.ticks[0]?.instrument;
    if (!wrench) throw new Error('No wrench.');
    const first = { step: 'frontbolts', pass: 1, bolt: 1, torqueNm: 0, moved: false, instrument: wrench };
    refuses(() => h.do('bolt.tightened', first), /guide pins still fill/);
    refuses(() => h.pass('frontbolts'), /guide pins still fill/);
    h.answer('frontbolts', 'pins', 'yes');
    expect(v().held).toMatchObject({ waits: null, filled: [] });
    h.do('bolt.tightened', first).tighten('frontbolts');
    expect(v().passes[2]?.order).toEqual([1, 5, 3, 7, 2, 6, 4, 8]);
    h.pass('frontbolts');
  });

  it('a torque far from what such plates take is looked at for a slip of unit', () => {
    // 35 to 40 lbf·ft is 47 to 54 N·m; typed as newton-metres it would be 37.
    expect(verdicts(at('frontbolts'), 'frontbolts')['frontbolts.torque']).toBe('accept');
    expect(verdicts(at('frontbolts', { plateNm: 170 }), 'frontbolts')['frontbolts.torque']).toBe('caution');
    expect(verdicts(at('frontbolts', { plateNm: 450 }), 'frontbolts')['frontbolts.unit']).toBe('reject');
    // A range: the middle is aimed at.
    const range = at('frontbolts', { plateNm: 47.5, plateMostNm: 54.2 });
    expect(verdicts(range, 'frontbolts')['frontbolts.torque']).toBe('accept');
  });
});

describe('end clearance', () => {
  it('first too tight: the stack to put in is named, measured again it is right, both rounds stay', () => {
    const h = at('clearance');
    refuses(() => h.read('clearance', 'stack', 0.3, 'caliper'), /only the loose gaskets/);
    h.answerAll('clearance');
    feelStack(h, 0.3, 0);
    expect(blocking(h, 'clearance')).toEqual(['gaskets.clearance']);
    const told = valuesOf<ClearanceValues>(h, 'clearance').told;
    // 8 % of 0.3 mm is lost: 0 − 0.024.
    expect(told?.smallestMm).toBeCloseTo(-0.024, 9);
    // Aim: 0.125 under torque is (0.125 + 0.3)/0.92 = 0.462 loose; of what is on hand 0.5 lies nearest.
    expect(told?.stack?.sumMm).toBe(0.5);
    expect(say(step(h, 'clearance').report?.act ?? '', 'mm')).toBe(
      'Change the stack: 2 × 0.200 mm, 1 × 0.100 mm',
    );
    refuses(() => h.pass('clearance'), /clamped/);
    h.do('measure.repeated', { step: 'clearance', done: 'two of 0.2 laid' });
    h.answerAll('clearance');
    feelStack(h, 0.5, 0.2);
    expect(blocking(h, 'clearance')).toEqual([]);
    expect(step(h, 'clearance').report?.before).toHaveLength(1);
  });

  it('one gear nearer than the other: the smaller gap decides whether it touches', () => {
    const h = at('clearance').answerAll('clearance').read('clearance', 'stack', 0.5, 'caliper');
    h.read('clearance', gapKey.write({ gear: 'drive', n: 1 }), 0.2, 'feeler');
    h.read('clearance', gapKey.write({ gear: 'drive', n: 2 }), 0.19, 'feeler');
    h.read('clearance', gapKey.write({ gear: 'idler', n: 1 }), 0.01, 'feeler');
    refuses(() => h.read('clearance', gapKey.write({ gear: 'drive', n: 1 }), 0.2, 'feeler'), /already/);
    h.read('clearance', gapKey.write({ gear: 'idler', n: 2 }), 0.05, 'feeler');
    expect(step(h, 'clearance').report?.findings[0]?.verdict).toBe('reject');
  });

  it('takes what a stack loses from three stacks measured here, with the doubt they leave', () => {
    const h = at('clearance', { compression: 'measured', compressedPercent: undefined });
    const { told } = valuesOf<SqueezeValues>(h, 'compress');
    expect(told?.fraction).toBeCloseTo(0.1, 3);
    h.answerAll('clearance');
    feelStack(h, 0.5, 0.16);
    expect(valuesOf<ClearanceValues>(h, 'clearance').told?.smallestMm).toBeCloseTo(0.16 - 0.05, 3);
  });
});

describe('what decides', () => {
  it('will not turn is a stop with causes, at both places', () => {
    for (const id of ['turn1', 'turn2']) {
      const h = at(id).answer(id, 'turns', 'no');
      expect(blocking(h, id)).toEqual([`${id}.turns`]);
      expect(step(h, id).blocking[0]?.remedy).toMatchObject({ id: 'steps.rebuild.look' });
      expect(() => h.by(imke).accept(id, `${id}.turns`, 'it will run in')).toThrow();
      h.answer(id, 'turns', 'yes').pass(id);
    }
  });

  it('the lock ring is driven by its school, the school printed', () => {
    const asks = (change: Partial<GearPumpSetup>) =>
      stepOf({ setup: { ...gearPump, ...change } }, 'nut')?.items?.find((i) => i.id === 'ring')?.ask;
    expect(asks({ rotation: 'anticlockwise' })).toMatchObject({ id: 'gear-pump.lockRingDrivenRoundUntil' });
    expect(asks({ rotation: 'anticlockwise', ringSchool: 'clockwise' })).toMatchObject({
      id: 'gear-pump.lockRingDrivenRoundUntil',
    });
  });

  it('a faulty answer says what it costs', () => {
    const h = at('drive').answer('drive', 'rotary', 'no');
    expect(step(h, 'drive').blocking[0]?.remedy).toMatchObject({ id: 'gear-pump.faceInwardRunsRubberMetal' });
  });

  it('the small chambers ask for the bearings of this size, shields a question each', () => {
    const items = (s: GearPumpSetup) => stepOf({ setup: s }, 'chambers')?.items ?? [];
    expect(items(gearPump).filter((i) => i.id.startsWith('shields'))).toHaveLength(3);
    expect(items(gearPump)[0]?.ask).toMatchObject({ id: 'gear-pump.sleeveOverEndRollerBearing' });
    expect(items({ ...gearPump, smallBearing: 'balls' })[0]?.ask).toMatchObject({
      id: 'gear-pump.sleeveOverEndBothBall',
    });
  });
});

it('signed, its sheet tells clearance, stack and torques, and draws the straightedge', () => {
  const h = workAll(handAt(gearPump));
  const sheet = fitUpSheet(h.state, 'H-0001');
  expect(sheet.results).toMatchObject({ stackMm: 0.5, torqueNm: 50, nutNm: 64 });
  expect(sheet.results.clearanceMinMm).toBeCloseTo(0.12, 9);
  expect(JSON.stringify(english(sheet.document.find((b) => b.block === 'drawings')))).toMatch(/straightedge/);
});
