import { sleeveOf } from '../../api/setup.ts';
import { type BoltPass, boltPattern } from '../../bolting/pattern.ts';
import { boltTorque, type TorqueValues } from '../../bolting/torque.ts';
import type { Finding } from '../../calculators/result.ts';
import type { BoltTick, Facts } from '../../job/state.ts';
import { tor } from '../../quantities/say.ts';
import type { StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';

export type CapBoltValues = {
  torque: TorqueValues;
  passes: BoltPass[];
  ticks: BoltTick[];
  /** The bolt to tighten now; null when all is done. */
  next: { pass: number; bolt: number; torqueNm: number | null } | null;
};

/** Cap bolts ticked one by one through the passes. A bolt that still moved in the last round asks for another round. */
export const capBolts: StepKind = {
  report(facts) {
    const setup = sleeveOf(facts);
    const torque = boltTorque({
      size: setup.boltSize,
      grade: setup.boltGrade,
      friction: setup.friction,
      makerTorqueNm: setup.maker.torqueNm,
    });
    const pattern = boltPattern({
      count: setup.boltCount,
      layout: setup.boltLayout,
      torqueNm: torque.values.torqueNm,
    });
    const ticks = facts.ticks.filter((t) => t.attempt === facts.attempt && t.round === facts.loosened.length);
    const passes = withRounds(pattern.values.passes, ticks);
    const next = nextBolt(passes, ticks);
    const pass = next ? passes[next.pass] : undefined;
    const findings: Finding[] = [...torque.findings, ...changedUnder(passes, ticks, setup.boltCount)];
    if (next && pass) {
      findings.push({
        code: 'bolts.open',
        verdict: 'incomplete',
        reason: `${pass.name}: bolt ${next.bolt} is next${next.torqueNm === null ? '' : `, to ${tor(next.torqueNm)}`}.`,
        acceptable: false,
      });
    }
    return {
      findings: [...findings, ...rangeFindings(ticks, torque.values.torqueNm), ...gaugeFindings(ticks)],
      working: [...torque.working, ...pattern.working],
      beams: [],
      values: { torque: torque.values, passes, ticks, next } satisfies CapBoltValues,
      next: null,
      act:
        next && pass ? `${pass.name}: bolt ${next.bolt}` : 'All bolts tight; none moved in the last round.',
    };
  },
};

/** Bolts ticked to another torque, or that are no longer there: the setup was changed under them. */
function changedUnder(passes: BoltPass[], ticks: BoltTick[], count: number): Finding[] {
  const off = ticks.filter(
    (t) => t.bolt > count || wrongTorque(passes[t.pass]?.torqueNm ?? null, t.torqueNm),
  );
  if (off.length === 0) return [];
  return [
    {
      code: 'bolts.changed',
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

/** The passes, with one more round for each full round in which a bolt still moved. */
function withRounds(passes: BoltPass[], ticks: BoltTick[]): BoltPass[] {
  const all = [...passes];
  const round = passes.at(-1);
  if (!round) return all;
  for (let i = passes.length - 1; i < 20; i++) {
    const here = ticks.filter((t) => t.pass === i);
    if (here.length < round.order.length || !here.some((t) => t.moved)) break;
    all.push({ ...round, name: `Round ${i - passes.length + 3}` });
  }
  return all;
}

function nextBolt(passes: BoltPass[], ticks: BoltTick[]): CapBoltValues['next'] {
  for (const [pass, p] of passes.entries()) {
    const bolt = p.order.find((b) => !ticks.some((t) => t.pass === pass && t.bolt === b));
    if (bolt !== undefined) return { pass, bolt, torqueNm: p.torqueNm };
  }
  return null;
}

/** May this bolt be ticked now? The sentence when not. */
export function refuseBolt(
  facts: Facts,
  values: CapBoltValues,
  pass: number,
  bolt: number,
  torqueNm: number,
): string | null {
  if (!values.next) return 'All bolts are tight already.';
  const name = values.passes[values.next.pass]?.name ?? '';
  const { boltCount } = sleeveOf(facts);
  if (bolt > boltCount) return `There are ${boltCount} cap bolts.`;
  if (pass !== values.next.pass || bolt !== values.next.bolt)
    return `${name}: bolt ${values.next.bolt} is next in the pattern.`;
  const wanted = values.next.torqueNm;
  if (wanted !== null && wrongTorque(wanted, torqueNm)) {
    return `${tor(torqueNm)} is not the ${name} torque, ${tor(wanted)}. Loosen all and start again if a bolt was overtightened.`;
  }
  return null;
}

function rangeFindings(ticks: BoltTick[], finalNm: number): Finding[] {
  const wrench = ticks.find((t) => t.torqueNm > 0)?.instrument;
  if (!wrench || (finalNm <= wrench.high && finalNm >= 0.2 * wrench.high)) return [];
  return [
    {
      code: 'bolts.wrench-range',
      verdict: 'caution',
      reason: `${wrench.name} is good from ${tor(0.2 * wrench.high)} to ${tor(wrench.high)}; the bolts take ${tor(finalNm)}.`,
      source: 'practice',
      remedy: 'Use a wrench between 20 and 100 % of its scale.',
      acceptable: true,
    },
  ];
}
