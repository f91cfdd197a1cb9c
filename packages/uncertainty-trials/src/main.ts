import { writeFileSync } from 'node:fs';
import { everyRow } from './all.ts';
import { beforeAndAfter } from './before.ts';
import { Chance } from './chance.ts';
import { holds, type Row, table } from './row.ts';

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
    if (write) writeFileSync('docs/uncertainty.md', page(printed, rows));
  }
  return held;
}

const page = (printed: string, rows: readonly Row[]) => `# What is stated, and how often it is true

Made by \`npm run proof -- uncertainty --write\`: random shafts, bearings, gauges and hands of its own (\`packages/uncertainty-trials/\`), which share no code
and no assumptions with what they try; only what the product says is asked of it. Gauges are zeroed a little beside, drift, and lag; rings hang
askew; blades are not what is stamped on them. Each hand has a row of its own, from one that scatters by a fifth of a step to one that scatters by
two, with its repeat check and without. A row holds where the share found lies in its band: nothing is added to the band for chance. How far the share
itself may be off for so many trials (99 %) stands beside it.

## Before and after

Mean of readings ± U, caught, by how many readings; and a truth on its limit, accepted by whoever reads until it is settled (five at the most). The
rule before knew no hand: it took every hand to scatter by 0.4 of a step.

${beforeAndAfter(rows)}

${printed}
`;
