import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openJobAt } from '../testing/open.tsx';
import { FakeServer, OSKAR } from '../testing/server.ts';
import { all, press, stored, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const safe = (server?: FakeServer) => openJobAt(feelers, 'safe', server);
const items = () => all('[data-item]');
const pressed = (item: HTMLElement) => item.querySelectorAll('button[aria-pressed="true"]').length;

describe('the questions of a step', () => {
  it('are answered one by one, by name; the step goes on when all are', async () => {
    const { state } = await safe();
    await until(() => items().length > 0);
    const asked = items().map((i) => i.dataset.item);
    for (const id of asked) {
      expect(the<HTMLButtonElement>('[data-pass-step]').disabled).toBe(true);
      const item = () => the(`[data-item="${id}"]`);
      const input = item().querySelector('input');
      if (input) fireEvent.change(input, { target: { value: 'left on' } });
      await press(/^(OK|Note): /, item());
      await until(() => pressed(item()) === 1);
    }
    await until(() => !the<HTMLButtonElement>('[data-pass-step]').disabled);
    await stored();
    const answers = state().answers.filter((a) => a.step === 'safe');
    expect(answers.map((a) => a.item).sort()).toEqual([...asked].sort());
    expect(new Set(answers.map((a) => a.author.name))).toEqual(new Set(['Asta']));
  });

  it('“not OK” stands on the sheet and closes the way on', async () => {
    const { state } = await safe();
    const first = await until(() => the('[data-item]'));
    const id = first.dataset.item;
    await press(/^Not OK: /, first);
    await until(() => state().answers.some((a) => a.item === id && a.answer === 'no'));
    expect(the<HTMLButtonElement>('[data-pass-step]').disabled).toBe(true);
  });

  it('“does not apply” wants a reason; without one nothing is recorded', async () => {
    const { state } = await safe();
    await until(() => items().length > 0);
    const line = items().find((i) =>
      [...i.querySelectorAll('button')].some((b) => /^N\/A/.test(b.getAttribute('aria-label') ?? '')),
    );
    if (!line) throw new Error('No question here can be said not to apply.');
    const id = line.dataset.item;
    await press(/^N\/A/, line);
    await press(/^Save/, line);
    await until(() => line.querySelector('[role="alert"]'));
    expect(state().answers).toHaveLength(0);
    const field = await until(() => line.querySelector('input'));
    fireEvent.change(field as HTMLInputElement, { target: { value: 'new bearing, no seal here' } });
    await press(/^Save/, line);
    await until(() => state().answers.some((a) => a.item === id && a.answer === 'none'));
    expect(state().answers.at(-1)?.note).toBe('new bearing, no seal here');
  });

  it('what is to be written down is not noted without words', async () => {
    const { state } = await safe();
    const line = await until(() => the('[data-item]:has(button[aria-label^="Note: "])'));
    await press(/^Note: /, line);
    await until(() => line.querySelector('[role="alert"]'));
    expect(state().answers).toHaveLength(0);
  });

  it('two taps before the first is drawn are one answer', async () => {
    const { state, server } = await safe();
    const yes = await until(() => the<HTMLButtonElement>('[data-item] button[aria-label^="OK: "]'));
    yes.click();
    yes.click();
    await until(() => state().answers.length > 0);
    await until(() => the('[data-waiting="0"]'));
    expect(state().answers).toHaveLength(1);
    expect(server.written.filter((w) => w.path.endsWith('/events'))).toHaveLength(1);
  });

  it('a viewer reads them and can answer none', async () => {
    const server = new FakeServer();
    server.person = OSKAR;
    await safe(server);
    await until(() => items().length > 0);
    expect(all('[data-item] button')).toHaveLength(0);
    expect(document.querySelector('[data-pass-step]')).toBeNull();
  });

  it('a term says what it means at a touch', async () => {
    await openJobAt(EVERY_KIND['cartridge seal'] as Setup, 'screws');
    fireEvent.click(await until(() => the('[data-term="Dog points"]')));
    await until(() => /drives/.test(document.body.textContent ?? ''));
  });
});
