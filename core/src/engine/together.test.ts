import { expect, it } from 'vitest';
import { EVERY_KIND, workStep } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import { kindOf } from './answers.ts';
import { ISOLATION } from './isolation.ts';
import type { Setup } from './setup.ts';
import { actsLeft, goesOnTo } from './together.ts';
import { stepOf } from './trades.ts';

const SAFETY = ['isolated', 'pressure', 'rotor', 'gas', 'drained', 'supported', 'protected'];

const stepsOf = (setup: Setup, look: (h: ReturnType<typeof handAt>, step: string) => void) => {
  const h = handAt(setup);
  for (let i = 0; i < 60 && h.state.present && h.state.present !== 'sign'; i++) {
    const step = h.state.present;
    look(h, step);
    workStep(h);
    h.pass(step);
  }
};

it('tells together only what is done, never a safety, a start, a choice or a part there may not be; and goes on only where that goes through', () => {
  let told = 0;
  for (const [name, setup] of Object.entries(EVERY_KIND))
    stepsOf(setup, (h, id) => {
      const step = stepOf(h.state, id);
      if (!step) throw new Error(id);
      for (const item of actsLeft(h.state, step)) {
        expect(kindOf(item), `${name} ${id} ${item.id}`).toBe('hazard');
        expect(step.starts, `${name} ${id}`).not.toBe(true);
        expect(SAFETY).not.toContain(item.id);
      }
      if (actsLeft(h.state, step).length > 0) expect(step.standsOn ?? []).not.toContain(ISOLATION);
      const on = goesOnTo(h.state, step);
      if (!on || step.kind.due?.(h.state.steps.find((s) => s.id === id)?.report ?? null)) return;
      expect(step.closes, `${name} ${id}`).toBeUndefined();
      for (const item of actsLeft(h.state, step)) h.answer(id, item.id, 'yes');
      expect(h.state.steps.find((s) => s.id === id)?.blocking, `${name} ${id}`).toEqual([]);
      told++;
    });
  expect(told).toBeGreaterThan(10);
}, 30_000);

it('a no among the acts is never told over', () => {
  const h = handAt(EVERY_KIND['vane pump'] as Setup);
  for (let i = 0; i < 60 && h.state.present !== 'rotary1'; i++) {
    const step = h.state.present ?? '';
    workStep(h);
    h.pass(step);
  }
  const step = stepOf(h.state, 'rotary1');
  if (!step) throw new Error('rotary1');
  const all = actsLeft(h.state, step).map((i) => i.id);
  h.answer('rotary1', 'pin', 'no');
  expect(actsLeft(h.state, step).map((i) => i.id)).toEqual(all.filter((i) => i !== 'pin'));
  expect(goesOnTo(h.state, step)).toBeNull();
});
