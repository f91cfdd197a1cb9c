import { type Plant, plantSchema } from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import { COMMON } from '@fulcrant/core/messages';
import { formatLength, parseLength, saidBy } from '@fulcrant/core/units';
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
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { DemoAnew } from './DemoAnew.tsx';
import { M } from './messages.ts';

const WAYS = [
  ['/people', COMMON.people],
  ['/house-rules', COMMON.houseRules],
  ['/gauges', COMMON.gauges],
  ['/register', COMMON.register],
  ['/glossary', COMMON.glossary],
  ['/licences', M.licences],
] as const;

/** What the plant is told once, and every sheet follows. */
export function PlantPage() {
  const say = useSay();
  const plant = usePlant();
  const [told, setTold] = useState(false);
  return (
    <Page title={say(COMMON.plant)} ways={WAYS} corner={<Corner />}>
      {plant.isPending && <p className="text-muted">{say(M.fetchingPlant)}</p>}
      {plant.isError && (
        <Fault>
          <Words of={saidBy(plant.error)} />
        </Fault>
      )}
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
  const say = useSay();
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
    if (wrong >= 0) return setFaults({ stock: say(M.noSectionWriteThemTwo({ section: sections[wrong] })) });
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
      {row('site', say(COMMON.siteCalled))}
      <div>
        <span className="kicker">{say(M.paperSheets)}</span>
        <Choice
          label={say(M.paperSheets)}
          value={paper}
          disabled={!lead}
          options={[
            ['A4', 'A4'],
            ['letter', say(COMMON.letter)],
          ]}
          onChange={setPaper}
        />
      </div>
      <div>
        <span className="kicker">{say(M.unitsNewDeviceBegins)}</span>
        <Choice
          label={say(M.unitsNewDeviceBegins)}
          value={units}
          disabled={!lead}
          options={[
            ['mm', M.millimetres],
            ['in', M.inches],
          ]}
          onChange={setUnits}
        />
      </div>
      <div className="grid grid-cols-2 gap-6">
        {row('worksFrom', say(M.shiftBegins))}
        {row('worksTo', say(M.ends))}
      </div>
      <div className="sm:col-span-2">{row('stock', say(M.packingStoreSectionsTwoBlanks))}</div>
      {plant.demo && (
        <div className="flex flex-wrap items-center gap-4 sm:col-span-2">
          <p className="m-0 text-brass">{say(M.demoPlantPeopleMachinesNumbers)}</p>
          {lead && <DemoAnew />}
        </div>
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
            {say(COMMON.save)}
          </Button>
          <span role="status">{told ? say(COMMON.saved2) : ''}</span>
        </div>
      ) : (
        <p className="m-0 text-muted sm:col-span-2">{say(M.leadHandKeepsThese)}</p>
      )}
    </form>
  );
}
