import { canLack } from '@fulcrant/core/engine/answers';
import { answerTo } from '@fulcrant/core/engine/facts';
import type { JobState } from '@fulcrant/core/engine/state';
import type { GateItem, StepDefinition } from '@fulcrant/core/engine/step';
import { format } from 'date-fns';
import { Fragment } from 'react';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { type OnAnswer, useAnswering } from './answering.ts';

type Props = {
  state: JobState;
  step: StepDefinition;
  open: boolean;
  onAnswer: OnAnswer;
};

/** Questions answered yes or no, each by name; where something is to be written down, with what was seen. */
export function GateStep({ state, step, open, onAnswer }: Props) {
  const items = step.kind.asks?.(state, step) ?? step.items ?? [];
  const groups = [...new Set(items.map((i) => i.group))];
  return (
    <div className="flex flex-col gap-4">
      {groups.map((group) => (
        <Fragment key={group}>
          <h2 className="kicker m-0 -mb-3">{group}</h2>
          <ul className="m-0 list-none border-t border-rule p-0">
            {items
              .filter((i) => i.group === group)
              .map((item) => (
                <Item key={item.id} state={state} step={step} item={item} open={open} onAnswer={onAnswer} />
              ))}
          </ul>
        </Fragment>
      ))}
    </div>
  );
}

function Item({ state, step, item, open, onAnswer }: Props & { item: GateItem }) {
  const answer = answerTo(state, step.id, item.id, step.again ? state.attempt : 'any');
  const ask = useSay()(item.ask);
  const { note, setNote, fault, lacks, setLacks, give } = useAnswering(item, answer?.note, onAnswer);
  return (
    <li
      className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-faint py-1"
      data-item={item.id}
    >
      <span className="min-w-64 flex-1 leading-snug">
        {ask}
        {answer && (
          <span
            className={`block text-sm ${answer.answer === 'no' ? 'font-medium text-stop' : 'text-muted'}`}
          >
            {item.note ? 'noted' : answer.answer === 'none' ? 'not on this one' : answer.answer},{' '}
            {answer.author.name} {format(new Date(answer.at), 'd MMM HH:mm')}
            {answer.note ? `: ${answer.note}` : ''}
          </span>
        )}
        {open && (item.note || item.mayNote || lacks) && (
          <input
            value={note}
            onChange={(e) => setNote(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && give(lacks ? 'none' : 'yes')}
            placeholder={lacks ? 'why not on this one' : item.mayNote}
            maxLength={400}
            aria-label={lacks ? `Why not on this one: ${ask}` : ask}
            aria-invalid={fault !== null}
            className="min-h-12 w-full border-0 border-b-2 border-brass bg-transparent text-lg"
          />
        )}
        {fault && <Fault>{fault}</Fault>}
      </span>
      {open && (
        <span className="flex gap-2">
          <Button
            aria-pressed={answer?.answer === 'yes'}
            aria-label={`${item.note ? 'Noted' : 'Yes'}: ${ask}`}
            weight={answer?.answer === 'yes' ? 'solid' : 'line'}
            className="w-20"
            onClick={() => give('yes')}
          >
            {item.note ? 'Noted' : 'Yes'}
          </Button>
          {canLack(step, item) && (
            <Button
              aria-pressed={answer?.answer === 'none'}
              aria-label={`${lacks ? 'So it is' : 'None'} on this one: ${ask}`}
              title="not on this one, with a reason"
              weight={answer?.answer === 'none' ? 'solid' : 'line'}
              className="!px-3"
              onClick={() => (lacks ? give('none') : setLacks(true))}
            >
              {lacks ? 'So it is' : 'None'}
            </Button>
          )}
          {!item.note && (
            <Button
              aria-pressed={answer?.answer === 'no'}
              aria-label={`No: ${ask}`}
              weight={answer?.answer === 'no' ? 'stop' : 'line'}
              className="w-20"
              onClick={() => give('no')}
            >
              No
            </Button>
          )}
        </span>
      )}
    </li>
  );
}
