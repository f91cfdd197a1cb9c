import { say } from '@fulcrant/core/units';
import '@fulcrant/core/every-trade';
import { ROLE_SAID } from '@fulcrant/core/api';
import { giveCode } from './auth/codes.ts';
import { databaseConfig } from './config.ts';
import { demoAnewAsked, demoAnewDone, takeDown } from './demo/anew.ts';
import { DEMO_PASSWORD, PEOPLE } from './demo/people-and-gauges.ts';
import { seedDemo } from './demo/seed.ts';
import { openDatabase } from './store/database.ts';
import { migrate, NewerDatabaseError } from './store/migrate.ts';
import { beginPlant, plantStage } from './store/plant.ts';
import { freezeSigned } from './store/projections.ts';

const DEMO_SIGN_INS = `
  Demo sign-ins (invented people, password ${DEMO_PASSWORD}):
${PEOPLE.map((p) => `    ${p.name.padEnd(8)}${ROLE_SAID[p.role].map((said) => say(said, 'mm')).join(': ')}`).join('\n')}
`;

/** Run once before serving, as the owner of the schema: migrations, rights, and the demo data the first time. */
const db = openDatabase(databaseConfig(process.env));
const dataDir = process.env.FULCRANT_DATA;
try {
  if (dataDir && demoAnewAsked(dataDir)) {
    // Only a demo is ever taken down; the mark in another folder says nothing.
    if ((await plantStage(db)) === 'demo') await takeDown(db, dataDir);
    demoAnewDone(dataDir);
  }
  const done = await migrate(db.sequelize, process.env.FULCRANT_SERVING_USER ?? 'fulcrant_app', {
    from: process.env.FULCRANT_SERVING_FROM ?? '127.0.0.1',
  });
  if (done.length > 0) console.log(`Database brought up to ${done.at(-1)}.`);
  const laid = await freezeSigned(db);
  if (laid > 0) console.log(`${laid} sheets signed earlier are kept as they fold today.`);
  if (process.env.FULCRANT_DEMO === '1') {
    if (await seedDemo(db)) console.log('Demo data laid in.');
  } else await beginPlant(db, false);
  const stage = await plantStage(db);
  if (process.env.FULCRANT_DEMO === '0' && stage === 'demo')
    console.log(
      'The data folder holds a demo plant already: it stays one. Choose another folder by FULCRANT_DATA.',
    );
  if (stage === 'begun')
    console.log(`
  Nobody leads this plant yet. Open it in a browser; the first visitor names the site and becomes its lead hand, with
  this code, good once:   ${await giveCode(db, 'first')}
`);
  if (stage === 'demo') console.log(DEMO_SIGN_INS);
} catch (error) {
  if (!(error instanceof NewerDatabaseError)) throw error;
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await db.sequelize.close();
}
