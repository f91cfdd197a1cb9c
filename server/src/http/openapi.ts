import { jsonSchemaOf } from '@fulcrant/core/judgement';
import { ANSWERS, SCHEMAS } from './answers.ts';
import type { Route } from './routes.ts';

type Node = Record<string, unknown>;

const problem = { $ref: '#/components/schemas/Problem' };
const said = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: problem } },
});

/** How files go out, by the end of their path. */
const FILES: ReadonlyArray<readonly [RegExp, string]> = [
  [/\.pdf$/, 'application/pdf'],
  [/\.csv$/, 'text/csv'],
  [/\.ics$|feeds\//, 'text/calendar'],
  [/photos\//, 'image/jpeg'],
  [/certificates\//, 'application/octet-stream'],
  [/^\/api\/feed\//, 'text/event-stream'],
];

function operation(route: Route): Node {
  const names = [...route.path.matchAll(/:(\w+)/g)].map((m) => m[1] ?? '');
  const file = route.method === 'get' ? FILES.find(([end]) => end.test(route.path))?.[1] : undefined;
  const answer = ANSWERS[`${route.method} ${route.path}`];
  const body = route.asks
    ? { 'application/json': { schema: jsonSchemaOf(route.asks) } }
    : route.takes
      ? { [route.takes]: { schema: { type: 'string', format: 'binary' } } }
      : route.method === 'post'
        ? { 'application/json': { schema: { type: 'object' } } }
        : null;
  return {
    operationId: `${route.method}${route.path.replace(/[^A-Za-z]+(\w)/g, (_all, c: string) => c.toUpperCase())}`,
    ...(route.who === 'anyone'
      ? { security: [] }
      : { description: `For: ${route.who.join(', ')}.`, security: [{ session: [] }] }),
    ...(names.length
      ? {
          parameters: names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
        }
      : {}),
    ...(body ? { requestBody: { required: true, content: body } } : {}),
    responses: {
      ...(answer?.none
        ? { '204': { description: 'Done; nothing is answered.' } }
        : {
            [answer?.status ?? '200']: {
              description: answer?.says ?? 'Done.',
              content: {
                [file ?? 'application/json']: {
                  schema: answer?.schema ?? (file ? { type: 'string', format: 'binary' } : {}),
                },
              },
            },
          }),
      '4XX': said('What was asked cannot be: a sentence, and one beside each field.'),
      '503': said('The database does not answer just now; nothing is lost.'),
    },
  };
}

/** The API as OpenAPI 3.1, made from the routes themselves and the schemas they hold bodies to. */
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
    },
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'fulcrant' } },
      schemas: SCHEMAS,
    },
  };
}
