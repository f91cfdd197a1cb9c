import { type Setup, stepOf } from '@fulcrant/core/job';
import { cleanup } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, workStep } from '../../../core/src/testing/every-kind.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';

/** What was looked at already: the same step of another kind of work looks alike, and the same view has the same roles and names. */
const seen = { steps: new Set<string>(), views: new Set<string>() };
const first = (of: Set<string>, one: string): boolean => !of.has(one) && of.add(one).has(one);

describe('every step of every kind of work, as it comes and as it is worked', () => {
  it.each(Object.keys(EVERY_KIND))(
    '%s: says its numbers in the unit shown, and is right for a screen reader',
    async (kind) => {
      const hand = freshJob(EVERY_KIND[kind] as Setup);
      const wrong: string[] = [];
      const look = async (when: string, view: string | undefined) => {
        const at = hand.state.present ?? '';
        await openPage(`/jobs/${hand.jobId}`, new FakeServer().hold(hand.events));
        await until(() => the('[data-act]'));
        const text = document.body.textContent ?? '';
        for (const [mark] of text.matchAll(/.{0,30}(?:[⟦⟧]|NaN|undefined).{0,30}/g))
          wrong.push(`${at} ${when} says ${mark}`);
        if (when === 'worked' && first(seen.views, `${view}`))
          for (const v of await violations()) wrong.push(`${at} ${when}: ${v}`);
        cleanup();
      };
      for (let i = 0; i < 60 && hand.state.present; i++) {
        const at = hand.state.present;
        const view = stepOf(hand.state, at)?.kind.name;
        const fresh = first(seen.steps, `${hand.state.setup.procedure} ${view} ${at.replace(/\d+$/, '')}`);
        if (fresh) await look('as it comes', view);
        if (at === 'sign') break;
        workStep(hand);
        if (fresh) await look('worked', view);
        hand.pass(at);
      }
      expect(wrong).toEqual([]);
    },
  );
});
