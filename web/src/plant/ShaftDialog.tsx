import type { RegisterLine, ShaftCardBody } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { lengthDigits, parseLength } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

type Role = ShaftCardBody['stations'][number]['role'];
type Row = { positionId: string; at: string; role: Role | 'none' };

const ROLES: ReadonlyArray<readonly [Role | 'none', Text]> = [
  ['none', M.notShaft],
  ['fixed', M.fixedBearing],
  ['float', M.floatBearing],
  ['other', M.somethingElse],
];

/** Which places of a machine stand on one shaft, how far along it, and which of them holds it. A change is a new version of the card. */
export function ShaftDialog({
  machine,
  places,
  shaft,
  onClose,
}: {
  machine: string;
  places: readonly RegisterLine[];
  shaft: ShaftCardBody | null;
  onClose: () => void;
}) {
  const say = useSay();
  const client = useQueryClient();
  const { unit } = useSettings();
  const [name, setName] = useState(shaft?.name ?? '');
  const [rows, setRows] = useState<Row[]>(() =>
    places.map((p) => {
      const s = shaft?.stations.find((x) => x.positionId === p.id);
      return { positionId: p.id, at: s ? lengthDigits(s.atMm, unit, 0) : '', role: s?.role ?? 'none' };
    }),
  );
  const [faults, setFaults] = useState<Faults>({});
  const change = (id: string, to: Partial<Row>) =>
    setRows(rows.map((r) => (r.positionId === id ? { ...r, ...to } : r)));
  const keep = async (e: FormEvent) => {
    e.preventDefault();
    const on = rows.filter((r) => r.role !== 'none');
    const wrong: Faults = {};
    const stations = on.map((r) => {
      const at = parseLength(r.at, unit);
      if (!at.ok) wrong[r.positionId] = r.at.trim() === '' ? say(M.howFarAlongShaft) : at.message;
      return { positionId: r.positionId, atMm: at.ok ? at.mm : 0, role: r.role };
    });
    setFaults(wrong);
    if (Object.keys(wrong).length > 0) return;
    try {
      await call('POST', '/api/shafts', { name: name.trim(), machine, stations });
      await client.invalidateQueries({ queryKey: ['position'] });
      onClose();
    } catch (error) {
      const said = faultsOf(error);
      // The server names a station by its place in what was sent.
      setFaults(
        Object.fromEntries(
          Object.entries(said).map(([path, words]) => {
            const i = /^stations\[(\d+)\]/.exec(path)?.[1];
            return [i === undefined ? path : (on[Number(i)]?.positionId ?? ''), words];
          }),
        ),
      );
    }
  };
  return (
    <Dialog open onClose={onClose} title={say(M.shaft({ machine }))} wide>
      <form onSubmit={(e) => void keep(e)} noValidate className="flex flex-col gap-3">
        <TextField
          label={say(M.shaft2)}
          value={name}
          onText={setName}
          fault={faults.name}
          disabled={shaft !== null}
        />
        <ul className="m-0 list-none p-0">
          {places.map((p) => {
            const row = rows.find((r) => r.positionId === p.id);
            if (!row) return null;
            return (
              <li
                key={p.id}
                className="grid items-end gap-x-6 gap-y-1 border-b border-faint py-2 sm:grid-cols-[minmax(0,1fr)_14rem_10rem]"
                data-station={p.position}
              >
                <span className="self-center font-label text-lg font-semibold">{p.position}</span>
                <Choice
                  label={say(M.is({ position: p.position }))}
                  value={row.role}
                  options={ROLES}
                  onChange={(role) => change(p.id, { role })}
                />
                <TextField
                  label={say(M.alongShaft({ unit }))}
                  value={row.at}
                  disabled={row.role === 'none'}
                  fault={faults[p.id]}
                  onText={(at) => change(p.id, { at })}
                />
              </li>
            );
          })}
        </ul>
        {(faults.stations ?? faults['']) && (
          <Fault>
            <Words of={faults.stations ?? faults[''] ?? ''} />
          </Fault>
        )}
        <div className="flex gap-3">
          <Button type="submit" weight="solid">
            {say(M.keepShaft)}
          </Button>
          <Button onClick={onClose}>{say(COMMON.leave)}</Button>
        </div>
      </form>
    </Dialog>
  );
}
