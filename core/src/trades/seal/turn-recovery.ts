import { answerTo, loosenedAt } from '../../engine/facts.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Facts } from '../../engine/state.ts';
import { type GateItem, type StepDefinition, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

export type TurnRecoveryValues = { rounds: number; free: boolean };

/** Most rounds of recovery that are tried. */
const ROUNDS_MOST = 4;
/** After so many a cause is looked for. Common practice, no source: two. */
const CAUSE_AFTER = 2;

/** The act by which recovery loosens gland and screws; a typed reason never counts as one. */
const RECOVERY = 'centring-recovery';

/**
 * One round of centring recovery, up to where gland and screws are loose with the clips holding the seal. From there the order
 * is the one it was fitted in: gland bolts and set screws by the wrench, bolt by bolt, the gland felt square, clips off, the
 * setting proved, and the hand turn again.
 */
const ROUND: ReadonlyArray<Pick<GateItem, 'ask' | 'loosens'> & { id: string }> = [
  { id: 'clips', ask: M.clipsBackFingerTight },
  { id: 'gland', ask: M.glandBoltsLoose },
  { id: 'full', ask: M.clipsFullyTight },
  {
    id: 'screws',
    ask: M.setScrewsLooseGlandBolts,
    loosens: { steps: ['glandbolts', 'screws'], because: M.centringRecovery, act: RECOVERY },
  },
];

const turnItem = (round: number): GateItem => ({
  id: `turn${round}`,
  group: round === 0 ? COMMON.turn : H.turnAfterRound({ round }),
  ask: M.turnedHandRunningDirectionFree,
  remedy: M.centringRecoveryOneRoundOrder,
});
const roundItems = (round: number): GateItem[] =>
  ROUND.map((r) => ({ ...r, id: `r${round}-${r.id}`, group: H.recoveryRound({ round }) }));

/** Every question the loop can ever ask. */
export const RECOVERY_ITEMS: GateItem[] = [
  turnItem(0),
  ...Array.from({ length: ROUNDS_MOST }, (_, i) => [...roundItems(i + 1), turnItem(i + 1)]).flat(),
];

const said = (facts: Facts<SealSetup>, step: StepDefinition<SealSetup>, id: string) =>
  answerTo(facts, step.id, id, step.again ? facts.attempt : 'any')?.answer;

/** Rounds whose gland was loosened: what was drawn since is this round's. */
const doneOf = (facts: Facts<SealSetup>): number =>
  Math.min(ROUNDS_MOST, loosenedAt(facts, 'glandbolts').filter((l) => l.act === RECOVERY).length);

/** Rounds begun: those loosened, and one more where the turn after them was not free. */
function roundsOf(facts: Facts<SealSetup>, step: StepDefinition<SealSetup>): number {
  const done = doneOf(facts);
  return said(facts, step, `turn${done}`) === 'no' ? Math.min(ROUNDS_MOST, done + 1) : done;
}

/**
 * The hand turn of a cartridge, and the centring recovery where metal is felt: counted, in its order, and after two rounds a cause is
 * looked for.
 */
export const turnRecovery = stepKind<SealSetup, TurnRecoveryValues>('turn-recovery', {
  asks(facts, step) {
    const done = doneOf(facts);
    const rounds = roundsOf(facts, step);
    // In their order: one is asked when all before it are done; the turn comes again when the order has.
    const all = rounds === done ? [turnItem(done)] : roundItems(rounds);
    const open = all.findIndex((i) => said(facts, step, i.id) !== 'yes');
    return open < 0 ? all : all.slice(0, open + 1);
  },
  ahead(facts, step) {
    const done = doneOf(facts);
    const rounds = roundsOf(facts, step);
    if (rounds === done) return [];
    const all = roundItems(rounds);
    const open = all.findIndex((i) => said(facts, step, i.id) !== 'yes');
    return open < 0 ? [] : all.slice(open + 1);
  },
  report(facts, step) {
    const rounds = roundsOf(facts, step);
    const looking = rounds > doneOf(facts);
    const free = !looking && said(facts, step, `turn${rounds}`) === 'yes';
    const done = roundItems(rounds).filter((i) => said(facts, step, i.id) === 'yes').length;
    // Only what was answered no stands as such; what is still to come is told by the round.
    const findings: Finding[] = free
      ? []
      : itemFindings(facts, step).filter((f) => !looking || !f.code.endsWith('.unanswered'));
    if (free)
      findings.push({
        code: 'turn.free',
        verdict: 'accept',
        reason: rounds === 0 ? M.turnsFree : M.turnsFreeAfterCentringRecovery({ rounds }),
        params: {
          rounds: rounds === 0 ? null : rounds,
          rounds2: rounds === 0 ? null : Boolean(rounds === 1),
        },
        source: 'practice',
        acceptable: false,
      });
    else if (looking)
      findings.push({
        code: 'turn.contact',
        verdict: 'incomplete',
        reason: M.metalMetalCentringRecoveryRound({ rounds, done, count: ROUND.length }),
        params: { rounds, done, length: ROUND.length },
        source: 'practice',
        remedy: M.eachStepOrderThenTurn,
        acceptable: false,
      });
    if (rounds >= CAUSE_AFTER)
      findings.push({
        code: 'turn.cause',
        verdict: free ? 'caution' : 'reject',
        reason: M.roundsLookCauseBeforeAnother({ rounds }),
        params: { rounds },
        source: 'practice',
        remedy: M.boxFaceOutSquareBore,
        acceptable: true,
      });
    return {
      findings,
      working: [],
      beams: [],
      values: { rounds, free } satisfies TurnRecoveryValues,
      next: null,
      act: free
        ? M.turnsFree
        : looking
          ? M.centringRecoveryRound({ rounds })
          : M.turnShaftHandRunningDirection,
    };
  },
});
