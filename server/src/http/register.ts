import { randomUUID } from 'node:crypto';
import {
  calibratedSchema,
  gaugeUseSchema,
  importSchema,
  newInstrumentSchema,
  newPositionSchema,
  type PositionCard,
} from '@fulcrant/core/api';
import { check, isDay } from '@fulcrant/core/judgement';
import { literal } from 'sequelize';
import { csvOf } from '../export/csv.ts';
import { labelsPdf } from '../export/labels-pdf.ts';
import { autopsiesOf } from '../store/autopsies.ts';
import { shaftsOf } from '../store/cards.ts';
import { type Database, isTaken } from '../store/database.ts';
import { labelIn } from '../store/labels.ts';
import { plantOf } from '../store/plant.ts';
import { findPositions } from '../store/positions.ts';
import {
  addPosition,
  importPositions,
  pastOf,
  positionById,
  positionByLabel,
  registerOf,
  setArea,
} from '../store/register.ts';
import { limitOf, positionOf, typedOf } from './paging.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, LEADS, RECORDERS, type Route } from './routes.ts';

const areaSchema = newPositionSchema.pick(['area', 'machine']);

/** Gauges and machine positions. */
export const register: Route[] = [
  {
    method: 'get',
    path: '/api/instruments',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const those = (out: boolean) =>
        house.db.models.Instrument.findAll({
          where: literal(`out_of_use = ${out ? 'TRUE' : 'FALSE'}`),
          order: [
            ['kind', 'ASC'],
            ['name', 'ASC'],
          ],
        });
      const [instruments, outOfUse] = await Promise.all([those(false), those(true)]);
      ctx.body = { instruments, outOfUse };
    },
  },
  {
    method: 'post',
    path: '/api/instruments',
    who: RECORDERS,
    asks: newInstrumentSchema,
    async run({ ctx, house, body }) {
      const checked = check(newInstrumentSchema, body);
      if (!checked.ok) throw new Problem(400, 'The gauge has faults.', checked.faults);
      if (checked.value.low >= checked.value.high)
        throw new Problem(400, 'The gauge has faults.', [
          { path: 'high', message: 'The range must end above where it begins.' },
        ]);
      if (await house.db.models.Instrument.findOne({ where: { name: checked.value.name } })) {
        throw new Problem(409, 'The gauge has faults.', [
          { path: 'name', message: 'A gauge of that name is in the register.' },
        ]);
      }
      try {
        ctx.body = {
          instrument: await house.db.models.Instrument.create({ id: `g-${randomUUID()}`, ...checked.value }),
        };
      } catch (error) {
        // Two of one name at the same moment: the second is told what the first would have been told later.
        if (!isTaken(error)) throw error;
        throw new Problem(409, 'The gauge has faults.', [
          { path: 'name', message: 'A gauge of that name is in the register.' },
        ]);
      }
      ctx.status = 201;
    },
  },
  {
    method: 'post',
    path: '/api/instruments/:id/calibrated',
    who: RECORDERS,
    asks: calibratedSchema,
    async run({ ctx, house, body, params }) {
      const checked = check(calibratedSchema, body);
      if (!checked.ok) throw new Problem(400, 'The date has faults.', checked.faults);
      const { calibrationDue } = checked.value;
      if (!isDay(calibrationDue))
        throw new Problem(400, 'The date has faults.', [
          { path: 'calibrationDue', message: 'There is no such day.' },
        ]);
      const found = await house.db.models.Instrument.findByPk(params.id ?? '');
      if (!found) throw new Problem(404, 'There is no such gauge.');
      await found.update({ calibrationDue }, { fields: ['calibrationDue'] });
      ctx.body = { instrument: found };
    },
  },
  {
    method: 'post',
    path: '/api/instruments/:id/use',
    who: LEADS,
    asks: gaugeUseSchema,
    /** Out of use nothing is read with it any more; what was read with it before it was taken out still comes in. */
    async run({ ctx, house, body, params }) {
      const checked = check(gaugeUseSchema, body);
      if (!checked.ok) throw new Problem(400, 'Is it in use or not?', checked.faults);
      const found = await house.db.models.Instrument.findByPk(params.id ?? '');
      if (!found || found.standIn) throw new Problem(404, 'There is no such gauge.');
      await house.db.sequelize.query('UPDATE instruments SET out_of_use = ? WHERE id = ?', {
        replacements: [!checked.value.inUse, found.id],
      });
      ctx.status = 204;
    },
  },
  {
    method: 'get',
    path: '/api/positions',
    who: EVERYONE_SIGNED_IN,
    /** `?q=` as typed: every word somewhere in machine or position. `more` says that the list is cut. */
    async run({ ctx, house }) {
      ctx.body = await findPositions(house.db, typedOf(ctx), limitOf(ctx));
    },
  },
  {
    method: 'get',
    path: '/api/register',
    who: EVERYONE_SIGNED_IN,
    /** `?q=` as typed, or a label as it is printed or scanned. `more` says that the list is cut. */
    async run({ ctx, house }) {
      ctx.body = await registerOf(house.db, typedOf(ctx), REGISTER_MOST);
    },
  },
  {
    method: 'get',
    path: '/api/register.csv',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const { positions } = await registerOf(house.db, '', 100_000);
      const rows = positions.map(({ area, machine, position, label, jobs, lastSignedAt }) => ({
        area,
        machine,
        position,
        label,
        jobs,
        signed: lastSignedAt ?? '',
      }));
      ctx.body = csvOf(rows, ['area', 'machine', 'position', 'label', 'jobs', 'signed']);
      ctx.attachment('register.csv');
      ctx.type = 'text/csv; charset=utf-8';
    },
  },
  {
    method: 'post',
    path: '/api/register/import',
    who: RECORDERS,
    asks: importSchema,
    async run({ ctx, house, body }) {
      const checked = check(importSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is no file to take in.', checked.faults);
      ctx.body = await importPositions(house.db, checked.value.csv, checked.value.look === true);
    },
  },
  {
    method: 'post',
    path: '/api/positions',
    who: RECORDERS,
    asks: newPositionSchema,
    async run({ ctx, house, body }) {
      const checked = check(newPositionSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const card = await addPosition(house.db, checked.value);
      if (!card)
        throw new Problem(409, 'Not all is said yet.', [
          { path: 'position', message: 'That machine has a position of this name already.' },
        ]);
      ctx.status = 201;
      ctx.body = card;
    },
  },
  {
    method: 'post',
    path: '/api/machines/area',
    who: RECORDERS,
    asks: areaSchema,
    async run({ ctx, house, body }) {
      const checked = check(areaSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const { machine, area } = checked.value;
      if ((await setArea(house.db, machine, area)) === 0) throw new Problem(404, 'There is no such machine.');
      ctx.status = 204;
    },
  },
  {
    method: 'get',
    path: '/api/labels/:label',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }) {
      const label = labelIn(params.label ?? '');
      const card = label && (await positionByLabel(house.db, label));
      if (!card) throw new Problem(404, 'No position here has that label.');
      ctx.body = card;
    },
  },
  {
    method: 'get',
    path: '/api/labels.pdf',
    who: EVERYONE_SIGNED_IN,
    /** `?machine=` or `?area=` or `?position=<id>`: a sheet of labels to stick on. */
    async run({ ctx, house }) {
      const { machine, area } = ctx.query;
      const id = positionOf(ctx);
      const { positions } = await registerOf(house.db, '', 100_000);
      const wanted = positions.filter(
        (p) =>
          (id === undefined || p.id === id) &&
          (typeof machine !== 'string' || p.machine === machine) &&
          (typeof area !== 'string' || p.area === area),
      );
      if (wanted.length === 0) throw new Problem(404, 'There is no position to label by these words.');
      const { paper } = await plantOf(house.db);
      ctx.body = await labelsPdf(wanted.slice(0, LABELS_MOST), {
        base: ctx.origin,
        size: paper === 'letter' ? 'LETTER' : 'A4',
      });
      ctx.attachment('labels.pdf', { type: 'inline' });
      ctx.type = 'application/pdf';
    },
  },
  {
    method: 'get',
    path: '/api/positions/:id',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }) {
      const card = await knownPosition(house.db, params.id);
      const [{ past, setups }, shafts, autopsies] = await Promise.all([
        pastOf(house.db, card.id),
        shaftsOf(house.db, card.machine),
        autopsiesOf(house.db, card.id),
      ]);
      ctx.body = { card, past, setups, shafts, autopsies };
    },
  },
];

/** Positions of a register shown at once, and labels printed at once. */
const REGISTER_MOST = 2000;
const LABELS_MOST = 500;

/** @throws Problem 404 where there is none */
export async function knownPosition(db: Database, id: string | undefined): Promise<PositionCard> {
  const card = /^[0-9a-f-]{36}$/.test(id ?? '') ? await positionById(db, id ?? '') : null;
  if (!card) throw new Problem(404, 'There is no such position.');
  return card;
}
