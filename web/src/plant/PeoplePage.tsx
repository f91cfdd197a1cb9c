import { type PersonLine, ROLE_SAID, ROLES, type Role } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
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
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

const OPTIONS = ROLES.map((r) => [r, ROLE_SAID[r][0]] as const);

/** Who works here, in what role; a lead hand adds them, lets them in anew, and lets them go with their record kept. */
export function PeoplePage() {
  const say = useSay();
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
      title={say(COMMON.people)}
      ways={[
        ['/plant', say(COMMON.plant)],
        ['/account', say(COMMON.myPassword)],
      ]}
      corner={<Corner />}
    >
      {lead && <AddPerson onAdded={(added) => setCode(added)} />}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {people.isError && (
        <Fault>
          <Words of={saidBy(people.error)} />
        </Fault>
      )}
      <ul className="m-0 mt-2 list-none p-0" aria-label={say(COMMON.people)}>
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
                  say(
                    M.retiredWhatTheySignedStays({ retiredAt: format(new Date(p.retiredAt), 'd MMM yyyy') }),
                  )
                ) : p.canSignIn ? (
                  <Words of={ROLE_SAID[p.role][1]} />
                ) : (
                  say(M.hasNotChosenPasswordYet)
                )}
              </span>
            </div>
            {lead && !p.retiredAt ? (
              <Choice
                label={say(M.role({ name: p.name }))}
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
                    {say(M.takeBack)}
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
                      {say(M.codeSign)}
                    </Button>
                    <Button weight="bare" onClick={() => setLeaving(p)}>
                      {say(M.retire)}
                    </Button>
                  </>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Dialog
        open={code !== null}
        onClose={() => setCode(null)}
        title={say(M.code({ name: code?.name ?? '' }))}
      >
        <p className="m-0">
          {say(M.toldOnceGoodOnceThree({ name: code?.name }))} <em>{say(COMMON.code)}</em> {say(M.signPage)}
        </p>
        <p className="figures my-4 border-y border-rule py-3 text-center text-4xl" data-code>
          {code?.code}
        </p>
        <Button weight="solid" onClick={() => setCode(null)}>
          {say(COMMON.done)}
        </Button>
      </Dialog>
      <Dialog
        open={leaving !== null}
        onClose={() => setLeaving(null)}
        title={say(M.retires({ name: leaving?.name ?? '' }))}
      >
        <p className="mt-0">{say(M.theySignedOutOnceCan)}</p>
        <div className="flex flex-wrap gap-3">
          <Button
            weight="stop"
            onClick={() => {
              if (leaving) void change(leaving, { retired: true });
              setLeaving(null);
            }}
          >
            {say(M.retire2({ name: leaving?.name }))}
          </Button>
          <Button onClick={() => setLeaving(null)}>{say(COMMON.leave)}</Button>
        </div>
      </Dialog>
    </Page>
  );
}

function AddPerson({ onAdded }: { onAdded: (added: { name: string; code: string }) => void }) {
  const say = useSay();
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
        label={say(M.somebodyNewName)}
        value={name}
        onText={setName}
        maxLength={60}
        fault={faults.name ?? faults['']}
      />
      <div>
        <span className="kicker">{say(M.role2)}</span>
        <Choice label={say(M.role2)} value={role} options={OPTIONS} onChange={setRole} />
      </div>
      <Button type="submit" weight="solid" className="mt-4">
        {say(COMMON.add)}
      </Button>
    </form>
  );
}
