import { randomUUID } from 'node:crypto';
import {
  calibratedSchema,
  gaugeUseSchema,
  importSchema,
  newInstrumentSchema,
  newPositionSchema,
  type PositionCard,
} from '@fulcrant/core/api';
import { isDay } from '@fulcrant/core/judgement';
import { COMMON } from '@fulcrant/core/messages';
import { literal } from 'sequelize';
import { object, string } from 'yup';
import { csvOf } from '../export/csv.ts';
import { labelsPdf } from '../export/labels-pdf.ts';
import { autopsiesOf } from '../store/autopsies.ts';
import { shaftsOf } from '../store/cards.ts';
import { type Database, isTaken } from '../store/database.ts';
import { labelIn } from '../store/labels.ts';
import { plantOf } from '../store/plant.ts';
import { findPositions, type PositionLine } from '../store/positions.ts';
import {
  addPosition,
  importPositions,
  pastOf,
  positionById,
  positionByLabel,
  registerOf,
  setArea,
} from '../store/register.ts';
import { M } from './messages.ts';
import { limit, position, typed } from './paging.ts';
import { Problem } from './problem.ts';
import {
  answers,
  EVERYONE_SIGNED_IN,
  file,
  LEADS,
  made,
  NOTHING,
  RECORDERS,
  type Route,
  route,
} from './routes.ts';
import {
  autopsyShape,
  flag,
  importedShape,
  instrumentShape,
  listOf,
  ofItsOwn,
  pastJobShape,
  positionShape,
  registerLineShape,
  told,
} from './shapes.ts';

const areaSchema = newPositionSchema.pick(['area', 'machine']);

