import type { BoltPass } from '../arithmetic/bolting/pattern.ts';
import { boltTorque, type TorqueValues } from '../arithmetic/bolting/torque.ts';
import { answerTo, loosenedAt } from '../engine/facts.ts';
import { lackingAt } from '../engine/lacking.ts';
import type { Setup } from '../engine/setup.ts';
import type { BoltTick, Facts } from '../engine/state.ts';
import type { BoltTry, StepDefinition } from '../engine/step.ts';
import { kindFamily } from '../engine/step.ts';
import type { Finding, WorkingLine } from '../judgement/result.ts';
import { tor } from '../quantities/say.ts';
import {
  type BoltSpec,
  type BoltValues,
  type Held,
  nextBolt,
  openIn,
  passesOf,
  ROUNDS_MOST,
  rounds,
  withRounds,
} from './bolt-passes.ts';
import { gaugeFindings } from './gauges.ts';
import { allYes, itemFindings } from './item-findings.ts';

/** Bolts or screws tightened together, whatever they hold. */
export const bolts = kindFamily<Setup, BoltValues>('bolts');

/** Bolts or screws tightened together, whatever they hold. */
export const boltsStep = <S extends Setup>(specOf: (setup: S) => BoltSpec) =>
  bolts.kind<S>({
    asks(facts, step) {
      const { occupied, count } = specOf(facts.setup);
      const items = step.items ?? [];
      if (!occupied) return items;
      const all = ticksOf(facts, step).length >= count - occupied.holes.length;
      return all ? items : items.filter((i) => i.id !== occupied.free);
    },
    report(facts, step) {
      const spec = withoutTorque(facts, step, specOf(facts.setup));
      const torque = torqueOf(step, spec);
      const ticks = ticksOf(facts, step);
      const first = passesOf(spec, torque.values.torqueNm);
      const passes = withRounds(first, ticks, spec);
      const due = nextBolt(passes, ticks);
      const held = heldBy(facts, step, spec, due);
      const waits = held?.waits ?? null;
      const next = waits === null ? due : null;
      const pass = next ? passes[next.pass] : undefined;
      const findings: Finding[] = [
        ...torque.findings,
        ...(waits === null ? [] : [filled(step, waits)]),
        ...itemFindings(facts, step),
        ...changedUnder(step, passes, ticks, spec),
        ...outOfPattern(step, passes, ticks, nameOf(spec)),
      ];
      if (next && pass)
        findings.push({
          code: `${step.id}.open`,
          verdict: 'incomplete',
          reason: `${pass.name}: ${nameOf(spec)} ${next.bolt} is next${next.torqueNm === null ? '' : `, to ${tor(next.torqueNm)}`}.`,
          params: {
            name: pass.name,
            spec: nameOf(spec),
            bolt: next.bolt,
            torqueNm: next.torqueNm === null ? null : next.torqueNm,
          },
          acceptable: false,
        });
      if (passes.length >= ROUNDS_MOST)
        findings.push({
          code: `${step.id}.rounds`,
          verdict: 'reject',
          reason: `${passes.length} rounds and something still moves.`,
          params: { length: passes.length },
          source: 'practice',
          remedy: 'Stop: look for a wrong shaft, a stripped thread, dirt between the faces.',
          acceptable: false,
        });
      const settling = rounds(passes, ticks);
      return {
        findings: [
          ...findings,
          ...rangeFindings(step, ticks, torque.values.torqueNm),
          ...gaugeFindings(ticks),
        ],
        working: [
          ...torque.working,
          ...passes.map((p) => ({
            what: p.name,
            sum: `${p.torqueNm === null ? 'by hand' : tor(p.torqueNm)}: ${p.order.join(' · ')}`,
          })),
          ...settling.map((deg, i) => ({ what: `round ${i + 1} moved`, sum: `${deg}° at the most` })),
        ],
        beams: [],
        values: {
          spec,
          torque: torque.values,
          passes,
          ticks,
          next,
          settling,
          ...(held ? { held } : {}),
        } satisfies BoltValues,
        next: null,
        act: waits ?? sayAct(spec, pass, next, step.itemsFirst === true && !allYes(facts, step)),
      };
    },
    due(report) {
      const values = bolts.valuesOf(report);
      if (!values?.next) return null;
      return { ...values.next, settling: values.passes[values.next.pass]?.kind === 'round' };
    },
    bolt(facts, step, report, tried) {
      if (step.itemsFirst && !allYes(facts, step)) return 'First answer what is asked above.';
      const values = bolts.valuesOf(report);
      return values ? refuse(values, tried) : 'What these bolts are drawn to could not be worked out.';
    },
  });

