import { ScriptedHand, type ToolBox } from '@fulcrant/core/examples';
import type { Instrument } from '@fulcrant/core/instruments';
import {
  allTrades,
  belongsTo,
  type JobState,
  kindOf,
  procedureFor,
  type Setup,
  type StepDefinition,
  type Trade,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { placeName } from '@fulcrant/core/sheet';
import { say } from '@fulcrant/core/units';

const tell = (text: Text): string => say(text, 'mm').replaceAll('|', '\\|').replaceAll('\n', ' ');

/** Parts a new job usually carries and an example may leave out: close-up, grease, base bolts, first hours. */
function whole(trade: Trade, setup: Setup): Setup {
  const parts = ['closing', 'grease', 'baseBolts', 'runIn'] as const;
  const usual = trade.usual as Record<string, unknown>;
  const own = setup as unknown as Record<string, unknown>;
  const missing = parts.filter((p) => own[p] === undefined && usual[p] !== undefined);
  return {
    ...setup,
    ...Object.fromEntries(missing.map((p) => [p, usual[p]])),
    ...(missing.includes('grease') ? { grease: { how: 'fill', school: 'by-speed' } } : {}),
    depth: 'thorough',
  } as Setup;
}

type Gauge = Instrument;
const gauge = (kind: Gauge['kind'], step: number, low: number, high: number): Gauge => ({
  id: kind,
  name: kind,
  kind,
  step,
  low,
  high,
  calibrationDue: '2099-01-01',
  // A steady person, known by a repeat check.
  hand: { scatter: step / 4, free: 9 },
});
/** Gauges fine and long enough for every example. */
const TOOLS: ToolBox = {
  micrometer: gauge('micrometer', 0.001, 0, 500),
  feeler: gauge('feeler', 0.005, 0.02, 1),
  wrench: gauge('wrench', 1, 0.1, 2000),
  protractor: gauge('protractor', 1, 0, 360),
  dial: gauge('dial', 0.001, 0, 10),
  roughness: gauge('roughness', 0.00001, 0, 0.02),
  caliper: gauge('caliper', 0.02, 0, 1000),
  laser: gauge('laser', 0.01, 0, 50),
  pressure: gauge('pressure', 0.01, 0, 100),
  thermometer: gauge('thermometer', 0.5, -20, 200),
  gun: gauge('gun', 1, 0, 500),
  counter: gauge('counter', 1, 0, 2000),
  vibration: gauge('vibration', 0.1, 0, 100),
  tension: gauge('tension', 1, 5, 500),
  force: gauge('force', 0.5, 0, 200),
};

let ids = 0;
const newId = (): string => `018f0000-0000-7000-8000-${(++ids).toString(16).padStart(12, '0')}`;

/** A job of this setup, worked by the book to its signature. */
function worked(trade: Trade, setup: Setup): JobState {
  const person = { id: 'p', name: 'P', role: 'fitter' as const };
  const h = new ScriptedHand(newId(), newId, TOOLS, person, new Date('2026-01-05T06:00:00Z')).open(
    newId(),
    setup,
  );
  for (let i = 0; i < 90 && h.state.present !== null; i++) {
    const id = h.state.present;
    const step = procedureFor(h.state.setup).steps.find((s) => s.id === id);
    if (!step || step.kind.signs) break;
    if (step.itemsFirst) h.answerAll(id);
    trade.example.work[id]?.(h as never, setup as never);
    h.tighten(id).answerAll(id).pass(id);
  }
  return h.state;
}

/** Most readings of a step that are named one by one. */
const NAMED_MOST = 6;

/** What is read at a step, by the names people know, from a job worked by the book. */
function readAt(state: JobState, step: string): string {
  const reports = Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));
  const taken = state.readings.filter((r) => r.step === step);
  const names = taken.map((r) =>
    tell(placeName(state, r, state.readings.slice(0, state.readings.indexOf(r)), reports)),
  );
  const shown = names.slice(0, NAMED_MOST).join('; ');
  return names.length > NAMED_MOST ? `${shown}; … ${names.length} readings` : shown;
}

/** Bolts of a step: how many, and the passes they go through. */
function boltsAt(state: JobState, step: string): string {
  const ticks = state.ticks.filter((t) => t.step === step);
  if (ticks.length === 0) return '';
  const count = Math.max(...ticks.map((t) => t.bolt));
  const passes = new Set(ticks.map((t) => t.pass)).size;
  return `${count} × in ${passes} ${passes === 1 ? 'pass' : 'passes'}`;
}

function row(state: JobState, step: StepDefinition, n: number, titles: ReadonlyMap<string, string>): string {
  const asked = (step.items ?? []).map((i) => {
    const depth = belongsTo(i);
    const marks = [kindOf(i), ...(depth === 'essential' ? [] : [depth])].join(', ');
    return `${tell(i.ask)} *(${marks})*`;
  });
  const read = readAt(state, step.id);
  const bolts = boltsAt(state, step.id);
  const on = (step.standsOn ?? []).flatMap((id) => {
    const [event, of = ''] = id.split(':');
    const title = titles.get(of === '' ? id : of);
    return title === undefined
      ? id === 'isolation'
        ? ['isolation']
        : []
      : [of === '' ? title : `${title} (${event})`];
  });
  return `| ${[
    String(n),
    `**${tell(step.title)}**<br>${tell(step.guide)}`,
    belongsTo(step),
    [
      ...asked,
      ...(read === '' ? [] : [`Read: ${read}`]),
      ...(bolts === '' ? [] : [`Tighten: ${bolts}`]),
      ...(step.closes ? [`No way back after this step: ${tell(step.closes)}`] : []),
    ].join('<br>'),
    [...new Set(on)].join(', '),
  ].join(' | ')} |`;
}

function kind(trade: Trade, name: string, setup: Setup): string {
  const full = whole(trade, setup);
  const state = worked(trade, full);
  const procedure = procedureFor(full);
  const titles = new Map(procedure.steps.map((s) => [s.id, tell(s.title)]));
  return [
    `## ${tell(procedure.title)}: ${name}`,
    '',
    '| | Step | Depth | Asked, read, tightened | Opens again with |',
    '|---|---|---|---|---|',
    ...procedure.steps.map((s, i) => row(state, s, i + 1, titles)),
    '',
  ].join('\n');
}

/**
 * Every kind of work as a document: each step in its order, what is asked and of what kind, what is read, at which depth, and which steps
 * open it again. Made from the procedures themselves, each example worked by the book.
 */
export function proceduresDocument(): string {
  ids = 0;
  return [
    '# Order of work, kind by kind',
    '',
    'Made by `npm run procedures` from the procedures themselves: do not edit it by hand. Each kind is shown at its thorough depth. A step',
    'or question marked *standard* or *thorough* is left out at a lesser depth. *hazard*: never skipped. *machine*: skipped with a',
    'reason where the machine has no such part. *choice*: what is seen is written down. The last column names the steps that open a step',
    'again when they are undone; *loosened* and *redone* are said where only that opens it.',
    '',
    ...allTrades().flatMap((trade) =>
      Object.entries(trade.example.setups).map(([name, setup]) => kind(trade, name, setup as Setup)),
    ),
  ].join('\n');
}
