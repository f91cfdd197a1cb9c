import Ajv2020 from 'ajv/dist/2020.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { batch, type Caller, caller, freshHand, openHouse, type TestHouse } from '../testing/house.ts';
import { ROUTES } from './app.ts';

type Operation = {
  operationId: string;
  summary: string;
  parameters?: Array<{ name: string; in: 'path' | 'query' }>;
  requestBody?: { content: Record<string, { schema: object }> };
  responses: Record<string, { content?: Record<string, { schema: object }> }>;
  security: unknown[];
};
type Document = {
  openapi: string;
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, object> };
};

let house: TestHouse;
let imke: Caller;
let asta: Caller;
let nobody: Caller;
let told: Document;
const ajv = new Ajv2020({ strict: false, allErrors: true, formats: { binary: true } });

beforeAll(async () => {
  house = await openHouse();
  [imke, asta, nobody] = await Promise.all([
    caller(house.url, 'Imke'),
    caller(house.url, 'Asta'),
    caller(house.url),
  ]);
  told = (await nobody('GET', '/api/openapi.json')).body;
  ajv.addSchema({ $id: 'api', components: told.components });
});
afterAll(() => house?.close());

/** A schema of the document, its references found. */
const within = (schema: object) =>
  ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/components/', '"api#/components/')));

/** What a path answers with, held against what the document says. */
function holds(method: string, path: string, answer: { status: number; body: unknown }): void {
  const operation = told.paths[path]?.[method];
  const schema = operation?.responses[String(answer.status)]?.content?.['application/json']?.schema;
  if (!schema) throw new Error(`${method} ${path} ${answer.status} is not described.`);
  const check = within(schema);
  expect([path, check(answer.body) ? [] : check.errors]).toEqual([path, []]);
}

describe('the API as it is described', () => {
  it('names every route, its parameters and who may call it; every operation has a name of its own', () => {
    expect(told.openapi).toBe('3.1.0');
    const described = Object.entries(told.paths).flatMap(([path, ops]) =>
      Object.keys(ops).map((m) => `${m} ${path}`),
    );
    const routes = ROUTES.map((r) => `${r.method} ${r.path.replace(/:(\w+)/g, '{$1}')}`);
    expect(described.sort()).toEqual(routes.sort());
    const ids = Object.values(told.paths).flatMap((ops) => Object.values(ops).map((o) => o.operationId));
    expect(new Set(ids).size).toBe(ids.length);
    for (const r of ROUTES) {
      const op = told.paths[r.path.replace(/:(\w+)/g, '{$1}')]?.[r.method];
      expect([r.path, op?.security.length === 0]).toEqual([r.path, r.who === 'anyone']);
      const inPath = (op?.parameters ?? []).filter((p) => p.in === 'path');
      expect(inPath.length).toBe([...r.path.matchAll(/:/g)].length);
      const asked = Object.keys((r.query as { fields?: object } | undefined)?.fields ?? {});
      expect((op?.parameters ?? []).flatMap((p) => (p.in === 'query' ? [p.name] : []))).toEqual(asked);
      expect(op?.summary, r.path).toMatch(/^[A-Z].{5,}[^.]$/);
    }
  });

  it('every shape in it is a JSON Schema that compiles', () => {
    for (const ops of Object.values(told.paths))
      for (const op of Object.values(ops)) {
        for (const body of Object.values(op.requestBody?.content ?? {})) within(body.schema);
        for (const r of Object.values(op.responses))
          for (const c of Object.values(r.content ?? {})) within(c.schema);
      }
  });

  it('answers are as described', async () => {
    const { positions } = (await asta('GET', '/api/register')).body;
    const asked: ReadonlyArray<readonly [Caller, string, string, string, unknown?]> = [
      [nobody, 'get', '/api/health', '/api/health'],
      [nobody, 'get', '/api/greeting', '/api/greeting'],
      [asta, 'get', '/api/session', '/api/session'],
      [asta, 'get', '/api/plant', '/api/plant'],
      [asta, 'get', '/api/people', '/api/people'],
      [asta, 'get', '/api/account/sessions', '/api/account/sessions'],
      [asta, 'get', '/api/instruments', '/api/instruments'],
      [asta, 'get', '/api/register', '/api/register'],
      [asta, 'get', '/api/labels/{label}', `/api/labels/${positions[0].label}`],
      ...positions
        .slice(0, 12)
        .map((p: { id: string }) => [asta, 'get', '/api/positions/{id}', `/api/positions/${p.id}`] as const),
      [asta, 'get', '/api/parts', '/api/parts?q=HB'],
      [asta, 'get', '/api/due', '/api/due'],
      [asta, 'get', '/api/jobs', '/api/jobs'],
      [asta, 'get', '/api/jobs', '/api/jobs?state=signed'],
      [nobody, 'get', '/api/calculators', '/api/calculators'],
      [nobody, 'post', '/api/calculators/{id}', '/api/calculators/seal.flush', { powerW: 320, riseK: 8 }],
      [imke, 'post', '/api/people', '/api/people', { name: 'Described', role: 'viewer' }],
      [imke, 'post', '/api/positions', '/api/positions', { area: '', machine: 'Described', position: 'one' }],
      [asta, 'post', '/api/due/feed', '/api/due/feed', {}],
    ];
    for (const [who, method, path, at, body] of asked)
      holds(method, path, await who(method.toUpperCase(), at, body));
    const h = freshHand('described');
    holds('post', '/api/jobs/{id}/events', await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h)));
  });

  it('a body that is refused is refused by its described shape too; one that is taken is taken by it', async () => {
    const shape = (path: string) => {
      const schema = told.paths[path]?.post?.requestBody?.content['application/json']?.schema;
      if (!schema) throw new Error(path);
      return within(schema);
    };
    const cases: ReadonlyArray<readonly [path: string, body: unknown, taken: boolean]> = [
      ['/api/people', { name: 'Olaf', role: 'fitter' }, true],
      ['/api/people', { name: 'Olaf', role: 'boss' }, false],
      ['/api/people', { name: 'Olga', role: 'fitter', more: 1 }, false],
      ['/api/positions', { area: '', machine: 'M', position: 'p' }, true],
      ['/api/positions', { area: '', position: 'p' }, false],
      ['/api/machines/area', { machine: 'M', area: 7 }, false],
      [
        '/api/instruments',
        { name: 'Blade', kind: 'hammer', step: 1, low: 0, high: 1, calibrationDue: '2099-01-01' },
        false,
      ],
    ];
    for (const [path, body, taken] of cases) {
      expect([path, body, shape(path)(body)]).toEqual([path, body, taken]);
      const answer = await imke('POST', path, body);
      expect([path, body, answer.status < 300]).toEqual([path, body, taken]);
    }
  });

  it('faults are problems as described', async () => {
    const answer = await imke('POST', '/api/people', {});
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    const schema = told.components.schemas.Problem;
    if (!schema) throw new Error('Problem');
    expect(within(schema)(answer.body)).toBe(true);
  });
});
