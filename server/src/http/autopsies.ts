import { autopsySchema } from '@fulcrant/core/api';
import { autopsy } from '@fulcrant/core/history';
import { autopsiesOf, keepAutopsy } from '../store/autopsies.ts';
import { pastOf } from '../store/register.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { knownPosition } from './register.ts';
import { made, RECORDERS, type Route, route } from './routes.ts';
import { autopsyShape, listOf, told } from './shapes.ts';

const DAY_MS = 86_400_000;

/** What came out of a position, and what it is put down to. */
export const autopsies: Route[] = [
  route({
    method: 'post',
    path: '/api/positions/:id/autopsies',
    who: RECORDERS,
    summary: M.reportPartHasComeOut,
    asks: autopsySchema,
    refused: M.notAllRightYet,
    answer: made(told({ autopsies: listOf(autopsyShape) })),
    async run({ house, body, params }, me) {
      const card = await knownPosition(house.db, params.id);
      const { kind, seen, words, jobId, photos } = body;
      const { past } = await pastOf(house.db, card.id);
      const fitted = jobId ? past.find((p) => p.jobId === jobId) : undefined;
      if (jobId && !fitted)
        throw new Problem(400, M.notAllRightYet, [{ path: 'jobId', message: M.jobNotPosition }]);
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
      return { autopsies: await autopsiesOf(house.db, card.id) };
    },
  }),
];
