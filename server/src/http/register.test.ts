import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { renewLines } from '../store/projections.ts';
import {
  batch,
  type Caller,
  cookieOf,
  everybodyAt,
  freshHand,
  openHouse,
  type TestHouse,
} from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let imke: Caller;
let oskar: Caller;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse();
  ({ asta, imke, oskar, nobody } = await everybodyAt(house.url));
});
afterAll(() => house?.close());

const faultsOf = (answer: { body: { faults?: Array<{ path: string; message: string }> } }) =>
  Object.fromEntries((answer.body.faults ?? []).map((f) => [f.path, f.message]));
const register = async (q = '') =>
  (await asta('GET', `/api/register?q=${encodeURIComponent(q)}`)).body.positions as Array<{
    id: string;
    label: string;
    area: string;
    machine: string;
    position: string;
    jobs: number;
    open: number;
    lastSignedAt: string | null;
  }>;

describe('the register', () => {
  it('tells areas, machines, positions in order, with how much was done there', async () => {
    const all = await register();
    const keys = all.map((p) => `${p.area}\n${p.machine}\n${p.position}`);
    expect(keys).toEqual([...keys].sort((a, b) => a.localeCompare(b, 'en')));
    expect(all.some((p) => p.lastSignedAt !== null && p.jobs > 0)).toBe(true);
    expect(new Set(all.map((p) => p.label)).size).toBe(all.length);
  });

  it('is found by words in any order and by a label, alone or in its link', async () => {
    const found = await register('fixed washer');
    expect(found.length).toBeGreaterThan(0);
    expect(found.every((p) => /washer/i.test(p.machine) && /fixed/i.test(p.position))).toBe(true);
    const { label = '', id } = found[0] ?? {};
    for (const typed of [label, label.toLowerCase(), `http://plant:4170/p/${label}`])
      expect((await register(typed)).map((p) => p.id)).toEqual([id]);
    expect((await asta('GET', `/api/labels/${label.toLowerCase()}`)).body.id).toBe(id);
    expect((await asta('GET', '/api/labels/AAAAAA')).status).toBe(404);
    expect((await asta('GET', '/api/labels/what')).status).toBe(404);
    expect(await register('100%_')).toEqual([]);
  });

  it('a new place is entered once, by whoever records, and has a label', async () => {
    const told = { area: 'Yard', machine: 'Stone trap 1', position: 'Drive end' };
    const made = await asta('POST', '/api/positions', told);
    expect(made.status).toBe(201);
    expect(made.body).toMatchObject({ ...told, setup: null, label: expect.stringMatching(/^[A-Z2-9]{6}$/) });
    expect(faultsOf(await asta('POST', '/api/positions', told)).position).toContain('already');
    expect(faultsOf(await asta('POST', '/api/positions', { machine: '', position: ' x' }))).toMatchObject({
      machine: expect.stringContaining('missing'),
    });
    expect((await oskar('POST', '/api/positions', told)).status).toBe(403);
  });

  it('a job of any trade takes to a place nothing was done at yet, and the place keeps its setup', async () => {
    const [place] = await register('Stone trap');
    const h = freshHand('unused');
    const opened = h.events[0] as { data: { setup: object; positionId: string } };
    Object.assign(opened.data, { positionId: place?.id });
    Object.assign(opened.data.setup, { machine: 'Stone trap 1', position: 'Drive end' });
    expect((await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h))).body.outcomes[0].outcome).toBe(
      'stored',
    );
    const page = (await asta('GET', `/api/positions/${place?.id}`)).body;
    expect(page.card.setup.machine).toBe('Stone trap 1');
    expect(page.past).toHaveLength(1);
    expect(Object.keys(page.setups)).toEqual(['sleeve-bearing']);
    expect((await register('Stone trap'))[0]).toMatchObject({ jobs: 1, open: 1 });
  });

  it('moves a machine to another area with all its positions', async () => {
    expect(
      (await asta('POST', '/api/machines/area', { machine: 'Cooling fan 3', area: 'Roof' })).status,
    ).toBe(204);
    expect((await register('Cooling fan 3')).every((p) => p.area === 'Roof')).toBe(true);
    expect((await asta('POST', '/api/machines/area', { machine: 'Nowhere', area: 'Roof' })).status).toBe(404);
  });
});

