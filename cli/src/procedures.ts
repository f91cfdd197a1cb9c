import { writeFileSync } from 'node:fs';
import '@fulcrant/core/every-trade';
import { proceduresDocument } from './procedures-document.ts';

/** Write every kind of work, step by step, to a file: what is asked, at which depth, what it depends on. */
const [path = 'docs/procedures.md'] = process.argv.slice(2);
writeFileSync(path, proceduresDocument());
console.log(`Written: ${path}`);