const filled = (step: StepDefinition, waits: string): Finding => ({
  code: `${step.id}.filled`,
  verdict: 'incomplete',
  reason: waits,
  params: { waits },
  acceptable: false,
});

/** Bolts ticked since they were last loosened. */
const ticksOf = (facts: Facts, step: StepDefinition): BoltTick[] =>
  facts.ticks.filter(
    (t) =>
      !t.withdrawn &&
      t.step === step.id &&
      t.attempt === facts.attempt &&
      t.round === loosenedAt(facts, step.id).length,
  );

/** What is in holes that bolts go into, and beside them. */
function heldBy(
  facts: Facts,
  step: StepDefinition,
  { occupied, jacking }: BoltSpec,
  due: BoltValues['next'],
): Held | null {
  if (!occupied && !jacking) return null;
  const out = (id: string, item: string) => answerTo(facts, id, item, 'any')?.answer === 'yes';
  const filled = occupied && !out(step.id, occupied.free) ? occupied.holes : [];
  const jacked = jacking !== undefined && !out(jacking.step, jacking.free);
  const waits =
    due && jacked ? jacking.wait : due && filled.includes(due.bolt) && occupied ? occupied.wait : null;
  return { waits, filled, jacked };
}

/** Said to be snug by hand, or without a torque on their sheet, bolts are drawn snug, evenly, twice round. */
const withoutTorque = (facts: Facts, step: StepDefinition, spec: BoltSpec): BoltSpec => {
  if (!lackingAt(facts, step.id)) return spec;
  const { bolt: _, makerTorqueNm: __, makerMostNm: ___, ...rest } = spec;
  return { ...rest, snug: true };
};

/** The torque of a set: worked out with its sources, or the sheet’s alone, looked at for a slip of unit. */
function torqueOf(
  step: StepDefinition,
  spec: BoltSpec,
): { values: Pick<TorqueValues, 'torqueNm' | 'source'>; findings: Finding[]; working: WorkingLine[] } {
  if (spec.snug)
    return {
      values: { torqueNm: 0, source: 'maker' },
      findings: [
        {
          code: `${step.id}.torque`,
          verdict: 'accept',
          reason: `${spec.what}: only snug, evenly, by hand key; no torque.`,
          params: { what: spec.what },
          source: 'practice',
          acceptable: false,
        },
      ],
      working: [],
    };
  if (spec.bolt) {
    const told = boltTorque({ ...spec.bolt, makerTorqueNm: spec.makerTorqueNm });
    return spec.housing && spec.makerTorqueNm === undefined
      ? { ...told, findings: told.findings.map(byBoltAlone) }
      : told;
  }
  const leastNm = spec.makerTorqueNm;
  if (leastNm === undefined)
    throw new RangeError(
      `The torque of the ${spec.what.toLowerCase()} is missing: it comes from the maker’s sheet.`,
    );
  const torqueNm = spec.makerMostNm === undefined ? leastNm : (leastNm + spec.makerMostNm) / 2;
  const range =
    spec.makerMostNm === undefined ? '' : `${tor(leastNm)} to ${tor(spec.makerMostNm)}, the middle `;
  const [low, high] = spec.usualNm ?? [0, Number.POSITIVE_INFINITY];
  const odd = torqueNm < low / 3 || torqueNm > 3 * high;
  return {
    values: { torqueNm, source: 'maker' },
    findings: [
      {
        code: `${step.id}.torque`,
        verdict: odd ? 'caution' : 'accept',
        reason: odd
          ? `${tor(torqueNm)} is far from what is usual for ${spec.what.toLowerCase()}, ${tor(low)} to ${tor(high)}.`
          : `${spec.what}: ${range}${tor(torqueNm)} by the maker's sheet.`,
        params: {
          torqueNm: odd ? torqueNm : null,
          what: odd ? spec.what : null,
          low: odd ? low : null,
          high: odd ? high : null,
          what2: odd ? null : spec.what,
          range: odd ? null : range,
          torqueNm2: odd ? null : torqueNm,
        },
        source: 'maker',
        ...(odd ? { remedy: 'Read the sheet again: the value, and its unit.' } : {}),
        acceptable: true,
      },
    ],
    working: [],
  };
}

/** What a bolt bears is not what a housing bears: some ask for half. */
const byBoltAlone = (f: Finding): Finding =>
  f.code === 'bolting.torque'
    ? {
        ...f,
        verdict: 'caution',
        reason: `${f.reason.replace(/\.$/, '')} from the bolt alone: it may distort the housing and pinch the ring.`,
        remedy: 'Look for the housing’s own torque on its sheet, and put it into the setup.',
      }
    : f;

/** One bolt, in a sentence: “bolt” or “screw”, by what the set is called. */
const nameOf = (spec: BoltSpec): string => (/screws?$/i.test(spec.what) ? 'screw' : 'bolt');

