import { houseRulesSchema } from '@fulcrant/core/api/requests';
import { check } from '@fulcrant/core/judgement/sentences';
import { type HouseRules, USUAL_HOUSE_RULES } from '@fulcrant/core/sources/schools';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type Route } from './routes.ts';

/** Which school the plant follows. The last word is in force; those before it stay on record. */
export const houseRules: Route[] = [
  {
    method: 'get',
    path: '/api/house-rules',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const last = await house.db.models.HouseRules.findOne({ order: [['n', 'DESC']] });
      const by = last ? await house.db.models.Person.findByPk(last.personId) : null;
      ctx.body = {
        rules: last ? (JSON.parse(last.rules) as HouseRules) : USUAL_HOUSE_RULES,
        set: last ? { by: by?.name ?? last.personId, at: last.at.toISOString() } : null,
      };
    },
  },
  {
    method: 'post',
    path: '/api/house-rules',
    who: ['lead'],
    asks: houseRulesSchema,
    async run({ ctx, house, body }, person) {
      const checked = check(houseRulesSchema, body);
      if (!checked.ok) throw new Problem(400, 'The house rules have faults.', checked.faults);
      const at = new Date();
      await house.db.models.HouseRules.create({
        personId: person.id,
        at,
        rules: JSON.stringify(checked.value),
      });
      ctx.status = 201;
      ctx.body = { rules: checked.value, set: { by: person.name, at: at.toISOString() } };
    },
  },
];