describe('CSV into the register and out', () => {
  const count = () => house.db.models.Position.count();
  it('names every bad row with its line and takes none; looked at only, it takes none either', async () => {
    const before = await count();
    const csv =
      'Machine;Position;Area\nMill 1;Drive end;Mills\n;Tail end;Mills\nMill 1;Drive end;Mills\nMill 2;\n';
    const bad = (await asta('POST', '/api/register/import', { csv })).body;
    expect(bad.done).toBe(false);
    expect(bad.faults.map((f: { line: number }) => f.line)).toEqual(expect.arrayContaining([3, 4, 5]));
    expect(await count()).toBe(before);
    const good = 'area,machine,position,other\nMills,Mill 1,Drive end,x\nMills,Mill 1,"Tail end, float",y\n';
    const looked = (await asta('POST', '/api/register/import', { csv: good, look: true })).body;
    expect(looked).toMatchObject({ done: false, faults: [], taken: [{ was: 'new' }, { was: 'new' }] });
    expect(await count()).toBe(before);
  });

  it('takes good rows in, knows them again, and gives out what it took', async () => {
    const csv = '\uFEFFarea,machine,position\nMills,Mill 1,Drive end\nMills,Mill 1,"Tail end, float"\n';
    expect((await asta('POST', '/api/register/import', { csv })).body.done).toBe(true);
    const again = (await asta('POST', '/api/register/import', { csv: csv.replaceAll('Mills', 'Mill hall') }))
      .body;
    expect(again.taken.map((t: { was: string }) => t.was)).toEqual(['known', 'known']);
    expect((await register('Mill 1')).map((p) => p.area)).toEqual(['Mill hall', 'Mill hall']);
    const out = (await asta('GET', '/api/register.csv')).body as string;
    expect(out).toContain('Mill hall,Mill 1,"Tail end, float"');
    // What came out goes in again, and changes nothing.
    const back = (await asta('POST', '/api/register/import', { csv: out, look: true })).body;
    expect(back.faults).toEqual([]);
    expect(back.taken.every((t: { was: string }) => t.was === 'known')).toBe(true);
  });

  it.each([
    ['no head', 'Mill 9,Drive end\n', /no column/],
    ['only a head', 'machine,position\n', null],
    ['a quote never closed', 'machine,position\n"Mill 9,Drive end\n', /missing|columns/],
  ] as const)('%s gets a sentence, or nothing is done', async (_what, csv, said) => {
    const answer = (await asta('POST', '/api/register/import', { csv })).body;
    if (said) expect(english(answer.faults[0].message)).toMatch(said);
    else expect(answer.taken).toEqual([]);
    expect(answer.done).toBe(said === null);
  });
});

describe('labels', () => {
  it('print a sheet with a code for each position asked for', async () => {
    const [place] = await register('Mill 1');
    for (const path of [`?position=${place?.id}`, '?machine=Mill%201', '?area=Pulp', '']) {
      const response = await fetch(`${house.url}/api/labels.pdf${path}`, {
        headers: { cookie: await cookieOf(house.url, 'Asta') },
      });
      expect([path, response.status, response.headers.get('content-type')]).toEqual([
        path,
        200,
        'application/pdf',
      ]);
      expect(
        Buffer.from(await response.arrayBuffer())
          .subarray(0, 5)
          .toString(),
      ).toBe('%PDF-');
    }
    expect((await asta('GET', '/api/labels.pdf?machine=Nowhere')).status).toBe(404);
  });
});