/** Gauges and machine positions. */
export const register: Route[] = [
  route({
    method: 'get',
    path: '/api/instruments',
    who: EVERYONE_SIGNED_IN,
    summary: M.gaugesUseOutUse,
    answer: answers(told({ instruments: listOf(instrumentShape), outOfUse: listOf(instrumentShape) })),
    async run({ house }) {
      const those = (out: boolean) =>
        house.db.models.Instrument.findAll({
          where: literal(`out_of_use = ${out ? 'TRUE' : 'FALSE'}`),
          order: [
            ['kind', 'ASC'],
            ['name', 'ASC'],
          ],
        });
      const [instruments, outOfUse] = await Promise.all([those(false), those(true)]);
      return { instruments, outOfUse };
    },
  }),
  route({
    method: 'post',
    path: '/api/instruments',
    who: RECORDERS,
    summary: COMMON.addGauge,
    asks: newInstrumentSchema,
    refused: M.gaugeHasFaults,
    answer: made(told({ instrument: instrumentShape })),
    problems: [409],
    async run({ house, body }) {
      if (body.low >= body.high)
        throw new Problem(400, M.gaugeHasFaults, [{ path: 'high', message: M.rangeMustEndAboveWhere }]);
      if (await house.db.models.Instrument.findOne({ where: { name: body.name } })) {
        throw new Problem(409, M.gaugeHasFaults, [{ path: 'name', message: M.gaugeNameRegister }]);
      }
      try {
        return {
          instrument: await house.db.models.Instrument.create({ id: `g-${randomUUID()}`, ...body }),
        };
      } catch (error) {
        // Two of one name at the same moment: the second is told what the first would have been told later.
        if (!isTaken(error)) throw error;
        throw new Problem(409, M.gaugeHasFaults, [{ path: 'name', message: M.gaugeNameRegister }]);
      }
    },
  }),
  route({
    method: 'post',
    path: '/api/instruments/:id/calibrated',
    who: RECORDERS,
    summary: M.gaugeCameBackFromCalibration,
    asks: calibratedSchema,
    refused: M.dateHasFaults,
    answer: answers(told({ instrument: instrumentShape })),
    problems: [404],
    async run({ house, body, params }) {
      const { calibrationDue } = body;
      if (!isDay(calibrationDue))
        throw new Problem(400, M.dateHasFaults, [{ path: 'calibrationDue', message: COMMON.thereNoSuchDay }]);
      const found = await house.db.models.Instrument.findByPk(params.id ?? '');
      if (!found) throw new Problem(404, M.thereNoSuchGauge);
      await found.update({ calibrationDue }, { fields: ['calibrationDue'] });
      return { instrument: found };
    },
  }),
  route({
    method: 'post',
    path: '/api/instruments/:id/use',
    who: LEADS,
    summary: M.takeGaugeOutUsePut,
    asks: gaugeUseSchema,
    refused: M.useNot,
    answer: NOTHING,
    problems: [404],
    /** Out of use nothing is read with it any more; what was read with it before it was taken out still comes in. */
    async run({ house, body, params }) {
      const found = await house.db.models.Instrument.findByPk(params.id ?? '');
      if (!found || found.standIn) throw new Problem(404, M.thereNoSuchGauge);
      await house.db.sequelize.query('UPDATE instruments SET out_of_use = ? WHERE id = ?', {
        replacements: [!body.inUse, found.id],
      });
    },
  }),
  route({
    method: 'get',
    path: '/api/positions',
    who: EVERYONE_SIGNED_IN,
    summary: M.findPositionsWordsMachinePlace,
    query: object({ q: typed, limit }),
    answer: answers(told({ positions: listOf(ofItsOwn<PositionLine>()), more: flag })),
    /** `?q=` as typed: every word somewhere in machine or position. `more` says that the list is cut. */
    async run({ house, query }) {
      return await findPositions(house.db, query.q, query.limit);
    },
  }),
  route({
    method: 'get',
    path: '/api/register',
    who: EVERYONE_SIGNED_IN,
    summary: M.registerPositions,
    query: object({ q: typed }),
    answer: answers(told({ positions: listOf(registerLineShape), more: flag })),
    /** `?q=` as typed, or a label as it is printed or scanned. `more` says that the list is cut. */
    async run({ house, query }) {
      return await registerOf(house.db, query.q, REGISTER_MOST);
    },
  }),
  route({
    method: 'get',
    path: '/api/register.csv',
    who: EVERYONE_SIGNED_IN,
    summary: M.registerAsCsv,
    answer: file('text/csv'),
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
  }),
  route({
    method: 'post',
    path: '/api/register/import',
    who: RECORDERS,
    summary: M.importPositionsFromCsv,
    asks: importSchema,
    refused: M.noFileTake,
    answer: answers(importedShape()),
    async run({ house, body }) {
      return await importPositions(house.db, body.csv, body.look === true);
    },
  }),
  route({
    method: 'post',
    path: '/api/positions',
    who: RECORDERS,
    summary: M.addPosition,
    asks: newPositionSchema,
    refused: M.notAllSaidYet,
    answer: made(positionShape),
    problems: [409],
    async run({ house, body }) {
      const card = await addPosition(house.db, body);
      if (!card)
        throw new Problem(409, M.notAllSaidYet, [
          { path: 'position', message: M.machineHasPositionNameAlready },
        ]);
      return card;
    },
  }),
  route({
    method: 'post',
    path: '/api/machines/area',
    who: RECORDERS,
    summary: M.sayWhichAreaMachine,
    asks: areaSchema,
    refused: M.notAllSaidYet,
    answer: NOTHING,
    problems: [404],
    async run({ house, body }) {
      const { machine, area } = body;
      if ((await setArea(house.db, machine, area)) === 0) throw new Problem(404, M.thereNoSuchMachine);
    },
  }),
  route({
    method: 'get',
    path: '/api/labels/:label',
    who: EVERYONE_SIGNED_IN,
    summary: M.positionLabel,
    answer: answers(positionShape),
    problems: [404],
    async run({ house, params }) {
      const label = labelIn(params.label ?? '');
      const card = label && (await positionByLabel(house.db, label));
      if (!card) throw new Problem(404, COMMON.noPositionHereHasLabel);
      return card;
    },
  }),
  route({
    method: 'get',
    path: '/api/labels.pdf',
    who: EVERYONE_SIGNED_IN,
    summary: M.labelsPrint,
    query: object({ machine: string(), area: string(), position }),
    answer: file('application/pdf'),
    problems: [404],
    /** `?machine=` or `?area=` or `?position=<id>`: a sheet of labels to stick on. */
    async run({ ctx, house, query }) {
      const { machine, area, position: id } = query;
      const { positions } = await registerOf(house.db, '', 100_000);
      const wanted = positions.filter(
        (p) =>
          (id === undefined || p.id === id) &&
          (machine === undefined || p.machine === machine) &&
          (area === undefined || p.area === area),
      );
      if (wanted.length === 0) throw new Problem(404, M.thereNoPositionLabelThese);
      const { paper } = await plantOf(house.db);
      ctx.body = await labelsPdf(wanted.slice(0, LABELS_MOST), {
        base: ctx.origin,
        size: paper === 'letter' ? 'LETTER' : 'A4',
      });
      ctx.attachment('labels.pdf', { type: 'inline' });
      ctx.type = 'application/pdf';
    },
  }),
  route({
    method: 'get',
    path: '/api/positions/:id',
    who: EVERYONE_SIGNED_IN,
    summary: M.positionPast,
    answer: answers(
      told({
        card: positionShape,
        past: listOf(pastJobShape),
        setups: ofItsOwn(),
        shafts: listOf(ofItsOwn()),
        autopsies: listOf(autopsyShape),
      }),
    ),
    async run({ house, params }) {
      const card = await knownPosition(house.db, params.id);
      const [{ past, setups }, shafts, autopsies] = await Promise.all([
        pastOf(house.db, card.id),
        shaftsOf(house.db, card.machine),
        autopsiesOf(house.db, card.id),
      ]);
      return { card, past, setups, shafts, autopsies };
    },
  }),
];

/** Positions of a register shown at once, and labels printed at once. */
const REGISTER_MOST = 2000;
const LABELS_MOST = 500;

/** @throws Problem 404 where there is none */
export async function knownPosition(db: Database, id: string | undefined): Promise<PositionCard> {
  const card = /^[0-9a-f-]{36}$/.test(id ?? '') ? await positionById(db, id ?? '') : null;
  if (!card) throw new Problem(404, M.thereNoSuchPosition);
  return card;
}
