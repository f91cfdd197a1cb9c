import { describe, expect, it } from 'vitest';
import { asta, gauge, hand, imke, refuses, round, step, whole } from '../../testing/test-stand.ts';

describe('the job in order', () => {
  it('goes from the gate to the signature', () => {
    const h = whole();
    expect(h.state.steps.map((s) => s.status)).toEqual(Array(11).fill('done'));
    expect(h.state.signed).toMatchObject({ name: 'Asta' });
    expect(h.state.present).toBeNull();
  });

  it('opens nothing after the gate before every question is answered yes', () => {
    const h = hand();
    refuses(() => h.read('shaft', 's1/0', 89.97, 'micrometer'), /not open yet/);
    h.do('gate.answered', { step: 'safe', item: 'isolated', answer: 'yes' });
    refuses(() => h.pass('safe'), /9 of 10/);
    h.answerAll('safe').do('gate.answered', { step: 'safe', item: 'parts', answer: 'no', note: 'no washer' });
    refuses(() => h.pass('safe'), /Not OK/);
    h.do('gate.answered', { step: 'safe', item: 'parts', answer: 'yes' }).pass('safe');
    expect(h.state.present).toBe('shaft');
  });

  it('takes no reading twice at one place, and none that cannot be believed', () => {
    const h = hand().safe().read('shaft', 's1/0', 89.97, 'micrometer');
    refuses(() => h.read('shaft', 's1/0', 89.97, 'micrometer'), /already has a reading/);
    refuses(() => h.read('shaft', 's1/60', 50, 'micrometer'), /not believable/);
    refuses(() => h.read('shaft', 's9/60', 89.97, 'micrometer'), /no such place/);
    refuses(() => h.read('shaft', 's1/60', 89.97, 'feeler'), /micrometer/);
    refuses(
      () =>
        h.do('reading.taken', {
          step: 'shaft',
          place: 's1/60',
          value: 89.97,
          raw: 'x',
          instrument: gauge('small', 'micrometer', 0.001, 0, 25),
        }),
      /does not reach/,
    );
  });

  it('a reading withdrawn stays on the record and opens its step again', () => {
    const h = hand().safe().survey(round).pass('shaft').gate('inboard');
    const first = h.state.readings[0];
    h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'anvil was dirty' });
    expect(h.state.present).toBe('shaft');
    expect(h.state.readings).toHaveLength(9);
    expect(h.state.readings[0]?.withdrawn).toMatchObject({ reason: 'anvil was dirty' });
    refuses(() => h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'once more' }), /already/);
    h.read('shaft', 's1/0', 89.973, 'micrometer').pass('shaft');
    expect(h.state.present).toBe('bench');
  });

  it('bench clearance out of class stops until felt anew or accepted by a lead hand', () => {
    const h = hand()
      .safe()
      .survey(round)
      .pass('shaft')
      .gate('inboard')
      .bench([
        [0.13, 0.13],
        [0.13, 0.13],
        [0.13, 0.13],
      ]);
    refuses(() => h.pass('bench'), /out of its class/);
    refuses(() => h.accept('bench', 'bench.class', 'it is what we have'), /lead hand/);
    h.by(imke).accept('bench', 'bench.class', 'C3 agreed with the engineer').by(asta).pass('bench');
    expect(h.state.present).toBe('target');
    expect(h.state.deviations[0]?.author.name).toBe('Imke');
  });

  it('names the set whose rows differ, and takes the set anew after withdrawal', () => {
    const h = hand()
      .safe()
      .survey(round)
      .pass('shaft')
      .gate('inboard')
      .bench([
        [0.1, 0.1],
        [0.1, 0.12],
        [0.1, 0.1],
      ]);
    expect(step(h, 'bench').blocking[0]?.code).toBe('bench.rows.2');
    for (const r of h.state.readings.filter((x) => x.place.startsWith('set2')))
      h.do('reading.withdrawn', { reading: r.id, reason: 'ring was tilted' });
    h.bench([[0.1, 0.1]], 2).pass('bench');
    expect(h.state.present).toBe('target');
  });

  it('an acceptance covers the finding as it stood: other numbers want a lead hand anew, and so does the next attempt', () => {
    const h = hand()
      .safe()
      .survey(round)
      .pass('shaft')
      .gate('inboard')
      .bench([
        [0.13, 0.13],
        [0.13, 0.13],
        [0.13, 0.13],
      ]);
    h.by(imke).accept('bench', 'bench.class', 'C3 agreed').by(asta);
    for (const r of h.state.readings.filter((x) => x.step === 'bench'))
      h.do('reading.withdrawn', { reading: r.id, reason: 'felt again' });
    h.bench([
      [0.2, 0.2],
      [0.2, 0.2],
      [0.2, 0.2],
    ]);
    refuses(() => h.pass('bench'), /out of its class/);
    expect(h.state.deviations).toHaveLength(1);
    const stale = h.state.deviations[0];
    h.by(imke);
    refuses(
      () =>
        h.do('deviation.accepted', {
          step: 'bench',
          finding: 'bench.class',
          params: stale?.params ?? {},
          stands: stale?.stands ?? '',
          reason: 'as before',
        }),
      /changed since/,
    );
    h.accept('bench', 'bench.class', 'this one too').by(asta).pass('bench');
    expect(h.state.present).toBe('target');
  });
});
