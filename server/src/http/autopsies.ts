import { autopsySchema } from '@fulcrant/core/api';
import { autopsy } from '@fulcrant/core/history';
import { check } from '@fulcrant/core/judgement';
import { autopsiesOf, keepAutopsy } from '../store/autopsies.ts';
import { pastOf } from '../store/register.ts';
import { Problem } from './problem.ts';
import { knownPosition } from './register.ts';
import { RECORDERS, type Route } from './routes.ts';

const DAY_MS = 86_400_000;

/** What came out of a position, and what it is put down to. */
export const autopsies: Route[] = [
  {
    method: 'post',
    path: '/api/positions/:id/autopsies',
    who: RECORDERS,
    asks: autopsySchema,
    async run({ ctx, house, body, params }, me) {
      const card = await knownPosition(house.db, params.id);
      const checked = check(autopsySchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is right yet.', checked.faults);
      const { kind, seen, words, jobId, photos } = checked.value;
      const { past } = await pastOf(house.db, card.id);
      const fitted = jobId ? past.find((p) => p.jobId === jobId) : undefined;
      if (jobId && !fitted)
        throw new Problem(400, 'Not all is right yet.', [
          { path: 'jobId', message: 'That job was not at this position.' },
        ]);
      const livedDays = fitted?.signedAt
        ? Math.round((Date.now() - Date.parse(fitted.signedAt)) / DAY_MS)
        : null;
      const causes = autopsy({
        kind,
        seen,
        results: fitted?.results ?? {},
        livedDays,
      });
      await keepAutopsy(
        house.db,
        card.id,
        jobId ?? null,
        { kind, seen, words: words ?? '', photos: photos ?? [], livedDays, causes },
        me.id,
      );
      ctx.status = 201;
      ctx.body = { autopsies: await autopsiesOf(house.db, card.id) };
    },
  },
];
