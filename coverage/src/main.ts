import { writeFileSync } from 'node:fs';
import { everyRow } from './all.ts';
import { holds, table } from './row.ts';

/** Try every stated doubt, print the table; `--write` lays it down in docs. Ends with 1 where one is outside its band. */
const TRIALS = 2000;
const rows = everyRow(TRIALS);
const printed = table(rows);
console.log(printed);
const outside = rows.filter((r) => !holds(r));
console.log(`\n${rows.length - outside.length} of ${rows.length} hold`);
if (process.argv.includes('--write'))
  writeFileSync(
    'docs/coverage.md',
    `# What is stated, and how often it is true

Made by \`npm run coverage -- --write\`: random shafts, bearings, gauges and hands of its own (\`coverage/\`), which share no code and no
assumptions with what they try; only what the product says is asked of it. A row holds where its share lies in its band, as far as so
many trials can tell (99 %).

${printed}
`,
  );
process.exit(outside.length > 0 ? 1 : 0);
