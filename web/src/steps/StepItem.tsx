import {
  ANSWER_WORD,
  answerTo,
  canLack,
  type GateItem,
  type JobState,
  type StepDefinition,
} from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { Fault } from '../ui/controls.tsx';
import { Explained } from '../ui/Explained.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { type OnAnswer, SHORT_ANSWER, useAnswering } from './answering.ts';
import { M } from './messages.ts';

type Props = { state: JobState; step: StepDefinition; item: GateItem; onAnswer: OnAnswer };

/** A question of a measuring step, answered beside its readings; with a reason where this machine has not what it asks of. */
export function StepItem({ state, step, item, onAnswer }: Props) {
  const say = useSay();
  const answer = answerTo(state, step.id, item.id, step.again ? state.attempt : 'any');
  const { note, setNote, fault, lacks, setLacks, give } = useAnswering(item, answer?.note, onAnswer);
  const ask = useSay()(item.ask);
  const choices = [
    'yes' as const,
    ...(item.note ? [] : ['no' as const]),
    ...(canLack(item) ? ['none' as const] : []),
  ];
  return (
    <fieldset
      className="m-0 flex flex-wrap items-center gap-x-3 gap-y-1 border-0 border-t border-faint p-0 pt-2"
      data-item={item.id}
    >
      <legend className="sr-only">{ask}</legend>
      <span className="min-w-40 flex-1 leading-snug">
        <Explained>{ask}</Explained>
        {answer && (
          <span className="block text-sm text-muted">
            <Words of={ANSWER_WORD[answer.answer]} />, {answer.author.name}
            {answer.note ? `: ${answer.note}` : ''}
          </span>
        )}
        {(item.note || item.mayNote || lacks) && (
          <input
            value={note}
            onChange={(e) => setNote(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && give(lacks ? 'none' : 'yes')}
            placeholder={lacks ? say(M.whyDoesNotApply) : say(item.mayNote)}
            maxLength={400}
            aria-label={lacks ? say(M.whyDoesNotApply2({ ask })) : ask}
            aria-invalid={fault !== null}
            className="min-h-12 w-full border-0 border-b-2 border-brass bg-transparent text-lg"
          />
        )}
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
      </span>
      <span className="flex gap-2">
        {choices.map((a) => (
          <button
            key={a}
            type="button"
            aria-pressed={answer?.answer === a}
            onClick={() => (a === 'none' && !lacks ? setLacks(true) : give(a))}
            className="min-h-12 min-w-16 border border-ink font-label text-lg font-semibold aria-pressed:bg-ink aria-pressed:text-paper"
            aria-label={`${say(a === 'none' ? say(M.doesNotApply2({ lacks: lacks ? COMMON.save : SHORT_ANSWER.none })) : SHORT_ANSWER[a])}: ${ask}`}
          >
            {a === 'none' && lacks ? say(COMMON.save) : <Words of={SHORT_ANSWER[a]} />}
          </button>
        ))}
      </span>
    </fieldset>
  );
}
