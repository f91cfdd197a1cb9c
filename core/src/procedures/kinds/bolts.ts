import type { Setup } from '../../api/setup.ts';
import type { BoltGrade } from '../../bolting/grades.ts';
import { type BoltLayout, type BoltPass, boltPattern, seatingPasses } from '../../bolting/pattern.ts';
import { setScrewPasses } from '../../bolting/set-screws.ts';
import { boltTorque, type Friction, type TorqueValues } from '../../bolting/torque.ts';
import type { Finding, WorkingLine } from '../../calculators/result.ts';
import { loosenedAt } from '../../engine/facts.ts';
import type { BoltTick } from '../../engine/state.ts';
import { tor } from '../../quantities/say.ts';
import type { BoltTry, StepDefinition, StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';
import { allYes, itemFindings } from './item-findings.ts';

/** A set of bolts or screws tightened together. */
export type BoltSpec = {
  /** What they are, as the subject of a sentence: “Cap bolts”. */
  what: string;
  count: number;
  layout: BoltLayout;
  /** Size, grade and threads a torque is worked out from; left out where only the maker’s sheet gives one. */
  bolt?: { size: string; grade: BoltGrade; friction: Friction };
  makerTorqueNm?: number | undefined;
  /** Of the maker’s torque: the order of size usual for such screws, to catch a slip of unit. Never a default. */
  usualNm?: readonly [number, number];
  /** Set screws: so many dog points first, the rest are cup points. */
  dogs?: number;
  /** A seating loop: all to torque, tapped down, again, until none moves more than so many degrees in a whole round. */
  seatingDeg?: number;
};

export type BoltValues = {
  spec: BoltSpec;
  torque: Pick<TorqueValues, 'torqueNm' | 'source'>;
  passes: BoltPass[];
  ticks: BoltTick[];
  /** The bolt to tighten now; null when all is done. */
  next: { pass: number; bolt: number; torqueNm: number | null } | null;
  /** Of a seating loop: the largest movement of each whole round, degrees. */
  settling: number[];
};

/** Most rounds anyone goes. */
const ROUNDS_MOST = 20;
/** A bolt that moved so far in the last round asks for another. Common practice: a few degrees. */
const MOVED_DEG = 3;

/** Bolts ticked one by one through the passes. A bolt that still moved in the last round asks for another round. */
export const boltsStep = (specOf: (setup: Setup) => BoltSpec): StepKind => ({
  report(facts, step) {
    const spec = specOf(facts.setup);
    const torque = torqueOf(step, spec);
    const ticks = facts.ticks.filter(
      (t) =>
        t.step === step.id && t.attempt === facts.attempt && t.round === loosenedAt(facts, step.id).length,
    );
    const first = passesOf(spec, torque.values.torqueNm);
    const passes = withRounds(first, ticks, spec);
    const next = nextBolt(passes, ticks);
    const pass = next ? passes[next.pass] : undefined;
    const findings: Finding[] = [
      ...torque.findings,
      ...itemFindings(facts, step),
      ...changedUnder(step, passes, ticks, spec.count),
    ];
    if (next && pass)
      findings.push({
        code: `${step.id}.open`,
        verdict: 'incomplete',
        reason: `${pass.name}: ${nameOf(spec)} ${next.bolt} is next${next.torqueNm === null ? '' : `, to ${tor(next.torqueNm)}`}.`,
        acceptable: false,
      });
    if (passes.length >= ROUNDS_MOST)
      findings.push({
        code: `${step.id}.rounds`,
        verdict: 'reject',
        reason: `${passes.length} rounds and something still moves.`,
        source: 'practice',
        remedy: 'Stop: look for a wrong shaft, a stripped thread, dirt between the faces.',
        acceptable: false,
      });
    const settling = rounds(passes, ticks);
    return {
      findings: [...findings, ...rangeFindings(step, ticks, torque.values.torqueNm), ...gaugeFindings(ticks)],
      working: [
        ...torque.working,
        ...passes.map((p) => ({
          what: p.name,
          sum: `${p.torqueNm === null ? 'by hand' : tor(p.torqueNm)}: ${p.order.join(' · ')}`,
        })),
        ...settling.map((deg, i) => ({ what: `round ${i + 1} moved`, sum: `${deg}° at the most` })),
      ],
      beams: [],
      values: { spec, torque: torque.values, passes, ticks, next, settling } satisfies BoltValues,
      next: null,
      act: sayAct(spec, pass, next, step.itemsFirst === true && !allYes(facts, step)),
    };
  },
  bolt(facts, step, values, tried) {
    if (step.itemsFirst && !allYes(facts, step)) return 'First answer what is asked above.';
    return refuse(values as BoltValues, tried);
  },
});

/** The torque of a set: worked out with its sources, or the sheet’s alone, looked at for a slip of unit. */
function torqueOf(
  step: StepDefinition,
  spec: BoltSpec,
): { values: Pick<TorqueValues, 'torqueNm' | 'source'>; findings: Finding[]; working: WorkingLine[] } {
  if (spec.bolt) return boltTorque({ ...spec.bolt, makerTorqueNm: spec.makerTorqueNm });
  const torqueNm = spec.makerTorqueNm;
  if (torqueNm === undefined)
    throw new RangeError(
      `The torque of the ${spec.what.toLowerCase()} is missing: it comes from the maker’s sheet.`,
    );
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
          : `${spec.what}: ${tor(torqueNm)} by the maker's sheet.`,
        source: 'maker',
        ...(odd ? { remedy: 'Read the sheet again: the value, and its unit.' } : {}),
        acceptable: true,
      },
    ],
    working: [],
  };
}

