import {
  ANSWER_WORD,
  type Answer,
  canLack,
  type JobState,
  type Said,
  type StepDefinition,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import type { JobView } from '../data/job.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** An answer of a step that was passed is corrected with a reason: the step opens, and what stands on it; both answers print. */
export function CorrectDialog({
  job,
  state,
  step,
  open,
  onClose,
}: {
  job: Pick<JobView, 'act'>;
  state: JobState;
  step: StepDefinition;
  open: boolean;
  onClose: () => void;
}) {
  const say = useSay();
  const [chosen, setChosen] = useState<Answer | null>(null);
  const [note, setNote] = useState('');
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const items = step.items ?? [];
  const given = state.answers.filter((a) => a.step === step.id && items.some((i) => i.id === a.item));
  const item = items.find((i) => i.id === chosen?.item);
  const close = () => {
    setChosen(null);
    setNote('');
    setReason('');
    setFault(null);
    onClose();
  };
  const correct = async (answer: Said) => {
    if (!chosen) return;
    if (reason.trim().length < 3) return setFault(say(COMMON.reasonTakesFewWords));
    const refused = await job.act('answer.corrected', {
      step: step.id,
      item: chosen.item,
      answer,
      reason: reason.trim(),
      ...(note.trim() ? { note: note.trim() } : {}),
    });
    if (refused) return setFault(say(refused));
    close();
  };
  // What its own step offers: what is written down is not also OK or not OK.
  const offered: Said[] = item
    ? ['yes', ...(item.note ? [] : ['no' as const]), ...(canLack(item) ? ['none' as const] : [])]
    : [];
  return (
    <Dialog open={open} onClose={close} title={say(M.correctAnswer({ title: step.title }))}>
      <div className="flex flex-col gap-3">
        {!item ? (
          <ul className="m-0 list-none p-0">
            {given.map((a) => (
              <li key={a.id} className="border-b border-faint">
                <button
                  type="button"
                  className="min-h-12 w-full py-1 text-left leading-snug"
                  onClick={() => {
                    setChosen(a);
                    setNote(a.note ?? '');
                  }}
                >
                  <strong className="font-label">
                    <Words of={ANSWER_WORD[a.answer]} />
                  </strong>{' '}
                  {say(items.find((i) => i.id === a.item)?.ask ?? a.item)}
                </button>
              </li>
            ))}
          </ul>
        ) : (
          <>
            <p className="m-0">{say(item.ask)}</p>
            <TextField
              label={
                item.note
                  ? say(COMMON.whatSeen)
                  : canLack(item)
                    ? say(M.noteWhyDoesNotApply)
                    : say(M.noteMayStayEmpty)
              }
              value={note}
              onText={setNote}
            />
            <TextField label={say(M.whyAnswerCorrected)} value={reason} onText={setReason} />
            <p className="m-0 text-sm text-muted">{say(M.bothAnswersPrintStepOpens)}</p>
            <div className="flex flex-wrap gap-3">
              {offered.map((a) => (
                <Button key={a} onClick={() => void correct(a)}>
                  {item.note ? say(COMMON.save) : <Words of={ANSWER_WORD[a]} />}
                </Button>
              ))}
            </div>
          </>
        )}
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <Button onClick={close}>{say(COMMON.cancel)}</Button>
      </div>
    </Dialog>
  );
}
