import { answerTo } from '@fulcrant/core/engine/facts';
import type { JobState } from '@fulcrant/core/engine/state';
/** A yes-or-no item of a measuring step, answered beside its readings. */
export function StepItem({
  state,
  step,
  item,
  ask,
  onAnswer,
}: {
  state: JobState;
  step: string;
  item: string;
  ask: string;
  onAnswer: (answer: 'yes' | 'no') => void;
}) {
  const answer = answerTo(state, step, item);
  return (
    <fieldset
      className="m-0 flex flex-wrap items-center gap-x-3 gap-y-1 border-0 border-t border-faint p-0 pt-2"
      data-item={item}
    >
      <legend className="sr-only">{ask}</legend>
      <span className="min-w-40 flex-1 leading-snug">
        {ask}
        {answer && (
          <span className="block text-sm text-muted">
            {answer.answer}, {answer.author.name}
          </span>
        )}
      </span>
      {(['yes', 'no'] as const).map((a) => (
        <button
          key={a}
          type="button"
          aria-pressed={answer?.answer === a}
          onClick={() => onAnswer(a)}
          className="min-h-12 w-16 border border-ink font-label text-lg font-semibold capitalize aria-pressed:bg-ink aria-pressed:text-paper"
          aria-label={`${a === 'yes' ? 'Yes' : 'No'}: ${ask}`}
        >
          {a}
        </button>
      ))}
    </fieldset>
  );
}