function sayAct(
  spec: BoltSpec,
  pass: BoltPass | undefined,
  next: BoltValues['next'],
  asking: boolean,
): string {
  if (asking) return 'Answer what comes before the wrench.';
  if (!next || !pass) return `All ${nameOf(spec)}s tight; none moved in the last round.`;
  return `${pass.name}: ${nameOf(spec)} ${next.bolt}`;
}

/** Bolts ticked to another torque, or that are no longer there: the setup was changed under them. */
function changedUnder(
  step: StepDefinition,
  passes: BoltPass[],
  ticks: BoltTick[],
  spec: BoltSpec,
): Finding[] {
  const { count } = spec;
  const off = ticks.filter(
    (t) => t.bolt > count || wrongTorque(spec, passes[t.pass]?.torqueNm ?? null, t.torqueNm),
  );
  if (off.length === 0) return [];
  return [
    {
      code: `${step.id}.changed`,
      verdict: 'reject',
      reason: `${off.length} of ${ticks.length} ticks were made before bolts or torque were changed and do not fit any more.`,
      params: { length: off.length, length2: ticks.length },
      source: 'practice',
      remedy: 'Loosen all bolts, say so, and begin again at the first pass.',
      acceptable: false,
    },
  ];
}

/** Out of the sheet's range on the last of the way to it; else more than a tenth off the torque of the pass. */
function wrongTorque(spec: BoltSpec, wantedNm: number | null, torqueNm: number): boolean {
  if (wantedNm === null) return false;
  const { makerTorqueNm: least, makerMostNm: most } = spec;
  return least !== undefined && most !== undefined && wantedNm >= (least + most) / 2 - 1e-6
    ? torqueNm < least || torqueNm > most
    : Math.abs(torqueNm - wantedNm) > 0.1 * wantedNm;
}

/** Bolts tightened in another order than the pattern's: said, since a joint drawn one-sided stands askew. */
function outOfPattern(
  step: StepDefinition,
  passes: readonly BoltPass[],
  ticks: readonly BoltTick[],
  one: string,
): Finding[] {
  const said = ticks.flatMap((t) => (t.asDone ? [`${one} ${t.bolt} (${passes[t.pass]?.name ?? ''})`] : []));
  return said.length === 0
    ? []
    : [
        {
          code: `${step.id}.order`,
          verdict: 'caution',
          reason: `Out of the pattern: ${said.join(', ')}.`,
          params: { value: said.join(', ') },
          source: 'practice',
          remedy: 'Where a gap or a gasket decides, loosen all and begin again.',
          acceptable: false,
        },
      ];
}

/** May this bolt be ticked now? The sentence when not. */
function refuse(values: BoltValues, tried: BoltTry): string | null {
  const { spec, next } = values;
  const one = nameOf(spec);
  if (values.held?.waits) return values.held.waits;
  if (!next) return `All ${one}s are tight already.`;
  const pass = values.passes[next.pass];
  const name = pass?.name ?? '';
  if (tried.bolt > spec.count) return `There are ${spec.count} ${spec.what.toLowerCase()}.`;
  const really =
    tried.asDone === true && tried.pass === next.pass && openIn(values, next.pass).includes(tried.bolt);
  if (!really && (tried.pass !== next.pass || tried.bolt !== next.bolt))
    return `${name}: ${one} ${next.bolt} is next in the pattern.`;
  if (next.torqueNm !== null && wrongTorque(spec, next.torqueNm, tried.torqueNm))
    return `${tor(tried.torqueNm)} is not the ${name} torque, ${tor(next.torqueNm)}. Loosen all and start again if a ${one} was overtightened.`;
  if (spec.seatingDeg !== undefined && pass?.kind === 'round' && tried.movedDeg === undefined)
    return `Say how far ${one} ${next.bolt} moved, in degrees; 0 where it did not.`;
  return null;
}

function rangeFindings(step: StepDefinition, ticks: BoltTick[], finalNm: number): Finding[] {
  const wrench = ticks.find((t) => t.torqueNm > 0)?.instrument;
  if (!wrench || (finalNm <= wrench.high && finalNm >= 0.2 * wrench.high)) return [];
  return [
    {
      code: `${step.id}.wrench-range`,
      verdict: 'caution',
      reason: `${wrench.name} is good from ${tor(0.2 * wrench.high)} to ${tor(wrench.high)}; the bolts take ${tor(finalNm)}.`,
      params: { name: wrench.name, high: 0.2 * wrench.high, high2: wrench.high, finalNm },
      source: 'practice',
      remedy: 'Use a wrench between 20 and 100 % of its scale.',
      acceptable: false,
    },
  ];
}
