import type { Setup } from '@fulcrant/core/job';
import { PSEUDO, speak } from '@fulcrant/core/messages';
import { cleanup } from '@testing-library/react';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ENGLISH } from '../../../core/src/testing/english.ts';
import { EVERY_KIND, workStep } from '../../../core/src/testing/every-kind.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

/** Everything a page says: its texts, and what it tells who does not see it. */
function saidOn(page: HTMLElement): string[] {
  const said: string[] = [];
  const texts = document.createTreeWalker(page, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) said.push(node.textContent ?? '');
  for (const of of ['aria-label', 'aria-description', 'title', 'placeholder', 'alt'])
    for (const element of page.querySelectorAll(`[${of}]`)) said.push(element.getAttribute(of) ?? '');
  return said;
}

/** Units, days and months as the calendar package writes them, and what a key is called. */
const NOT_OURS =
  /^(bar|psi|lbf|rpm|MPa|GPa|Mon|Tue|Wed|Thu|Fri|Sat|Sun|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)$/;

/** Words without an accent: each word of the made-up language that has a vowel has one. */
const plainWords = (said: string, known: ReadonlySet<string>): string[] =>
  (said.match(/\p{L}+/gu) ?? []).filter(
    (w) => /^[A-Za-z]{3,}$/.test(w) && /[aeiou]/.test(w) && !NOT_OURS.test(w) && !known.has(w),
  );

beforeAll(() => speak(PSEUDO));
afterAll(() => speak(ENGLISH));

describe('in the language that is none, no English is left on the pages of a whole job', () => {
  it.each(process.env.FULCRANT_TRIES ? Object.keys(EVERY_KIND) : ['by feelers', 'cartridge seal'])(
    '%s',
    async (kind) => {
      const hand = freshJob(EVERY_KIND[kind] as Setup);
      const wrong = new Set<string>();
      const look = async () => {
        const server = new FakeServer().hold(hand.events);
        await openPage(`/jobs/${hand.jobId}`, server);
        await until(() => the('[data-act]'));
        // Names people, machines and gauges have, and what was typed, stay as they are.
        const data = JSON.stringify([hand.events, server.instruments]);
        const known = new Set(data.match(/\p{L}+/gu) ?? []);
        for (const said of saidOn(document.body))
          for (const w of plainWords(said, known)) wrong.add(`${hand.state.present}: ${w} in “${said}”`);
        cleanup();
      };
      for (let i = 0; i < 60 && hand.state.present; i++) {
        const at = hand.state.present;
        await look();
        if (at === 'sign') break;
        workStep(hand);
        await look();
        hand.pass(at);
      }
      expect([...wrong]).toEqual([]);
    },
  );
});
