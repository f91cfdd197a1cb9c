import { jsonSchemaOf } from '@fulcrant/core/judgement';
import type { Schema } from 'yup';
import type { Route } from './routes.ts';
import { listOf, maybe, numeral, text, told } from './shapes.ts';

type Node = Record<string, unknown>;

/** What every fault comes as: RFC 9457. */
const problemShape = told({
  type: text,
  title: text,
  status: numeral,
  faults: maybe(listOf(told({ path: text, message: text }))),
} as never);

const problem = { $ref: '#/components/schemas/Problem' };
/** What a problem of a status means here. */
const PROBLEMS: Readonly<Record<number, string>> = {
  400: 'What was asked does not hold: a sentence, and one beside each field.',
  401: 'Nobody is signed in.',
  403: 'Whoever is signed in may not do this.',
  404: 'There is no such thing.',
  409: 'It does not go with what is there now.',
  413: 'It is too large.',
  415: 'The body came as something else.',
  422: 'The input has faults.',
  429: 'That is more than anybody asks in a while.',
  503: 'The database does not answer just now; nothing is lost.',
};

/** A schema of checks as JSON Schema; what may be anything but is an object says so. */
function shapeOf(schema: Schema): Node {
  const node = jsonSchemaOf(schema);
  return (schema.describe() as { meta?: { object?: boolean } }).meta?.object ? { type: 'object' } : node;
}

/** The problems a route can answer with, by what it is. */
function problemsOf(route: Route): number[] {
  return [
    ...(route.asks || route.query ? [400] : []),
    ...(route.who === 'anyone' ? [] : [401, 403]),
    ...(/:/.test(route.path) ? [404] : []),
    ...(['post', 'put'].includes(route.method) ? [415] : []),
    ...(route.takes ? [400, 413] : []),
    ...(route.problems ?? []),
    429,
    503,
  ].filter((n, i, all) => all.indexOf(n) === i);
}

function answerOf({ answer }: Route): Node {
  if (answer.is === 'nothing') return { '204': { description: 'Done; nothing is answered.' } };
  if (answer.is === 'file')
    return {
      '200': {
        description: 'The file.',
        content: { [answer.type]: { schema: { type: 'string', format: 'binary' } } },
      },
    };
  return {
    [answer.status]: {
      description: answer.status === 201 ? 'It is there now.' : 'What was asked for.',
      content: { 'application/json': { schema: shapeOf(answer.schema) } },
    },
  };
}

/** Fields of a query’s schema as parameters: none has to be there. */
function queryParameters(schema: Schema): Node[] {
  const { properties = {} } = jsonSchemaOf(schema) as { properties?: Record<string, Node> };
  return Object.entries(properties).map(([name, inner]) => ({
    name,
    in: 'query',
    required: false,
    schema: inner,
  }));
}

const tagOf = (path: string): string => path.split('/')[2]?.replace(/\..*$/, '') ?? '';

function operation(route: Route): Node {
  const names = [...route.path.matchAll(/:(\w+)/g)].map((m) => m[1] ?? '');
  const parameters = [
    ...names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
    ...(route.query ? queryParameters(route.query) : []),
  ];
  const body = route.asks
    ? { 'application/json': { schema: shapeOf(route.asks) } }
    : route.takes
      ? { [route.takes]: { schema: { type: 'string', format: 'binary' } } }
      : route.method === 'post'
        ? { 'application/json': { schema: { type: 'object' } } }
        : null;
  return {
    operationId: `${route.method}${route.path.replace(/[^A-Za-z]+(\w)/g, (_all, c: string) => c.toUpperCase())}`,
    summary: route.summary,
    tags: [tagOf(route.path)],
    ...(route.who === 'anyone'
      ? { security: [] }
      : { description: `For: ${route.who.join(', ')}.`, security: [{ session: [] }] }),
    ...(parameters.length ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: body } } : {}),
    responses: {
      ...answerOf(route),
      ...Object.fromEntries(
        problemsOf(route).map((status) => [
          status,
          {
            description: PROBLEMS[status] ?? 'It cannot be done.',
            content: { 'application/problem+json': { schema: problem } },
          },
        ]),
      ),
    },
  };
}

/** The API as OpenAPI 3.1: each operation is made from its route, which checks and answers by the same schemas. */
export function openApi(routes: readonly Route[], version: string): Node {
  const paths: Record<string, Node> = {};
  for (const route of routes) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method]: operation(route) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fulcrant',
      version,
      description:
        'Lengths in mm, torques in N·m, pressures in MPa, temperatures in °C, times in UTC. Faults come as RFC 9457 problems.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/', description: 'This server.' }],
    tags: [...new Set(routes.map((r) => tagOf(r.path)))].map((name) => ({ name })),
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'fulcrant' } },
      schemas: { Problem: jsonSchemaOf(problemShape) },
    },
  };
}
