import { allTrades, DIFFICULTIES, DIFFICULTY_IDS, type Difficulty } from '@fulcrant/core/job';
import { check } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { allRigs, competenceSchema, type PracticeTold, setSchema } from '@fulcrant/practice';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, type ReactNode, useState } from 'react';
import type { Schema } from 'yup';
import { type Faults, faultsOf } from '../data/asked.ts';
import { setBench, signCompetence } from '../data/benches.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Named } from '../ui/Named.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** A form whose answers are held to their schema here as on the server; what is wrong stands beside its field, and nothing typed is lost. */
function AskForm<T>({
  title,
  does,
  said,
  schema,
  asked,
  send,
  children,
}: {
  title: string;
  does: string;
  said: string;
  schema: Schema<T>;
  asked: unknown;
  send: (asked: T) => Promise<unknown>;
  children: (faults: Faults) => ReactNode;
}) {
  const client = useQueryClient();
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState(false);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setDone(false);
    const checked = check(schema, asked);
    if (!checked.ok)
      return setFaults(Object.fromEntries([...checked.faults].reverse().map((f) => [f.path, f.message])));
    try {
      await send(checked.value);
      setFaults({});
      setDone(true);
      await client.invalidateQueries({ queryKey: ['benches'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form aria-label={title} onSubmit={(e) => void submit(e)} className="grid content-start gap-3">
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">{title}</h2>
      {children(faults)}
      {faults[''] && (
        <Fault>
          <Words of={faults['']} />
        </Fault>
      )}
      <p className="m-0 flex items-center gap-4">
        <Button type="submit" weight="solid">
          {does}
        </Button>
        {done && <span role="status">{said}</span>}
      </p>
    </form>
  );
}

/** What is chosen from a list, with its name to be seen and what is wrong with it. */
function Chosen<V extends string>({
  name,
  value,
  options,
  fault,
  onChange,
}: {
  name: string;
  value: V | '';
  options: ReadonlyArray<readonly [V, Text]>;
  fault?: Text | undefined;
  onChange: (value: V) => void;
}) {
  return (
    <Named name={name}>
      <Choice label={name} value={value} options={options} onChange={onChange} />
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Named>
  );
}

/** A bench set for the class: by its number the same for all, or each their own. */
export function SetForm() {
  const say = useSay();
  const [rig, setRig] = useState('');
  const [difficulty, setDifficulty] = useState<Difficulty>('one');
  const [number, setNumber] = useState('');
  const [says, setSays] = useState('');
  return (
    <AskForm
      title={say(M.setBench)}
      does={say(COMMON.save)}
      said={say(COMMON.saved2)}
      schema={setSchema}
      asked={{
        rig,
        difficulty,
        ...(number.trim() === '' ? {} : { seed: Number(number) }),
        ...(says.trim() === '' ? {} : { says: says.trim() }),
      }}
      send={setBench}
    >
      {(faults) => (
        <>
          <Chosen
            name={say(M.bench2)}
            value={rig}
            options={allRigs().map((r) => [r.id, r.name])}
            fault={faults.rig}
            onChange={setRig}
          />
          <Chosen
            name={say(M.laidOut)}
            value={difficulty}
            options={DIFFICULTY_IDS.map((d) => [d, DIFFICULTIES[d]])}
            onChange={setDifficulty}
          />
          <TextField
            label={say(M.numberSameAllNothingEach)}
            inputMode="numeric"
            value={number}
            fault={faults.seed}
            onText={setNumber}
          />
          <TextField
            label={say(M.whatSaid)}
            value={says}
            maxLength={200}
            fault={faults.says}
            onText={setSays}
          />
        </>
      )}
    </AskForm>
  );
}

/** A competence signed: for a person and a trade, with the day it is to be renewed. */
export function SignForm({ people }: { people: PracticeTold['people'] }) {
  const say = useSay();
  const [person, setPerson] = useState('');
  const [trade, setTrade] = useState('');
  const [renewOn, setRenewOn] = useState('');
  const [words, setWords] = useState('');
  return (
    <AskForm
      title={say(M.signCompetence)}
      does={say(M.sign2)}
      said={say(M.signed)}
      schema={competenceSchema}
      asked={{ person, trade, renewOn, words: words.trim() }}
      send={signCompetence}
    >
      {(faults) => (
        <>
          <Chosen
            name={say(M.who)}
            value={person}
            options={people.map((p) => [p.id, p.name])}
            fault={faults.person}
            onChange={setPerson}
          />
          <Chosen
            name={say(M.trade)}
            value={trade}
            options={allTrades().map((t) => [t.id, t.words.offer[0]])}
            fault={faults.trade}
            onChange={setTrade}
          />
          <TextField
            label={say(M.renewed)}
            type="date"
            value={renewOn}
            fault={faults.renewOn}
            onText={setRenewOn}
          />
          <TextField
            label={say(COMMON.whatSeen)}
            value={words}
            maxLength={400}
            fault={faults.words}
            onText={setWords}
          />
        </>
      )}
    </AskForm>
  );
}
