import { afterAll, describe, expect, it } from 'vitest';
import { siteRulesSchema } from '../api/requests.ts';
import { autopsy } from '../autopsy/autopsy.ts';
import { eventSchema } from '../engine/events.ts';
import { setupListing } from '../engine/setup-schema.ts';
import { allMethods, allSharedTools, allSkills, allTrades, enrol, reportAt } from '../engine/trades.ts';
import type { PastJob } from '../history/past.ts';
import { tracesOf } from '../history/traces.ts';
import { openingFor } from '../job/opening.ts';
import { partFields } from '../job/part-card.ts';
import { fieldsAsked, fromForm, toForm } from '../job/setup-form.ts';
import { summarise } from '../job/summary.ts';
import { check } from '../judgement/sentences.ts';
import { kitOf } from '../planning/kit.ts';
import { type Outage, outageSchema } from '../planning/outage.ts';
import { networkOf } from '../planning/tasks.ts';
import { say } from '../quantities/say.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { doorGap, doorstop } from '../testing/doorstop/doorstop.ts';
import { english } from '../testing/english.ts';
import { workAll } from '../testing/every-kind.ts';
import { handAt, tools } from '../testing/test-stand.ts';

// All the house is told of it: one line of the list of trades.
const leave = enrol([doorstop]);
// Files of tests share what is enrolled.
afterAll(leave);

const setup = Object.values(doorstop.example.setups)[0];
if (!setup) throw new Error('It has no example.');

