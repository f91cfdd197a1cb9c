import { listCalculators, runCalculator } from '@fulcrant/core/calculators';
import { say, sayAll } from '@fulcrant/core/units';

/** `calc --list` | `calc <id> '<json>'`: the registry on the command line. Faults go to stderr, one sentence a line; exit 2. */
function main(args: string[]): number {
  const fail = (...sentences: string[]) => {
    for (const s of sentences) process.stderr.write(`${s}\n`);
    return 2;
  };
  const [id, json, ...rest] = args;
  if (id === '--list' && json === undefined) {
    process.stdout.write(`${JSON.stringify(sayAll(listCalculators(), 'mm'), null, 2)}\n`);
    return 0;
  }
  if (id === undefined || rest.length > 0)
    return fail("Usage: npm run -s calc -- --list, or npm run -s calc -- <id> '<json>'.");
  let input: unknown;
  try {
    input = JSON.parse(json ?? '{}');
  } catch (error) {
    return fail(`The input is not valid JSON: ${(error as Error).message}.`);
  }
  const answer = runCalculator(id, input);
  if (!answer.ok) return fail(...answer.faults.map((f) => say(f.message, 'mm')));
  const { values, findings, working } = answer.result;
  process.stdout.write(`${JSON.stringify(sayAll({ values, findings, working }, 'mm'), null, 2)}\n`);
  return 0;
}

process.exitCode = main(process.argv.slice(2));
