import { fireEvent } from '@testing-library/react';
import { expect, it } from 'vitest';
import { gauge, tools } from '../../../core/src/testing/test-stand.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { all, labelled, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

/** Somebody who counts: a touch or a key is one. */
class Counting {
  count = 0;

  touch(what: HTMLElement): void {
    this.count++;
    what.focus();
    fireEvent.click(what);
  }
  press(name: RegExp | string, inside: ParentNode = document): HTMLElement {
    const says = (b: Element) => (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
    const found = [...inside.querySelectorAll<HTMLElement>('button, a')].find((b) =>
      typeof name === 'string' ? says(b) === name : name.test(says(b)),
    );
    if (!found) throw new Error(`No button ${name} in: ${(inside as Element).textContent}`);
    this.touch(found);
    return found;
  }
  /** Type into a field: a touch where the caret is not there, and a key a letter. */
  type(into: HTMLElement, text: string): void {
    if (into !== document.activeElement) this.touch(into);
    this.count += text.length;
    fireEvent.change(into, { target: { value: text } });
  }
}

const field = () => document.querySelector<HTMLInputElement>('form[data-place] input');
/** What the gauges show at each step that reads. */
const SHOWN: Record<string, string> = {
  shaft: '-26 -28 -24 -27 -29 -25 -28 -26 -27',
  runout:
    '0 0.010 0.010 0.010 0.010 0.010 0.000 0.000 0.000 0.000 0.010 0.010 0.020 0.020 0.010 0.010 0.000 0.000',
  bench: '0.1 0.100 0.100 0.105 0.100 0.100',
  driveup: '0.1 0.100 0.085 0.085 0.070 0.070 0.055 0.055 0.050 0.045',
  lock: '4 0.045 0.050 0.045 0.050 0.045 0.050',
};

it('a bearing by feelers at a new position, from Open a job to the signed sheet, in at most 170 keys and touches', async () => {
  const server = new FakeServer().on('GET', '/api/plant', () => ({
    site: 'Test works',
    stockMm: [],
    units: 'mm',
    paper: 'A4',
  }));
  // The cupboard of a works: each gauge in its range, blades in steps that come as blades do.
  server.instruments = [
    ...Object.values(tools).filter((g) => !['dial', 'feeler'].includes(g.kind)),
    gauge('dial', 'dial', 0.01, 0, 10),
    gauge('feelers', 'feeler', 0.005, 0.02, 1),
  ];
  await openPage('/', server);
  const hand = new Counting();
  await until(() => hand.press('Open a job'));
  await until(() => hand.press(/^Fit a bearing/));
  hand.count = 2;
  hand.type(labelled('Machine'), 'Fan 9');
  hand.type(labelled('Position'), 'Tail');
  hand.type(labelled('Part, as stamped'), '22220K');
  await until(() => labelled('Seat length'));
  hand.type(labelled('Seat length'), '60');
  // The bearing itself: housing, load and run-in are others' today.
  hand.press(/^Defaults and options/);
  for (const off of ['Housing close-up', 'Load and base bolts', 'Run-in checks']) {
    const flag = await until(() => all('button').find((b) => b.textContent?.trim() === off) ?? null);
    if (flag.getAttribute('aria-pressed') === 'true') hand.touch(flag);
  }
  // The unit came greased.
  hand.type(labelled('First fill'), 'greased');
  hand.press('Start job');
  const jobId = await until(() => server.ids().at(-1) ?? null);
  const state = () => server.state(jobId);
  for (let i = 0; i < 20 && state().present !== 'sign'; i++) {
    const step = state().present ?? '';
    await until(() => the('[data-act]'));
    for (const reading of SHOWN[step]?.split(' ') ?? []) {
      if (!field()) continue;
      const place = the('form[data-place]').dataset.place;
      const ready = document.querySelector<HTMLElement>(`button[aria-label="It reads ${reading}"]`);
      if (ready) hand.touch(ready);
      else {
        hand.type(field() as HTMLElement, reading);
        hand.count++;
        fireEvent.submit(the('form[data-place]'));
      }
      await until(() => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== place);
    }
    if (document.querySelector('[data-asked-here]')) await sayBolts(hand);
    for (const id of all('[data-item]').map((x) => x.dataset.item)) {
      const item = () => the(`[data-item="${id}"]`);
      if (item().querySelector('button[aria-pressed="true"]')) continue;
      const note = item().querySelector<HTMLElement>('button[aria-label^="Note"]');
      if (note) hand.type(item().querySelector('input') as HTMLElement, 'left on');
      hand.press(/^(OK|Note)/, item());
      await until(() => item().querySelector('button[aria-pressed="true"]'));
    }
    while (document.querySelector('form[data-whole-pass]')) {
      const at = () => document.querySelector<HTMLElement>('form[data-whole-pass]')?.dataset.pass;
      const before = at();
      hand.touch(the('[data-pass-told]'));
      await until(() => at() !== before);
    }
    await until(() => !the<HTMLButtonElement>('[data-pass-step]').disabled);
    hand.touch(the('[data-pass-step]'));
    await until(() => state().present !== step);
  }
  await until(() => hand.press('Sign the sheet'));
  await until(() => state().signed !== null);
  expect(hand.count).toBeLessThanOrEqual(170);
  expect(hand.count).toBeGreaterThan(100);
});

/** The sheet's torque and how many there are: size and grade are wanted only where it gives none. */
async function sayBolts(hand: Counting): Promise<void> {
  const form = the('[data-asked-here]');
  const torque = form.querySelector('[data-echo]')?.parentElement?.querySelector('input');
  for (const box of form.querySelectorAll('input')) hand.type(box, box === torque ? '180' : '4');
  hand.press('Save', form);
  await until(() => document.querySelector('[data-asked-here]') === null);
}
