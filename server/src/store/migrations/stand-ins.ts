import type { QueryInterface } from 'sequelize';

/** Id, name, kind, step and range of a simulated gauge. */
type StandIn = readonly [id: string, name: string, kind: string, step: number, low: number, high: number];

/** Put simulated gauges into the register, marked so; nothing of them wears or drifts. */
export const layStandIns = (q: QueryInterface, rows: readonly StandIn[]): Promise<object | number> =>
  q.bulkInsert(
    'instruments',
    rows.map(([id, name, kind, step, low, high]) => ({
      id,
      name,
      kind,
      step,
      low,
      high,
      calibration_due: '2099-12-31',
      stand_in: true,
    })),
  );
