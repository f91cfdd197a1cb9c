import type { RegisterLine } from '@fulcrant/core/api';
import { records } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { ScanLine, Search } from 'lucide-react';
import { type FormEvent, useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { positionOfLabel, useRegister } from '../data/register.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';
import { ScanDialog } from './ScanDialog.tsx';
import { TakeIn } from './TakeIn.tsx';

/** Areas, machines, positions: found by typing, by the tree, by a label under the camera or a keyboard scanner. */
export function RegisterPage() {
  const say = useSay();
  const { person } = useSession();
  const go = useNavigate();
  const [typed, setTyped] = useState('');
  const looked = useDeferredValue(typed.trim());
  const found = useRegister(looked);
  const [fault, setFault] = useState<Text | null>(null);
  const [scanning, setScanning] = useState(false);
  const [adding, setAdding] = useState(false);
  const [taking, setTaking] = useState(false);
  const lines = found.data?.positions ?? [];
  const may = records(person?.role);
  /** A scanner types what is on the label and Enter; so may a hand. One position left is meant as well. */
  const open = async (text: string) => {
    setFault(null);
    try {
      await go(`/positions/${(await positionOfLabel(text)).id}`);
    } catch {
      const [only] = lines;
      if (lines.length === 1 && only) await go(`/positions/${only.id}`);
      else setFault(say(COMMON.noPositionHereHasLabel));
    }
  };
  const submit = (e: FormEvent) => {
    e.preventDefault();
    if (typed.trim() !== '') void open(typed.trim().split('/').pop() ?? '');
  };
  return (
    <Page
      title={say(COMMON.register)}
      ways={[
        ['/parts', say(M.cardsParts)],
        ['/plant', say(COMMON.plant)],
      ]}
      corner={<Corner />}
    >
      <form onSubmit={submit} className="flex flex-wrap items-center gap-3 pb-3">
        <label className="flex min-h-12 min-w-60 flex-1 items-center gap-2 border-b-2 border-muted focus-within:border-brass">
          <Search aria-hidden="true" size={20} className="shrink-0 text-muted" />
          <span className="sr-only">{say(M.findMachinePositionLabel)}</span>
          <input
            type="search"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            maxLength={80}
            placeholder={say(M.machinePositionLabel)}
            className="min-h-12 w-full min-w-0 border-0 bg-transparent text-lg placeholder:text-muted"
          />
        </label>
        <Button onClick={() => setScanning(true)} className="inline-flex items-center gap-2">
          <ScanLine aria-hidden="true" size={20} /> {say(M.scanLabel)}
        </Button>
        {may && <Button onClick={() => setAdding(true)}>{say(COMMON.newPosition)}</Button>}
        {may && <Button onClick={() => setTaking(true)}>{say(M.fromFile)}</Button>}
      </form>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {found.isError && (
        <Fault>
          <Words of={saidBy(found.error)} />
        </Fault>
      )}
      {found.isSuccess && lines.length === 0 && (
        <p className="text-lg">{looked === '' ? say(M.nothingRegisterYet) : say(M.nothingTheseWords)}</p>
      )}
      <Areas lines={lines} />
      {found.data?.more && <p className="text-muted">{say(M.notAllShownTypeWord)}</p>}
      <p className="flex flex-wrap gap-x-6 pt-3">
        <a
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
          href="/api/register.csv"
        >
          {say(M.allAsCsv)}
        </a>
        <a
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
          href="/api/labels.pdf"
          target="_blank"
          rel="noreferrer"
        >
          {say(M.labelsAllPositionsPrint)}
        </a>
      </p>
      {scanning && <ScanDialog onClose={() => setScanning(false)} onLabel={(l) => void open(l)} />}
      {adding && <NewPosition onClose={() => setAdding(false)} />}
      {taking && (
        <TakeIn
          title={say(M.positionsFromFile)}
          head={say(M.areaMachinePosition)}
          path="/api/register/import"
          renews="register"
          onClose={() => setTaking(false)}
        />
      )}
    </Page>
  );
}

function Areas({ lines }: { lines: readonly RegisterLine[] }) {
  const say = useSay();
  const areas = [...new Set(lines.map((l) => l.area))];
  return areas.map((area) => (
    <section key={area} aria-label={area || say(M.noArea)}>
      <h2 className="kicker m-0 flex items-baseline justify-between border-b border-rule pb-1 pt-4">
        {area || say(M.noAreaYet)}
        {area && (
          <a
            className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
            href={`/api/labels.pdf?area=${encodeURIComponent(area)}`}
            target="_blank"
            rel="noreferrer"
          >
            {say(M.labels)}
          </a>
        )}
      </h2>
      <ul className="m-0 list-none p-0">
        {[...new Set(lines.filter((l) => l.area === area).map((l) => l.machine))].map((machine) => (
          <li
            key={machine}
            className="grid gap-x-6 border-b border-faint py-1.5 md:grid-cols-[minmax(12rem,16rem)_minmax(0,1fr)]"
          >
            <span className="font-label text-xl font-semibold leading-tight pt-3">{machine}</span>
            <ul className="m-0 list-none p-0">
              {lines
                .filter((l) => l.area === area && l.machine === machine)
                .map((l) => (
                  <li key={l.id}>
                    <Link
                      to={`/positions/${l.id}`}
                      className="grid min-h-12 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 hover:bg-shade sm:grid-cols-[minmax(0,1fr)_5rem_12rem]"
                    >
                      <span>{l.position}</span>
                      <span className="figures text-muted">{l.label}</span>
                      <span className="text-sm text-muted max-sm:col-span-2">
                        {l.open > 0 ? say(M.open({ open: l.open })) : ''}
                        {l.open > 0 && l.lastSignedAt ? ' · ' : ''}
                        {l.lastSignedAt
                          ? say(M.signed({ lastSignedAt: format(new Date(l.lastSignedAt), 'd MMM yyyy') }))
                          : l.jobs === 0
                            ? say(M.nothingYet)
                            : ''}
                      </span>
                    </Link>
                  </li>
                ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  ));
}

function NewPosition({ onClose }: { onClose: () => void }) {
  const say = useSay();
  const client = useQueryClient();
  const go = useNavigate();
  const [text, setText] = useState({ area: '', machine: '', position: '' });
  const [faults, setFaults] = useState<Faults>({});
  const row = (key: keyof typeof text, label: string) => (
    <TextField
      label={label}
      value={text[key]}
      fault={faults[key]}
      onText={(t) => setText({ ...text, [key]: t })}
    />
  );
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const made = await call<{ id: string }>('POST', '/api/positions', {
        area: text.area.trim(),
        machine: text.machine.trim(),
        position: text.position.trim(),
      });
      await client.invalidateQueries({ queryKey: ['register'] });
      await client.invalidateQueries({ queryKey: ['positions'] });
      await go(`/positions/${made.id}`);
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <Dialog open onClose={onClose} title={say(COMMON.newPosition)}>
      <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-3">
        {row('machine', say(M.machineAsCalledHere))}
        {row('position', say(M.positionDriveEndStuffingBox))}
        {row('area', say(M.areaIfThereOne))}
        {faults[''] && (
          <Fault>
            <Words of={faults['']} />
          </Fault>
        )}
        <Button type="submit" weight="solid" className="self-start">
          {say(COMMON.add)}
        </Button>
      </form>
    </Dialog>
  );
}
