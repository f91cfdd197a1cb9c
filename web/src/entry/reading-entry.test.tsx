import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { gauge } from '../../../core/src/testing/test-stand.ts';
import { flush } from '../data/queue.ts';
import { openJobAt, reload } from '../testing/open.tsx';
import { FakeServer, IMKE } from '../testing/server.ts';
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
import { until } from '../testing/until.ts';

const kind = (name: string): Setup => EVERY_KIND[name] as Setup;
const feelers = kind('by feelers');
const seat = () => openJobAt(feelers, 'shaft');

describe('the field of a reading', () => {
  it('says back what it understood in both units before anything is stored; Enter stores and goes on', async () => {
    const { state, jobId } = await seat();
    await type('3.5422 in');
    const said = await until(() => the('form[data-place] .figures.font-medium'));
    // 3.5422 in = 89.97188 mm
    expect(said.textContent).toContain('89.972');
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
    await enter('3.5422 in');
    await stored();
    expect(state().readings.at(-1)).toMatchObject({ place: 's1/0', raw: '3.5422 in' });
    expect(state().readings.at(-1)?.value).toBeCloseTo(89.97188, 9);
    expect(field().value).toBe('');
    expect(placeNow()).toBe('s1/60');
    expect(jobId).toBe(state().jobId);
  });

  it('says what is wrong beside the field, stores nothing and loses nothing', async () => {
    const { state } = await seat();
    await type('eighty nine');
    fireEvent.submit(the('form[data-place]'));
    await until(() => the('form[data-place] [role="alert"]'));
    expect(field().value).toBe('eighty nine');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(placeNow()).toBe('s1/0');
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
  });

  it('refuses what the gauge in hand cannot read', async () => {
    const server = new FakeServer();
    server.instruments = [gauge('mic', 'micrometer', 0.001, 75, 100)];
    const { state } = await openJobAt(feelers, 'shaft', server);
    await type('120');
    fireEvent.submit(the('form[data-place]'));
    await until(() => the('form[data-place] [role="alert"]'));
    expect(field().value).toBe('120');
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
  });

  it('a gauge that does not reach says so beside the field, and the one in hand stays', async () => {
    const server = new FakeServer();
    const small = gauge('small', 'micrometer', 0.001, 0, 25);
    server.instruments = [gauge('mic', 'micrometer', 0.001, 75, 100), small];
    await openJobAt(feelers, 'shaft', server);
    const picker = () => the('form[data-place] select') as HTMLSelectElement;
    await until(() => document.querySelector('form[data-place] select option:nth-child(2)'));
    const before = picker().value;
    fireEvent.change(picker(), { target: { value: small.id } });
    const said = await until(() => the('[data-gauge-refused]'));
    expect(said.textContent).toMatch(/reads 0 mm to 25 mm\. Choose another gauge/);
    expect(picker().value).toBe(before);
  });

  it('half-typed text is there after a reload', async () => {
    const { jobId, server } = await seat();
    await type('89.97');
    await reload(jobId, server);
    await until(() => field().value === '89.97');
  });

  it('offers blades near the last one by one touch', async () => {
    const { state } = await openJobAt(feelers, 'bench');
    await enter('0.1');
    const near = await until(() => the('[data-near] button'));
    const value = near.textContent ?? '';
    fireEvent.click(near);
    fireEvent.submit(the('form[data-place]'));
    await until(() => state().readings.filter((r) => r.step === 'bench').length === 2);
    expect(state().readings.at(-1)?.raw).toContain(value.split(' ')[0] ?? '');
  });

  it('judges while one types, and again when it is stored', async () => {
    await openJobAt(feelers, 'shaft');
    for (const raw of ['89.974', '89.973', '89.976', '89.974', '89.973', '89.976', '89.974', '89.973'])
      await enter(raw);
    await type('89.700');
    await judged('shaft.smallest', 'reject');
    await type('89.974');
    await judged('shaft.smallest', 'accept');
  });

  it('a reading is corrected by touching it in the matrix; the hole is the next place', async () => {
    const { state } = await seat();
    for (const raw of ['89.974', '89.573', '89.976']) await enter(raw);
    fireEvent.click(await until(() => the('[data-mend="s1/60"]')));
    await giveReason('a digit slipped', 'Undo it');
    await until(() => placeNow() === 's1/60');
    await enter('89.973');
    await stored();
    const read = state().readings.filter((r) => r.place === 's1/60');
    expect(read.map((r) => [r.raw, r.withdrawn?.reason])).toEqual([
      ['89.573', 'a digit slipped'],
      ['89.973', undefined],
    ]);
  });
});

describe('the keys on the screen', () => {
  it('type, take back, and stand away until they are wanted', async () => {
    await seat();
    await until(field);
    expect(all('fieldset button[aria-label="delete"]')).toHaveLength(0);
    await press('Keypad on screen');
    for (const key of ['8', '9', 'point', '9', '7', '7', 'delete', 'mm']) await press(key);
    expect(field().value).toBe('89.97 mm');
    await press('Keypad on screen');
    expect(all('fieldset button[aria-label="delete"]')).toHaveLength(0);
  });
});

