import { say } from '@fulcrant/core/units';
import '@fulcrant/core/every-trade';
import { join } from 'node:path';
import { databaseConfig } from './config.ts';
import { verifyCertificates } from './store/certificates.ts';
import { openDatabase } from './store/database.ts';
import { verifyPhotos } from './store/photos.ts';
import { verify } from './store/verify.ts';

/** Every chain of events and every signed sheet of a plant, walked. Ends with 1 where something does not hold. */
const db = openDatabase(databaseConfig(process.env));
try {
  const { jobs, events, sheets, faults } = await verify(db, (fault) => console.error(say(fault, 'mm')));
  console.log(
    `${jobs} jobs, ${events} events, ${sheets} signed sheets walked: ${faults.length === 0 ? 'all hold' : `${faults.length} do not hold`}.`,
  );
  const photos = await verifyPhotos(db, join(process.env.FULCRANT_DATA ?? '.data', 'photos'));
  for (const fault of photos.faults) console.error(say(fault, 'mm'));
  if (photos.photos > 0)
    console.log(
      `${photos.photos} photographs looked at: ${photos.faults.length === 0 ? 'all hold' : `${photos.faults.length} do not hold`}.`,
    );
  const papers = await verifyCertificates(db, join(process.env.FULCRANT_DATA ?? '.data', 'photos'));
  for (const fault of papers) console.error(say(fault, 'mm'));
  process.exitCode = faults.length + photos.faults.length + papers.length === 0 ? 0 : 1;
} finally {
  await db.sequelize.close();
}
