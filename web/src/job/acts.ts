import type { ActHere, Reading, StepState } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { JobView } from '../data/job.ts';
import { M } from './messages.ts';

/** The rarer acts, each of which asks for a reason first. */
export type Ask =
  | 'repeat'
  | 'withdraw'
  | 'hold'
  | 'release'
  | 'undo'
  | 'loosen'
  | 'cancel'
  | 'note'
  | 'running';

/** What is asked before an act, and what is done with the answer. */
export type Act = {
  title: Text;
  ask: Text;
  does: Text;
  run(reason: string): Promise<Text | null>;
  optional?: boolean;
  /** Reasons that are one touch. */
  quick?: readonly Text[];
};

/** Every act that wants a reason, for a step as it stands. */
export function actsOf(
  job: Pick<JobView, 'act'>,
  step: Pick<StepState, 'id' | 'title'>,
  undoing: ActHere | null,
  reading: Pick<Reading, 'id'> | null,
): Record<Ask, Act> {
  return {
    repeat: {
      title: M.measureAgainTitle({ title: step.title }),
      ask: M.whatDoneBetweenWhatRead,
      does: M.measureAgain,
      run: (done) => job.act('measure.repeated', done ? { step: step.id, done } : { step: step.id }),
      optional: true,
    },
    withdraw: {
      title: M.withdrawReading,
      ask: M.whyReadingStaysSheetStruck,
      does: M.withdraw,
      run: (reason) =>
        reading ? job.act('reading.withdrawn', { reading: reading.id, reason }) : Promise.resolve(null),
      quick: [M.typedWrong, M.gaugeSlipped, M.wrongPlace],
    },
    hold: {
      title: M.holdTitle({ title: step.title }),
      ask: M.whatHoldsGoesNoFurther,
      does: M.hold,
      run: (reason) => job.act('step.held', { step: step.id, reason }),
    },
    release: {
      title: M.releaseTitle({ title: step.title }),
      ask: M.noteMayStayEmpty,
      does: COMMON.release,
      run: (note) => job.act('step.released', note ? { step: step.id, note } : { step: step.id }),
      optional: true,
    },
    undo: {
      title: undoing?.words?.does ?? '',
      ask: undoing?.words?.ask ?? '',
      does: undoing?.words?.confirm ?? '',
      run: (reason) => job.act('act.done', { act: undoing?.id ?? '', reason }),
    },
    loosen: {
      title: M.allLoosenedTitle({ title: step.title }),
      ask: M.whyTighteningBeginsAgainFirst,
      does: M.theyLoose,
      run: (reason) => job.act('bolts.loosened', { step: step.id, reason }),
    },
    cancel: {
      title: M.cancelJob,
      ask: M.whyLeavesBoardStaysRecord,
      does: M.cancel,
      run: (reason) => job.act('job.cancelled', { reason }),
    },
    running: {
      title: M.signAsRunningChecksCome,
      ask: M.typeYourNameSignSheet,
      does: M.signAsRunning,
      run: (name) => job.act('sheet.signed', { name, running: true }),
      optional: true,
    },
    note: {
      title: M.noteSheet,
      ask: M.whatShouldStandSheet,
      does: COMMON.save,
      run: (text) => job.act('note.added', { text }),
    },
  };
}