describe('the gauge in hand', () => {
  const picker = () => the<HTMLSelectElement>('form[data-place] select');

  it('is one that can read here and is in date; one out of date says so; the choice stays', async () => {
    const server = new FakeServer();
    server.instruments = [
      gauge('old', 'micrometer', 0.001, 75, 100, '2020-01-01'),
      gauge('good', 'micrometer', 0.001, 75, 100),
      gauge('other', 'micrometer', 0.01, 75, 100),
      gauge('small', 'micrometer', 0.001, 0, 25),
      gauge('blades', 'feeler', 0.005, 0.02, 1),
    ];
    const { jobId, state } = await openJobAt(feelers, 'shaft', server);
    await until(picker);
    expect(picker().value).toBe('good');
    expect([...picker().options].map((o) => o.value)).not.toContain('blades');
    expect([...picker().options].find((o) => o.value === 'old')?.textContent).toMatch(/2020-01-01/);
    fireEvent.change(picker(), { target: { value: 'other' } });
    await enter('89.97');
    await stored();
    expect(state().readings.at(-1)?.instrument).toMatchObject({ id: 'other', step: 0.01 });
    await reload(jobId, server);
    await until(() => picker().value === 'other');
  });

  it('where none in the list reads so far, none is in hand and nothing is stored', async () => {
    const server = new FakeServer();
    server.instruments = [gauge('small', 'micrometer', 0.001, 0, 25)];
    const { state } = await openJobAt(feelers, 'shaft', server);
    await until(picker);
    expect(picker().value).toBe('');
    await type('89.974');
    fireEvent.submit(the('form[data-place]'));
    await until(() => the('form[data-place] [role="alert"]'));
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
  });
});

/** One reading for each kind of gauge, typed as one would say it; values by hand from exact factors. */
const surveyed = (measure: string, more: object = {}): Setup => {
  const s = kind('surveyed') as Setup & { condition: object };
  return { ...s, condition: { ...s.condition, measures: [measure], ...more } } as Setup;
};
const CASES: Array<[gauge: string, setup: Setup, step: string, raw: string[], value: number]> = [
  ['micrometer', feelers, 'shaft', ['3 35/64'], 90.090625],
  ['feelers', feelers, 'bench', ['4 thou'], 0.1016],
  ['protractor', kind('plunger'), 'preload', ['3/4 turn'], 270],
  ['dial', surveyed('runout', { runoutStations: 1, runoutAngles: 4 }), 'runout', ['-20 µm'], -0.02],
  ['depth gauge', kind('worn seal'), 'wear', ['0.9'], 0.9],
  ['roughness tester', surveyed('finish', { finishParameter: 'Ra' }), 'finish', ['16 µin'], 0.0004064],
  [
    'wire',
    surveyed('housings', { housings: 2, housingSpanMm: 600, housingWidthMm: 200 }),
    'housings',
    ['0.4'],
    0.4,
  ],
  ['pressure gauge', kind('by hydraulic nut'), 'driveup', ['30 bar'], 3],
  ['thermometer', kind('regreased'), 'watch', ['122 °F'], 50],
  ['grease gun', kind('regreased'), 'strokes', ['40 °C', '12'], 12],
  ['drop counter', kind('packed'), 'breakin', ['160'], 160],
];

describe('what is typed is what is stored', () => {
  it.each(CASES)('with a %s', async (_gauge, setup, step, raws, value) => {
    const server = new FakeServer();
    server.instruments = server.instruments.map((g) => ({ ...g, low: Math.min(-10, g.low) }));
    const { state } = await openJobAt(setup, step, server);
    for (const raw of raws) await enter(raw);
    await stored();
    const last = state().readings.at(-1);
    expect(last).toMatchObject({ step, raw: raws.at(-1) });
    expect(last?.value).toBeCloseTo(value, 9);
  });
});

describe('without network', () => {
  it('a reading is kept on the device, seen at once, and sent when the server is back', async () => {
    const { server, state } = await seat();
    await until(field);
    server.away = true;
    await enter('89.974');
    await until(() => the('[data-waiting="1"]'));
    expect(placeNow()).toBe('s1/60');
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
    server.away = false;
    await flush();
    await stored();
    expect(state().readings.at(-1)).toMatchObject({ place: 's1/0', raw: '89.974' });
  });

  it('what the server refuses is kept with its reason, and its words can go on the sheet', async () => {
    const { server, state, hand, jobId } = await seat();
    await until(field);
    server.away = true;
    await enter('89.974');
    await until(() => the('[data-waiting="1"]'));
    // Meanwhile somebody else reads the same place on another device.
    hand.read('shaft', 's1/0', 89.97, 'micrometer');
    const theirs = hand.events.at(-1);
    if (theirs) server.add(theirs);
    server.away = false;
    await flush();
    fireEvent.click(await until(() => the('[data-aside="1"]')));
    await press('Add to the sheet as a note');
    await until(() => document.querySelector('[data-aside]') === null);
    await stored();
    expect(state().notes.at(-1)?.text).toContain('89.974');
    expect(state().jobId).toBe(jobId);
  });

  it('entries of one person wait while another is signed in', async () => {
    const server = new FakeServer();
    const { jobId, state } = await openJobAt(feelers, 'shaft', server);
    await until(field);
    server.away = true;
    await enter('89.974');
    await until(() => the('[data-waiting="1"]'));
    const asta = server.person;
    server.person = IMKE;
    await reload(jobId, server);
    server.away = false;
    await flush();
    await until(() => the('[data-queue="sign-in"]'));
    expect(the('[data-waiting]').dataset.waiting).toBe('1');
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
    server.person = asta;
    await reload(jobId, server);
    await stored();
    expect(state().readings.at(-1)).toMatchObject({ raw: '89.974', author: { id: 'asta' } });
  });
});
