import { siteRulesSchema } from '@fulcrant/core/api';
import { usualRules } from '@fulcrant/core/job';
import type { SiteRules } from '@fulcrant/core/judgement';
import type { Transaction } from 'sequelize';
import { M } from './messages.ts';
import '@fulcrant/core/every-trade';
import { type Database, tryingAgain } from '../store/database.ts';
import { answers, EVERYONE_SIGNED_IN, made, type Route, route } from './routes.ts';
import { moment, ofItsOwn, orNull, text, told } from './shapes.ts';

/** The rules laid down last; the last row is held until the transaction ends where others may want to lay theirs on it. */
async function inForce(db: Database, transaction?: Transaction) {
  const held = transaction ? { transaction, lock: transaction.LOCK.UPDATE } : {};
  const last = await db.models.HouseRules.findOne({ order: [['n', 'DESC']], ...held });
  return { last, rules: last ? (JSON.parse(last.rules) as SiteRules) : usualRules() };
}

/** What is chosen, by method; who chose last, where anybody has. */
const rulesShape = told<{ rules: SiteRules; set: { by: string; at: string } | null }>({
  rules: ofItsOwn<SiteRules>(),
  set: orNull(told({ by: text, at: moment })),
});

/** The methods of the trades enrolled. */
const RULES = siteRulesSchema();

/** Which methods the site follows. The last word is in force; those before it stay on record. */
export const houseRules: Route[] = [
  route({
    method: 'get',
    path: '/api/house-rules',
    who: EVERYONE_SIGNED_IN,
    summary: M.methodsSiteFollows,
    answer: answers(rulesShape),
    async run({ house }) {
      const { last, rules } = await inForce(house.db);
      const by = last ? await house.db.models.Person.findByPk(last.personId) : null;
      return {
        rules,
        set: last ? { by: by?.name ?? last.personId, at: last.at.toISOString() } : null,
      };
    },
  }),
  route({
    method: 'post',
    path: '/api/house-rules',
    who: ['lead'],
    summary: M.chooseMethodNewJobs,
    asks: RULES,
    refused: M.houseRulesHaveFaults,
    answer: made(rulesShape),
    async run({ house, body }, person) {
      const at = new Date();
      // Laid on what stands now, not on what a page showed this morning: another's rule is not set back by the way.
      const lay = async (transaction: Transaction) => {
        const now = { ...(await inForce(house.db, transaction)).rules, ...body };
        await house.db.models.HouseRules.create(
          { personId: person.id, at, rules: JSON.stringify(now) },
          { transaction },
        );
        return now;
      };
      const rules = await tryingAgain(() => house.db.sequelize.transaction(lay));
      return { rules, set: { by: person.name, at: at.toISOString() } };
    },
  }),
];
