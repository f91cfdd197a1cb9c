import {
  type EventDataOf,
  type JobEvent,
  type JobState,
  measuredAt,
  type PlaceQuantity,
} from '@fulcrant/core/job';
import { TAGS } from '@fulcrant/core/steps';
import { formatTorque, measured } from '@fulcrant/core/units';
import { fireEvent } from '@testing-library/react';
import { vi } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { the } from './sheet.ts';
import { until } from './until.ts';

/** A value as it is typed: in the unit of open data, which is that inside but for roughness; flats by the flat. */
function typed(read: PlaceQuantity, value: number): string {
  if (read === 'flats') return `${value / 60}`;
  const { name, open } = measured(measuredAt(read));
  return name === 'count' ? `${value}` : `${Number((value * open.factor).toPrecision(9))} ${open.unit}`;
}

/**
 * Whoever works a sheet: does on the page what an event says was done, by the same fields and buttons a fitter uses, and waits until the
 * server has it.
 */
export class Worker {
  constructor(private readonly state: () => JobState) {}

  /** Do it on the page. False where the page has no simple way: such an event is for a test of its own. */
  async do(event: JobEvent): Promise<boolean> {
    vi.setSystemTime(event.at);
    const before = this.count();
    if (!(await this.act(event))) return false;
    await until(() => {
      if (this.count() === before)
        throw new Error(
          `The server got nothing for ${event.type} ${JSON.stringify(event.data)}.\n${document.querySelector('main')?.textContent}`,
        );
    });
    return true;
  }

  private count = (): number => {
    const s = this.state();
    return (
      s.readings.length +
      s.answers.length +
      s.ticks.length +
      s.steps.filter((x) => x.status === 'done').length +
      (s.signed ? 1 : 0)
    );
  };

  private async act(event: JobEvent): Promise<boolean> {
    switch (event.type) {
      case 'reading.taken':
        return this.read(event.data);
      case 'gate.answered':
        return this.answer(event.data);
      case 'bolt.tightened':
        return this.tighten(event.data);
      case 'step.passed':
        await until(() => {
          if (the<HTMLButtonElement>('[data-pass-step]').disabled)
            throw new Error(`The step does not go on.\n${document.querySelector('main')?.textContent}`);
        });
        fireEvent.click(the('[data-pass-step]'));
        return true;
      case 'sheet.signed':
        fireEvent.click(await until(() => this.button(/^Sign the sheet$/)));
        return true;
      default:
        return false;
    }
  }

  /** Type one reading at its place and press Enter. */
  async read({ place, value, instrument, step }: EventDataOf<'reading.taken'>): Promise<boolean> {
    await until(() => the('form[data-place]'));
    const here = () => the<HTMLElement>('form[data-place]').dataset.place;
    if (here() !== place) return false;
    const quantity = this.state().steps.find((s) => s.id === step)?.report?.next?.quantity ?? 'length';
    await this.pick(instrument.id, 'form[data-place]');
    fireEvent.change(the('form[data-place] input'), {
      target: { value: typed(quantity as PlaceQuantity, value) },
    });
    fireEvent.submit(the('form[data-place]'));
    return true;
  }

  async answer({ item, answer, note }: EventDataOf<'gate.answered'>): Promise<boolean> {
    await until(() => document.querySelector('main h1, main h2'));
    const line = await until(() => the<HTMLElement>(`[data-item="${item}"]`), 300).catch(() => null);
    // Parts in order and shims in heaps have a way of their own, and a test of their own.
    if (!line) return false;
    const own = this.ownAnswer(line, note);
    if (own) {
      fireEvent.click(own);
      return true;
    }
    if (answer === 'none') {
      fireEvent.click(this.button(/^(N\/A|Save)/, line));
      await until(() => line.querySelector('input'));
    }
    if (note !== undefined) {
      const field = line.querySelector('input');
      if (!field) return false;
      fireEvent.change(field, { target: { value: note } });
    }
    fireEvent.click(
      this.button(answer === 'none' ? /^Save/ : answer === 'yes' ? /^(OK|Note|Save)/ : /^Not OK/, line),
    );
    return true;
  }

  /** The button of a lip seal that faces so, or of a tag tied to a part; null where the line is an ordinary question. */
  private ownAnswer(line: HTMLElement, note: string | undefined): Element | null {
    if (note === undefined || !(line.hasAttribute('data-fitted') || line.hasAttribute('data-tag')))
      return null;
    const said = Object.hasOwn(TAGS, note) ? TAGS[note as keyof typeof TAGS] : note;
    return line.querySelector(`button[aria-label$=": ${english(said)}"]`);
  }

  async tighten({ pass, bolt, torqueNm, movedDeg, moved, instrument }: EventDataOf<'bolt.tightened'>) {
    await until(() => the('form[data-pass]'));
    const singly = document.querySelector('[data-singly]');
    if (singly) fireEvent.click(singly);
    await until(() => the(`form[data-bolt="${bolt}"][data-pass="${pass}"]`));
    // Hand tight needs no wrench.
    if (torqueNm > 0) await this.pick(instrument.id, 'form[data-bolt]');
    const field = document.querySelector<HTMLInputElement>('form[data-bolt] input:not([data-moved])');
    if (
      field &&
      field.type !== 'checkbox' &&
      !field.value.startsWith(formatTorque(torqueNm, 'mm').split(' ')[0] ?? '')
    )
      fireEvent.change(field, { target: { value: `${torqueNm} N·m` } });
    const turned = document.querySelector('form[data-bolt] [data-moved]');
    if (turned) fireEvent.change(turned, { target: { value: String(movedDeg ?? 0) } });
    const box = document.querySelector<HTMLInputElement>('form[data-bolt] input[type="checkbox"]');
    if (box && moved) fireEvent.click(box);
    fireEvent.submit(the('form[data-bolt]'));
    return true;
  }

  /** Take a gauge to hand, where another or none is. */
  private async pick(gauge: string, form: string): Promise<void> {
    const picker = await until(() => the<HTMLSelectElement>(`${form} select[aria-label="Gauge in hand"]`));
    if (picker.value !== gauge) fireEvent.change(picker, { target: { value: gauge } });
  }

  private button(label: RegExp, inside: ParentNode = document): HTMLButtonElement {
    const all = [...inside.querySelectorAll('button')];
    const one = all.find((b) => label.test(b.getAttribute('aria-label') ?? b.textContent ?? ''));
    if (!one) throw new Error(`No button ${label} among ${all.map((b) => b.textContent).join(', ')}`);
    return one;
  }
}
