import { type JobState, tradeOf } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { fitUpSheet } from '@fulcrant/core/sheet';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../data/session.tsx';
import { usePinAgain } from '../entry/pin-again.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Results } from '../ui/Results.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** What is signed for, then the name. */
export function SignStep({
  state,
  open,
  onSign,
}: {
  state: JobState;
  open: boolean;
  onSign: (name: string) => Promise<Text | null>;
}) {
  const { person } = useSession();
  const say = useSay();
  const [name, setName] = useState(person?.name ?? '');
  const [fault, setFault] = useState<Text | null>(null);
  const again = usePinAgain();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    if (name.trim().length < 2) return setFault(say(COMMON.signYourName));
    const wrong = await again.check();
    if (wrong) return setFault(wrong);
    setFault(await onSign(name.trim()));
  };
  return (
    <div className="flex flex-col gap-5">
      <Results rows={fitUpSheet(state, null).rows} />
      {state.deviations.length > 0 && (
        <p className="m-0 font-medium">
          {say(
            M.accepted({
              count: state.deviations.length,
              deviations: state.deviations.map((d) => `${d.author.name}, “${d.reason}”`).join('; '),
            }),
          )}
        </p>
      )}
      <Link
        className="inline-flex min-h-12 items-center self-start text-steel underline underline-offset-4"
        to={`/jobs/${state.jobId}/sheet`}
      >
        {say(M.readWholeFitUpSheet)}
      </Link>
      {open && (
        <form
          onSubmit={(e) => void submit(e)}
          noValidate
          className="flex flex-wrap items-end gap-4 border-t border-rule pt-4"
        >
          <label className="flex flex-col">
            <span className="kicker">
              {say(M.asRecordedHereSigned({ signed: tradeOf(state.setup).words.signed }))}
            </span>
            <input
              value={name}
              onChange={(e) => setName(e.target.value)}
              maxLength={60}
              autoComplete="name"
              className="min-h-14 w-80 max-w-full border-0 border-b-[3px] border-brass bg-transparent text-2xl"
              aria-invalid={fault !== null}
            />
          </label>
          {again.field}
          <Button type="submit" weight="solid">
            {say(M.signSheet)}
          </Button>
          {fault && <Fault>{say(fault)}</Fault>}
        </form>
      )}
    </div>
  );
}
