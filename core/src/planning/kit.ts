import type { Setup } from '../engine/setup.ts';
import type { KitLine } from '../engine/slots.ts';
import { allTrades } from '../engine/trades.ts';
import { textKey } from '../message/message.ts';
import { textOfBefore } from '../quantities/marks-of-before.ts';
import { say } from '../quantities/say.ts';
import type { Outage, OutageJob } from './outage.ts';

export type KitRow = KitLine & {
  /** The jobs that want it, and how much each. */
  jobs: Array<{ job: OutageJob; count: number }>;
};

/** What a row is called among the others. */
export const kitRowKey = (r: KitLine): string => `${textKey(r.group)} ${textKey(r.item)} ${textKey(r.unit)}`;

/**
 * Ticks as they were kept, under what their rows are called now: rows were called by their English before texts had ids.
 * @param kept who laid each out, by the row's name then
 */
export function laidNow(
  rows: readonly KitLine[],
  kept: Readonly<Record<string, string>>,
): Record<string, string> {
  const english = new Map(
    rows.map((r) => [[r.group, r.item, r.unit].map((t) => say(t, 'mm')).join(' '), kitRowKey(r)]),
  );
  return Object.fromEntries(
    Object.entries(kept).map(([row, who]) => [english.get(say(textOfBefore(row), 'mm')) ?? row, who]),
  );
}

/** Where a part goes whose trade does not say. */
const PARTS = 'parts';

/** The part a job fits, as stamped. */
const partOf = (setup: Setup, group: string = PARTS): KitLine[] =>
  setup.partNumber ? [{ group, item: setup.partNumber, count: 1, unit: 'piece' }] : [];

/**
 * What all jobs of an outage want together, by group and item, with who wants how much: parts by their stamp, and what else each trade
 * says. Jobs without a setup of their own are named apart: nobody has
 * said yet what they take.
 */
export function kitOf(
  outage: Outage,
  setups: Readonly<Record<string, Setup | undefined>>,
): { rows: KitRow[]; unknown: OutageJob[] } {
  const rows = new Map<string, KitRow>();
  const unknown: OutageJob[] = [];
  for (const job of outage.jobs) {
    const setup = setups[job.key];
    const trade = allTrades().find((t) => t.id === job.trade);
    if (!setup || !trade) {
      unknown.push(job);
      continue;
    }
    for (const line of [...partOf(setup, trade.slots.part?.kit), ...(trade.slots.kit?.(setup) ?? [])]) {
      const key = kitRowKey(line);
      const row = rows.get(key) ?? { ...line, count: 0, jobs: [] };
      row.count += line.count;
      row.jobs.push({ job, count: line.count });
      rows.set(key, row);
    }
  }
  return {
    rows: [...rows.values()].sort(
      (a, b) =>
        textKey(a.group).localeCompare(textKey(b.group)) || textKey(a.item).localeCompare(textKey(b.item)),
    ),
    unknown,
  };
}

/** Every shared tool the jobs want at once at the most, by the plan; how many there are, and how many pieces none of them reaches. */
export function toolsWanted(
  outage: Outage,
  pieces: ReadonlyMap<string, { tools: readonly string[]; short: readonly string[] }>,
): Array<{ tool: string; there: number; pieces: number; outOfReach: number }> {
  const wanted = new Map<string, { pieces: number; outOfReach: number }>();
  for (const p of pieces.values())
    for (const t of p.tools) {
      const w = wanted.get(t) ?? { pieces: 0, outOfReach: 0 };
      wanted.set(t, { pieces: w.pieces + 1, outOfReach: w.outOfReach + (p.short.includes(t) ? 1 : 0) });
    }
  return [...wanted]
    .map(([tool, w]) => ({
      tool,
      there: outage.tools.filter((t) => t.name === tool).reduce((n, t) => n + t.count, 0),
      ...w,
    }))
    .sort((a, b) => a.tool.localeCompare(b.tool));
}
