import type { Person } from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import Router from '@koa/router';
import type { Context, Next } from 'koa';
import type { Logger } from 'pino';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import type { Schema } from 'yup';
import type { Attempts } from '../auth/attempts.ts';
import { personOfSession } from '../auth/sessions.ts';
import type { StandIns } from '../instruments/stand-ins.ts';
import type { Database } from '../store/database.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';

export type House = {
  db: Database;
  /** Tries to get in, as they are counted. */
  attempts: Attempts;
  version: string;
  log: Logger;
  standIns: StandIns;
  /** Where photographs lie. */
  photoDir: string;
  /** Have the demo laid anew: every server stops, and comes back with it. Left out where nobody would bring it back. */
  layDemoAnew?: () => void;
};

export type Call<B = unknown, Q = unknown> = {
  ctx: Context;
  house: House;
  params: Record<string, string>;
  /** The body and what stands after the question mark, as the route’s schemas let them in. */
  body: B;
  query: Q;
};

type Method = 'get' | 'post' | 'put' | 'delete';
type Who = 'anyone' | ReadonlyArray<Person['role']>;

/** What a route answers: a shape, nothing, or a file it sends itself. */
export type Answer<T> =
  | { is: 'json'; status: 200 | 201; schema: Schema<T> }
  | { is: 'nothing' }
  | { is: 'file'; type: string };

/** A shape answered; `made` where something new is there. */
export const answers = <T>(schema: Schema<T>): Answer<T> => ({ is: 'json', status: 200, schema });
export const made = <T>(schema: Schema<T>): Answer<T> => ({ is: 'json', status: 201, schema });
export const NOTHING: Answer<void> = { is: 'nothing' };
export const file = (type: string): Answer<void> => ({ is: 'file', type });

/** The route has written its answer itself: a text that was made long before, or a mark that nothing has changed. */
export const SENT = Symbol('sent');

/** What a route says of itself: it is held to it, and described by it. */
type Told<B, Q, T, W extends Who> = {
  method: Method;
  path: string;
  who: W;
  /** What it does, in a sentence without its dot. */
  summary: Text;
  /** What its body comes as, where that is not JSON. */
  takes?: string;
  /** The shape its body is held to, and what is said where it does not hold. */
  asks?: Schema<B>;
  refused?: Text;
  /** Faults of a part of the body are told by its own fields. */
  faultsIn?: string;
  /** The shape of what stands after the question mark, each a text as it comes. */
  query?: Schema<Q>;
  answer: Answer<T>;
  /** Problems of its own beside those every route of its kind has. */
  problems?: readonly number[];
  run(
    call: Call<B, Q>,
    person: W extends 'anyone' ? null : Person,
  ): Promise<T | typeof SENT> | T | typeof SENT;
};

/** A route as the router and the description hold it. */
export type Route = Told<never, never, unknown, Who>;

/** One route. It cannot be written without saying who may call it, what it does and what it answers. */
export const route = <W extends Who, T, B = unknown, Q = unknown>(told: Told<B, Q, T, W>): Route =>
  told as unknown as Route;

export const EVERYONE_SIGNED_IN = ['fitter', 'lead', 'viewer', 'instructor'] as const;
export const LEADS = ['lead'] as const;
export const RECORDERS = ['fitter', 'lead'] as const;

/** What a browser keeps: over a secure way under names only this host may set there. */
const cookie = (ctx: Context, name: string) => (ctx.secure ? `__Host-${name}` : name);
export const sessionCookie = (ctx: Context): string => cookie(ctx, 'fulcrant');
export const deviceCookie = (ctx: Context): string => cookie(ctx, 'fulcrant-device');
export const sessionToken = (ctx: Context): string | undefined => ctx.cookies.get(sessionCookie(ctx));
export const deviceToken = (ctx: Context): string | undefined => ctx.cookies.get(deviceCookie(ctx));

/** A body may only come as JSON, or as what the route takes: a form on a foreign page cannot send that, and SameSite does the rest. */
function mustComeAs(ctx: Context, takes = 'application/json'): void {
  if (['POST', 'PUT'].includes(ctx.method) && !ctx.is(takes)) throw new Problem(415, M.sendBodyAs({ takes }));
}

