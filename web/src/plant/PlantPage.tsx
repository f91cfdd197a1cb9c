import { type Plant, plantSchema } from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import { formatLength, parseLength } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { usePlant } from '../data/plant.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';

const WAYS = [
  ['/people', 'People'],
  ['/house-rules', 'House rules'],
  ['/gauges', 'Gauges'],
  ['/register', 'Register'],
  ['/licences', 'Licences'],
] as const;

/** What the plant is told once, and every sheet follows. */
export function PlantPage() {
  const plant = usePlant();
  const [told, setTold] = useState(false);
  return (
    <Page title="The plant" ways={WAYS} corner={<Corner />}>
      {plant.isPending && <p className="text-muted">Fetching the plant …</p>}
      {plant.isError && <Fault>{plant.error.message}</Fault>}
      {plant.data && (
        <PlantForm plant={plant.data} told={told} onTold={setTold} key={JSON.stringify(plant.data)} />
      )}
    </Page>
  );
}

function PlantForm({
  plant,
  told,
  onTold: setTold,
}: {
  plant: Plant;
  /** It was told just now: said beside the button until something is typed. */
  told: boolean;
  onTold: (told: boolean) => void;
}) {
  const { person, told: tell } = useSession();
  const { unit } = useSettings();
  const client = useQueryClient();
  const lead = person?.role === 'lead';
  const [text, setText] = useState({
    site: plant.site,
    worksFrom: plant.worksFrom,
    worksTo: plant.worksTo,
    stock: plant.stockMm.map((mm) => formatLength(mm, unit).replace(/ (mm|in)$/, '')).join('  '),
  });
  const [paper, setPaper] = useState(plant.paper);
  const [units, setUnits] = useState(plant.units);
  const [faults, setFaults] = useState<Faults>({});
  const row = (key: keyof typeof text, label: string, fault = faults[key]) => (
    <TextField
      label={label}
      value={text[key]}
      fault={fault}
      disabled={!lead}
      onText={(t) => {
        setTold(false);
        setText({ ...text, [key]: t });
      }}
    />
  );
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const sections = text.stock.split(/[\s;]{2,}|;|\n/).flatMap((s) => (s.trim() ? [s.trim()] : []));
    const read = sections.map((s) => parseLength(s, unit));
    const wrong = read.findIndex((r) => !r.ok);
    if (wrong >= 0)
      return setFaults({ stock: `“${sections[wrong]}” is no section. Write them with two blanks between.` });
    const body = {
      site: text.site.trim(),
      worksFrom: text.worksFrom.trim(),
      worksTo: text.worksTo.trim(),
      paper,
      units,
      stockMm: read.flatMap((r) => (r.ok ? [Number(r.mm.toFixed(4))] : [])),
    };
    const checked = check(plantSchema, body);
    if (!checked.ok)
      return setFaults(
        Object.fromEntries(
          checked.faults.map((f) => [f.path.startsWith('stock') ? 'stock' : f.path, f.message]),
        ),
      );
    try {
      tell(await call<Plant>('POST', '/api/plant', body));
      setFaults({});
      setTold(true);
      await client.invalidateQueries({ queryKey: ['plant'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="grid max-w-4xl gap-x-8 gap-y-5 sm:grid-cols-2"
    >
      {row('site', 'The site is called')}
      <div>
        <span className="kicker">Paper of its sheets</span>
        <Choice
          label="Paper of its sheets"
          value={paper}
          disabled={!lead}
          options={[
            ['A4', 'A4'],
            ['letter', 'Letter'],
          ]}
          onChange={setPaper}
        />
      </div>
      <div>
        <span className="kicker">Units a new device begins with</span>
        <Choice
          label="Units a new device begins with"
          value={units}
          disabled={!lead}
          options={[
            ['mm', 'millimetres'],
            ['in', 'inches'],
          ]}
          onChange={setUnits}
        />
      </div>
      <div className="grid grid-cols-2 gap-6">
        {row('worksFrom', 'Shift begins')}
        {row('worksTo', 'and ends')}
      </div>
      <div className="sm:col-span-2">
        {row('stock', 'Packing in the store: its sections, two blanks between')}
      </div>
      {plant.demo && (
        <p className="m-0 text-brass sm:col-span-2">
          This is a demo plant: people, machines and numbers are invented, and every sheet says so. Start an
          empty one in a folder of its own.
        </p>
      )}
      {faults[''] && (
        <div className="sm:col-span-2">
          <Fault>
            <Words of={faults['']} />
          </Fault>
        </div>
      )}
      {lead ? (
        <div className="flex items-center gap-4 sm:col-span-2">
          <Button type="submit" weight="solid">
            So it holds from now on
          </Button>
          <span role="status">{told ? 'It holds.' : ''}</span>
        </div>
      ) : (
        <p className="m-0 text-muted sm:col-span-2">A lead hand keeps these.</p>
      )}
    </form>
  );
}
