import type { PartCard } from '@fulcrant/core/api';
import { partFields, readPart, showPart } from '@fulcrant/core/forms';
import { allTrades, fieldsOf, records } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { type FormEvent, useDeferredValue, useState } from 'react';
import { call } from '../data/api.ts';
import { type Faults, faultsOf } from '../data/asked.ts';
import { usePartCards } from '../data/register.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';
import { TakeIn } from './TakeIn.tsx';

/** What makers’ sheets say of parts: typed once, looked over by somebody else, taken into every job that uses the part. */
export function PartsPage() {
  const say = useSay();
  const [typed, setTyped] = useState('');
  const { person } = useSession();
  const looked = useDeferredValue(typed.trim());
  const cards = usePartCards(looked.length >= 2 ? looked : '  ');
  const [writing, setWriting] = useState<PartCard | 'new' | null>(null);
  const [taking, setTaking] = useState(false);
  const may = records(person?.role);
  return (
    <Page title={say(M.cardsParts)} ways={[['/register', say(COMMON.register)]]} corner={<Corner />}>
      <div className="flex flex-wrap items-end gap-4 pb-3">
        <div className="min-w-60 flex-1">
          <TextField label={say(M.findWhatStamped)} value={typed} onText={setTyped} />
        </div>
        {may && <Button onClick={() => setWriting('new')}>{say(COMMON.addPart)}</Button>}
        {may && <Button onClick={() => setTaking(true)}>{say(M.fromFile)}</Button>}
        <a
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
          href="/api/parts.csv"
        >
          {say(COMMON.csv)}
        </a>
      </div>
      {cards.data?.length === 0 && <p className="text-lg">{say(M.noCardTheseWords)}</p>}
      <ul className="m-0 list-none p-0" aria-label={say(COMMON.parts)}>
        {cards.data?.map((c) => (
          <Card key={c.key} card={c} onChange={may ? () => setWriting(c) : null} />
        ))}
      </ul>
      {taking && (
        <TakeIn
          title={say(M.cardsFromFile)}
          head={say(M.designationTradeSourceFieldValue)}
          path="/api/parts/import"
          renews="part"
          onClose={() => setTaking(false)}
        />
      )}
      {writing && <WriteCard card={writing === 'new' ? null : writing} onClose={() => setWriting(null)} />}
    </Page>
  );
}

