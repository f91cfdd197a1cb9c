import '@fulcrant/core/every-trade';
import { join, resolve } from 'node:path';
import { giveCode } from './auth/codes.ts';
import { databaseConfig } from './config.ts';
import { exportPlant, importPlant } from './store/archive.ts';
import { openDatabase, rowsOf } from './store/database.ts';

/** A plant out to an archive, or an archive into a plant with nothing in it. Ends with 1 and a sentence where it cannot be. */
const [does, file] = process.argv.slice(2);
const db = openDatabase(databaseConfig(process.env));
const photoDir = join(process.env.FULCRANT_DATA ?? '.data', 'photos');
try {
  if (!file || !['export', 'backup', 'import', 'restore'].includes(does ?? ''))
    throw new Error('Usage: archive export|backup|import|restore <file>');
  const path = resolve(process.env.FULCRANT_FROM ?? '.', file);
  if (does === 'export' || does === 'backup') {
    const { rows, files } = await exportPlant(db, photoDir, path, { secrets: does === 'backup' });
    const photos = Object.keys(files).filter((f) => f.startsWith('photos/')).length;
    console.log(
      `${rows.jobs} jobs, ${rows.events} events, ${rows.sheets} signed sheets, ${photos} photographs in ${path}.${does === 'export' ? ' Passwords stay behind.' : ' It holds the hashes of passwords: keep it as safe as the plant.'}`,
    );
  } else {
    const { rows, secrets, made } = await importPlant(db, photoDir, path);
    console.log(`${rows.jobs} jobs, ${rows.events} events as they stood ${made} are laid in, and all hold.`);
    if (!secrets) {
      const leads = await rowsOf<{ id: string; name: string }>(
        db,
        "SELECT id, name FROM people WHERE role = 'lead' AND retired_at IS NULL ORDER BY name",
        [],
      );
      console.log(
        'Passwords stayed behind. Lead hands sign in by a code, good once, and give the others theirs:',
      );
      for (const l of leads) console.log(`  ${l.name.padEnd(20)}${await giveCode(db, 'reset', l.id)}`);
    }
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
} finally {
  await db.sequelize.close();
}
