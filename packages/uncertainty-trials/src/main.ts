import { writeFileSync } from 'node:fs';
import { everyRow } from './all.ts';
import { Chance } from './chance.ts';
import { holds, table } from './row.ts';

/**
 * Try every stated uncertainty once a seed and print the table; `write` keeps the last table in docs. True where every row holds.
 */
export function tryAll({
  trials,
  seeds,
  write,
}: {
  trials: number;
  seeds: readonly number[];
  write: boolean;
}): boolean {
  let held = true;
  for (const seed of seeds.length > 0 ? seeds : [0]) {
    Chance.run = seed;
    const rows = everyRow(trials);
    const printed = table(rows);
    const outside = rows.filter((r) => !holds(r));
    console.log(`seed ${seed}\n${printed}\n\n${rows.length - outside.length} of ${rows.length} hold`);
    if (outside.length > 0) held = false;
    if (write) writeFileSync('docs/coverage.md', page(printed));
  }
  return held;
}

const page = (printed: string) => `# What is stated, and how often it is true

Made by \`npm run proof -- uncertainty --write\`: random shafts, bearings, gauges and hands of its own (\`packages/uncertainty-trials/\`), which share no code
and no assumptions with what they try; only what the product says is asked of it. A row holds where its share lies in its band, as far as
so many trials can tell (99 %).

${printed}
`;
