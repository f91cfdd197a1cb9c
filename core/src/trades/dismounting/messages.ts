import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('dismounting', en, {
  abortPressureCameFirst: { abort: 'pressure', peak: 'pressure' },
  asLeft: { found: 'length', asLeft: 'length', grown: 'length' },
  asLeft2: { grownMm: 'length', asLeft: 'length' },
  clearanceAsFoundRow: { row: 'text' },
  foundAsLeft: { found: 'length' },
  foundLessThanLeftDriven: { found: 'length', grown: 'length' },
  foundMoreThanLeftSleeve: { found: 'length', grown: 'length' },
  foundWhetherHasGrownThese: { found: 'length' },
  gaugeHoldsHasNotLet: { after: 'pressure' },
  highestPressureRound: { n: 'count' },
  leftWhatHasNowNot: { asLeft: 'length' },
  letGoGaugeDroppedZero: { peak: 'pressure' },
  missingLifeWorkedOutAll: { label: 'text' },
  nutBackLeastTurns: { turns: 'count', turns2: 'count' },
  nutBackTurns: { turned: 'text' },
  nutBackTurnsStill: { turns: 'count' },
  pressureAfterRound: { n: 'count' },
  ranNineTenReachFatigue: { thousands: 'text', thousands2: 'text', gonePercent: 'text' },
  releaseStillLooseIfNot: { nutOf: 'text' },
  round: { n: 'count' },
  round2: { n: 'count', free: ['letGo', 'none'] },
  roundsPump: { count: 'count', free: ['hasLetGo', 'notLetGoYet'] },
  thenText: { after: 'pressure' },
  turnBackSayHowFar: { nutOf: 'text' },
  turns: { turns: 'count', turns2: 'count' },
  up: { peak: 'pressure', after: 'text', aborted: ['abort', 'none'] },
});
