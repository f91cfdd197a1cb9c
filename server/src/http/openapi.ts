import { jsonSchemaOf } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { say } from '@fulcrant/core/units';
import type { Schema } from 'yup';
import { M } from './messages.ts';
import type { Route } from './routes.ts';
import { listOf, maybe, numeral, text, told, worded } from './shapes.ts';

type Node = Record<string, unknown>;

/** What every fault comes as: RFC 9457. */
const problemShape = told({
  type: text,
  title: text,
  said: maybe(worded),
  status: numeral,
  faults: maybe(listOf(told({ path: text, message: text, said: maybe(worded) }))),
} as never);

const problem = { $ref: '#/components/schemas/Problem' };
/** What a problem of a status means here. */
const PROBLEMS: Readonly<Record<number, Text>> = {
  400: M.whatAskedDoesNotHold,
  401: M.nobodySigned,
  403: M.whoeverSignedMayNotDo,
  404: M.thereNoSuchThing,
  409: M.doesNotGoWhatThere,
  413: M.tooLarge,
  415: M.bodyCameAsSomethingElse,
  422: M.inputHasFaults,
  429: M.moreThanAnybodyAsksWhile,
  503: M.databaseDoesNotAnswerJust,
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
  if (answer.is === 'nothing') return { '204': { description: say(M.doneNothingAnswered, 'mm') } };
  if (answer.is === 'file')
    return {
      '200': {
        description: say(M.file, 'mm'),
        content: { [answer.type]: { schema: { type: 'string', format: 'binary' } } },
      },
    };
  return {
    [answer.status]: {
      description: say(answer.status === 201 ? M.thereNow : M.whatAsked, 'mm'),
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
    summary: say(route.summary, 'mm'),
    tags: [tagOf(route.path)],
    ...(route.who === 'anyone'
      ? { security: [] }
      : { description: say(M.forText({ who: route.who.join(', ') }), 'mm'), security: [{ session: [] }] }),
    ...(parameters.length ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: body } } : {}),
    responses: {
      ...answerOf(route),
      ...Object.fromEntries(
        problemsOf(route).map((status) => [
          status,
          {
            description: say(PROBLEMS[status] ?? M.cannotDone, 'mm'),
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
      title: say(COMMON.fulcrant, 'mm'),
      version,
      description: say(M.lengthsMmTorquesNM, 'mm'),
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/', description: say(M.server, 'mm') }],
    tags: [...new Set(routes.map((r) => tagOf(r.path)))].map((name) => ({ name })),
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'fulcrant' } },
      schemas: { Problem: jsonSchemaOf(problemShape) },
    },
  };
}
