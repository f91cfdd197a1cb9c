import type { Plant, PlantGreeting, PlantSettings, Role } from '@fulcrant/core/api';
import { DEMO_PASSWORD, PEOPLE } from '../demo-people.ts';
import type { Database } from './database.ts';
import { rowsOf, run } from './database.ts';

type Row = {
  site: string;
  demo: number;
  paper: Plant['paper'];
  units: Plant['units'];
  works_from: string;
  works_to: string;
  stock: string;
  ready_at: Date | null;
};

const rowOf = async (db: Pick<Database, 'sequelize'>): Promise<Row | null> =>
  (await rowsOf<Row>(db, 'SELECT * FROM plant', []))[0] ?? null;

/** What a plant is told before anybody has told it anything. */
const UNTOLD: Plant = {
  site: '',
  demo: false,
  paper: 'A4',
  units: 'mm',
  worksFrom: '06:00',
  worksTo: '14:00',
  stockMm: [],
};

/** The plant as it was told last. */
export async function plantOf(db: Pick<Database, 'sequelize'>): Promise<Plant> {
  const row = await rowOf(db);
  if (!row) return UNTOLD;
  return {
    site: row.site,
    demo: Boolean(row.demo),
    paper: row.paper,
    units: row.units,
    worksFrom: row.works_from,
    worksTo: row.works_to,
    stockMm: JSON.parse(row.stock) as number[],
  };
}

/** What anybody may know: its name, whether it is a demo, whether somebody leads it yet. */
export async function greetingOf(db: Pick<Database, 'sequelize'>): Promise<PlantGreeting> {
  const row = await rowOf(db);
  const ready = Boolean(row?.ready_at);
  return {
    site: row?.site ?? '',
    demo: Boolean(row?.demo),
    state: ready ? 'ready' : 'first-visit',
    ...(ready && row?.demo ? { offers: { password: DEMO_PASSWORD, people: await demoPeople(db) } } : {}),
  };
}

/** The demo's own people, by the names and roles they have now; whoever was added later has a password of their own. */
async function demoPeople(
  db: Pick<Database, 'sequelize'>,
): Promise<NonNullable<PlantGreeting['offers']>['people']> {
  const ids = PEOPLE.map((p) => p.id);
  const rows = await rowsOf<{ id: string; name: string; role: Role }>(
    db,
    `SELECT id, name, role FROM people WHERE retired_at IS NULL AND id IN (${ids.map(() => '?').join(', ')})`,
    ids,
  );
  return ids.flatMap((id) => rows.filter((r) => r.id === id).map(({ name, role }) => ({ name, role })));
}

export async function tellPlant(db: Pick<Database, 'sequelize'>, told: PlantSettings): Promise<void> {
  await run(db, `UPDATE plant SET site = ?, paper = ?, units = ?, works_from = ?, works_to = ?, stock = ?`, [
    told.site,
    told.paper,
    told.units,
    told.worksFrom,
    told.worksTo,
    JSON.stringify(told.stockMm),
  ]);
  await run(db, 'UPDATE positions SET site = ? WHERE site <> ?', [told.site, told.site]);
}

/** Begin a plant where there is none: from now on it is what it is, a demo or not. False where one is there. */
export async function beginPlant(
  db: Pick<Database, 'sequelize'>,
  demo: boolean,
  site = '',
): Promise<boolean> {
  if (await rowOf(db)) return false;
  await run(db, 'INSERT INTO plant (site, demo) VALUES (?, ?)', [site, demo]);
  return true;
}

/** What stands between an empty folder and a plant people work in. */
export async function plantStage(
  db: Pick<Database, 'sequelize'>,
): Promise<'none' | 'begun-demo' | 'begun' | 'demo' | 'ready'> {
  const row = await rowOf(db);
  if (!row) return 'none';
  if (row.ready_at) return row.demo ? 'demo' : 'ready';
  return row.demo ? 'begun-demo' : 'begun';
}

export const plantIsReady = (db: Pick<Database, 'sequelize'>): Promise<unknown> =>
  run(db, 'UPDATE plant SET ready_at = CURRENT_TIMESTAMP(3)', []);
