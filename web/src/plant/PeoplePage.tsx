import { type PersonLine, ROLE_SAID, ROLES, type Role } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { usePeople } from '../data/plant.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';

const OPTIONS = ROLES.map((r) => [r, ROLE_SAID[r][0]] as const);

/** Who works here, in what role; a lead hand adds them, lets them in anew, and lets them go with their record kept. */
export function PeoplePage() {
  const people = usePeople();
  const { person } = useSession();
  const client = useQueryClient();
  const lead = person?.role === 'lead';
  const [fault, setFault] = useState<Text | null>(null);
  const [code, setCode] = useState<{ name: string; code: string } | null>(null);
  const [leaving, setLeaving] = useState<PersonLine | null>(null);
  const act = async (does: () => Promise<void>) => {
    setFault(null);
    try {
      await does();
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
    await client.invalidateQueries({ queryKey: ['people'] });
  };
  const change = (p: PersonLine, body: { role?: Role; retired?: boolean }) =>
    act(() => call('POST', `/api/people/${p.id}`, body));
  const all = people.data?.people ?? [];
  return (
    <Page
      title="People"
      ways={[
        ['/plant', 'The plant'],
        ['/account', 'My password'],
      ]}
      corner={<Corner />}
    >
      {lead && <AddPerson onAdded={(added) => setCode(added)} />}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {people.isError && <Fault>{people.error.message}</Fault>}
      <ul className="m-0 mt-2 list-none p-0" aria-label="People">
        {all.map((p) => (
          <li
            key={p.id}
            data-person={p.name}
            className="grid items-center gap-x-6 gap-y-1 border-t border-faint py-2 sm:grid-cols-[minmax(10rem,1fr)_14rem_minmax(14rem,auto)]"
          >
            <div>
              <span className="font-label text-xl font-semibold">{p.name}</span>
              <span className="block text-sm text-muted">
                {p.retiredAt ? (
                  `retired ${format(new Date(p.retiredAt), 'd MMM yyyy')}; what they signed stays theirs`
                ) : p.canSignIn ? (
                  <Words of={ROLE_SAID[p.role][1]} />
                ) : (
                  'has not chosen a password yet'
                )}
              </span>
            </div>
            {lead && !p.retiredAt ? (
              <Choice
                label={`Role of ${p.name}`}
                value={p.role}
                options={OPTIONS}
                onChange={(role) => void change(p, { role })}
              />
            ) : (
              <span className="text-lg">
                <Words of={ROLE_SAID[p.role][0]} />
              </span>
            )}
            {lead && (
              <span className="flex flex-wrap justify-end">
                {p.retiredAt ? (
                  <Button weight="bare" onClick={() => void change(p, { retired: false })}>
                    Take back
                  </Button>
                ) : (
                  <>
                    <Button
                      weight="bare"
                      onClick={() =>
                        void act(async () => {
                          const given = await call<{ code: string }>('POST', `/api/people/${p.id}/code`, {});
                          setCode({ name: p.name, code: given.code });
                        })
                      }
                    >
                      Code to sign in
                    </Button>
                    <Button weight="bare" onClick={() => setLeaving(p)}>
                      Retire
                    </Button>
                  </>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Dialog open={code !== null} onClose={() => setCode(null)} title={`A code for ${code?.name ?? ''}`}>
        <p className="m-0">
          Told this once, good once, for three days. With it {code?.name} chooses a password under{' '}
          <em>In by a code</em> on the sign-in page.
        </p>
        <p className="figures my-4 border-y border-rule py-3 text-center text-4xl" data-code>
          {code?.code}
        </p>
        <Button weight="solid" onClick={() => setCode(null)}>
          It is handed over
        </Button>
      </Dialog>
      <Dialog
        open={leaving !== null}
        onClose={() => setLeaving(null)}
        title={`${leaving?.name ?? ''} retires`}
      >
        <p className="mt-0">
          They are signed out at once and can sign in no more. All they recorded and signed stays under their
          name.
        </p>
        <div className="flex flex-wrap gap-3">
          <Button
            weight="stop"
            onClick={() => {
              if (leaving) void change(leaving, { retired: true });
              setLeaving(null);
            }}
          >
            Retire {leaving?.name}
          </Button>
          <Button onClick={() => setLeaving(null)}>Leave it</Button>
        </div>
      </Dialog>
    </Page>
  );
}

function AddPerson({ onAdded }: { onAdded: (added: { name: string; code: string }) => void }) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('fitter');
  const [faults, setFaults] = useState<Faults>({});
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const added = await call<{ code: string }>('POST', '/api/people', { name: name.trim(), role });
      setFaults({});
      setName('');
      onAdded({ name: name.trim(), code: added.code });
      await client.invalidateQueries({ queryKey: ['people'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="grid items-start gap-x-6 gap-y-3 pb-3 sm:grid-cols-[minmax(10rem,1fr)_14rem_auto]"
    >
      <TextField
        label="Somebody new, by name"
        value={name}
        onText={setName}
        maxLength={60}
        fault={faults.name ?? faults['']}
      />
      <div>
        <span className="kicker">Role</span>
        <Choice label="Role" value={role} options={OPTIONS} onChange={setRole} />
      </div>
      <Button type="submit" weight="solid" className="mt-4">
        Add
      </Button>
    </form>
  );
}
