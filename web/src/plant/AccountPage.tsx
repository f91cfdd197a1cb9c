import { ROLE_SAID } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { setPin } from '../data/pin.ts';
import { useSessions } from '../data/plant.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';
import { SecondFactor } from './SecondFactor.tsx';

/** What a device calls itself, short enough to be told from another. */
function deviceSaid(agent: string): Text {
  const on = /\(([^;)]+)/.exec(agent)?.[1];
  const by = /(Firefox|Edg|Chrome|Safari)\/\d+/.exec(agent)?.[1];
  return by && on ? M.browserOn({ by, on }) : (by ?? on ?? M.deviceSaysNothingItself);
}

/** One’s own: password, and where one is signed in. */
export function AccountPage() {
  const say = useSay();
  const { person } = useSession();
  const sessions = useSessions();
  const client = useQueryClient();
  const [text, setText] = useState({ current: '', password: '' });
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState('');
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setDone('');
    try {
      await call('POST', '/api/account/password', text);
      setFaults({});
      setText({ current: '', password: '' });
      setDone(say(M.newPasswordHoldsYouSigned));
      await client.invalidateQueries({ queryKey: ['sessions'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  const end = async (path: string) => {
    await call('DELETE', path).catch((error: unknown) => setFaults(faultsOf(error)));
    await client.invalidateQueries({ queryKey: ['sessions'] });
  };
  const all = sessions.data?.sessions ?? [];
  return (
    <Page title={person?.name ?? say(M.myOwn)} ways={[['/people', say(COMMON.people)]]} corner={<Corner />}>
      <p className="m-0 text-muted">
        {person && `${say(ROLE_SAID[person.role][0])}: ${say(ROLE_SAID[person.role][1])}.`}
      </p>
      <form
        onSubmit={(e) => void submit(e)}
        noValidate
        className="grid max-w-3xl gap-x-8 gap-y-4 py-4 sm:grid-cols-2"
      >
        <TextField
          label={say(M.passwordIHaveNow)}
          type="password"
          autoComplete="current-password"
          maxLength={200}
          value={text.current}
          fault={faults.current}
          onText={(t) => setText({ ...text, current: t })}
        />
        <TextField
          label={say(COMMON.newPasswordTen)}
          type="password"
          autoComplete="new-password"
          maxLength={200}
          value={text.password}
          fault={faults.password}
          onText={(t) => setText({ ...text, password: t })}
        />
        {faults[''] && (
          <Fault>
            <Words of={faults['']} />
          </Fault>
        )}
        <div className="flex flex-wrap items-center gap-4 sm:col-span-2">
          <Button type="submit" weight="solid">
            {say(COMMON.change)}
          </Button>
          <span role="status">{done}</span>
        </div>
      </form>
      <OwnPin />
      <SecondFactor mayHave={person?.role === 'lead'} />
      <h2 className="kicker m-0 border-b border-rule pb-1">{say(COMMON.signedIn)}</h2>
      <ul className="m-0 list-none p-0" aria-label={say(M.whereIAmSigned)}>
        {all.map((s) => (
          <li
            key={s.id}
            className="flex flex-wrap items-center justify-between gap-x-6 border-b border-faint py-1"
          >
            <span>
              <Words of={deviceSaid(s.device)} />
              <span className="text-muted">
                {' '}
                {say(M.since({ startedAt: format(new Date(s.startedAt), 'd MMM HH:mm') }))}
              </span>
            </span>
            {s.here ? (
              <span className="flex min-h-12 items-center font-medium">{say(M.one)}</span>
            ) : (
              <Button weight="bare" onClick={() => void end(`/api/account/sessions/${s.id}`)}>
                {say(M.signOutThere)}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {all.length > 1 && (
        <Button className="mt-3" onClick={() => void end('/api/account/sessions')}>
          {say(COMMON.signOutEverywhereElse)}
        </Button>
      )}
    </Page>
  );
}

/** A PIN of one's own, to take over at a shared device. */
function OwnPin() {
  const say = useSay();
  const [text, setText] = useState({ pin: '', password: '' });
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState('');
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setDone('');
    try {
      await setPin(text.pin.trim(), text.password);
      setFaults({});
      setText({ pin: '', password: '' });
      setDone(say(M.pinSet));
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="flex max-w-3xl flex-wrap items-end gap-4 pb-4"
      data-own-pin
    >
      <TextField
        label={say(M.pinForThisDevice)}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        maxLength={6}
        value={text.pin}
        fault={faults.pin ?? faults['']}
        onText={(pin) => setText({ ...text, pin })}
      />
      <TextField
        label={say(M.passwordIHaveNow)}
        type="password"
        autoComplete="current-password"
        maxLength={200}
        value={text.password}
        fault={faults.password}
        onText={(password) => setText({ ...text, password })}
      />
      <Button type="submit">{say(COMMON.save)}</Button>
      <span role="status">{done}</span>
    </form>
  );
}
