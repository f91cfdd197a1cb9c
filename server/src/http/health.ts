import { QueryTypes } from 'sequelize';
import { M } from './messages.ts';
import { answers, type Route, route } from './routes.ts';
import { text, told } from './shapes.ts';

const PATIENCE_MS = 2500;

/** Is the house standing, and does its database answer? */
export const health: Route[] = [
  route({
    method: 'get',
    path: '/api/health',
    who: 'anyone',
    summary: M.whetherServerStandsDatabaseAnswers,
    answer: answers(told({ status: text, database: text, version: text })),
    async run({ ctx, house }) {
      let timer: NodeJS.Timeout | undefined;
      const patience = new Promise<'away'>((resolve) => {
        timer = setTimeout(() => resolve('away'), PATIENCE_MS);
      });
      const answer = house.db.sequelize.query('SELECT 1', { type: QueryTypes.SELECT }).then(
        () => 'ok' as const,
        (error: unknown) => {
          house.log.warn({ reason: String((error as Error).message) }, 'database away');
          return 'away' as const;
        },
      );
      const database = await Promise.race([answer, patience]);
      clearTimeout(timer);
      ctx.status = database === 'ok' ? 200 : 503;
      ctx.set('cache-control', 'no-store');
      return { status: database === 'ok' ? 'ok' : 'degraded', database, version: house.version };
    },
  }),
];
