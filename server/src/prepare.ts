import '@fulcrant/core/trades/registry';
import { databaseConfig } from './config.ts';
import { seedDemo } from './demo/seed.ts';
import { openDatabase } from './store/database.ts';
import { migrate } from './store/migrate.ts';
import { freezeSigned } from './store/projections.ts';

/** Run once before serving, as the owner of the schema: migrations, rights, and the demo data the first time. */
const db = openDatabase(databaseConfig(process.env));
try {
  const done = await migrate(db.sequelize, process.env.FULCRANT_SERVING_USER ?? 'fulcrant_app');
  if (done.length > 0) console.log(`Database brought up to ${done.at(-1)}.`);
  const laid = await freezeSigned(db);
  if (laid > 0) console.log(`${laid} sheets signed earlier are kept as they fold today.`);
  if (process.env.FULCRANT_DEMO === '1' && (await seedDemo(db))) console.log('Demo data laid in.');
} finally {
  await db.sequelize.close();
}
