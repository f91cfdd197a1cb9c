import type { BoltPass } from '../arithmetic/bolting/pattern.ts';
import { answerTo, loosenedAt } from '../engine/facts.ts';
import { lackingAt } from '../engine/lacking.ts';
import type { Setup } from '../engine/setup.ts';
import type { BoltTick, Facts } from '../engine/state.ts';
import type { BoltTry, StepDefinition } from '../engine/step.ts';
import { kindFamily } from '../engine/step.ts';
import type { Finding } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr, inline, listOf } from '../message/message.ts';
import { tor } from '../quantities/say.ts';
import {
  type BoltSpec,
  type BoltValues,
  eachIsJudged,
  type Held,
  nextBolt,
  openIn,
  passesOf,
  ROUNDS_MOST,
  rounds,
  withRounds,
} from './bolt-passes.ts';
import { torqueOf } from './bolt-torque.ts';
import { gaugeFindings } from './gauges.ts';
import { allYes, itemFindings } from './item-findings.ts';
import { M } from './messages.ts';

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
        ...outOfPattern(step, passes, ticks, spec.one),
      ];
      if (next && pass)
        findings.push({
          code: `${step.id}.open`,
          verdict: 'incomplete',
          reason: M.next({
            name: pass.name,
            one: spec.one,
            bolt: next.bolt,
            torque: next.torqueNm === null ? '' : M.to({ torque: tor(next.torqueNm) }),
          }),
          params: {
            name: pass.name,
            spec: spec.one,
            bolt: next.bolt,
            torqueNm: next.torqueNm === null ? null : next.torqueNm,
          },
          acceptable: false,
        });
      if (passes.length >= ROUNDS_MOST)
        findings.push({
          code: `${step.id}.rounds`,
          verdict: 'reject',
          reason: M.roundsSomethingStillMoves({ count: passes.length }),
          params: { length: passes.length },
          source: 'practice',
          remedy: M.stopLookWrongShaftStripped,
          acceptable: false,
        });
      const values: BoltValues = {
        spec,
        torque: torque.values,
        passes,
        ticks,
        next,
        settling: rounds(passes, ticks),
        ...(held ? { held } : {}),
      };
      // Where each is judged by itself the next one is named, else what is left of its pass.
      const left = next && !eachIsJudged(values) ? openIn(values, next.pass) : [];
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
            sum: expr`${p.torqueNm === null ? COMMON.hand : tor(p.torqueNm)}: ${p.order.join(' · ')}`,
          })),
          ...values.settling.map((deg, i) => ({ what: M.roundMoved({ i: i + 1 }), sum: M.most({ deg }) })),
        ],
        beams: [],
        values,
        next: null,
        act: waits ?? sayAct(spec, pass, next, step.itemsFirst === true && !allYes(facts, step), left),
      };
    },
    due(report) {
      const values = bolts.valuesOf(report);
      if (!values?.next) return null;
      const round = values.passes[values.next.pass]?.kind === 'round';
      return {
        ...values.next,
        settling: round && !values.spec.seenMoving,
        last: values.next.pass === values.passes.length - 1,
      };
    },
    leftOfPass(report) {
      const values = bolts.valuesOf(report);
      return values?.next && !eachIsJudged(values) ? openIn(values, values.next.pass) : null;
    },
    bolt(facts, step, report, tried) {
      if (step.itemsFirst && !allYes(facts, step)) return M.firstAnswerWhatAskedAbove;
      const values = bolts.valuesOf(report);
      return values ? refuse(values, tried) : M.whatTheseBoltsDrawnCould;
    },
  });