describe('cards of parts', () => {
  const card = {
    designation: '22220 K  c3',
    trade: 'sleeve-bearing',
    values: { 'maker.benchLowerMm': 0.08, 'maker.benchUpperMm': 0.12 },
    source: 'sheet 4711, page 2',
  };
  it('are typed once, looked over by somebody else, and found however they are written', async () => {
    const made = await asta('POST', '/api/parts', card);
    expect(made.status).toBe(201);
    expect(made.body.versions[0]).toMatchObject({ key: '22220 K C3', version: 1, by: 'Asta', looked: null });
    expect((await asta('POST', '/api/parts/22220%20k%20C3/1/looked', {})).body.said).toMatchObject({
      id: 'server.http.somebodyElseThanWhoTyped',
    });
    const looked = (await imke('POST', '/api/parts/22220%20k%20C3/1/looked', {})).body.versions[0];
    expect(looked.looked.by).toBe('Imke');
    expect((await imke('POST', '/api/parts/22220%20k%20C3/1/looked', {})).status).toBe(409);
    expect((await oskar('GET', '/api/parts?q=22220')).body.parts).toHaveLength(1);
  });
  it('a change is a new version, not looked over yet; the one before stays', async () => {
    await imke('POST', '/api/parts', { ...card, values: { 'maker.benchLowerMm': 0.085 } });
    const { versions } = (await asta('GET', '/api/parts/22220 K C3')).body;
    expect(versions.map((v: { version: number }) => v.version)).toEqual([2, 1]);
    expect(versions[0].looked).toBeNull();
    expect(versions[1].values).toEqual(card.values);
    expect((await asta('GET', '/api/parts/nothing')).status).toBe(404);
  });
  it.each([
    [{ values: {} }],
    [{ values: { 'maker.x': Number.NaN } }],
    [{ values: { __proto__x: 1 } }],
    [{ designation: '' }],
    [{ values: [1] }],
  ])('refuses what is none: %j', async (wrong) => {
    expect((await asta('POST', '/api/parts', { ...card, ...wrong })).status).toBe(400);
  });
});

describe('a shaft', () => {
  it('joins positions of one machine, one of them fixed', async () => {
    const places = await register('Cooling fan 4');
    const stations = places.map((p, i) => ({
      positionId: p.id,
      atMm: 1150 * i,
      role: /fixed/.test(p.position) ? 'fixed' : 'float',
    }));
    const told = { name: 'Fan shaft', machine: 'Cooling fan 4', stations };
    expect((await asta('POST', '/api/shafts', told)).status).toBe(201);
    const page = (await asta('GET', `/api/positions/${places[0]?.id}`)).body;
    expect(page.shafts).toMatchObject([{ name: 'Fan shaft', version: 1 }]);
    const twice = await asta('POST', '/api/shafts', {
      ...told,
      stations: stations.map((s) => ({ ...s, role: 'fixed' })),
    });
    expect(faultsOf(twice).stations).toContain('one fixed');
    const foreign = await asta('POST', '/api/shafts', { ...told, machine: 'Cooling fan 3' });
    expect(faultsOf(foreign)['stations[0].positionId']).toContain('not of this machine');
  });
});

describe('cards from a file', () => {
  const head = 'designation,trade,source,field,value';
  it('are taken whole or not at all, and the file that goes out is one that comes in', async () => {
    const csv = [
      head,
      'HB 90 seal,seal,sheet 9,Gland bolts to,34 N·m',
      'HB 90 seal,seal,sheet 9,screwNm,6',
    ].join('\n');
    const seen = await asta('POST', '/api/parts/import', { csv, look: true });
    expect(seen.body).toMatchObject({ taken: [{ line: 2, was: 'new' }], faults: [], done: false });
    expect((await asta('GET', '/api/parts?q=HB+90')).body.parts).toEqual([]);
    expect((await asta('POST', '/api/parts/import', { csv })).body.done).toBe(true);
    const [card] = (await asta('GET', '/api/parts?q=HB+90')).body.parts;
    expect(card).toMatchObject({ version: 1, values: { glandNm: 34, screwNm: 6 }, looked: null });
    const out = (await asta('GET', '/api/parts.csv')).body as string;
    expect(out.split('\r\n')[0]).toBe(head);
    // The same again is no new version.
    expect((await asta('POST', '/api/parts/import', { csv: out })).body).toMatchObject({
      faults: [],
      done: true,
    });
    expect((await asta('GET', '/api/parts?q=HB+90')).body.parts[0].version).toBe(1);
    const bad = await asta('POST', '/api/parts/import', { csv: `${csv}\nHB 91,seal,,colour,red` });
    expect(bad.body).toMatchObject({ done: false, faults: [{ line: 4 }] });
    expect((await asta('GET', '/api/parts?q=HB+91')).body.parts).toEqual([]);
    expect((await oskar('POST', '/api/parts/import', { csv })).status).toBe(403);
  });
});

