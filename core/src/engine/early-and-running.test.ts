import { describe, expect, it } from 'vitest';
import { summarise } from '../job/summary.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { asta, handAt, imke, refuses, step } from '../testing/test-stand.ts';
import type { ProofValues } from '../trades/seal/proof.ts';
import { reduce } from './judge.ts';
import { checksLeft, isRunning } from './running.ts';
import type { Setup } from './setup.ts';

const seal = () => upTo(handAt(EVERY_KIND['cartridge seal'] as Setup), 'proof');
const started = (h = seal()) =>
  h.read('proof', 'leak/0', 4, 'counter').read('proof', 'temp/0', 40, 'thermometer').answerAll('proof');
const values = (h: ReturnType<typeof seal>) => step(h, 'proof').report?.values as ProofValues;

describe('a check entered before it is due', () => {
  it('is an early look: kept with its true time, shown, and no check is closed by it', () => {
    const h = started();
    // A minute after the start, as by trial: the hour and the next day in one go.
    h.read('proof', 'leak/15', 3, 'counter');
    // One look is leakage and warmth.
    expect(step(h, 'proof').report?.next?.key).toBe('temp/15');
    h.read('proof', 'temp/15', 40, 'thermometer')
      .read('proof', 'leak/15', 3, 'counter')
      .read('proof', 'temp/15', 40, 'thermometer');
    expect(values(h).points.map((p) => p.dropsPerMin)).toEqual([4, null, null, null]);
    expect(step(h, 'proof').report?.next?.key).toBe('leak/15');
    refuses(() => h.read('proof', 'leak/1440', 2, 'counter'), /^First: leakage after 15 minutes/);
    refuses(() => h.pass('proof'), /Still to be read/);
    expect(english(step(h, 'proof').report?.findings)).toContainEqual(
      expect.objectContaining({ code: 'proof.early', verdict: 'caution' }),
    );
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.readings.filter((r) => r.place === 'leak/15')).toHaveLength(2);
    // In its time it closes the check.
    h.wait(15).read('proof', 'leak/15', 3, 'counter').read('proof', 'temp/15', 41, 'thermometer');
    expect(values(h).points[1]).toMatchObject({ dropsPerMin: 3, temperatureC: 41 });
    refuses(() => h.read('proof', 'leak/15', 3, 'counter'), /read already/);
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('may be done without by a lead hand with a reason, all that is to come by name, but not the start itself', () => {
    const h = seal().by(imke);
    refuses(() => h.accept('proof', 'proof.due', 'no time for the start'), /cannot be accepted/);
    h.by(asta).read('proof', 'leak/0', 4, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    h.answerAll('proof');
    refuses(() => h.accept('proof', 'proof.due', 'I look myself'), /Only a lead hand/);
    h.by(imke).accept('proof', 'proof.due', 'the late shift looks every hour').by(asta);
    expect(h.state.deviations.at(-1)?.stands).toMatch(
      /leakage after 15 minutes.*; then after an hour, the next day/i,
    );
    h.pass('proof').do('sheet.signed', { name: 'Asta' });
    expect(JSON.stringify(english(fitUpSheet(h.state, 'F-1').document))).toMatch(
      /the late shift looks every hour/,
    );
  });

  it('stops the seal all the same where it leaks', () => {
    const h = started();
    h.read('proof', 'leak/15', 80, 'counter').read('proof', 'temp/15', 40, 'thermometer');
    expect(step(h, 'proof').blocking.map((f) => f.code)).toContain('proof.leak');
  });

  it('of a plunger likewise', () => {
    const h = upTo(handAt(EVERY_KIND.plunger as Setup), 'proof');
    h.read('proof', 'leak/0', 2, 'counter').read('proof', 'temp/0', 30, 'thermometer');
    h.read('proof', 'leak/1', 2, 'counter').read('proof', 'temp/1', 30, 'thermometer');
    expect(step(h, 'proof').report?.next?.key).toBe('leak/1');
    h.wait(15).read('proof', 'leak/1', 2, 'counter');
    expect(step(h, 'proof').report?.next?.key).toBe('temp/1');
  });
});

describe('a sheet signed as running', () => {
  const running = () => started().do('sheet.signed', { name: 'Asta', running: true });

  it('is offered once the machine runs and only its timed checks are open', () => {
    const h = seal();
    expect(checksLeft(h.state)).toEqual([]);
    refuses(() => h.do('sheet.signed', { name: 'Asta', running: true }), /only its timed checks/);
    h.read('proof', 'leak/0', 4, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    // The question of the first minutes is no check to come.
    expect(checksLeft(h.state)).toEqual([]);
    h.answerAll('proof');
    expect(checksLeft(h.state).map((c) => c.what)).toEqual([
      { id: 'seal.leakCheck', params: { name: { id: 'common.after15Minutes', params: {} } } },
      { id: 'seal.leakCheck', params: { name: { id: 'common.afterHour', params: {} } } },
      { id: 'seal.leakCheck', params: { name: { id: 'seal.nextDay', params: {} } } },
    ]);
  });

  it('is revision 1; the job stays open for its checks, and the last of them closes it as revision 2', () => {
    const h = running();
    expect(h.state.signed).toBeNull();
    expect(isRunning(h.state)).toBe(true);
    expect(summarise(h.state)).toMatchObject({ signedBy: null, present: 'proof' });
    expect(english(summarise(h.state).act)).toMatch(/^Running, checks to come/);
    const kept = fitUpSheet(h.state, 'F-1', 'UTC', h.state.running);
    expect(kept).toMatchObject({
      revision: 1,
      title: { state: 'running' },
      signature: { name: 'Asta' },
    });
    expect(JSON.stringify(english(kept.document))).toMatch(/Running, checks to come:/);
    for (const act of [
      () =>
        h.do('setup.changed', {
          setup: { ...h.state.setup, partNumber: 'B' } as Setup,
          reason: 'other part',
        }),
      () => h.do('bolts.loosened', { step: 'glandbolts', reason: 'to look' }),
      () => h.act('dismount', undefined, 'to look'),
      () => h.do('answer.corrected', { step: 'safe', item: 'clean', answer: 'no', reason: 'dirty' }),
    ])
      refuses(act, /signed as running: only its checks/);
    refuses(() => h.do('sheet.signed', { name: 'Asta', running: true }), /as running already/);
    h.wait(15).read('proof', 'leak/15', 3, 'counter').read('proof', 'temp/15', 41, 'thermometer');
    h.wait(45).read('proof', 'leak/60', 2, 'counter').read('proof', 'temp/60', 42, 'thermometer');
    h.by(imke)
      .do('step.held', { step: 'proof', reason: 'wait for the morning' })
      .do('step.released', { step: 'proof' })
      .by(asta);
    h.wait(1380).read('proof', 'leak/1440', 1, 'counter').read('proof', 'temp/1440', 42, 'thermometer');
    h.pass('proof').do('sheet.signed', { name: 'Asta' });
    expect(h.state.signatures.map((s) => [s.revision, s.running ?? false])).toEqual([
      [1, true],
      [2, false],
    ]);
    expect(h.state.running).toBeNull();
    expect(fitUpSheet(h.state, 'F-1')).toMatchObject({ revision: 2, title: { state: 'signed' } });
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('is opened again by a check that fails: the work goes on', () => {
    const h = running();
    h.wait(15).read('proof', 'leak/15', 80, 'counter').read('proof', 'temp/15', 41, 'thermometer');
    expect(isRunning(h.state)).toBe(false);
    h.do('bolts.loosened', { step: 'glandbolts', reason: 'centred anew' });
    workAll(h);
    expect(h.state.signatures.map((s) => s.revision)).toEqual([1, 2]);
  });

  it('of a bearing in its first hours too', () => {
    const setup = { ...(EVERY_KIND['float, whole'] as Setup), role: 'fixed', float: undefined } as Setup;
    const h = upTo(handAt(setup), 'runin');
    h.read('runin', 'ambient', 20, 'thermometer').read('runin', 't/1', 30, 'thermometer').answerAll('runin');
    expect(checksLeft(h.state)).toHaveLength(1);
    h.do('sheet.signed', { name: 'Asta', running: true });
    expect(isRunning(h.state)).toBe(true);
  });
});
