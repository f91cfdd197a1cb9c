import type { Person } from '@fulcrant/core/api/requests';
import Router from '@koa/router';
import type { Context, Next } from 'koa';
import type { Logger } from 'pino';
import { personOfSession } from '../auth/sessions.ts';
import type { StandIns } from '../instruments/stand-ins.ts';
import type { Database } from '../store/database.ts';
import { Problem } from './problem.ts';

export type House = { db: Database; version: string; log: Logger; standIns: StandIns };

export type Call = { ctx: Context; house: House; params: Record<string, string>; body: unknown };

type Who = 'anyone' | ReadonlyArray<Person['role']>;

/** One route. It cannot be written without saying who may call it. */
export type Route =
  | { method: 'get' | 'post' | 'delete'; path: string; who: 'anyone'; run(call: Call): Promise<void> | void }
  | {
      method: 'get' | 'post' | 'delete';
      path: string;
      who: ReadonlyArray<Person['role']>;
      run(call: Call, person: Person): Promise<void> | void;
    };

export const EVERYONE_SIGNED_IN = ['fitter', 'lead', 'viewer'] as const;
export const RECORDERS = ['fitter', 'lead'] as const;
export const COOKIE = 'fulcrant';

/** A body may only come as JSON: a form on a foreign page cannot send that, and SameSite does the rest. */
function mustBeJson(ctx: Context): void {
  if (ctx.method === 'POST' && !ctx.is('application/json'))
    throw new Problem(415, 'Send the body as application/json.');
}

async function admitCaller(house: House, ctx: Context, who: Who): Promise<Person | null> {
  if (who === 'anyone') return null;
  const person = await personOfSession(house.db, ctx.cookies.get(COOKIE));
  if (!person) throw new Problem(401, 'Sign in first.');
  if (!who.includes(person.role)) throw new Problem(403, `A ${person.role} may not do this.`);
  return person;
}

/** Lay the routes of all resources on one router. */
export function lay(house: House, routes: readonly Route[]): Router {
  const router = new Router();
  for (const route of routes) {
    router[route.method](route.path, async (ctx: Context, _next: Next) => {
      mustBeJson(ctx);
      const person = await admitCaller(house, ctx, route.who);
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