async function admitCaller(house: House, ctx: Context, who: Who): Promise<Person | null> {
  if (who === 'anyone') return null;
  const person = await personOfSession(house.db, sessionToken(ctx));
  if (!person) throw new Problem(401, COMMON.signFirst);
  if (!who.includes(person.role)) throw new Problem(403, M.mayNotDo({ role: person.role }));
  return person;
}

/** What one person, or one address of nobody, may ask within a minute: more than any hand or device does, less than would hold up the house. */
const ASKS_A_MINUTE = 3000;

/** Each process looks after itself: this is no limit that guards anything, only one that keeps a runaway from everybody's way. */
function pacer(): (ctx: Context, person: Person | null) => Promise<void> {
  const pace = new RateLimiterMemory({ points: ASKS_A_MINUTE, duration: 60 });
  return async (ctx, person) => {
    try {
      await pace.consume(person?.id ?? `at ${ctx.ip}`);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      ctx.set('retry-after', String(Math.ceil(error.msBeforeNext / 1000)));
      throw new Problem(429, M.moreThanAnybodyAsksMinute);
    }
  };
}

/** A body or a query held to the schema a route has for it; as it came where it has none. @throws Problem 400 */
function heldTo(schema: Schema | undefined, value: unknown, refused?: Text, faultsIn = ''): unknown {
  if (!schema) return value;
  const checked = check(schema, value);
  // It holds as it came: what it leaves out is as its schema has it.
  if (checked.ok) return schema.cast(checked.value);
  const faults = checked.faults.map((f) => ({
    ...f,
    path: faultsIn && f.path.startsWith(`${faultsIn}.`) ? f.path.slice(faultsIn.length + 1) : f.path,
  }));
  throw new Problem(400, refused ?? faults[0]?.message ?? M.cannotAskedSo, faults);
}

/** Only what a route’s schema names is looked at: what else stands there is somebody else’s. */
function namedIn(schema: Schema | undefined, query: Record<string, string | undefined>): unknown {
  const fields = (schema as { fields?: Record<string, { type: string }> } | undefined)?.fields;
  if (!fields) return query;
  return Object.fromEntries(
    Object.keys(fields).flatMap((k) => {
      const v = query[k];
      if (v === undefined) return [];
      // What is no number stays a text, and is refused as such.
      const number = fields[k]?.type === 'number' && v.trim() !== '' ? Number(v) : Number.NaN;
      return [[k, Number.isNaN(number) ? v : number]];
    }),
  );
}

/** What stands after a question mark as a schema lets it in: each name once, the first of several, with what is usual of the others. */
export function queryAs(schema: Schema | undefined, asked: Context['query']): unknown {
  const once = Object.entries(asked).map(([k, v]) => [k, Array.isArray(v) ? v[0] : v] as const);
  return heldTo(schema, namedIn(schema, Object.fromEntries(once)));
}

/** Answer as the route says it does. @param held every answer is looked at: for tests, which then say what does not fit */
function send(ctx: Context, { answer, path }: Route, value: unknown, held: boolean): void {
  if (value === SENT || answer.is === 'file') return;
  if (answer.is === 'nothing') {
    ctx.status = 204;
    return;
  }
  const body = value as object;
  if (held) {
    const fits = check(answer.schema, JSON.parse(JSON.stringify(body)));
    if (!fits.ok) throw new Error(`${path} answers otherwise than it says: ${JSON.stringify(fits.faults)}`);
  }
  ctx.status = ctx.status === 404 ? answer.status : ctx.status;
  ctx.body = body;
}

type Laid = {
  /** False where a test asks more than anybody would. */
  paced?: boolean;
  /** Every answer is held to what its route says. */
  held?: boolean;
};

/** Lay the routes of all resources on one router. */
export function lay(
  house: House,
  routes: readonly Route[],
  { paced = true, held = false }: Laid = {},
): Router {
  const router = new Router();
  const pace = paced ? pacer() : null;
  for (const route of routes) {
    router[route.method](route.path, async (ctx: Context, _next: Next) => {
      const person = await admitCaller(house, ctx, route.who);
      await pace?.(ctx, person);
      mustComeAs(ctx, route.takes);
      const call = {
        ctx,
        house,
        params: (ctx as Context & { params: Record<string, string> }).params,
        query: queryAs(route.query, ctx.query),
        body: heldTo(route.asks, (ctx.request as { body?: unknown }).body, route.refused, route.faultsIn),
      } as Call<never, never>;
      send(ctx, route, await route.run(call, person as never), held);
    });
  }
  return router;
}