function Card({ card, onChange }: { card: PartCard; onChange: (() => void) | null }) {
  const say = useSay();
  const { person } = useSession();
  const { unit } = useSettings();
  const client = useQueryClient();
  const [fault, setFault] = useState<Text | null>(null);
  const trade = allTrades().find((t) => t.id === card.trade);
  const fields = trade ? fieldsOf(trade.schema) : [];
  const look = async () => {
    try {
      await call('POST', `/api/parts/${encodeURIComponent(card.designation)}/${card.version}/looked`, {});
      await client.invalidateQueries({ queryKey: ['part'] });
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
  };
  return (
    <li
      className="grid gap-x-6 gap-y-1 border-t border-faint py-2 md:grid-cols-[14rem_minmax(0,1fr)_14rem]"
      data-part={card.key}
    >
      <div>
        <span className="figures text-lg font-semibold">{card.key}</span>
        <span className="block text-sm text-muted">
          {trade?.words.offer.map((x) => say(x)).join(' ') ?? card.trade}
        </span>
      </div>
      <div>
        <dl className="m-0 flex flex-wrap gap-x-5">
          {Object.entries(card.values).map(([name, v]) => {
            const field = fields.find((f) => f.name === name);
            return (
              <div key={name} className="flex gap-1.5">
                <dt className="text-muted">
                  <Words of={field?.label ?? name} />
                </dt>
                <dd className="figures m-0">{field ? <Words of={showPart(field, v, unit)} /> : String(v)}</dd>
              </div>
            );
          })}
        </dl>
        <p className="m-0 text-sm text-muted">
          {say(
            M.version({
              version: card.version,
              by: card.by,
              at: format(new Date(card.at), 'd MMM yyyy'),
              source: card.source ? M.from({ source: card.source }) : '',
            }),
          )}{' '}
          {card.looked ? (
            <span className="text-good">{say(M.lookedOver({ by: card.looked.by }))}</span>
          ) : (
            <span className="text-brass">{say(M.notLookedOverAnybodyElse)}</span>
          )}
        </p>
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
      </div>
      {onChange && (
        <span className="flex flex-wrap items-start justify-end">
          {!card.looked && card.by !== person?.name && (
            <Button weight="bare" onClick={() => void look()}>
              {say(M.right)}
            </Button>
          )}
          <Button weight="bare" onClick={onChange}>
            {say(COMMON.change)}
          </Button>
        </span>
      )}
    </li>
  );
}

function WriteCard({ card, onClose }: { card: PartCard | null; onClose: () => void }) {
  const tell = useSay();
  const { unit } = useSettings();
  const client = useQueryClient();
  const [designation, setDesignation] = useState(card?.designation ?? '');
  const [trade, setTrade] = useState(card?.trade ?? allTrades()[0]?.id ?? '');
  const [source, setSource] = useState(card?.source ?? '');
  const chosen = allTrades().find((t) => t.id === trade);
  const fields = chosen ? partFields(chosen) : [];
  const [text, setText] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      fields.flatMap((f) => {
        const v = card?.values[f.name];
        return v === undefined ? [] : [[f.name, tell(showPart(f, v, unit))]];
      }),
    ),
  );
  const [faults, setFaults] = useState<Faults>({});
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    if (!chosen) return;
    const read = readPart(chosen, text, unit);
    if ('faults' in read) return setFaults(read.faults);
    if (Object.keys(read.values).length === 0) return setFaults({ '': tell(M.cardSaysSomethingPartOne) });
    try {
      await call('POST', '/api/parts', {
        designation: designation.trim(),
        trade,
        values: read.values,
        source: source.trim(),
      });
      await client.invalidateQueries({ queryKey: ['part'] });
      onClose();
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={card ? tell(M.newVersion({ key: card.key })) : tell(M.cardPart)}
      wide
    >
      <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-4">
        <div className="grid gap-x-6 gap-y-3 sm:grid-cols-3">
          <TextField
            label={tell(M.stamped)}
            value={designation}
            onText={setDesignation}
            fault={faults.designation}
            disabled={card !== null}
          />
          <div>
            <span className="kicker">{tell(M.forText)}</span>
            <Choice
              label={tell(M.forText)}
              value={trade}
              disabled={card !== null}
              options={allTrades()
                .filter((t) => partFields(t).length > 0)
                .map((t) => [t.id, t.words.offer.map((x) => tell(x)).join(' ')] as const)}
              onChange={(t) => {
                setTrade(t);
                setText({});
              }}
            />
          </div>
          <TextField
            label={tell(M.fromWhichSheet)}
            value={source}
            onText={setSource}
            maxLength={200}
            fault={faults.source}
          />
        </div>
        <div className="grid gap-x-6 gap-y-3 border-t border-faint pt-3 sm:grid-cols-2 lg:grid-cols-3">
          {fields.map((f) =>
            f.options ? (
              <div key={f.name}>
                <span className="kicker">
                  <Words of={f.label} />
                </span>
                <Choice
                  label={f.label}
                  value={text[f.name] ?? ''}
                  options={f.options}
                  onChange={(v) => setText({ ...text, [f.name]: v })}
                />
              </div>
            ) : (
              <TextField
                key={f.name}
                label={f.label}
                value={text[f.name] ?? ''}
                fault={faults[f.name]}
                onText={(t) => setText({ ...text, [f.name]: t })}
              />
            ),
          )}
        </div>
        {faults[''] && (
          <Fault>
            <Words of={faults['']} />
          </Fault>
        )}
        <p className="m-0 text-sm text-muted">{tell(M.onlyWhatMakersSheetSays)}</p>
        <Button type="submit" weight="solid" className="self-start">
          {tell(COMMON.addPart)}
        </Button>
      </form>
    </Dialog>
  );
}