describe('a trade the house has never seen', () => {
  it('is offered, asked for in a form, and read back from it', () => {
    expect(english(allTrades().at(-1)?.words.offer[0])).toBe('Set a door’s stop');
    const form = toForm(
      doorstop,
      { ...openingFor(doorstop, { place: null, rules: undefined }).start, ...setup },
      'in',
    );
    expect(form.gapMm).toBe('0.1181 in');
    expect(fieldsAsked(doorstop, form).map((f) => f.label)).toEqual([
      { id: 'common.machine', params: {} },
      { id: 'common.position', params: {} },
      { id: 'common.partAsStamped', params: {} },
      { id: 'common.depthOfCheck', params: {} },
      { id: 'steps.leadHandReleasesBefore', params: {} },
      'Gap wanted',
      'Felt by',
      'Gap, most',
    ]);
    const read = fromForm(doorstop, { ...form, gapMm: '3 mm', 'maker:mostMm': '1/8 in' }, 'mm');
    expect(read).toMatchObject({ setup: { gapMm: 3, maker: { mostMm: 3.175 } } });
    expect(fromForm(doorstop, { ...form, gapMm: 'wide' }, 'mm')).toMatchObject({
      faults: { gapMm: { id: 'quantities.notLengthWriteAs0' } },
    });
  });

  it('has its setup told as JSON Schema, with what is asked for each field', () => {
    const listed = setupListing().find((t) => t.id === 'doorstop');
    expect(listed?.setup).toMatchObject({
      type: 'object',
      properties: { gapMm: { type: 'number', title: 'Gap wanted', minimum: 0.1 } },
    });
  });

  it('is opened, worked, signed and told on a sheet in both units', () => {
    const h = workAll(handAt(setup));
    for (const e of h.events) expect(check(eventSchema, e).ok).toBe(true);
    const sheet = fitUpSheet(h.state, 'D-1');
    expect(sheet).toMatchObject({
      name: 'Door sheet',
      procedure: { id: 'doorstop' },
      results: { gapMm: 3.2 },
      rows: [['Gap', { mm: '3.200 mm', in: '0.1260 in' }]],
    });
    const lines = sheet.document.flatMap((b) => (b.block === 'line' ? [say(b.text, 'in')] : []));
    expect(lines.join(' ')).toContain('Gap wanted: 0.12 in');
    expect(sheet.document.some((b) => b.block === 'drawings')).toBe(true);
    expect(summarise(h.state)).toMatchObject({ kind: 'doorstop', signedBy: 'Asta', role: null });
  });

  it('stops where its own limit is passed, and its numbers come in their own type', () => {
    const h = handAt({ ...setup, maker: { mostMm: 3.1 } })
      .safe()
      .read('gap', 'gap', 3.2, 'feeler');
    expect(doorGap.valuesOf(reportAt(h.state, 'gap'))?.gapMm).toBe(3.2);
    expect(() => h.pass('gap')).toThrow(/most 3\.100 mm/);
    expect(tools.feeler.kind).toBe('feeler');
  });

  it('has an act of its own, which opens again what it undoes and stands on the sheet', () => {
    const h = handAt(setup).safe();
    expect(() => h.act('move-stop', undefined, 'it rubs')).toThrow(/not felt yet/);
    expect(() => h.act('dismount', undefined, 'it rubs')).toThrow(/nothing of the kind/);
    h.read('gap', 'gap', 3.2, 'feeler').pass('gap');
    expect(() => h.act('move-stop')).toThrow(/reason/);
    expect(() => h.act('move-stop', { far: 2 }, 'it rubs')).toThrow();
    h.act('move-stop', undefined, 'it rubs');
    expect(h.state.present).toBe('gap');
    h.read('gap', 'gap', 3.1, 'feeler').pass('gap').do('sheet.signed', { name: 'Asta' });
    const sheet = fitUpSheet(h.state, 'D-2');
    expect(sheet).toMatchObject({
      reopened: 'Stop moved again',
      dismountings: [{ reason: 'it rubs' }],
    });
  });

  it('gives a site its method to choose, and a new job begins by what was chosen', async () => {
    expect(allMethods().map((m) => m.id)).toContain('doorFeltBy');
    expect(await siteRulesSchema().isValid({ doorFeltBy: 'coin' })).toBe(true);
    const { start } = openingFor(doorstop, { place: null, rules: { doorFeltBy: 'coin' } });
    expect(start).toMatchObject({ feltBy: 'coin' });
  });

  it('has its numbers followed over the years', () => {
    const past = (year: number, gapMm: number): PastJob => ({
      jobId: `j${year}`,
      number: `D-${year}`,
      kind: 'doorstop',
      sheet: 'Door sheet',
      state: 'signed',
      openedAt: `${year}-01-01T00:00:00Z`,
      signedAt: `${year}-01-02T00:00:00Z`,
      signedBy: null,
      partNumber: null,
      results: { gapMm },
      limits: {},
      rows: [],
    });
    const [trace] = tracesOf([past(2024, 3), past(2025, 3.4)]);
    expect(trace).toMatchObject({ label: 'Gap of the door', quantity: 'length' });
    expect(trace?.points.map((p) => p.value)).toEqual([3, 3.4]);
  });

  it('has fields on the card of its part, and a guide for a part that has come out', () => {
    expect(partFields(doorstop).map((f) => f.name)).toEqual(['gapMm', 'feltBy', 'maker.mostMm']);
    const asked = { kind: 'door-stop', seen: { rubber: 'flat' }, results: { gapMm: 6 }, livedDays: 90 };
    expect(autopsy(asked)[0]).toMatchObject({ id: 'slammed', likelihood: 'likely' });
  });

  it('is planned in an outage: its task, its skill, its tool, its kit', () => {
    expect(allSkills()).toContain('doors');
    expect(allSharedTools()).toContain('step ladder');
    const outage: Outage = {
      name: 'Gatehouse',
      startsAt: '2026-03-02T06:00:00Z',
      endsAt: '2026-03-03T06:00:00Z',
      shifts: [{ name: 'Day', from: '06:00', to: '14:00', breaks: [], days: [1, 2, 3, 4, 5] }],
      crew: [{ id: 'c', name: 'Asta', shift: 0, skills: ['doors'], away: [] }],
      tools: [{ name: 'step ladder', count: 1 }],
      windows: [],
      jobs: [{ key: 'a', machine: 'Gatehouse', position: 'Door', trade: 'doorstop' }],
      bindings: [],
      pins: [],
    };
    expect(check(outageSchema, outage).ok).toBe(true);
    const { pieces } = networkOf(outage, { zone: 'UTC', at: '2026-03-01T06:00:00Z' });
    expect([...pieces.values()]).toMatchObject([
      { name: 'The stop', skill: 'doors', tools: ['step ladder'], short: [] },
    ]);
    const { rows } = kitOf(outage, { a: { ...setup, partNumber: 'Stop 40' } });
    expect(rows.map((r) => [r.group, r.item, r.count])).toEqual([
      ['doors', 'rubber for a stop', 1],
      ['doors', 'Stop 40', 1],
    ]);
  });
});
