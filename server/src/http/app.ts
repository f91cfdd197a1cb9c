import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { say } from '@fulcrant/core/units';
import { bodyParser } from '@koa/bodyparser';
import Koa, { type Context, type Next } from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import serve from 'koa-static';
import { Crowded } from '../heavy/workshop.ts';
import { Damaged } from '../store/append.ts';
import { isDatabaseAway, isDiskFull } from '../store/database.ts';
import { autopsies } from './autopsies.ts';
import { benches } from './benches.ts';
import { calculators } from './calculators.ts';
import { certificates } from './certificates.ts';
import { due } from './due.ts';
import { feed } from './feed.ts';
import { hands } from './hands.ts';
import { health } from './health.ts';
import { houseRules } from './house-rules.ts';
import { jobs } from './jobs.ts';
import { M } from './messages.ts';
import { openApi } from './openapi.ts';
import { outages } from './outages.ts';
import { parts } from './parts.ts';
import { people } from './people.ts';
import { photos } from './photos.ts';
import { plant } from './plant.ts';
import { practice } from './practice.ts';
import { Problem, sayProblem } from './problem.ts';
import { record } from './record.ts';
import { register } from './register.ts';
import { answers, type House, lay, type Route, route } from './routes.ts';
import { session } from './session.ts';
import { ofItsOwn } from './shapes.ts';

/** Every route of the house, each stating who may call it. */
export const ROUTES: readonly Route[] = [
  route({
    method: 'get',
    path: '/api/openapi.json',
    who: 'anyone',
    summary: M.description,
    answer: answers(ofItsOwn()),
    run({ house }) {
      return openApi(ROUTES, house.version);
    },
  }),
  ...health,
  ...session,
  ...plant,
  ...people,
  ...calculators,
  ...register,
  ...parts,
  ...autopsies,
  ...due,
  ...houseRules,
  ...jobs,
  ...photos,
  ...record,
  ...benches,
  ...practice,
  ...outages,
  ...certificates,
  ...hands,
  ...feed,
];

const POLICY = {
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // Dialogs set a scroll lock by a style element of their own making; scripts stay strict.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      connectSrc: ["'self'"],
      workerSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
    },
  },
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' as const },
};

/** What keeps the house from answering just now, and is no fault of who asks: it is tried again. */
const UNABLE: ReadonlyArray<{
  is(error: unknown): boolean;
  name: Text;
  level: 'info' | 'warn' | 'error';
  retryS: number;
  says: Text;
}> = [
  {
    is: isDatabaseAway,
    name: M.databaseAway,
    level: 'warn',
    retryS: 2,
    says: M.databaseDoesNotAnswerJust2,
  },
  {
    is: (error) => error instanceof Damaged,
    name: M.jobsRecordDamaged,
    level: 'error',
    retryS: 300,
    says: M.recordJobDoesNotHold,
  },
  {
    is: isDiskFull,
    name: M.diskFull,
    level: 'error',
    retryS: 30,
    says: M.diskHouseFullNothingMore,
  },
  {
    is: (error) => error instanceof Crowded,
    name: M.threadsTaken,
    level: 'info',
    retryS: 2,
    says: M.soManyAskLikeJust,
  },
];

/** Faults become problems; what we did not foresee is logged and said without its inside. */
const faults = (house: House) => async (ctx: Context, next: Next) => {
  try {
    await next();
    if (ctx.status === 404 && !ctx.body && ctx.path.startsWith('/api/'))
      sayProblem(ctx, 404, M.thereNothingAddress);
  } catch (error) {
    if (error instanceof Problem) return sayProblem(ctx, error.status, error.title, error.faults);
    const unable = UNABLE.find((u) => u.is(error));
    if (unable) {
      house.log[unable.level]({ path: ctx.path, reason: (error as Error).message }, say(unable.name, 'mm'));
      ctx.set('retry-after', String(unable.retryS));
      return sayProblem(ctx, 503, unable.says);
    }
    const status = (error as { status?: number }).status ?? 500;
    if (status >= 500) {
      house.log.error({ err: error, path: ctx.path }, 'unforeseen fault');
      return sayProblem(ctx, 500, M.somethingWentWrongHereLog);
    }
    return sayProblem(
      ctx,
      status,
      status === 413 ? M.bodyTooLarge : status === 400 ? M.bodyNotValidJson : COMMON.requestRefused,
    );
  }
};

const logged = (house: House) => async (ctx: Context, next: Next) => {
  const began = performance.now();
  await next();
  house.log.info(
    { method: ctx.method, path: ctx.path, status: ctx.status, ms: Math.round(performance.now() - began) },
    'served',
  );
};

/** What an answer of the API needs: it is no page, draws nothing, runs nothing and stands in no frame. */
const API_GUARD = {
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-resource-policy': 'same-origin',
  // What the plant answers is for who asked, now; nothing between may keep it.
  'cache-control': 'no-store',
};

/** Pages get the whole policy; answers of the API, which come with every reading, the part that means something there. */
function guarded() {
  const pages = helmet(POLICY);
  return (ctx: Context, next: Next) => {
    if (!ctx.path.startsWith('/api/')) return pages(ctx, next);
    ctx.set(API_GUARD);
    return next();
  };
}

/** Built files are named by their content and kept for good; the page itself is asked for each time. */
function pages(webDir: string) {
  const files = serve(webDir, {
    index: false,
    setHeaders: (res, path) =>
      void res.setHeader(
        'cache-control',
        path.includes(`${'/'}assets${'/'}`) ? 'public, max-age=31536000, immutable' : 'no-cache',
      ),
  });
  return async (ctx: Context, next: Next) => {
    if (ctx.path.startsWith('/api/') || !['GET', 'HEAD'].includes(ctx.method)) return next();
    await files(ctx, async () => {});
    const isPage = ctx.status === 404 && !/\.[a-z0-9]+$/i.test(ctx.path);
    if (isPage && existsSync(join(webDir, 'index.html'))) {
      ctx.type = 'html';
      ctx.set('cache-control', 'no-cache');
      ctx.body = await readFile(join(webDir, 'index.html'), 'utf8');
    }
  };
}

/** Somebody who hears a feed leaves whenever they like: no fault of anybody's. */
const hasLeft = (error: unknown): boolean =>
  ['ERR_STREAM_PREMATURE_CLOSE', 'ECONNRESET', 'EPIPE'].includes((error as { code?: string }).code ?? '');

/** Over a secure way once, over a secure way always: browsers are told so where this one came by one. */
const HSTS = 'max-age=31536000';
const keptSecure = (ctx: Context, next: Next) => {
  if (ctx.secure) ctx.set('strict-transport-security', HSTS);
  return next();
};

/**
 * The whole application, ready to listen.
 * @param held every answer is held to what its route says of it: for tests
 * @param proxy one proxy stands before it: what that one says of who asks, and only its own word, is believed
 */
export function buildApp(
  house: House,
  webDir: string,
  { proxy = false, paced = true, held = false } = {},
): Koa {
  const app = new Koa({ proxy, maxIpsCount: proxy ? 1 : 0 });
  const router = lay(house, ROUTES, { paced, held });
  app.use(logged(house));
  app.use(keptSecure);
  app.use(guarded());
  app.use(compress({ threshold: 1024 }));
  app.use(faults(house));
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '512kb', jsonStrict: true }));
  app.use(router.routes());
  app.use(pages(webDir));
  app.on('error', (error) =>
    hasLeft(error)
      ? house.log.debug('a reader left its stream')
      : house.log.error({ err: error }, 'socket fault'),
  );
  return app;
}
