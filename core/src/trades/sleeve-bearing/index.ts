import { stampQueries, stampSays } from '../../arithmetic/bearings/stamp.ts';
import type { Act } from '../../engine/act.ts';
import { standing } from '../../engine/facts.ts';
import type { StepState } from '../../engine/state.ts';
import { defineTrade } from '../../engine/trade.ts';
import { USUAL_PARTS } from '../../steps/bearing/bearing-setup.ts';
import { BEARING_MEASURES, shaftAt } from '../../steps/condition/at-depth.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { M } from './messages.ts';
import { sleeveBearing } from './procedure.ts';
import { completedSetup, type SleeveSetup, sleeveSetupSchema, USUAL_SETUP } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** Findings that leave no other way than off: too far by feelers, by the nut's angle, by the travel. */
const OVER = ['driveup.over-driven', 'nut-angle.turned', 'hydraulic.travel', 'lock.turn'];
const isOverDriven = (step: StepState | undefined): boolean =>
  (step?.blocking ?? []).some((f) => OVER.includes(f.code) && f.verdict === 'reject' && !f.acceptable);

/** The bearing is taken off its sleeve and fitted anew, with a new zero. */
export const DISMOUNT: Act<SleeveSetup> = {
  id: 'dismount',
  formerly: 'bearing.dismounted',
  words: {
    does: M.dismountBearing,
    said: M.dismounted,
    confirm: M.dismounted2,
    ask: M.whyDismountedReadingsStaySheet,
    caution: M.loadOffNutBackFew,
    onward: M.dismountNewZero,
  },
  undoes: 'attempt',
  onlyWay: ({ steps, present }) => present === 'bench' || isOverDriven(steps.find((s) => s.id === present)),
  may: (facts) => (standing(facts, 'driveup').length > 0 ? null : M.bearingNotTaperYetNothing),
};

/** A bearing with a tapered bore fitted on its adapter sleeve. */
export const sleeveBearingTrade = defineTrade<SleeveSetup>({
  id: 'sleeve-bearing',
  also: ['sleeve-bearing.feelers'],
  oldest: true,
  schema: sleeveSetupSchema,
  fromStamp: (text) => stampSays(text, ['boreMm', 'taper', 'clearanceClass', 'shaftMm']),
  usualAt: (depth) => ({
    ...shaftAt(BEARING_MEASURES)(depth),
    // The clearance is felt beside nut angle or travel.
    driveUp: { feelersToo: depth !== 'essential' } as SleeveSetup['driveUp'],
  }),
  completed: completedSetup,
  asksOfStamp: (text) => stampQueries(text, { sleeve: true }),
  usual: { ...USUAL_SETUP, ...USUAL_PARTS },
  procedure: sleeveBearing,
  words,
  figures,
  slots,
  why,
  example,
  acts: () => [DISMOUNT],
});