describe('an autopsy', () => {
  it('is told from what was seen and from the fit-up of this position, and kept as it was told', async () => {
    const [job] = (await asta('GET', '/api/jobs?state=signed')).body.jobs.filter(
      (j: { kind: string }) => j.kind === 'sleeve-bearing',
    );
    const path = `/api/positions/${job.positionId}/autopsies`;
    const kept = async () => (await oskar('GET', `/api/positions/${job.positionId}`)).body.autopsies.length;
    const before = await kept();
    const made = await asta('POST', path, {
      kind: 'rolling-bearing',
      jobId: job.id,
      seen: { fretting: 'under-sleeve', colour: 'bright' },
      words: 'red dust',
      photos: ['ab'.repeat(32)],
    });
    expect(made.status).toBe(201);
    const [told] = made.body.autopsies;
    expect(told).toMatchObject({
      by: 'Asta',
      words: 'red dust',
      photos: ['ab'.repeat(32)],
      livedDays: expect.any(Number),
    });
    expect(told.causes[0]).toMatchObject({
      id: 'loose',
      speaksFor: [expect.objectContaining({ from: 'seen' })],
    });
    expect(await kept()).toBe(before + 1);
    expect((await oskar('POST', path, {})).status).toBe(403);
  });
  it.each([
    [{ kind: 'rolling-bearing', seen: {} }],
    [{ kind: 'rolling-bearing', seen: { colour: 'green' } }],
    [{ kind: 'rolling-bearing', seen: { nothing: 'x' } }],
    [{ kind: 'wheel', seen: { colour: 'blue' } }],
    [{ kind: 'rolling-bearing', seen: { colour: 'blue' }, jobId: v7() }],
    [{ kind: 'rolling-bearing', seen: { colour: 'blue' }, photos: ['../etc/passwd'] }],
  ])('refuses what is none: %j', async (wrong) => {
    const [place] = await register('washer');
    expect((await asta('POST', `/api/positions/${place?.id}/autopsies`, wrong)).status).toBe(400);
  });
});

describe('what falls due', () => {
  it('is told over everything, the next first: readings, what signed work left to do, calibrations', async () => {
    await renewLines(house.db, { info() {}, error() {} } as never, () => false);
    const { due } = (await oskar('GET', '/api/due')).body as {
      due: Array<{ at: string; what: string; jobId: string | null; gaugeId: string | null }>;
    };
    expect(due.map((d) => d.at)).toEqual(due.map((d) => d.at).sort());
    expect(due.some((d) => d.gaugeId && english(d.what) === 'Calibration')).toBe(true);
    expect(due.some((d) => d.jobId)).toBe(true);
    expect(due.some((d) => d.gaugeId?.startsWith('stand-in'))).toBe(false);
  });

  it('goes out as a calendar by a private link, until it is revoked or another is made', async () => {
    const first = (await asta('POST', '/api/due/feed', {})).body.path as string;
    const calendar = await nobody('GET', first);
    expect(calendar.status).toBe(200);
    expect(calendar.headers.get('content-type')).toContain('text/calendar');
    expect(calendar.body).toMatch(/^BEGIN:VCALENDAR[\s\S]*SUMMARY:Calibration: [\s\S]*END:VCALENDAR/);
    const second = (await asta('POST', '/api/due/feed', {})).body.path as string;
    expect((await nobody('GET', first)).status).toBe(404);
    expect((await nobody('GET', second)).status).toBe(200);
    expect((await asta('GET', '/api/due')).body.feedMadeAt).toMatch(/^\d{4}/);
    expect((await asta('DELETE', '/api/due/feed')).status).toBe(204);
    expect((await nobody('GET', second)).status).toBe(404);
    expect((await nobody('GET', '/api/feeds/x.ics')).status).toBe(404);
  });
});
