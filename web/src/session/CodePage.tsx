import { type FormEvent, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { useSession } from '../data/session.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Mark } from '../ui/Mark.tsx';
import { TextField } from '../ui/TextField.tsx';

/** Somebody new, or somebody who forgot: a code from a lead hand and a password of their own choosing. */
export function CodePage() {
  const { enter } = useSession();
  const [asked] = useSearchParams();
  const go = useNavigate();
  const [text, setText] = useState({ name: asked.get('name') ?? '', code: '', password: '' });
  const [faults, setFaults] = useState<Faults>({});
  const row = (key: keyof typeof text, label: string, more: object = {}) => (
    <TextField
      strong
      label={label}
      value={text[key]}
      fault={faults[key]}
      onText={(t) => setText({ ...text, [key]: t })}
      {...more}
    />
  );
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await enter('/api/password/reset', {
        ...text,
        name: text.name.trim(),
        code: text.code.trim(),
      });
      await go('/');
    } catch (error) {
      setFaults(faultsOf(error, 'No connection to the server. What you typed stays here.'));
    }
  };
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <div className="w-full max-w-lg border border-rule">
        <div className="flex items-center gap-4 border-b border-rule px-6 py-4">
          <Mark size={58} />
          <div>
            <h1 className="m-0 text-3xl leading-none">In by a code</h1>
            <p className="m-0 text-muted">A lead hand gives it out; it is good once.</p>
          </div>
        </div>
        <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-4 px-6 py-5">
          {row('name', 'Name', { autoComplete: 'username', maxLength: 60 })}
          {row('code', 'Code', { autoCapitalize: 'characters', maxLength: 40 })}
          {row('password', 'A password of your own, ten characters or more', {
            type: 'password',
            autoComplete: 'new-password',
            maxLength: 200,
          })}
          {faults[''] && <Fault>{faults['']}</Fault>}
          <div className="flex flex-wrap items-center gap-4">
            <Button type="submit" weight="solid">
              Sign in with it
            </Button>
            <Link
              to="/sign-in"
              className="flex min-h-12 items-center text-steel underline underline-offset-4"
            >
              I have a password
            </Link>
          </div>
        </form>
      </div>
    </main>
  );
}
