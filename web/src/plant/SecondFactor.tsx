import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { type OfferedSecond, useSecond } from '../data/plant.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';

/** The secret in fours, as one reads it off when the picture cannot be taken. */
const inFours = (secret: string) => secret.match(/.{1,4}/g)?.join(' ') ?? '';

/** A second factor: set by who leads, with an authenticator; taken off with the password by whoever has it. */
export function SecondFactor({ mayHave }: { mayHave: boolean }) {
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
      return on
        ? 'The password alone lets you in again.'
        : 'From now on a code is asked beside the password. Lost the authenticator: another lead hand gives you a code for a new password, and it is off.';
    });
  };
  if (!on && !mayHave) return null;
  return (
    <section className="pb-5" aria-label="Second factor">
      <h2 className="kicker m-0 border-b border-rule pb-1">Second factor</h2>
      {second.isError && <p className="m-0 py-2 text-muted">{second.error.message}</p>}
      {second.data && !on && !offered && (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2 py-2">
          <p className="m-0 max-w-2xl">
            Off: the password alone lets you in. With it, six digits that an authenticator on your telephone
            shows are asked too.
          </p>
          <Button onClick={() => void offer()}>Set it up</Button>
        </div>
      )}
      {(offered || on) && (
        <form onSubmit={submit} noValidate className="flex flex-wrap items-start gap-x-8 gap-y-4 py-3">
          {offered && !on && (
            <figure className="m-0 w-64">
              <img
                src={offered.picture}
                alt="The secret, to be taken by an authenticator"
                className="w-full bg-white"
              />
              <figcaption className="text-muted">
                Take it with an authenticator, or type{' '}
                <code className="break-words">{inFours(offered.secret)}</code>
              </figcaption>
            </figure>
          )}
          <div className="flex min-w-64 flex-1 flex-col gap-4">
            {on && <p className="m-0">On: a code is asked beside the password.</p>}
            {!on && (
              <TextField
                label="The six digits it shows now"
                inputMode="numeric"
                autoComplete="one-time-code"
                maxLength={10}
                value={text.code}
                fault={faults.code}
                onText={(code) => setText({ ...text, code })}
              />
            )}
            <TextField
              label="My password"
              type="password"
              autoComplete="current-password"
              maxLength={200}
              value={text.password}
              fault={faults.password}
              onText={(password) => setText({ ...text, password })}
            />
            <div className="flex flex-wrap gap-4">
              <Button type="submit" weight="solid">
                {on ? 'Take it off' : 'Ask for it from now on'}
              </Button>
              {offered && !on && (
                <Button weight="bare" onClick={() => setOffered(null)}>
                  Leave it
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
