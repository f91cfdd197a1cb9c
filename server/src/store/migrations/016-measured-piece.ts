import type { QueryInterface } from 'sequelize';

/** The piece of an outage in which shaft and box are measured had the name of a trade: plans and pins laid in name it anew. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`UPDATE outages SET body = REPLACE(body, ':survey"', ':measured"')`);
}
