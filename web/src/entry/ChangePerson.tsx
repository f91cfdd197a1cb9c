import { type Person, ROLE_SAID } from '@fulcrant/core/api';
import { COMMON } from '@fulcrant/core/messages';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { usePinPeople } from '../data/pin.ts';
import { useSession } from '../data/session.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** Another person takes over at a shared device: by PIN, on the page that is open. */
export function ChangePerson({ to = null, onClose }: { to?: Person | null; onClose: () => void }) {
  const say = useSay();
  const { person: now, enterByPin } = useSession();
  const known = usePinPeople();
  const people = known.data?.people ?? [];
  const [chosen, setChosen] = useState<Person | null>(to);
  const [pin, setPin] = useState('');
  const [faults, setFaults] = useState<Faults>({});
  const enter = async (e: FormEvent) => {
    e.preventDefault();
    e.stopPropagation();
    if (!chosen) return;
    try {
      await enterByPin(chosen, pin);
      onClose();
    } catch (error) {
      setPin('');
      setFaults(faultsOf(error, M.changingNeedsServer));
    }
  };
  return (
    <Dialog open onClose={onClose} title={say(M.changePerson)}>
      {chosen ? (
        <form onSubmit={(e) => void enter(e)} noValidate className="flex flex-col gap-3" data-pin-form>
          <TextField
            strong
            autoFocus
            label={say(M.pinOf({ name: chosen.name }))}
            type="password"
            inputMode="numeric"
            autoComplete="off"
            maxLength={6}
            value={pin}
            fault={faults.pin}
            onText={setPin}
          />
          {faults[''] && (
            <Fault>
              <Words of={faults['']} />
            </Fault>
          )}
          <div className="flex gap-3">
            <Button type="submit" weight="solid">
              {say(COMMON.sign)}
            </Button>
            <Button onClick={() => setChosen(null)}>{say(COMMON.cancel)}</Button>
          </div>
        </form>
      ) : (
        <div className="flex flex-col gap-2">
          {people
            .filter((p) => p.id !== now?.id)
            .map((p) => (
              <Button key={p.id} onClick={() => setChosen(p)} data-change-to={p.id}>
                {p.name}, <Words of={ROLE_SAID[p.role][0]} />
              </Button>
            ))}
          <p className="m-0 text-muted">{say(known.isError ? M.changingNeedsServer : M.pinSetInAccount)}</p>
          <Link
            to="/sign-in"
            className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
          >
            {say(M.signInWithPassword)}
          </Link>
          <Button onClick={onClose}>{say(COMMON.close)}</Button>
        </div>
      )}
    </Dialog>
  );
}
