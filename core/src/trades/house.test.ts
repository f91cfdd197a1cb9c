import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allTrades, procedureFor } from '../engine/trades.ts';

const ROOT = join(import.meta.dirname, '../../..');
/** The demo tells a scenario step by step, and how old events were written names what there was: both name what they mean. */
const TELLS = ['server/src/demo/', 'core/src/engine/upcast.ts'];

function sources(dir: string): string[] {
  return readdirSync(join(ROOT, dir), { withFileTypes: true }).flatMap((e) => {
    const path = `${dir}/${e.name}`;
    if (e.isDirectory()) return e.name === 'testing' ? [] : sources(path);
    return /\.tsx?$/.test(e.name) && !/\.test\./.test(e.name) ? [path] : [];
  });
}
const FILES = ['core/src', 'server/src', 'web/src', 'cli/src']
  .flatMap(sources)
  .filter((f) => !TELLS.some((t) => f.startsWith(t)));
const textOf = new Map(FILES.map((f) => [f, readFileSync(join(ROOT, f), 'utf8')]));

/** Folders a trade may be in, by what its own files in core say its id is. */
const FOLDERS = readdirSync(join(ROOT, 'core/src/trades'), { withFileTypes: true })
  .filter((e) => e.isDirectory())
  .map((e) => e.name);
const folderOf = (id: string): string =>
  FOLDERS.find((f) => textOf.get(`core/src/trades/${f}/index.ts`)?.includes(`id: '${id}'`)) ?? '';
const inFolder = (file: string, folder: string) =>
  file.startsWith(`core/src/trades/${folder}/`) || file.startsWith(`web/src/trades/${folder}/`);

const KIND = /(?:stepKind|kindFamily)<[^>]*(?:\[[^\]]*\][^>]*)?>\(\s*'([\w-]+)'/g;
/** Names of the kinds of step a folder makes. */
const kindsIn = (folder: string): string[] =>
  FILES.filter((f) => f.startsWith(`core/src/trades/${folder}/`)).flatMap((f) =>
    [...(textOf.get(f) ?? '').matchAll(KIND)].map((m) => m[1] ?? ''),
  );

/** Steps of a trade whose kind its own folder makes: those are its own, whatever they are called. */
function ownSteps(id: string): string[] {
  const trade = allTrades().find((t) => t.id === id);
  const kinds = new Set(kindsIn(folderOf(id)));
  const steps = Object.values(trade?.example.setups ?? {}).flatMap((s) => procedureFor(s).steps);
  const shared = (step: string) =>
    FILES.some((f) => f.startsWith('core/src/steps/') && textOf.get(f)?.includes(`id: '${step}'`));
  return [...new Set(steps.filter((s) => kinds.has(s.kind.name)).map((s) => s.id))].filter((s) => !shared(s));
}

/** A word meant as a step: compared, looked up, carried on. The same word may be a part or a size elsewhere. */
const asStep = (word: string) =>
  new RegExp(
    [
      `\\b(?:id|step|present|shownId)\\s*(?:===|!==|:)\\s*'${word}'`,
      `\\b(?:reportAt|stepOf|standing|readingAt|loosenedAt|answerTo|find)\\([^()]*'${word}'`,
      `\\bcase '${word}':`,
      `\\bcarried(?:\\.${word}\\b|\\['${word}'\\])`,
    ].join('|'),
  );

/** A word meant as a question: its answer looked up or compared. */
const asQuestion = (word: string) =>
  new RegExp(
    [
      `\\bitem(?:\\.id)?\\s*(?:===|!==|:)\\s*'${word}'`,
      `\\b(?:answerTo|noted|answerOf)\\([^()]*'${word}'`,
    ].join('|'),
  );
/** Questions a trade alone asks: no shared step has one of that name. */
function ownQuestions(id: string): string[] {
  const asked = (t: string) =>
    Object.values(allTrades().find((x) => x.id === t)?.example.setups ?? {}).flatMap((s) =>
      procedureFor(s).steps.flatMap((x) => (x.items ?? []).map((i) => i.id)),
    );
  const others = new Set(allTrades().flatMap((t) => (t.id === id ? [] : asked(t.id))));
  const shared = (item: string) =>
    FILES.some((f) => f.startsWith('core/src/steps/') && textOf.get(f)?.includes(`'${item}'`));
  return [...new Set(asked(id))].filter((i) => !others.has(i) && !shared(i));
}

/** A word meant as a method: what was chosen of it is looked up by name. */
const asMethod = (word: string) =>
  new RegExp(`\\b(?:rules|schools|chosen)\\??(?:\\.${word}\\b|\\['${word}'\\])|\\brule: '${word}'`);

/** Sums stand below the trades and know no jobs; another trade's folder has words of its own. */
const SHARED = FILES.filter(
  (f) => !/^core\/src\/(quantities|metrology|sources|judgement|arithmetic|simulation)\//.test(f),
);

describe('the house', () => {
  it.each(allTrades().map((t) => [t.id, t] as const))(
    'knows of %s only what its folders say: no other file names it, its kinds, steps, questions or methods',
    (id, trade) => {
      const folder = folderOf(id);
      expect(folder).not.toBe('');
      const own = [id, ...(trade.also ?? []), ...kindsIn(folder)];
      const steps = ownSteps(id);
      const questions = ownQuestions(id);
      const methods = (trade.slots.methods ?? []).map((m) => m.id);
      const named = SHARED.filter((f) => !inFolder(f, folder)).flatMap((f) => {
        const text = textOf.get(f) ?? '';
        const inTrade = /\/src\/trades\/[^/]+\//.test(f);
        return [
          ...own.filter((n) => text.includes(`'${n}'`)),
          ...(inTrade ? [] : steps.filter((n) => asStep(n).test(text))),
          ...(inTrade ? [] : questions.filter((n) => asQuestion(n).test(text))),
          ...methods.filter((n) => asMethod(n).test(text)),
        ].map((n) => `${f}: '${n}'`);
      });
      expect(named).toEqual([]);
    },
  );

  it('would see it: a step, a question or a method looked up by its name is found', () => {
    expect("if (step.id === 'letgo') x();").toMatch(asStep('letgo'));
    expect("letGo.valuesOf(reportAt(job, 'letgo'))").toMatch(asStep('letgo'));
    expect('kind.valuesOf(carried.letgo)').toMatch(asStep('letgo'));
    expect("const words = { race: 'race' };").not.toMatch(asStep('letgo'));
    expect("answerTo(facts, step.id, 'clipsin')").toMatch(asQuestion('clipsin'));
    expect("x.item === 'clipsin'").toMatch(asQuestion('clipsin'));
    expect('if (rules.driveUp) x();').toMatch(asMethod('driveUp'));
    expect("{ rule: 'driveUp' }").toMatch(asMethod('driveUp'));
  });
});
