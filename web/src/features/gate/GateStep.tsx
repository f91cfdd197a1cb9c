import { answerTo, type JobState, type StepDefinition } from '@fulcrant/core';
import { format } from 'date-fns';
import { Fragment } from 'react';
import { Button } from '../../ui/controls.tsx';

type Props = {
  state: JobState;
  step: StepDefinition;
  open: boolean;
  onAnswer: (item: string, answer: 'yes' | 'no') => void;
};

/** Questions answered yes or no, each by name. */
export function GateStep({ state, step, open, onAnswer }: Props) {
  const groups = [...new Set(step.items?.map((i) => i.group))];
  return (
    <div className="flex flex-col gap-4">
      {groups.map((group) => (
        <Fragment key={group}>
          <h2 className="kicker m-0 -mb-3">{group}</h2>
          <ul className="m-0 list-none border-t border-rule p-0">
            {step.items
              ?.filter((i) => i.group === group)
              .map((item) => {
                const answer = answerTo(state, step.id, item.id, step.again ? state.attempt : 'any');
                return (
                  <li
                    key={item.id}
                    className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-faint py-1"
                    data-item={item.id}
                  >
                    <span className="min-w-64 flex-1 leading-snug">
                      {item.ask}
                      {answer && (
                        <span
                          className={`block text-sm ${answer.answer === 'no' ? 'font-medium text-stop' : 'text-muted'}`}
                        >
                          {answer.answer}, {answer.author.name} {format(new Date(answer.at), 'd MMM HH:mm')}
                        </span>
                      )}
                    </span>
                    {open && (
                      <span className="flex gap-2">
                        <Button
                          aria-pressed={answer?.answer === 'yes'}
                          aria-label={`Yes: ${item.ask}`}
                          weight={answer?.answer === 'yes' ? 'solid' : 'line'}
                          className="w-20"
                          onClick={() => onAnswer(item.id, 'yes')}
                        >
                          Yes
                        </Button>
                        <Button
                          aria-pressed={answer?.answer === 'no'}
                          aria-label={`No: ${item.ask}`}
                          weight={answer?.answer === 'no' ? 'stop' : 'line'}
                          className="w-20"
                          onClick={() => onAnswer(item.id, 'no')}
                        >
                          No
                        </Button>
                      </span>
                    )}
                  </li>
                );
              })}
          </ul>
        </Fragment>
      ))}
    </div>
  );
}
