import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { type OfferedSecond, useSecond } from '../data/plant.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** The secret in fours, as one reads it off when the picture cannot be taken. */
const inFours = (secret: string) => secret.match(/.{1,4}/g)?.join(' ') ?? '';

/** A second factor: set by who leads, with an authenticator; taken off with the password by whoever has it. */
export function SecondFactor({ mayHave }: { mayHave: boolean }) {
  const say = useSay();
  const second = useSecond();
  const client = useQueryClient();
  const [offered, setOffered] = useState<OfferedSecond | null>(null);
  const [text, setText] = useState({ code: '', password: '' });
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState('');
  const on = second.data?.on === true;

  const tell = async (work: () => Promise<string>) => {
    setDone('');
    try {
      setDone(await work());
      setFaults({});
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  const offer = () =>
    tell(async () => {
      setOffered(await call<OfferedSecond>('POST', '/api/account/second/offer', {}));
      return '';
    });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void tell(async () => {
      if (on) await call('POST', '/api/account/second/off', { password: text.password });
      else await call('POST', '/api/account/second', { secret: offered?.secret ?? '', ...text });
      await client.invalidateQueries({ queryKey: ['second'] });
      setOffered(null);
      setText({ code: '', password: '' });
      return on ? say(M.passwordAloneLetsYouAgain) : say(M.fromNowCodeAskedBeside);
    });
  };
  if (!on && !mayHave) return null;
  return (
    <section className="pb-5" aria-label={say(M.secondFactor)}>
      <h2 className="kicker m-0 border-b border-rule pb-1">{say(M.secondFactor)}</h2>
      {second.isError && (
        <p className="m-0 py-2 text-muted">
          <Words of={saidBy(second.error)} />
        </p>
      )}
      {second.data && !on && !offered && (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2 py-2">
          <p className="m-0 max-w-2xl">{say(M.offPasswordAloneLetsYou)}</p>
          <Button onClick={() => void offer()}>{say(M.setUp)}</Button>
        </div>
      )}
      {(offered || on) && (
        <form onSubmit={submit} noValidate className="flex flex-wrap items-start gap-x-8 gap-y-4 py-3">
          {offered && !on && (
            <figure className="m-0 w-64">
              <img src={offered.picture} alt={say(M.secretTakenAuthenticator)} className="w-full bg-white" />
              <figcaption className="text-muted">
                {say(M.takeAuthenticatorType)} <code className="break-words">{inFours(offered.secret)}</code>
              </figcaption>
            </figure>
          )}
          <div className="flex min-w-64 flex-1 flex-col gap-4">
            {on && <p className="m-0">{say(M.codeAskedBesidePassword)}</p>}
            {!on && (
              <TextField
                label={say(M.sixDigitsShowsNow)}
                inputMode="numeric"
                autoComplete="one-time-code"
                maxLength={10}
                value={text.code}
                fault={faults.code}
                onText={(code) => setText({ ...text, code })}
              />
            )}
            <TextField
              label={say(COMMON.myPassword)}
              type="password"
              autoComplete="current-password"
              maxLength={200}
              value={text.password}
              fault={faults.password}
              onText={(password) => setText({ ...text, password })}
            />
            <div className="flex flex-wrap gap-4">
              <Button type="submit" weight="solid">
                {on ? say(M.takeOff) : say(M.askFromNow)}
              </Button>
              {offered && !on && (
                <Button weight="bare" onClick={() => setOffered(null)}>
                  {say(COMMON.leave)}
                </Button>
              )}
            </div>
          </div>
        </form>
      )}
      {faults[''] && (
        <Fault>
          <Words of={faults['']} />
        </Fault>
      )}
      <p role="status" className="m-0">
        {done}
      </p>
    </section>
  );
}