/** The passes of a set: crosswise, dog points before cup points, or a seating loop. */
function passesOf(spec: BoltSpec, torqueNm: number): BoltPass[] {
  if (spec.seatingDeg !== undefined) return seatingPasses(spec.count, torqueNm);
  if (spec.dogs !== undefined) return setScrewPasses(spec.dogs, spec.count - spec.dogs, torqueNm);
  return boltPattern({ count: spec.count, layout: spec.layout, torqueNm }).values.passes;
}

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
function changedUnder(step: StepDefinition, passes: BoltPass[], ticks: BoltTick[], count: number): Finding[] {
  const off = ticks.filter(
    (t) => t.bolt > count || wrongTorque(passes[t.pass]?.torqueNm ?? null, t.torqueNm),
  );
  if (off.length === 0) return [];
  return [
    {
      code: `${step.id}.changed`,
      verdict: 'reject',
      reason: `${off.length} of ${ticks.length} ticks were made before bolts or torque were changed and do not fit any more.`,
      source: 'practice',
      remedy: 'Loosen all bolts, say so, and begin again at the first pass.',
      acceptable: false,
    },
  ];
}

/** More than a tenth off the torque of the pass. */
const wrongTorque = (wantedNm: number | null, torqueNm: number): boolean =>
  wantedNm !== null && Math.abs(torqueNm - wantedNm) > 0.1 * wantedNm;

/** The passes, with one more round for each whole round in which something still moved. */
function withRounds(passes: BoltPass[], ticks: BoltTick[], spec: BoltSpec): BoltPass[] {
  const all = [...passes];
  const round = passes.at(-1);
  if (!round) return all;
  const limit = spec.seatingDeg ?? MOVED_DEG;
  for (let i = passes.length - 1; i < ROUNDS_MOST - 1; i++) {
    const here = ticks.filter((t) => t.pass === i);
    const stirred = here.some((t) => t.moved || (t.movedDeg ?? 0) > limit);
    if (here.length < round.order.length || !stirred) break;
    all.push({ ...round, name: `Round ${i - passes.length + 3}` });
  }
  return all;
}

/** The largest movement of each whole round. */
function rounds(passes: BoltPass[], ticks: BoltTick[]): number[] {
  return passes.flatMap((p, i) => {
    const here = ticks.filter((t) => t.pass === i && t.movedDeg !== undefined);
    return p.kind === 'round' && here.length >= p.order.length
      ? [Math.max(...here.map((t) => t.movedDeg ?? 0))]
      : [];
  });
}

function nextBolt(passes: BoltPass[], ticks: BoltTick[]): BoltValues['next'] {
  for (const [pass, p] of passes.entries()) {
    const bolt = p.order.find((b) => !ticks.some((t) => t.pass === pass && t.bolt === b));
    if (bolt !== undefined) return { pass, bolt, torqueNm: p.torqueNm };
  }
  return null;
}

/** May this bolt be ticked now? The sentence when not. */
function refuse(values: BoltValues, tried: BoltTry): string | null {
  const { spec, next } = values;
  const one = nameOf(spec);
  if (!next) return `All ${one}s are tight already.`;
  const pass = values.passes[next.pass];
  const name = pass?.name ?? '';
  if (tried.bolt > spec.count) return `There are ${spec.count} ${spec.what.toLowerCase()}.`;
  if (tried.pass !== next.pass || tried.bolt !== next.bolt)
    return `${name}: ${one} ${next.bolt} is next in the pattern.`;
  if (next.torqueNm !== null && wrongTorque(next.torqueNm, tried.torqueNm))
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
      source: 'practice',
      remedy: 'Use a wrench between 20 and 100 % of its scale.',
      acceptable: true,
    },
  ];
}
