import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, workAll } from '../../../core/src/testing/every-kind.ts';
import { gauge } from '../../../core/src/testing/test-stand.ts';
import { freshJob, openJobAt } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import {
  all,
  enter,
  field,
  giveReason,
  judged,
  placeNow,
  press,
  stored,
  the,
  type,
} from '../testing/sheet.ts';
import { layBench, pairWith, take } from '../testing/stand-in.ts';
import { until } from '../testing/until.ts';

// Steps with a way of their own: what cannot be told by a field, a question or a bolt.

const kind = (name: string): Setup => EVERY_KIND[name] as Setup;

describe('parts in their order', () => {
  it('laid wrong are a stop, laid right go on', async () => {
    const { state } = await openJobAt(kind('plunger'), 'order');
    const laid = () => all('[data-part]').map((p) => p.dataset.part);
    await until(() => laid().length > 0);
    await press('This is the order');
    const first = laid();
    await until(() => state().answers.some((a) => a.item === 'order'));
    expect(state().answers.at(-1)?.note).toBe(first.join(' '));
    await until(() => the('[data-finding="parts.order"]'));
  });
});

describe('shims in heaps', () => {
  it('are counted by thickness; no number is a fault at its heap and nothing is lost', async () => {
    const { state } = await openJobAt(kind('vane pump, hung, one head'), 'shimsoff1');
    const heaps = () => all('[data-shims] input') as HTMLInputElement[];
    await until(() => heaps().length > 1);
    const counts = heaps().map((_, i) => String(i + 1));
    heaps().forEach((h, i) => {
      fireEvent.change(h, { target: { value: i === 1 ? 'some' : counts[i] } });
    });
    fireEvent.submit(the('[data-shims]'));
    await until(() => the('[data-shims] [role="alert"]'));
    expect(heaps()[1]?.value).toBe('some');
    expect(heaps()[0]?.value).toBe('1');
    fireEvent.change(heaps()[1] as HTMLElement, { target: { value: counts[1] } });
    fireEvent.submit(the('[data-shims]'));
    await until(() => state().answers.some((a) => a.item === 'heaps'));
    expect(state().answers.at(-1)?.note).toMatch(/1.*2/);
  });
});

describe('a nut turned by angle', () => {
  it('back is not believed, and nothing is lost; into the band it is proved', async () => {
    const { state } = await openJobAt(kind('by nut angle'), 'driveup');
    await enter('90');
    await judged('nut-angle.turned', 'incomplete');
    await type('45');
    await until(() => the('form[data-place] [role="alert"]'));
    expect(field().value).toBe('45');
    await enter('1/3 turn');
    await judged('nut-angle.turned', 'accept');
    await stored();
    expect(state().readings.at(-1)?.value).toBe(120);
  });
});

describe('a hydraulic nut, read from the stand-in pump', () => {
  it('at its abort pressure stops; let go, the other nut freed, it is driven up from the same zero', async () => {
    const server = new FakeServer();
    server.instruments = [
      ...server.instruments,
      { ...gauge('stand-in pump', 'pressure', 0.1, 0, 100), standIn: true },
      { ...gauge('stand-in dial', 'dial', 0.001, -10, 10), standIn: true },
    ];
    layBench(server);
    const { state } = await openJobAt(kind('by hydraulic nut'), 'driveup', server);
    await until(field);
    await pairWith('other-nut-tight');
    const shown = () => {
      const text = the('[data-feed-value]').dataset.feedValue;
      if (!text) throw new Error('The gauge shows nothing.');
      return Number(text);
    };
    const pumpTo = async (mpa: number) => {
      await until(() => the('[data-stroke]'));
      for (let now = await until(shown); now < mpa - 1e-6; now = await until(shown)) {
        (await until(() => the('[data-stroke]'))).click();
        await until(() => shown() !== now);
      }
    };
    await pumpTo(3);
    expect(await take((v) => v >= 3)).toBeCloseTo(3, 6);
    const zero = await take((v) => v > 1);
    await pumpTo(30);
    await take((v) => v >= 30);
    const held = await take((v) => v > 1);
    expect(zero - held).toBeLessThan(0.13);
    await judged('hydraulic.abort', 'reject');
    expect(the<HTMLButtonElement>('[data-pass-step]').disabled).toBe(true);
    fireEvent.click(await until(() => the('[data-release]')));
    await take((v) => v === 0);
    await enter('360');
    await pumpTo(21);
    await take((v) => v >= 21);
    await take((v) => v < 1.6);
    await judged('hydraulic.travel', 'accept');
    await judged('hydraulic.aborted', 'caution');
    await stored();
    const driven = state().readings.filter((r) => r.step === 'driveup');
    expect(driven.map((r) => r.place)).toEqual([
      'start/p',
      'start/z',
      'n1/p',
      'n1/d',
      'n1/release',
      'n1/back',
      'n2/p',
      'n2/d',
    ]);
    expect(driven.filter((r) => r.instrument.standIn && r.via === 'port')).toHaveLength(7);
  });
});

