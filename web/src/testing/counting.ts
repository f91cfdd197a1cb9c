import { BearingHand } from '@fulcrant/core/examples';
import { type StartSetup, toForm } from '@fulcrant/core/forms';
import type { JobEvent, JobState } from '@fulcrant/core/job';
import { type FormValues, fieldsOf, formName, type Trade, tradeOf } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import { fireEvent } from '@testing-library/react';
import { vi } from 'vitest';
import { asta, newId, tools } from '../../../core/src/testing/test-stand.ts';
import type { FakeServer } from './server.ts';
import { all, labelled, the } from './sheet.ts';
import { until } from './until.ts';

/** What a hand spent: letters and digits typed with Enter, and touches. */
export type Spent = { keys: number; taps: number };

/** Somebody at a page who counts every key and every touch. */
export class Counting {
  keys = 0;
  taps = 0;
  /** What was spent at each step, in order. */
  readonly steps: Array<[step: string, spent: Spent]> = [];

  touch(what: HTMLElement): void {
    this.taps++;
    what.focus();
    fireEvent.click(what);
  }

  press(name: RegExp | string, inside: ParentNode = document): HTMLElement {
    const says = (b: Element) => (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
    const found = [...inside.querySelectorAll<HTMLButtonElement>('button, a')].find(
      (b) => !b.disabled && (typeof name === 'string' ? says(b) === name : name.test(says(b))),
    );
    if (!found) throw new Error(`No button ${name} in: ${(inside as Element).textContent}`);
    this.touch(found);
    return found;
  }

  /** Type into a field: a touch where the caret is not there, and a key a letter; a list costs two touches. */
  type(into: HTMLElement, text: string): void {
    if (into instanceof HTMLSelectElement) {
      this.taps += 2;
      fireEvent.change(into, { target: { value: text } });
      return;
    }
    if (into !== document.activeElement) this.touch(into);
    this.keys += text.length;
    fireEvent.change(into, { target: { value: text } });
  }

  enter(form: HTMLElement): void {
    this.keys++;
    fireEvent.submit(form);
  }

  /** Step by step, for whoever looks where it went. */
  told(): string {
    return this.steps.map(([step, { keys, taps }]) => `${step} ${keys} + ${taps}`).join(', ');
  }

  get spent(): Spent {
    return { keys: this.keys, taps: this.taps };
  }
}

/** A scripted hand that stands at a job as it is now: what it would do next, nothing of it sent. */
function standsAt(state: JobState): BearingHand {
  const hand = new BearingHand(state.jobId, newId, tools, asta, new Date());
  Object.assign(hand, { now: state });
  return hand;
}

/** What somebody who works by the book reads at the present step, by place, in order. */
function shown(state: JobState): Map<string, string[]> {
  const hand = standsAt(state);
  const step = state.present ?? '';
  try {
    hand.answerAll(step);
    tradeOf(state.setup).example.work[step]?.(hand, state.setup);
  } catch {
    // As far as it goes: the page says what is wanting.
  }
  const read = new Map<string, string[]>();
  for (const e of hand.events as JobEvent[])
    if (e.type === 'reading.taken') read.set(e.data.place, [...(read.get(e.data.place) ?? []), e.data.raw]);
  return read;
}

/** Open a job from the board: where, what work, what is stamped, and every box still open. */
export async function openFromBoard(
  hand: Counting,
  trade: Trade,
  work: RegExp,
  { choices = [], boxes = {}, off = [], chosen = {}, known }: Opening,
): Promise<void> {
  await until(() => hand.press('Open a job'));
  if (known) {
    await until(() => hand.press(new RegExp(`^${known}`)));
    await until(() => the('[data-position]'));
    await until(() => hand.press('Start job'));
    return;
  }
  await until(() => hand.press(work));
  hand.type(await until(() => labelled('Machine')), 'Pump 9');
  hand.type(labelled('Position'), 'Tail');
  for (const choice of choices) await until(() => hand.press(choice));
  const usual: FormValues = {
    // In the unit of the field nobody writes the unit.
    ...Object.fromEntries(
      Object.entries(toForm(trade, trade.usual as StartSetup, 'mm')).map(([k, v]) => [
        k,
        v.replace(/ mm$/, ''),
      ]),
    ),
    ...boxes,
  };
  if (boxes.partNumber) hand.type(labelled('Part, as stamped'), boxes.partNumber);
  if (off.length + Object.keys(chosen).length > 0) hand.press(/^Defaults and options/);
  for (const [name, value] of Object.entries(chosen))
    hand.type(await until(() => the(`[id="field-${formName(name)}"]`)), value);
  // What an option asks for opens its boxes.
  for (let round = 0; round < 3; round++) {
    await new Promise((drawn) => setTimeout(drawn, 30));
    for (const box of all('[data-box="open"]')) {
      const value = usual[formName(box.id.replace(/^field-/, ''))];
      if (value && (box as HTMLInputElement).value !== value) {
        hand.type(box, value);
      }
    }
  }
  for (const name of off) {
    const flag = await until(() => all('button').find((b) => b.textContent?.trim() === name) ?? null);
    if (flag.getAttribute('aria-pressed') === 'true') hand.touch(flag);
  }
  hand.press('Start job');
}

export type Opening = {
  /** A position the plant knows, by the machine it is at: opened as last time. */
  known?: string;
  /** Options chosen among those that are folded, by the name of the field. */
  chosen?: Record<string, string>;
  /** Choices in sight, by the words on their buttons. */
  choices?: readonly RegExp[];
  /** What is typed into a box, by the name of its field, where it is not the trade's usual. */
  boxes?: FormValues;
  /** Parts of the job that are others' today. */
  off?: readonly string[];
};

const field = () => document.querySelector<HTMLInputElement>('form[data-place] input');

/** What a job is worked with: what the gauges show by step, a slip that is put right, and how far. */
type Worked = {
  gauges: Record<string, string>;
  slip: { step: string; raw: string };
  /** What a step asks for that nobody said when the job was opened, by the name of the field. */
  here?: Record<string, string> | undefined;
  to?: string | undefined;
};

/** Work the job on the page by the book, to its signature or as far as it is followed. */
export async function workCounted(
  hand: Counting,
  server: FakeServer,
  jobId: string,
  how: Worked,
): Promise<void> {
  const state = () => server.state(jobId);
  for (let i = 0; i < 80 && state().present !== 'sign' && !state().running; i++) {
    const step = state().present ?? '';
    const before = hand.spent;
    await until(() => the('[data-act]'));
    await until(() => document.querySelector('[data-pass-step], [data-sign-running]'));
    await workStep(hand, server, jobId, how);
    hand.steps.push([step, { keys: hand.keys - before.keys, taps: hand.taps - before.taps }]);
    if (step === how.to) return;
    await until(() => state().present !== step || state().running);
  }
}

async function workStep(
  hand: Counting,
  server: FakeServer,
  jobId: string,
  { gauges, slip, here = {}, to }: Worked,
): Promise<void> {
  const state = () => server.state(jobId);
  const step = state().present ?? '';
  const gauge = gauges[step]?.split(' ') ?? [];
  const read = shown(state());
  const listed = gauge.length > 0;
  let slipped = slip.step !== step;
  for (let n = 0; n < 200; n++) {
    const passing = () => document.querySelector<HTMLButtonElement>('[data-pass-step]');
    const asked = document.querySelector<HTMLElement>('[data-asked-here]');
    if (asked) {
      await sayHere(hand, asked, state(), here);
      continue;
    }
    const together = document.querySelector<HTMLElement>('[data-told-together]');
    if (together) {
      const on = together.dataset.andOn !== undefined;
      hand.touch(together);
      await until(() => state().present !== step || (!on && !together.isConnected));
      if (state().present !== step) return;
      continue;
    }
    const open = all('[data-item]:not([data-tag]):not([data-fitted])').find(
      (i) => !i.querySelector('button[aria-pressed="true"]') && i.querySelector('button:not([disabled])'),
    );
    if (open && !(field() && !open.previousElementSibling)) {
      await answer(hand, open);
      if (state().present !== step) return;
      continue;
    }
    const atOnce = document.querySelector<HTMLElement>('[data-renew-all], [data-as-wanted]');
    if (atOnce) {
      hand.touch(atOnce);
      const wanted = atOnce.matches('[data-as-wanted]');
      await until(() => !atOnce.isConnected && (!wanted || !passing()?.disabled));
      continue;
    }
    const part = all('[data-tag="none"], [data-fitted="none"]')[0];
    if (part) {
      const good = [...part.querySelectorAll('button')].find((b) =>
        (/always new/.test(part.textContent ?? '') ? /renew$/ : /use again$|inward$/).test(
          b.ariaLabel ?? b.textContent ?? '',
        ),
      );
      if (!good) throw new Error(`Nothing to press: ${part.textContent}`);
      const count = all('[data-tag="none"], [data-fitted="none"]').length;
      hand.touch(good);
      await until(() => all('[data-tag="none"], [data-fitted="none"]').length < count);
      continue;
    }
    const heaps = document.querySelector<HTMLElement>('form[data-shims]');
    if (heaps && passing()?.disabled) {
      for (const heap of heaps.querySelectorAll('input')) {
        hand.type(heap, '1');
        hand.keys++;
        heap.form?.querySelectorAll('input')[[...heaps.querySelectorAll('input')].indexOf(heap) + 1]?.focus();
      }
      fireEvent.submit(heaps);
      await until(() => !passing()?.disabled);
      continue;
    }
    const bolts = document.querySelector<HTMLElement>('form[data-pass]');
    if (bolts) {
      const at = () => {
        const f = document.querySelector<HTMLElement>('form[data-pass]');
        return f ? `${f.dataset.pass}/${f.dataset.bolt ?? 'all'}` : null;
      };
      const was = at();
      const moved = bolts.querySelector<HTMLInputElement>('[data-moved]');
      if (moved) hand.type(moved, Number(bolts.dataset.pass) > 1 ? '0' : '20');
      const several = bolts.querySelector<HTMLElement>('[data-passes-told]');
      const one = the('[data-pass-told], [data-tick]');
      const on = !several && one.dataset.andOn !== undefined;
      hand.touch(several ?? one);
      const full = Number(bolts.dataset.pass) + Number(several?.dataset.passesTold ?? 1);
      await until(
        () =>
          state().present !== step ||
          (!on && at() !== was && (!several || Number(at()?.split('/')[0] ?? full) >= full)),
      );
      if (state().present !== step) return;
      continue;
    }
    // What was to be read here is read, and the work stands there: as far as a job is followed.
    if (listed && gauge.length === 0 && to === step) return;
    const readOut = listed && gauge.length === 0 && !passing()?.disabled;
    if (field() && !readOut) {
      const place = the('form[data-place]').dataset.place ?? '';
      const due = state().steps.find((s) => s.id === step)?.report?.dueAt;
      if (due && Date.parse(due) > Date.now()) vi.setSystemTime(Date.parse(due) + 1000);
      if (!slipped) {
        slipped = true;
        hand.type(field() as HTMLElement, slip.raw);
        hand.enter(the('form[data-place]'));
        await until(() => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== place);
        hand.press('Undo last');
        await until(() => the('[role="dialog"]'));
        const words = document.querySelector<HTMLTextAreaElement>('[role="dialog"] textarea');
        const ready = document.querySelector<HTMLElement>('[role="dialog"] [data-reason]');
        if (ready) hand.touch(ready);
        else if (words) hand.type(words, 'slip');
        const does = document.querySelector<HTMLElement>('[role="dialog"] [data-does]');
        if (does) hand.touch(does);
        await until(() => document.querySelector('[role="dialog"]') === null);
        continue;
      }
      const raws = read.get(place);
      const raw =
        (gauge[0]?.endsWith('*') ? gauge[0].slice(0, -1) : gauge.shift()) ??
        (raws && raws.length > 1 ? raws.shift() : raws?.[0]);
      if (raw === undefined)
        throw new Error(`Nobody knows what is read at ${step}/${place}; known: ${[...read.keys()]}`);
      const ready = document.querySelector<HTMLElement>(`button[aria-label="It reads ${raw}"]`);
      const count = state().readings.length;
      if (ready) hand.touch(ready);
      else {
        hand.type(field() as HTMLElement, raw);
        hand.enter(the('form[data-place]'));
      }
      await until(() => state().readings.length > count);
      await until(
        () => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== place || raws,
      );
      continue;
    }
    const button = passing();
    if (!button) throw new Error(`No way on at ${step}: ${document.querySelector('main')?.textContent}`);
    await until(() => !passing()?.disabled, 5000).catch((fault: unknown) => {
      throw new Error(
        `${step} cannot be passed: ${document.querySelector('main')?.textContent} ${document.querySelector('aside')?.textContent}`,
        {
          cause: fault,
        },
      );
    });
    hand.touch(passing() as HTMLElement);
    return;
  }
}

async function answer(hand: Counting, item: HTMLElement): Promise<void> {
  const id = item.dataset.item;
  const note = item.querySelector<HTMLElement>('button[aria-label^="Note"]');
  if (note) {
    const words = item.querySelector('input') as HTMLElement;
    hand.type(words, id === 'rings' ? '5' : 'good');
    hand.keys++;
    fireEvent.keyDown(words, { key: 'Enter' });
  } else hand.press(/^(OK|Note)/, item);
  await until(() => {
    const now = document.querySelector(`[data-item="${id}"]`);
    return !now || now.querySelector('button[aria-pressed="true"]');
  });
}

/** What a step needs and nobody has said: from the trade's usual setup. */
async function sayHere(
  hand: Counting,
  form: HTMLElement,
  state: JobState,
  here: Record<string, string>,
): Promise<void> {
  const trade = tradeOf(state.setup);
  const usual = toForm(trade, Object.values(trade.example.setups)[0] as StartSetup, 'mm');
  // The sheet's torque and how many there are: size and grade are wanted only where it gives none.
  const torque = form.querySelector('[data-echo]')?.parentElement?.querySelector('input');
  for (const box of form.querySelectorAll<HTMLInputElement>('input')) {
    const label = [...document.querySelectorAll('label')].find(
      (l) => l.htmlFor === box.id || l.contains(box),
    );
    const asked = fieldsOf(trade.schema).find((f) => say(f.label, 'mm') === label?.textContent?.trim());
    hand.type(
      box,
      here[asked?.name ?? ''] ?? (box === torque ? '40' : usual[formName(asked?.name ?? '')] || '4'),
    );
  }
  for (const value of Object.values(here)) {
    const choice = form.querySelector<HTMLElement>(`[data-choice="${value}"]`);
    if (choice) hand.touch(choice);
    const list = [...form.querySelectorAll('select')].find((x) =>
      [...x.options].some((o) => o.value === value),
    );
    if (list) hand.type(list as unknown as HTMLElement, value);
  }
  await until(() => !form.isConnected, 300).catch(() => hand.press('Save', form));
  await until(() => !form.isConnected);
}
