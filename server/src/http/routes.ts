import type { Person } from '@fulcrant/core/api';
import Router from '@koa/router';
import type { Context, Next } from 'koa';
import type { Logger } from 'pino';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import type { Schema } from 'yup';
import type { Attempts } from '../auth/attempts.ts';
import { personOfSession } from '../auth/sessions.ts';
import type { StandIns } from '../instruments/stand-ins.ts';
import type { Database } from '../store/database.ts';
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
};

export type Call = { ctx: Context; house: House; params: Record<string, string>; body: unknown };

type Method = 'get' | 'post' | 'put' | 'delete';
type Who = 'anyone' | ReadonlyArray<Person['role']>;

/** What a route says of itself. */
type Told = {
  method: Method;
  path: string;
  /** What its body comes as, where that is not JSON. */
  takes?: string;
  /** The shape its body is held to. */
  asks?: Schema;
};

/** One route. It cannot be written without saying who may call it. */
export type Route =
  | ({ who: 'anyone'; run(call: Call): Promise<void> | void } & Told)
  | ({
      who: ReadonlyArray<Person['role']>;
      run(call: Call, person: Person): Promise<void> | void;
    } & Told);

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
  if (['POST', 'PUT'].includes(ctx.method) && !ctx.is(takes))
    throw new Problem(415, `Send the body as ${takes}.`);
}

async function admitCaller(house: House, ctx: Context, who: Who): Promise<Person | null> {
  if (who === 'anyone') return null;
  const person = await personOfSession(house.db, sessionToken(ctx));
  if (!person) throw new Problem(401, 'Sign in first.');
  if (!who.includes(person.role)) throw new Problem(403, `A ${person.role} may not do this.`);
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
      throw new Problem(
        429,
        'That is more than anybody asks in a minute. What waits is sent again by itself.',
      );
    }
  };
}

/** Lay the routes of all resources on one router. @param paced false where a test asks more than anybody would */
export function lay(house: House, routes: readonly Route[], paced = true): Router {
  const router = new Router();
  const pace = paced ? pacer() : null;
  for (const route of routes) {
    router[route.method](route.path, async (ctx: Context, _next: Next) => {
      const person = await admitCaller(house, ctx, route.who);
      await pace?.(ctx, person);
      mustComeAs(ctx, route.takes);
      const call: Call = {
        ctx,
        house,
        params: (ctx as Context & { params: Record<string, string> }).params,
        body: (ctx.request as { body?: unknown }).body,
      };
      if (route.who === 'anyone') await route.run(call);
      else if (person) await route.run(call, person);
    });
  }
  return router;
}
