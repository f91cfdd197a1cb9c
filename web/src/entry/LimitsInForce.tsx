import {
  type JobState,
  type LimitQuestion,
  rulesWith,
  type Setup,
  type StepDefinition,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { lengthDigits, parseLength, parseRoughness, parseTypedNumber } from '@fulcrant/core/units';
import { type FormEvent, useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { makerOf, withMaker, withMethod } from './limits.ts';
import { M } from './messages.ts';

type Props = {
  state: JobState;
  step: StepDefinition;
  open: boolean;
  onSetup: (setup: Setup, reason: string) => Promise<Text | null>;
};

/** Which limit judges here and whose it is; the maker's value is typed in place, or another school followed. */
export function LimitsInForce({ state, step, open, onSetup }: Props) {
  const [asked, setAsked] = useState<LimitQuestion | null>(null);
  const { unit } = useSettings();
  const units = useSay();
  const questions = step.kind.limits?.(state.setup) ?? [];
  if (questions.length === 0) return null;
  const say = (q: LimitQuestion): string => {
    const maker = makerOf(state.setup, q.maker);
    if (maker !== undefined)
      return units(
        M.makersSheet({
          quantity:
            q.quantity === 'length'
              ? `${lengthDigits(maker, unit)} ${unit}`
              : q.quantity === 'degrees'
                ? `${maker}°`
                : `${maker} µm`,
        }),
      );
    const school = q.rule ? rulesWith(state.setup)[q.rule] : 'practice';
    const chosen = q.schools.find((s) => s.school === school);
    return chosen
      ? `${lengthDigits(chosen.limitMm, unit)} ${unit}, ${units(chosen.title)}`
      : units(COMMON.commonPractice);
  };
  return (
    <div className="text-[0.95rem] leading-snug" data-limits>
      {questions.map((q) => (
        <p key={q.maker} className="m-0 flex flex-wrap items-center gap-x-3">
          <span>
            <span className="text-muted">
              <Words of={q.title} />:
            </span>{' '}
            {units(say(q))}
          </span>
          {open && (
            <Button
              weight="bare"
              className="!px-0 !text-base"
              onClick={() => setAsked(q)}
              data-limit={q.maker}
            >
              {q.rule ? units(M.otherLimit) : units(M.makersSheetSays)}
            </Button>
          )}
        </p>
      ))}
      {asked && (
        <LimitDialog
          key={asked.maker}
          question={asked}
          setup={state.setup}
          onSetup={onSetup}
          onClose={() => setAsked(null)}
        />
      )}
    </div>
  );
}

function LimitDialog({
  question: q,
  setup,
  onSetup,
  onClose,
}: {
  question: LimitQuestion;
  setup: Setup;
  onSetup: Props['onSetup'];
  onClose: () => void;
}) {
  const { unit } = useSettings();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const { rule } = q;
  const maker = makerOf(setup, q.maker);
  const done = async (next: Setup, reason: string) => {
    const refused = await onSetup(next, reason);
    if (refused) setFault(refused);
    else onClose();
  };
  const said = useSay();
  const read = (): { value: number } | { message: Text } => {
    if (q.quantity === 'degrees') {
      const n = parseTypedNumber(text.replace(/°|deg.*$/i, ''));
      return n ? { value: n.value } : { message: said(M.typeDegreesExample15) };
    }
    if (q.quantity === 'roughness') {
      const r = parseRoughness(text, unit);
      return r.ok ? { value: r.um } : { message: r.message };
    }
    const l = parseLength(text, unit);
    return l.ok ? { value: l.mm } : { message: l.message };
  };
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const r = read();
    if ('message' in r) return setFault(r.message);
    if (r.value <= 0) return setFault(said(M.limitMoreThanNothing));
    await done(
      withMaker(setup, q.maker, Number(r.value.toFixed(6))),
      said(M.makersSheet2({ said: said(q.title), text: text.trim() })),
    );
  };
  return (
    <Dialog open onClose={onClose} title={said(M.whoseLimit({ said: said(q.title) }))}>
      <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-3">
        <label className="flex flex-col">
          <span className="kicker">{said(M.whatMakersSheetSaysOutranks)}</span>
          <input
            value={text}
            onChange={(e) => setText(e.target.value)}
            maxLength={30}
            autoComplete="off"
            aria-invalid={fault !== null}
            className="figures min-h-14 border-0 border-b-[3px] border-brass bg-transparent text-2xl"
          />
        </label>
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <div className="flex flex-wrap gap-3">
          <Button type="submit" weight="solid">
            {said(M.saysSo)}
          </Button>
          {maker !== undefined && (
            <Button
              onClick={() =>
                void done(
                  withMaker(setup, q.maker, undefined),
                  said(M.makersValueTakenBack({ said: said(q.title) })),
                )
              }
            >
              {said(M.takeMakersValueBack)}
            </Button>
          )}
        </div>
      </form>
      {rule && maker === undefined && (
        <fieldset className="m-0 mt-5 flex flex-col gap-2 border-0 border-t border-rule p-0 pt-3">
          <legend className="kicker pr-2">{said(M.followSchoolJob)}</legend>
          {q.schools.map((s) => {
            const on = rulesWith(setup)[rule] === s.school;
            return (
              <Button
                key={s.school}
                aria-pressed={on}
                weight={on ? 'solid' : 'line'}
                className="text-left"
                onClick={() =>
                  void done(
                    withMethod(setup, rule, s.school),
                    said(M.schoolFollowed({ said: said(q.title), said2: said(s.title) })),
                  )
                }
              >
                {lengthDigits(s.limitMm, unit)} {unit}, {said(s.title)}
              </Button>
            );
          })}
        </fieldset>
      )}
    </Dialog>
  );
}
