import { siteRulesSchema } from '@fulcrant/core/api';
import { usualRules } from '@fulcrant/core/job';
import { check, type SiteRules } from '@fulcrant/core/judgement';
import type { Transaction } from 'sequelize';
import '@fulcrant/core/every-trade';
import { type Database, tryingAgain } from '../store/database.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type Route } from './routes.ts';

/** The rules laid down last; the last row is held until the transaction ends where others may want to lay theirs on it. */
async function inForce(db: Database, transaction?: Transaction) {
  const held = transaction ? { transaction, lock: transaction.LOCK.UPDATE } : {};
  const last = await db.models.HouseRules.findOne({ order: [['n', 'DESC']], ...held });
  return { last, rules: last ? (JSON.parse(last.rules) as SiteRules) : usualRules() };
}

/** The methods of the trades enrolled. */
const RULES = siteRulesSchema();

/** Which methods the site follows. The last word is in force; those before it stay on record. */
export const houseRules: Route[] = [
  {
    method: 'get',
    path: '/api/house-rules',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const { last, rules } = await inForce(house.db);
      const by = last ? await house.db.models.Person.findByPk(last.personId) : null;
      ctx.body = {
        rules,
        set: last ? { by: by?.name ?? last.personId, at: last.at.toISOString() } : null,
      };
    },
  },
  {
    method: 'post',
    path: '/api/house-rules',
    who: ['lead'],
    asks: RULES,
    async run({ ctx, house, body }, person) {
      const checked = check(RULES, body);
      if (!checked.ok) throw new Problem(400, 'The house rules have faults.', checked.faults);
      const at = new Date();
      // Laid on what stands now, not on what a page showed this morning: another's rule is not set back by the way.
      const lay = async (transaction: Transaction) => {
        const now = { ...(await inForce(house.db, transaction)).rules, ...checked.value };
        await house.db.models.HouseRules.create(
          { personId: person.id, at, rules: JSON.stringify(now) },
          { transaction },
        );
        return now;
      };
      const rules = await tryingAgain(() => house.db.sequelize.transaction(lay));
      ctx.status = 201;
      ctx.body = { rules, set: { by: person.name, at: at.toISOString() } };
    },
  },
];
