import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Database, rowsOf } from '../store/database.ts';

/** The file in the data folder that asks for a demo laid anew at the next start. */
const markOf = (dataDir: string): string => join(dataDir, 'demo-anew');

/** Ask for the demo to be laid anew: whoever supervises the servers does it before they come up again. */
export function askForDemoAnew(dataDir: string): void {
  writeFileSync(markOf(dataDir), '');
}

export const demoAnewAsked = (dataDir: string): boolean => existsSync(markOf(dataDir));

/** It is laid, or must not be: nobody asks any more. */
export const demoAnewDone = (dataDir: string): void => rmSync(markOf(dataDir), { force: true });

/** Take down everything of a demo, tables and photographs, as the owner of the schema. Whether it is one is the caller's to know. */
export async function takeDown(db: Database, dataDir: string): Promise<void> {
  const tables = await rowsOf<{ name: string }>(
    db,
    'SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()',
    [],
  );
  // One connection: the switch is the session's own.
  await db.sequelize.transaction(async (transaction) => {
    await db.sequelize.query('SET FOREIGN_KEY_CHECKS = 0', { transaction });
    for (const { name } of tables) await db.sequelize.query(`DROP TABLE \`${name}\``, { transaction });
    await db.sequelize.query('SET FOREIGN_KEY_CHECKS = 1', { transaction });
  });
  rmSync(join(dataDir, 'photos'), { recursive: true, force: true });
}
