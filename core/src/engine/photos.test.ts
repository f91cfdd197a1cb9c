import { describe, expect, it } from 'vitest';
import { check } from '../judgement/sentences.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import { admit } from './admit.ts';
import { eventSchema, type JobEvent } from './events.ts';
import { reduce } from './judge.ts';

const hash = (c: string) => c.repeat(64);
const setup = EVERY_KIND['taken off'];
if (!setup) throw new Error('taken off');
const photo = (step: string, h: string, words = '') => ({ step, hash: h, words, width: 1600, height: 1200 });

describe('a photograph at a step', () => {
  it('stands at any step of an open job, whichever is present, and moves nothing on', () => {
    const h = upTo(handAt(setup), 'nutback');
    const before = h.state.present;
    h.do('photo.added', photo('found', hash('a'), 'as it was found'));
    h.do('photo.added', photo('parts', hash('b')));
    expect(h.state.present).toBe(before);
    expect(h.state.photos.map((p) => [p.step, p.words])).toEqual([
      ['found', 'as it was found'],
      ['parts', ''],
    ]);
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('is refused twice at one step, at a step there is not, under a name that is none, and once the sheet is signed', () => {
    const h = handAt(setup);
    h.do('photo.added', photo('found', hash('a')));
    expect(() => h.do('photo.added', photo('found', hash('a')))).toThrow(/already/);
    expect(() => h.do('photo.added', photo('nowhere', hash('c')))).toThrow(/no such step/);
    const named = { ...h.events.at(-1), data: photo('found', 'short') };
    expect(check(eventSchema, named)).toMatchObject({ ok: false });
    const signed = workAll(handAt(setup));
    expect(() => signed.do('photo.added', photo('found', hash('a')))).toThrow(/signed/);
  });

  it('an instructor and a viewer put none there', () => {
    const h = handAt(setup);
    for (const role of ['viewer', 'instructor'] as const) {
      const e = {
        id: '018f0000-0000-7000-8000-0000000000ff',
        jobId: h.state.jobId,
        at: '2026-11-25T10:00:00Z',
        author: { id: 'x', name: 'X', role },
        type: 'photo.added',
        data: photo('found', hash('a')),
      } as JobEvent;
      expect(admit(h.state, e)).toMatchObject({ id: 'engine.readsOnlyFittersLeadHands' });
    }
  });

  it('is on the sheet under its step, with its words, who and when', () => {
    const h = handAt(setup);
    h.do('photo.added', photo('found', hash('a'), 'red dust under the ring'));
    const sheet = fitUpSheet(h.state, 'H-1');
    expect(sheet.photos).toHaveLength(1);
    const block = sheet.document.find((b) => b.block === 'photos');
    expect(block?.block === 'photos' && block.photos[0]).toMatchObject({
      hash: hash('a'),
      words: 'red dust under the ring',
      small: expect.stringContaining('Asta'),
    });
  });
});