const filled = (step: StepDefinition, waits: Text): Finding => ({
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

/** Said to be snug by hand, or without a torque on their sheet and of unknown size, bolts are tightened snug, evenly, twice round. */
const withoutTorque = (facts: Facts, step: StepDefinition, spec: BoltSpec): BoltSpec => {
  const lacking = lackingAt(facts, step.id);
  if (!lacking) return spec;
  const { bolt, makerTorqueNm: _, makerMostNm: __, ...rest } = spec;
  return lacking.why === 'sheet-gives-none' && bolt ? { ...rest, bolt } : { ...rest, snug: true };
};

function sayAct(
  spec: BoltSpec,
  pass: BoltPass | undefined,
  next: BoltValues['next'],
  asking: boolean,
  left: readonly number[],
): Text {
  if (asking) return M.answerWhatComesBeforeWrench;
  if (!next || !pass) return M.allSTightNoneMoved({ one: spec.one });
  if (left.length > 1) return M.passInOrder({ pass: pass.name, one: spec.one, order: left.join(' · ') });
  return M.passOne({ pass: pass.name, one: spec.one, bolt: next.bolt });
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
      reason: M.ticksWereMadeBeforeBolts({ count: off.length, count2: ticks.length }),
      params: { length: off.length, length2: ticks.length },
      source: 'practice',
      remedy: M.loosenAllBoltsSaySo,
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
  const said = ticks.flatMap((t) =>
    t.asDone ? [expr`${one} ${t.bolt} (${passes[t.pass]?.name ?? ''})`] : [],
  );
  return said.length === 0
    ? []
    : [
        {
          code: `${step.id}.order`,
          verdict: 'caution',
          reason: M.outPattern({ said: listOf(said, ', ') }),
          params: { value: listOf(said, ', ') },
          source: 'practice',
          remedy: M.whereGapGasketDecidesLoosen,
          acceptable: false,
        },
      ];
}

/** May this bolt be ticked now? The sentence when not. */
function refuse(values: BoltValues, tried: BoltTry): Text | null {
  const { spec, next } = values;
  const one = spec.one;
  if (values.held?.waits) return values.held.waits;
  if (!next) return M.allSTightAlready;
  const pass = values.passes[next.pass];
  const name = pass?.name ?? '';
  if (tried.bolt > spec.count) return M.there({ count: spec.count, what: inline(spec.what) });
  if (tried.all) {
    if (eachIsJudged(values)) return M.sayHowFarMovedDegrees({ one, bolt: next.bolt });
    if (String(tried.all) !== String(openIn(values, next.pass)))
      return M.nextPattern({ name, one, bolt: next.bolt });
  }
  const really =
    tried.asDone === true && tried.pass === next.pass && openIn(values, next.pass).includes(tried.bolt);
  if (!really && (tried.pass !== next.pass || tried.bolt !== next.bolt))
    return M.nextPattern({ name, one, bolt: next.bolt });
  if (next.torqueNm !== null && wrongTorque(spec, next.torqueNm, tried.torqueNm))
    return M.notTorqueLoosenAllStart({ torque: tor(tried.torqueNm), name, torque2: tor(next.torqueNm), one });
  if (eachIsJudged(values) && tried.movedDeg === undefined)
    return M.sayHowFarMovedDegrees({ one, bolt: next.bolt });
  return null;
}

function rangeFindings(step: StepDefinition, ticks: BoltTick[], finalNm: number): Finding[] {
  const wrench = ticks.find((t) => t.torqueNm > 0)?.instrument;
  // Of a wrench that is not listed nobody knows the range: its own caution says so.
  if (!wrench || wrench.unlisted || (finalNm <= wrench.high && finalNm >= 0.2 * wrench.high)) return [];
  return [
    {
      code: `${step.id}.wrench-range`,
      verdict: 'caution',
      reason: M.goodFromBoltsTake({
        name: wrench.name,
        high: tor(0.2 * wrench.high),
        high2: tor(wrench.high),
        final: tor(finalNm),
      }),
      params: { name: wrench.name, high: 0.2 * wrench.high, high2: wrench.high, finalNm },
      source: 'practice',
      remedy: M.useWrenchBetween20100,
      acceptable: false,
    },
  ];
}
