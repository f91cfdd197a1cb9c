import type { Instrument } from '@fulcrant/core/instruments';
import type { Database } from './database.ts';

/** Gauges of the register by their ids, as an event names them: a stand-in says so, a real gauge says nothing. */
export async function gaugesById(
  { models }: Pick<Database, 'models'>,
  ids: readonly string[],
): Promise<Map<string, Instrument>> {
  const rows = await models.Instrument.findAll({ where: { id: [...ids] } });
  return new Map(
    rows.map((row) => {
      const { standIn, ...gauge } = row.get({ plain: true }) as Instrument;
      return [gauge.id, standIn ? { ...gauge, standIn } : gauge];
    }),
  );
}
