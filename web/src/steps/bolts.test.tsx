import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openJobAt } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { giveReason, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const form = () => the<HTMLFormElement>('form[data-bolt]');
const at = () => `${form().dataset.pass}/${form().dataset.bolt}`;
const wrench = () => the<HTMLInputElement>('form[data-bolt] input[inputmode="decimal"]');

/** Tighten the bolt that is asked for. */
async function tick(typed?: string): Promise<string> {
  const before = await until(at);
  const torque = document.querySelector<HTMLInputElement>('form[data-bolt] input[inputmode="decimal"]');
  if (torque && typed !== undefined) fireEvent.change(torque, { target: { value: typed } });
  fireEvent.submit(form());
  await until(() => {
    if (document.querySelector('form[data-bolt]') !== null && at() === before)
      throw new Error(`Not taken: ${form().textContent}`);
  });
  return before;
}

/** The job at its bolts, told one by one. */
async function singly(server?: FakeServer) {
  const opened = await openJobAt(feelers, 'bolts', server);
  fireEvent.click(await until(() => the('[data-singly]')));
  await until(form);
  return opened;
}

describe('a pass of bolts', () => {
  const pass = () => the<HTMLFormElement>('form[data-whole-pass]');
  /** One touch: all that is left of the pass. */
  async function told(button = '[data-pass-told]') {
    const before = (await until(pass)).dataset.pass;
    fireEvent.click(the(button));
    await until(() => {
      if (document.querySelector<HTMLElement>('form[data-whole-pass]')?.dataset.pass === before)
        throw new Error(`Not taken: ${pass().textContent}`);
    });
  }

  it('is told by one touch, its order in view; five touches tighten a cap, by hand without a wrench', async () => {
    const { state } = await openJobAt(feelers, 'bolts');
    expect((await until(() => the('[data-order]'))).textContent).toBe('1 · 3 · 2 · 4');
    for (let i = 0; i < 5; i++) await told();
    await until(() => state().ticks.length === 20);
    expect(state().ticks[0]?.instrument).toMatchObject({ id: 'by-hand', unlisted: true });
    expect(state().ticks[4]?.instrument.unlisted).toBeUndefined();
    expect(document.querySelector('form[data-pass]')).toBeNull();
  });

  it('a bolt touched on the drawing is told by itself, whichever was next; what is tight is not touched again', async () => {
    const { state } = await openJobAt(feelers, 'bolts');
    await told();
    const bolts = () => [...document.querySelectorAll<SVGElement>('[data-pick]')].map((b) => b.dataset.pick);
    expect(bolts()).toEqual(['1', '2', '3', '4']);
    fireEvent.click(the('[data-pick="4"]'));
    await until(() => form().textContent?.includes('Bolt 4'));
    fireEvent.submit(form());
    await until(() => state().ticks.length === 5);
    expect(state().ticks.at(-1)).toMatchObject({ bolt: 4 });
    await until(() => bolts().length === 3);
    expect(bolts()).not.toContain('4');
    // By the keyboard too, and back to the order.
    fireEvent.keyDown(the('[data-pick="2"]'), { key: 'Enter' });
    await until(() => form().textContent?.includes('Bolt 2'));
  });

  it('some moved: another round; the torque typed wrong is refused and stays', async () => {
    const { state } = await openJobAt(feelers, 'bolts');
    await told();
    const field = () => the<HTMLInputElement>('[data-wrench]');
    fireEvent.change(await until(field), { target: { value: '900 Nm' } });
    fireEvent.submit(pass());
    await until(() => the('form[data-whole-pass] [role="alert"]'));
    expect(field().value).toBe('900 Nm');
    expect(state().ticks).toHaveLength(4);
    await press('One at a time');
    await until(() => the('form[data-bolt] [data-tick]'));
    await press('All of a pass together');
    for (let i = 0; i < 3; i++) await told();
    await told('[data-some-moved]');
    expect(pass().dataset.pass).toBe('5');
    await told();
    expect(document.querySelector('form[data-pass]')).toBeNull();
  });

  it('taken back by “Undo last”, the whole pass comes again', async () => {
    const { state } = await openJobAt(feelers, 'bolts');
    await told();
    await told();
    await press(/Undo last/);
    // The dialog names every bolt that comes back with it.
    await until(() => /1 · 3 · 2 · 4/.test(the('[role="dialog"]').textContent ?? '') || null);
    await giveReason('wrench was set wrong', 'Undo it');
    await until(() => (pass().dataset.pass === '1' ? true : null));
    await until(() => state().ticks.filter((t) => t.withdrawn).length === 4);
  });
});

describe('bolts one by one', () => {
  it('go crosswise, pass by pass, and each is recorded with its torque', async () => {
    const { state } = await singly();
    const order: string[] = [];
    for (let i = 0; i < 6; i++) order.push(await tick());
    expect(order.slice(0, 4)).toEqual(['0/1', '0/3', '0/2', '0/4']);
    expect(order[4]).toBe('1/1');
    await until(() => state().ticks.length === 6);
    expect(
      state()
        .ticks.slice(0, 4)
        .every((t) => t.torqueNm === 0),
    ).toBe(true);
    expect(state().ticks[4]?.torqueNm).toBeGreaterThan(0);
  });

  it('a torque that is not the one of the pass is refused beside the field and stays there; another unit is read', async () => {
    const { state } = await singly();
    for (let i = 0; i < 4; i++) await tick();
    const offered = wrench().value;
    fireEvent.change(wrench(), { target: { value: '900 Nm' } });
    fireEvent.submit(form());
    await until(() => the('form[data-bolt] [role="alert"]'));
    expect(wrench().value).toBe('900 Nm');
    const wanted = Number.parseFloat(offered);
    // 1 lbf·ft = 1.3558179483 N·m
    await tick(`${(wanted / 1.3558179483).toFixed(4)} lbf ft`);
    await until(() => state().ticks.length === 5);
    expect(state().ticks[4]?.torqueNm).toBeCloseTo(wanted, 2);
  });

  it('whoever types each torque goes on in the field, whoever confirms it at the button', async () => {
    await singly();
    for (let i = 0; i < 4; i++) await tick();
    await until(() => document.activeElement?.hasAttribute('data-tick') ?? false);
    wrench().focus();
    await tick();
    await until(() => document.activeElement === wrench());
  });

  it('one that still moves in the last round asks for another round', async () => {
    const { state } = await singly();
    while (document.querySelector('form[data-bolt] input[type="checkbox"]') === null) await tick();
    const round = Number(form().dataset.pass);
    fireEvent.click(the('form[data-bolt] input[type="checkbox"]'));
    for (let i = 0; i < 4; i++) await tick();
    expect(Number(form().dataset.pass)).toBe(round + 1);
    for (let i = 0; i < 4; i++) await tick();
    expect(document.querySelector('form[data-bolt]')).toBeNull();
    await until(() => state().ticks.filter((t) => t.moved).length === 1);
  });

  it('loosened, they begin again and what was done stays on the sheet', async () => {
    const { state } = await singly();
    for (let i = 0; i < 5; i++) await tick();
    await press('More');
    await press('All bolts loosened: start again');
    await giveReason('cap sat on a burr', 'They are loose');
    await until(() => at() === '0/1');
    await until(() => state().loosened.length === 1);
    expect(state().ticks).toHaveLength(5);
  });

  it('without a wrench in hand none is recorded', async () => {
    const server = new FakeServer();
    server.instruments = server.instruments.filter((g) => g.kind !== 'wrench');
    const { state } = await singly(server);
    for (let i = 0; i < 4; i++) await tick();
    fireEvent.submit(form());
    await until(() => the('form[data-bolt] [role="alert"]'));
    expect(state().ticks).toHaveLength(4);
  });

  it('none is offered before the register of wrenches has come', async () => {
    const server = new FakeServer();
    let comes = () => {};
    const held = new Promise<void>((done) => {
      comes = done;
    });
    server.on('GET', '/api/instruments', () => held.then(() => ({ instruments: server.instruments })));
    await openJobAt(feelers, 'bolts', server);
    await until(() => the('[aria-label="Passes"]'));
    expect(document.querySelector('form[data-pass]')).toBeNull();
    comes();
    await until(() => the('form[data-whole-pass]'));
  });
});
