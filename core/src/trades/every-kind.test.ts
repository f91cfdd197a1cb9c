import { describe, expect, it } from 'vitest';
import { admit } from '../engine/admit.ts';
import type { JobEvent } from '../engine/events.ts';
import { reduce } from '../engine/judge.ts';
import type { Setup } from '../engine/setup.ts';
import type { JobState } from '../engine/state.ts';
import { procedureFor, setupSchema } from '../engine/trades.ts';
import { summarise } from '../job/summary.ts';
import { check } from '../judgement/sentences.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll, workStep } from '../testing/every-kind.ts';
import { asta, handAt, JOB, newId, tools } from '../testing/test-stand.ts';

const event = (type: JobEvent['type'], data: unknown): JobEvent =>
  ({ id: newId(), jobId: JOB, at: '2026-11-25T10:00:00Z', author: asta, type, data }) as JobEvent;

/** Every act at a step that is not the present one: passing it, a question, a reading, a bolt. */
function illegal(state: JobState): Array<[string, JobEvent]> {
  return procedureFor(state.setup).steps.flatMap((s): Array<[string, JobEvent]> => {
    if (s.id === state.present) return [];
    const acts: Array<[string, JobEvent]> = [['pass', event('step.passed', { step: s.id })]];
    for (const i of s.items ?? [])
      acts.push(['answer', event('gate.answered', { step: s.id, item: i.id, answer: 'yes', note: 'seen' })]);
    if (s.kind.place)
      for (const place of ['turn', 'n1/p', 'race/a', 't/1', 'deg0/A/1', 's1/0', 'room/away'])
        acts.push([
          'reading',
          event('reading.taken', { step: s.id, place, value: 1, raw: '1', instrument: tools.feeler }),
        ]);
    if (s.kind.bolt)
      acts.push([
        'bolt',
        event('bolt.tightened', { step: s.id, pass: 0, bolt: 1, torqueNm: 0, instrument: tools.wrench }),
      ]);
    return acts;
  });
}

describe.each<[string, Setup]>(Object.entries(EVERY_KIND))('a bearing %s', (_name, setup) => {
  it('its setup passes the checks it is held to', () => {
    expect(check(setupSchema, setup)).toMatchObject({ ok: true });
  });

  it('is worked by the book to its signature, and nothing out of order is let through on the way', () => {
    const h = handAt(setup);
    let refused = 0;
    for (let i = 0; i < 60 && h.state.present && h.state.present !== 'sign'; i++) {
      const id = h.state.present;
      // Not yet worked: it cannot be passed, unless there is nothing to do but read.
      const before = admit(h.state, event('step.passed', { step: id }));
      if (before !== null) {
        expect(before).toMatchObject({ id: 'common.notYet' });
        refused++;
      } else expect(['target', 'match', 'verdict']).toContain(id);
      workStep(h);
      for (const [what, e] of illegal(h.state)) {
        const said = admit(h.state, e);
        expect(said, `${what} at ${JSON.stringify(e.data)} while ${id}`).not.toBeNull();
        expect(english(said)?.length).toBeGreaterThan(10);
        refused++;
      }
      h.pass(id);
    }
    h.do('sheet.signed', { name: 'Asta' });
    expect(h.state.steps.every((s) => s.status === 'done')).toBe(true);
    expect(refused).toBeGreaterThan(20);
  });

  it('its sheet says what it came to, and folds the same from its events', () => {
    const h = workAll(handAt(setup));
    const state = reduce(h.events);
    expect(state).toEqual(h.state);
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.title.state).toBe('signed');
    expect(sheet.steps).toHaveLength(h.state.steps.length);
    expect(english(sheet.setupLines.flat()).join(' ').length).toBeGreaterThan(10);
    expect(JSON.stringify(english(sheet))).not.toMatch(/[⟦⟧]/);
    expect(sheet.rows.length).toBeGreaterThan(0);
    // Every pointer that has a thickness says where it comes from.
    for (const { id, report } of h.state.steps)
      for (const beam of report?.beams ?? [])
        if (beam.expanded > 0)
          expect(beam.doubt?.length ?? 0, `${id}: ${english(beam.label)}`).toBeGreaterThan(0);
    expect(summarise(h.state)).toMatchObject({ signedBy: 'Asta', dueAt: null });
  });
});
