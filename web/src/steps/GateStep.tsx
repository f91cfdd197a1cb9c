import {
  ANSWER_WORD,
  actsLeft,
  answerTo,
  canLack,
  type GateItem,
  goesOnTo,
  type JobState,
  type StepDefinition,
} from '@fulcrant/core/job';
import { COMMON, sameText, type Text, textKey } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { Check } from 'lucide-react';
import { Fragment, useState } from 'react';
import type { JobView } from '../data/job.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { Explained } from '../ui/Explained.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { type OnAnswer, SHORT_ANSWER, useAnswering } from './answering.ts';
import { M } from './messages.ts';

type Props = {
  state: JobState;
  step: StepDefinition;
  open: boolean;
  onAnswer: OnAnswer;
};

/** Questions answered yes or no, each by name; where something is to be written down, with what was seen. */
export function GateStep({
  state,
  step,
  open,
  also,
  onAnswer,
  job,
}: Props & { also?: readonly GateItem[] | undefined; job?: JobView | undefined }) {
  const items = [...(also ?? []), ...(step.kind.asks?.(state, step) ?? step.items ?? [])];
  const ahead = step.kind.ahead?.(state, step) ?? [];
  const say = useSay();
  // At a practice job each is told by itself: doing them is what is practised.
  const acts = open && job && !job.practice ? actsLeft(state, step) : [];
  const [fault, setFault] = useState<Text | null>(null);
  const next = acts.length > 0 ? goesOnTo(state, step) : null;
  const together = new Set(acts.length > 1 || next ? acts.map((i) => i.id) : []);
  const tell = () =>
    void job
      ?.actAll([
        ...acts.map(({ id }) => ({
          type: 'gate.answered' as const,
          data: { step: step.id, item: id, answer: 'yes' as const },
        })),
        ...(next ? [{ type: 'step.passed' as const, data: { step: step.id } }] : []),
      ] as Parameters<JobView['actAll']>[0])
      .then((refused) => setFault(refused.find((r) => r !== null) ?? null));
  const groups = [...new Map(items.map((i) => [textKey(i.group), i.group])).values()];
  return (
    <div className="flex flex-col gap-4">
      {groups.map((group) => (
        <Fragment key={textKey(group)}>
          <h2 className="kicker m-0 -mb-3">
            <Words of={group} />
          </h2>
          <ul className="m-0 grid list-none gap-x-8 border-t border-rule p-0 xl:grid-cols-2">
            {items
              .filter((i) => sameText(i.group, group))
              .map((item) => (
                <Item
                  key={item.id}
                  state={state}
                  step={step}
                  item={item}
                  open={open}
                  onAnswer={onAnswer}
                  together={together.has(item.id)}
                />
              ))}
          </ul>
        </Fragment>
      ))}
      {together.size > 0 && (
        <div className="-mt-2 flex items-center gap-3 border-l-[6px] border-brass pl-3">
          <Button
            weight={next ? 'solid' : 'line'}
            onClick={tell}
            data-told-together={acts.length}
            data-and-on={next ? '' : undefined}
          >
            {say(
              next ? M.doneOnTo({ count: acts.length, title: next }) : M.markedDone({ count: acts.length }),
            )}
          </Button>
        </div>
      )}
      {fault && <Fault>{say(fault)}</Fault>}
      {open && ahead.length > 0 && (
        <ul className="m-0 -mt-4 list-none p-0" aria-label={say(M.whatFollows)} data-ahead={ahead.length}>
          {ahead.map((item) => (
            <li key={item.id} className="border-b border-faint py-2.5 text-muted">
              {say(item.ask)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Item({
  state,
  step,
  item,
  open,
  together,
  onAnswer,
}: Props & {
  item: GateItem;
  /** One touch tells it with others: drawn as one bracket. */
  together: boolean;
}) {
  const say = useSay();
  const answer = answerTo(state, step.id, item.id, step.again ? state.attempt : 'any');
  const ask = useSay()(item.ask);
  const { note, setNote, fault, lacks, setLacks, give } = useAnswering(item, answer?.note, onAnswer);
  const told = answer?.answer;
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the line only widens the touch of its own Yes, which the keyboard has
    <li
      className={`flex items-start gap-x-3 border-b border-faint py-1 ${open ? 'cursor-pointer' : ''} ${together ? 'border-l-[6px] border-l-brass pl-2' : ''}`}
      data-item={item.id}
      onClick={(e) => {
        if (open && told !== 'yes' && !(e.target as HTMLElement).closest('button, input')) give('yes');
      }}
    >
      {open && (
        <button
          type="button"
          aria-pressed={told === 'yes'}
          aria-label={`${item.note ? say(M.note) : 'OK'}: ${ask}`}
          onClick={() => give('yes')}
          className="grid min-h-12 w-14 shrink-0 place-items-center self-start border border-ink font-label text-lg font-semibold aria-pressed:bg-ink aria-pressed:text-paper"
        >
          {told === 'yes' ? <Check aria-hidden="true" size={22} /> : item.note ? say(M.note) : say(COMMON.ok)}
        </button>
      )}
      <span className="min-w-0 flex-1 py-1 leading-snug">
        <Explained>{ask}</Explained>
        {answer && (
          <span
            className={`block text-sm ${answer.answer === 'no' ? 'font-medium text-stop' : 'text-muted'}`}
          >
            {item.note ? say(M.noted) : <Words of={ANSWER_WORD[answer.answer]} />}, {answer.author.name}{' '}
            {format(new Date(answer.at), 'd MMM HH:mm')}
            {answer.note ? `: ${answer.note}` : ''}
          </span>
        )}
        {open && (item.note || item.mayNote || lacks) && (
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
      {open && (
        <span className="flex shrink-0 gap-1.5 self-start xl:flex-col 2xl:flex-row">
          {canLack(item) && (
            <Button
              aria-pressed={answer?.answer === 'none'}
              aria-label={say(M.doesNotApply({ lacks: lacks ? COMMON.save : SHORT_ANSWER.none, ask }))}
              title={say(M.doesNotApplyReason)}
              weight={answer?.answer === 'none' ? 'solid' : 'line'}
              className="min-w-12 !px-2 !text-base"
              onClick={() => (lacks ? give('none') : setLacks(true))}
            >
              {lacks ? say(COMMON.save) : <Words of={SHORT_ANSWER.none} />}
            </Button>
          )}
          {!item.note && (
            <Button
              aria-pressed={answer?.answer === 'no'}
              aria-label={say(COMMON.notOk2({ ask }))}
              weight={answer?.answer === 'no' ? 'stop' : 'line'}
              className="min-w-12 !px-2 !text-base"
              onClick={() => give('no')}
            >
              <Words of={SHORT_ANSWER.no} />
            </Button>
          )}
        </span>
      )}
    </li>
  );
}
