import { ROLE_SAID } from '@fulcrant/core/api';
import { COMMON } from '@fulcrant/core/messages';
import { type FormEvent, useState } from 'react';
import { Link, Navigate, useLocation, useNavigate } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { useGreeting } from '../data/plant.ts';
import { useQueue } from '../data/queue.ts';
import { useSession } from '../data/session.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Mark } from '../ui/Mark.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

const field = 'min-h-14 border-0 border-b-[3px] border-brass bg-transparent text-2xl';

/** Who is at the sheet. */
export function SignInPage() {
  const say = useSay();
  const { person, stale, signIn, signOut } = useSession();
  const { waiting } = useQueue();
  const greeting = useGreeting();
  const go = useNavigate();
  // Where somebody wanted to go before he was asked who he is.
  const state: unknown = useLocation().state;
  const wanted =
    typeof state === 'object' && state !== null && 'to' in state && typeof state.to === 'string'
      ? state.to
      : '/';
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  // Asked only of who has a second factor, and only once the password was right.
  const [code, setCode] = useState<string | null>(null);
  const [faults, setFaults] = useState<Faults>({});
  const submit = (e: FormEvent) => {
    e.preventDefault();
    if (name.trim() === '') return setFaults({ '': say(COMMON.typeYourSignName) });
    if (password === '') return setFaults({ '': say(COMMON.typeYourPassword) });
    return enter(name.trim(), password);
  };
  const enter = async (who: string, secret: string) => {
    try {
      await signIn(who, secret, code?.trim() || undefined);
      await go(wanted);
    } catch (error) {
      const told = faultsOf(error, M.noConnectionServerEntriesAlready);
      setFaults(told);
      if (told.code !== undefined) setCode(code ?? '');
    }
  };
  if (greeting.data?.state === 'first-visit') return <Navigate to="/first-visit" replace />;
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <div className="w-full max-w-lg border border-rule">
        <div className="flex items-center gap-4 border-b border-rule px-6 py-4">
          <Mark size={58} />
          <div>
            <h1 className="m-0 text-3xl leading-none">{say(COMMON.fulcrant)}</h1>
            <p className="m-0 text-muted">{say(M.jobSheetsFittingSealsPacking)}</p>
          </div>
        </div>
        {person && (
          <div className="flex flex-wrap items-center gap-4 border-b border-faint px-6 py-3">
            <p className="m-0">
              {stale
                ? say(M.sSignHasRunOut({ name: person.name }))
                : say(M.signed({ name: person.name, roleSaid: ROLE_SAID[person.role][0] }))}
            </p>
            {!stale && <Button onClick={() => void go('/')}>{say(M.board)}</Button>}
            <Button onClick={() => void signOut()}>{say(COMMON.signOut)}</Button>
          </div>
        )}
        {waiting.length > 0 && (
          <p className="m-0 border-b border-faint px-6 py-3 font-medium text-brass">
            {say(M.entriesWaitDeviceEachPersons({ count: waiting.length }))}
          </p>
        )}
        {greeting.data?.offers && (
          <fieldset className="m-0 min-w-0 border-0 border-b border-faint px-6 py-3" data-offers>
            <legend className="kicker pt-3">{say(M.demoSignAs)}</legend>
            <div className="flex flex-col gap-1.5">
              {greeting.data.offers.people.map((p) => (
                <Button
                  key={p.name}
                  className="flex flex-wrap content-center items-baseline gap-x-3 text-left"
                  onClick={() => void enter(p.name, greeting.data?.offers?.password ?? '')}
                >
                  <span>
                    {p.name}, <Words of={ROLE_SAID[p.role][0]} />
                  </span>
                  <span className="text-base font-normal text-muted">
                    <Words of={ROLE_SAID[p.role][1]} />
                  </span>
                </Button>
              ))}
            </div>
          </fieldset>
        )}
        <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-4 px-6 py-5">
          <label className="flex flex-col">
            <span className="kicker">{say(COMMON.nameText)}</span>
            <input
              value={name}
              onChange={(e) => setName(e.target.value)}
              autoComplete="username"
              maxLength={60}
              className={field}
            />
          </label>
          <label className="flex flex-col">
            <span className="kicker">{say(M.password)}</span>
            <input
              value={password}
              onChange={(e) => setPassword(e.target.value)}
              type="password"
              autoComplete="current-password"
              maxLength={200}
              className={field}
            />
          </label>
          {code !== null && (
            <TextField
              strong
              autoFocus
              label={say(M.codeYourSecondFactor)}
              inputMode="numeric"
              autoComplete="one-time-code"
              maxLength={10}
              value={code}
              fault={faults.code}
              onText={setCode}
            />
          )}
          {faults[''] && (
            <Fault>
              <Words of={faults['']} />
            </Fault>
          )}
          <Button type="submit" weight="solid">
            {say(COMMON.sign)}
          </Button>
          <Link to="/code" className="flex min-h-12 items-center text-steel underline underline-offset-4">
            {say(M.firstTimeForgotPasswordUse)}
          </Link>
          <Link to="/try" className="flex min-h-12 items-center text-steel underline underline-offset-4">
            {say(M.tryPracticeWithoutSigning)}
          </Link>
        </form>
      </div>
    </main>
  );
}
