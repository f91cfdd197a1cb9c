import { MessageError } from '@fulcrant/core/units';
import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { M } from './messages.ts';
import * as firstTables from './migrations/001-first-tables.ts';
import * as gaugesAndRules from './migrations/002-gauges-and-house-rules.ts';
import * as pumpAndWrench from './migrations/003-pump-wrench-thermometer.ts';
import * as dropCounter from './migrations/004-drop-counter.ts';
import * as recordStands from './migrations/005-record-that-stands.ts';
import * as cancelledJobs from './migrations/006-cancelled-jobs.ts';
import * as vibrationMeter from './migrations/007-vibration-meter.ts';
import * as plantAndPeople from './migrations/008-plant-and-people.ts';
import * as register from './migrations/009-register.ts';
import * as beltGauges from './migrations/010-belt-gauges.ts';
import * as certificates from './migrations/011-certificates.ts';
import * as outages from './migrations/012-outages.ts';
import * as drills from './migrations/013-drills.ts';
import * as laid from './migrations/014-laid.ts';
import * as practice from './migrations/015-practice.ts';
import * as measuredPiece from './migrations/016-measured-piece.ts';
import * as guardedEntry from './migrations/017-guarded-entry.ts';
import * as struckAndRunning from './migrations/018-struck-and-running.ts';
import * as kindsOfGauges from './migrations/019-kinds-of-gauges.ts';
import * as handCards from './migrations/020-hand-cards.ts';
import * as withoutDate from './migrations/021-gauges-without-a-date.ts';
import * as pins from './migrations/022-pins.ts';

const MIGRATIONS = [
  { name: '001-first-tables', up: firstTables.up },
  { name: '002-gauges-and-house-rules', up: gaugesAndRules.up },
  { name: '003-pump-wrench-thermometer', up: pumpAndWrench.up },
  { name: '004-drop-counter', up: dropCounter.up },
  { name: '005-record-that-stands', up: recordStands.up },
  { name: '006-cancelled-jobs', up: cancelledJobs.up },
  { name: '007-vibration-meter', up: vibrationMeter.up },
  { name: '008-plant-and-people', up: plantAndPeople.up },
  { name: '009-register', up: register.up },
  { name: '010-belt-gauges', up: beltGauges.up },
  { name: '011-certificates', up: certificates.up },
  { name: '012-outages', up: outages.up },
  { name: '013-drills', up: drills.up },
  { name: '014-laid', up: laid.up },
  { name: '015-practice', up: practice.up },
  { name: '016-measured-piece', up: measuredPiece.up },
  { name: '017-guarded-entry', up: guardedEntry.up },
  { name: '018-struck-and-running', up: struckAndRunning.up },
  { name: '019-kinds-of-gauges', up: kindsOfGauges.up },
  { name: '020-hand-cards', up: handCards.up },
  { name: '021-gauges-without-a-date', up: withoutDate.up },
  { name: '022-pins', up: pins.up },
];

/**
 * What the serving user may do, table by table. Events can be added and read, never changed or taken away: the
 * database itself keeps the promise that no reading is lost.
 */
const GRANTS: Record<string, string> = {
  people: 'SELECT, INSERT, UPDATE (role, retired_at, password_hash, pin_hash, second_secret, second_step)',
  plant: 'SELECT, INSERT, UPDATE',
  attempts: 'SELECT, INSERT, UPDATE, DELETE',
  known_devices: 'SELECT, INSERT, UPDATE, DELETE',
  codes: 'SELECT, INSERT, DELETE',
  cards: 'SELECT, INSERT, UPDATE (looked_by, looked_at)',
  photos: 'SELECT, INSERT',
  certificates: 'SELECT, INSERT',
  hand_cards: 'SELECT, INSERT',
  outages: 'SELECT, INSERT',
  drills: 'SELECT, INSERT, DELETE',
  outage_laid: 'SELECT, INSERT, DELETE',
  bench_sets: 'SELECT, INSERT',
  bench_results: 'SELECT, INSERT',
  competences: 'SELECT, INSERT',
  autopsies: 'SELECT, INSERT',
  feeds: 'SELECT, INSERT, DELETE',
  sessions: 'SELECT, INSERT, DELETE',
  instruments: 'SELECT, INSERT, UPDATE (calibration_due, out_of_use)',
  house_rules: 'SELECT, INSERT',
  positions: 'SELECT, INSERT, UPDATE',
  jobs: 'SELECT, INSERT, UPDATE',
  events: 'SELECT, INSERT',
  sheets: 'SELECT, INSERT',
};

/** The database was laid in by a later release: this one does not know what is in it. */
export class NewerDatabaseError extends MessageError {
  constructor(readonly names: readonly string[]) {
    super(M.writtenByNewer({ names: names.join(', ') }));
  }
}

/**
 * Bring the schema up to date as its owner, then give the serving user exactly its rights. `to` stops at an earlier
 * schema, for tests; `from` is where the serving user comes from, as the database knows it.
 * @throws NewerDatabaseError where the database was brought further by a later release: nothing is touched
 */
export async function migrate(
  owner: Sequelize,
  servingUser: string,
  { to, from = '127.0.0.1' }: { to?: string; from?: string } = {},
): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map((m) => ({ name: m.name, up: () => m.up(owner.getQueryInterface()) })),
    storage: new SequelizeStorage({ sequelize: owner, modelName: 'migrations' }),
    logger: undefined,
  });
  const known = new Set(MIGRATIONS.map((m) => m.name));
  const newer = (await new SequelizeStorage({ sequelize: owner, modelName: 'migrations' }).executed()).filter(
    (name) => !known.has(name),
  );
  if (newer.length > 0) throw new NewerDatabaseError(newer);
  const done = await umzug.up(to === undefined ? {} : { to });
  if (to !== undefined) return done.map((m) => m.name);
  const database = owner.getDatabaseName();
  for (const [table, rights] of Object.entries(GRANTS)) {
    await owner.query(`GRANT ${rights} ON \`${database}\`.\`${table}\` TO '${servingUser}'@'${from}'`);
  }
  return done.map((m) => m.name);
}