describe('gaps at a gland', () => {
  it('that differ stop with what to do; measured again they are square, and both stand on the sheet', async () => {
    const { state } = await openJobAt(kind('cartridge seal'), 'gland-gaps');
    const gaps = async (values: string[]) => {
      for (const v of values) await enter(v);
    };
    await gaps(['0.50', '0.58', '0.60', '0.52']);
    await judged('gland.spread', 'reject');
    expect(the<HTMLButtonElement>('[data-pass-step]').disabled).toBe(true);
    fireEvent.click(await until(() => the('[data-repeat]')));
    await giveReason('bolt 3 in', 'Measure again');
    await gaps(['0.50', '0.50', '0.52', '0.50']);
    await judged('gland.spread', 'accept');
    await stored();
    expect(state().readings.filter((r) => r.step === 'gland-gaps')).toHaveLength(8);
  });
});

describe('a float', () => {
  it('waits for the fixed bearing of its shaft, named by its job', async () => {
    const float = kind('float, whole');
    const fixed = workAll(freshJob({ ...kind('by feelers'), machine: float.machine, position: 'Drive end' }));
    const { state } = await openJobAt(float, 'fixedfirst', new FakeServer().hold(fixed.events));
    const line = await until(
      () => all('[data-fixed]').find((l) => l.textContent?.includes('Drive end')) ?? null,
    );
    expect(the<HTMLButtonElement>('[data-pass-step]').disabled).toBe(true);
    await press('This one is on', line);
    await until(() => !the<HTMLButtonElement>('[data-pass-step]').disabled);
    await stored();
    expect(state().done).toMatchObject([
      { act: 'name-fixed', params: { job: fixed.jobId, position: 'Drive end' } },
    ]);
  });
});

describe('a gauge on a serial port', () => {
  it('is read by its lines; a word that is no value gives none; unplugged it says so', async () => {
    let control: ReadableStreamDefaultController<Uint8Array> | undefined;
    const port = {
      open: async () => undefined,
      close: async () => undefined,
      readable: new ReadableStream<Uint8Array>({
        start(c) {
          control = c;
        },
      }),
    };
    Object.defineProperty(navigator, 'serial', {
      value: { requestPort: async () => port },
      configurable: true,
    });
    const send = (text: string) => control?.enqueue(new TextEncoder().encode(text));
    const { state } = await openJobAt(kind('purged seal'), 'runout');
    await until(field);
    const from = placeNow();
    await press('Pair a gauge');
    await press('Choose the port');
    await until(() => the('[data-feed="live"]'));
    send('+0.0');
    send('12 mm\r\n');
    await until(() => the('[data-feed-value="0.012"]'));
    field().focus();
    fireEvent.keyDown(field(), { key: ' ' });
    await until(() => placeNow() !== from);
    const second = placeNow();
    send('ERR 3\n');
    await until(() => the('[data-feed-value=""]'));
    fireEvent.keyDown(field(), { key: ' ' });
    send('-.0005 in\n');
    await until(() => the('[data-feed-value="-0.0127"]'));
    expect(placeNow()).toBe(second);
    fireEvent.keyDown(field(), { key: ' ' });
    await until(() => placeNow() !== second);
    control?.error(new Error('gone'));
    await until(() => the('[data-feed="dropped"], [data-feed="off"]'));
    await stored();
    expect(
      state()
        .readings.slice(-2)
        .map((r) => [r.value, r.raw, r.via]),
    ).toEqual([
      [0.012, '+0.012 mm', 'port'],
      [-0.0127, '-.0005 in', 'port'],
    ]);
  });
});
