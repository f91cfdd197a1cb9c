import type { ActHere, Reading, StepState } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { expr } from '@fulcrant/core/messages';
import type { JobView } from '../data/job.ts';

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
      title: expr`Measure “${step.title}” again`,
      ask: 'What was done in between? What was read before stays on the sheet beside it.',
      does: 'Measure again',
      run: (done) => job.act('measure.repeated', { step: step.id, done }),
    },
    withdraw: {
      title: 'Withdraw a reading',
      ask: 'Why? The reading stays on the sheet, struck out, with this reason.',
      does: 'Withdraw it',
      run: (reason) =>
        reading ? job.act('reading.withdrawn', { reading: reading.id, reason }) : Promise.resolve(null),
    },
    hold: {
      title: expr`Hold “${step.title}”`,
      ask: 'What holds it? It goes no further until a lead hand releases it.',
      does: 'Hold',
      run: (reason) => job.act('step.held', { step: step.id, reason }),
    },
    release: {
      title: expr`Release “${step.title}”`,
      ask: 'Anything to note with the release? (May stay empty.)',
      does: 'Release',
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
      title: expr`${step.title}: all loosened`,
      ask: 'Why? Tightening begins again at the first pass.',
      does: 'They are loose',
      run: (reason) => job.act('bolts.loosened', { step: step.id, reason }),
    },
    cancel: {
      title: 'Cancel this job',
      ask: 'Why? It leaves the board and stays in the record; nothing more can be done to it.',
      does: 'Cancel it',
      run: (reason) => job.act('job.cancelled', { reason }),
    },
    running: {
      title: 'Sign as running, checks to come',
      ask: 'Type your name to sign. The sheet is kept as it stands; the job stays on the board until the last check.',
      does: 'Sign as running',
      run: (name) => job.act('sheet.signed', { name, running: true }),
      optional: true,
    },
    note: {
      title: 'Note on the sheet',
      ask: 'What should stand on the sheet?',
      does: 'Write it',
      run: (text) => job.act('note.added', { text }),
    },
  };
}
