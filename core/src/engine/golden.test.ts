import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Params } from '../judgement/result.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll, workStep } from '../testing/every-kind.ts';
import { asta, imke, JOB, tools } from '../testing/test-stand.ts';
import { cartridgeSeal } from '../trades/seal/example.ts';
import type { SealSetup } from '../trades/seal/setup.ts';
import { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { JobEvent } from './events.ts';
import { apply, reduce } from './judge.ts';
import type { Setup } from './setup.ts';
import type { JobState } from './state.ts';

/**
 * Golden streams: the events of a worked job of every kind, as they were stored on the day the stream was laid down, and what they fold to. A
 * change of code that folds them otherwise is seen here; where that is meant, `GOLDEN=write` lays the folds down anew and the
 * change says why. The events are never written again once they are there.
 */
const DIR = join(import.meta.dirname, '../../golden');
const WRITE = process.env.GOLDEN === 'write';

/** A hand whose ids and times are its own, the same in every run. */
function goldenHand(setup: Setup): BearingHand {
  let n = 0;
  const id = () => `018f0000-0000-7000-8000-${String(++n).padStart(12, '0')}`;
  return new BearingHand(JOB, id, tools, asta, new Date('2026-11-24T06:00:00Z')).open(
    '018f0000-0000-7000-8000-bbbbbbbbbbbb',
    setup,
  );
}

/** A cartridge taken apart after it ran, its limit changed after it was read, signed, and corrected as a revision. */
function takenApart(): BearingHand {
  const h = goldenHand({ ...cartridgeSeal, holdBefore: ['handturn'] } as SealSetup);
  const upTo = (step: string) => {
    for (let i = 0; i < 80 && h.state.present !== step; i++) {
      const at = h.state.present ?? '';
      const pinned = h.state.steps.find((s) => s.id === at)?.hold;
      if (pinned && !pinned.released) h.by(imke).do('step.released', { step: at }).by(asta);
      workStep(h);
      h.pass(at);
    }
  };
  upTo('gland-gaps');
  h.follow('gland-gaps', 'feeler', (p) => (p.key === 'gap/0' ? 0.5 : 0.58));
  h.do('setup.changed', {
    setup: { ...h.state.setup, maker: { ...h.state.setup.maker, glandSpreadMm: 0.2 } } as Setup,
    reason: 'spread by the seal’s sheet',
  });
  h.by(imke)
    .do('change.seen', { change: h.state.setupChanges[0]?.id ?? '' })
    .by(asta);
  h.answerAll('gland-gaps').pass('gland-gaps');
  upTo('proof');
  h.do('bolts.loosened', { step: 'glandbolts', reason: 'gasket weeps' });
  upTo('sign');
  h.do('sheet.signed', { name: 'Asta' }).do('sheet.reopened', { reason: 'a temperature was misread' });
  const last = h.state.readings.findLast((r) => r.place === 'temp/1440');
  h.do('reading.withdrawn', { reading: last?.id ?? '', reason: 'misread' })
    .read('proof', 'temp/1440', 44, 'thermometer')
    .pass('proof');
  return h.do('sheet.signed', { name: 'Asta' });
}

/** Numbers to ten digits: the last ones are the processor's. */
const steady = (_key: string, v: unknown) =>
  typeof v === 'number' && Number.isFinite(v) && !Number.isInteger(v) ? Number(v.toPrecision(10)) : v;

/** What a job folds to, without its words: a sentence may be put better, a number or a verdict may not move. */
function foldOf(state: JobState, named: readonly string[] = []): unknown {
  const sheet = english(fitUpSheet(state, 'F-1'));
  // A trade names only what it has: where a stream names more, there was nothing.
  const results = Object.fromEntries(
    [...new Set([...named, ...Object.keys(sheet.results)])].map((k) => [k, sheet.results[k] ?? null]),
  );
  const findings = (list: JobState['steps'][number]['open']) =>
    list.map((f) => [f.code, f.verdict, ...numbers(f.params)]);
  const numbers = (params: Params) =>
    Object.values(params)
      .filter((v) => typeof v === 'number')
      .sort((a, b) => a - b);
  return {
    present: state.present,
    attempt: state.attempt,
    signatures: state.signatures.map((s) => [s.revision, s.name, s.at]),
    steps: state.steps.map((s) => ({
      id: s.id,
      status: s.status,
      verdict: s.verdict,
      findings: findings(s.report?.findings ?? []),
      open: s.open.map((f) => f.code),
      before: (s.report?.before ?? []).map((b) => findings(b.findings)),
      rounds: state.past
        .filter((p) => p.step === s.id)
        .map((p) => [p.at, p.readings.length, p.ticks.length, p.answers.length]),
      values: english(s.report?.values ?? null),
    })),
    results,
    readings: sheet.readings.map((r) => [
      r.step,
      r.place,
      r.value,
      r.unit,
      r.attempt,
      r.measuring,
      r.withdrawn !== null,
    ]),
    bolts: sheet.bolts.length,
  };
}

const slug = (name: string) => name.replace(/[^a-z]+/g, '-');
const text = (fold: unknown) => `${JSON.stringify(fold, steady, 1)}\n`;
const streams: Array<[string, () => BearingHand]> = [
  ...Object.entries<Setup>(EVERY_KIND).map(([name, setup]): [string, () => BearingHand] => [
    slug(name),
    () => workAll(goldenHand(setup)),
  ]),
  ['taken-apart', takenApart],
];

describe('golden streams', () => {
  if (WRITE) {
    mkdirSync(DIR, { recursive: true });
    for (const [name, work] of streams) {
      const file = join(DIR, `${name}.events.jsonl`);
      if (!existsSync(file))
        writeFileSync(
          file,
          `${work()
            .events.map((e) => JSON.stringify(e))
            .join('\n')}\n`,
        );
    }
  }
  const events = (name: string): JobEvent[] =>
    readFileSync(join(DIR, `${name}.events.jsonl`), 'utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));

  it.each(streams.map(([name]) => name))('%s folds as it did', (name) => {
    const state = reduce(events(name));
    if (!state) throw new Error('It does not open.');
    const file = join(DIR, `${name}.fold.json`);
    if (WRITE && !existsSync(file)) writeFileSync(file, text(foldOf(state)));
    const stands = readFileSync(file, 'utf8');
    expect(text(foldOf(state, Object.keys(JSON.parse(stands).results)))).toBe(stands);
    // Step by step it comes to the same.
    const byStep = events(name).reduce<JobState | null>((s, e) => apply(s, e), null);
    expect(byStep).toEqual(state);
  });

  it('there is one of every kind of job, and none that is not looked at', () => {
    const kept = readdirSync(DIR).filter((f) => f.endsWith('.events.jsonl'));
    expect(kept.sort()).toEqual(streams.map(([name]) => `${name}.events.jsonl`).sort());
  });
});
