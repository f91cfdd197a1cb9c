import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { useSession } from '../data/session.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Mark } from '../ui/Mark.tsx';
import { TextField } from '../ui/TextField.tsx';

/** Nobody leads this plant yet: its first visitor names it and becomes its lead hand, by the code in the console. */
export function FirstVisitPage() {
  const { enter } = useSession();
  const go = useNavigate();
  const [text, setText] = useState({ code: '', site: '', name: '', password: '' });
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
      await enter('/api/first-visit', {
        ...text,
        code: text.code.trim(),
        site: text.site.trim(),
        name: text.name.trim(),
      });
      await go('/plant');
    } catch (error) {
      setFaults(faultsOf(error, 'No connection to the server. What you typed stays here.'));
    }
  };
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <div className="w-full max-w-xl border border-rule">
        <div className="flex items-center gap-4 border-b border-rule px-6 py-4">
          <Mark size={58} />
          <div>
            <h1 className="m-0 text-3xl leading-none">A plant with nothing in it yet</h1>
            <p className="m-0 text-muted">You name it, and lead it. Everybody else is added by you.</p>
          </div>
        </div>
        <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-4 px-6 py-5">
          {row('code', 'Code, printed where Fulcrant was started', { autoCapitalize: 'characters' })}
          {row('site', 'The site is called')}
          {row('name', 'Your name, as it will stand on sheets', { autoComplete: 'username', maxLength: 60 })}
          {row('password', 'Your password, ten characters or more', {
            type: 'password',
            autoComplete: 'new-password',
            maxLength: 200,
          })}
          {faults[''] && <Fault>{faults['']}</Fault>}
          <Button type="submit" weight="solid">
            Begin
          </Button>
        </form>
      </div>
    </main>
  );
}
