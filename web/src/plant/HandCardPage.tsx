import type { Instrument } from '@fulcrant/core/instruments';
import { quantityOf, reaches, sayReach } from '@fulcrant/core/instruments';
import { CARD_READINGS, handCard } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { measured } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useId, useLayoutEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { dependsOnReader, sendHandCard, useOwnHand } from '../data/hands.ts';
import { useSession } from '../data/session.tsx';
import { useInstruments } from '../data/site.ts';
import { Corner } from '../entry/Corner.tsx';
import { M as E } from '../entry/messages.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { Keypad } from '../ui/Keypad.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { sayIn, sayStep } from './gauge-said.ts';
import { M } from './messages.ts';

/** Readings of a check under way outlive a reload; each person's are their own, on a tablet that several use too. */
const keyOf = (person: string, gauge: string) => `fulcrant.hand.${person}.${gauge}`;
function begun(key: string): number[] {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? kept.filter((v): v is number => typeof v === 'number') : [];
  } catch {
    return [];
  }
}

/**
 * Ten readings of one thing, hidden until the tenth: how much this hand scatters with this kind of gauge. Once, and by the site's
 * rule again; what is read at work is then judged by the hand that read it.
 */
export function HandCardPage() {
  const say = useSay();
  const [asked, setAsked] = useSearchParams();
  const gauges = (useInstruments().data?.instruments ?? []).filter((g) => !g.standIn && dependsOnReader(g));
  const gauge = gauges.find((g) => g.id === asked.get('gauge')) ?? null;
  const back = asked.get('back');
  const { person } = useSession();
  const kept = gauge && person && keyOf(person.id, gauge.id);
  const way = back?.startsWith('/jobs/') ? ([[back, M.backToYourJob]] as const) : [];
  return (
    <Page title={say(M.handCard)} ways={[...way, ['/gauges', COMMON.gauges]]} corner={<Corner />}>
      <p className="m-0 max-w-3xl text-lg">{say(M.handCardTold)}</p>
      <label className="mt-3 flex max-w-md flex-col">
        <span className="kicker">{say(E.gaugeHand)}</span>
        <select
          value={gauge?.id ?? ''}
          onChange={(e) => setAsked({ ...(back ? { back } : {}), gauge: e.target.value }, { replace: true })}
          className="min-h-12 border-0 border-b-2 border-muted bg-paper text-lg"
        >
          {!gauge && <option value="">{say(E.whichGauge)}</option>}
          {gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </select>
      </label>
      {gauge && kept && (
        <Ten key={kept} kept={kept} gauge={gauge} back={back?.startsWith('/jobs/') ? back : '/gauges'} />
      )}
    </Page>
  );
}

/** @param kept where the readings are kept until the tenth */
function Ten({ gauge, back, kept }: { gauge: Instrument; back: string; kept: string }) {
  const say = useSay();
  const { unit } = useSettings();
  const go = useNavigate();
  const client = useQueryClient();
  const own = useOwnHand()(gauge);
  const [values, setValues] = useState(() => begun(kept));
  const [text, setText] = useState('');
  const [watched, setWatched] = useState('');
  const [faults, setFaults] = useState<Faults>({});
  const field = useRef<HTMLInputElement>(null);
  const id = useId();
  const quantity = measured(quantityOf(gauge.kind));
  const count = values.length;
  const whole = count >= CARD_READINGS;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next reading takes the caret
  useLayoutEffect(() => field.current?.focus(), [count]);
  const keep = (next: number[]) => {
    setValues(next);
    sessionStorage.setItem(kept, JSON.stringify(next));
  };
  const store = (e: FormEvent) => {
    e.preventDefault();
    const read = quantity.read(text, unit);
    if (!read.ok) return setFaults({ value: read.message });
    if (!reaches(gauge, read.value)) return setFaults({ value: sayReach(gauge) });
    setFaults({});
    setText('');
    keep([...values, read.value]);
  };
  const send = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await sendHandCard(gauge.id, values, watched);
      sessionStorage.removeItem(kept);
      await client.invalidateQueries({ queryKey: ['hands'] });
      await go(back);
    } catch (error) {
      setFaults(faultsOf(error, M.noConnectionHandKeptHere));
    }
  };
  const again = () => {
    setFaults({});
    keep([]);
  };
  return (
    <section className="mt-4 max-w-3xl border-t border-rule pt-3" data-ten={count}>
      {own && count === 0 && (
        <p className="m-0 mb-2 text-muted">
          <Words
            of={M.handCardStands({ scatter: sayStep(gauge, own.card.scatter, unit), dueOn: own.dueOn })}
          />
        </p>
      )}
      {whole ? (
        <Told gauge={gauge} values={values} onAgain={again}>
          <form onSubmit={(e) => void send(e)} noValidate className="mt-3 flex flex-wrap items-end gap-3">
            <label className="flex min-w-56 flex-1 flex-col">
              <span className="kicker">{say(M.whoWatched)}</span>
              <input
                value={watched}
                onChange={(e) => setWatched(e.target.value)}
                maxLength={60}
                autoComplete="off"
                className="min-h-12 border-0 border-b-2 border-muted bg-transparent text-lg"
              />
            </label>
            <Button type="submit" weight="solid">
              {say(M.keepHandCard)}
            </Button>
            <Button onClick={again}>{say(M.readAllTenAgain)}</Button>
            {Object.values(faults).map((f) => (
              <Fault key={say(f)}>
                <Words of={f} />
              </Fault>
            ))}
          </form>
        </Told>
      ) : (
        <form onSubmit={store} noValidate className="flex flex-col gap-2">
          <label htmlFor={id} className="kicker !text-brass">
            {say(M.readingOfTen({ n: count + 1, of: CARD_READINGS }))}
          </label>
          <div className="flex flex-wrap items-stretch gap-2">
            <input
              ref={field}
              id={id}
              value={text}
              onChange={(e) => setText(e.target.value)}
              inputMode="decimal"
              autoComplete="off"
              maxLength={40}
              placeholder={quantity.empty[unit]}
              aria-invalid={faults.value !== undefined}
              aria-describedby={`${id}-fault`}
              className="figures min-h-14 min-w-32 flex-1 basis-32 border-0 border-b-[3px] border-brass bg-transparent px-1 text-4xl text-ink placeholder:text-faint"
            />
            <Button type="submit" weight="solid">
              {say(M.storeReading)}
            </Button>
          </div>
          <div id={`${id}-fault`} className="min-h-[1.6rem]" aria-live="polite">
            {faults.value ? (
              <Fault>
                <Words of={faults.value} />
              </Fault>
            ) : (
              count > 0 && (
                <p className="m-0 text-muted">
                  {say(M.turnOrTakeOffBetween({ count }))}{' '}
                  <button
                    type="button"
                    onClick={() => keep(values.slice(0, -1))}
                    className="min-h-12 border-0 bg-transparent px-1 text-steel underline underline-offset-4"
                  >
                    {say(M.lastOneMistyped)}
                  </button>
                </p>
              )
            )}
          </div>
          <Keypad
            onKey={(k) => setText(k === '⌫' ? text.slice(0, -1) : `${text}${k}`)}
            kind={gauge.kind === 'dial' ? 'dial' : quantityOf(gauge.kind)}
            signed={gauge.kind === 'dial' || gauge.low < 0}
          />
        </form>
      )}
    </section>
  );
}

/** What the ten say, once they are read. */
function Told({
  gauge,
  values,
  onAgain,
  children,
}: {
  gauge: Instrument;
  values: readonly number[];
  onAgain: () => void;
  children: React.ReactNode;
}) {
  const say = useSay();
  const { unit } = useSettings();
  const told = handCard(values, gauge.step);
  const said = (value: number): Text => sayStep(gauge, value, unit);
  return (
    <>
      <ol className="figures m-0 flex list-none flex-wrap gap-x-4 p-0 text-lg" aria-label={say(M.theTen)}>
        {values.map((v, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: ten readings in their order
          <li key={i}>
            <Words of={sayIn(gauge, v, unit)} />
          </li>
        ))}
      </ol>
      {told.ok ? (
        <>
          <p className="m-0 mt-2 text-2xl">
            <Words
              of={M.handScattersBy({
                scatter: said(told.scatter),
                steps: told.steps.toFixed(1),
                low: said(told.low),
                high: said(told.high),
              })}
            />
          </p>
          {told.same && <p className="m-0 text-muted">{say(M.allTenAlike)}</p>}
          {children}
        </>
      ) : (
        <>
          <Fault>{say(M.oneOfTenStrays)}</Fault>
          <Button onClick={onAgain}>{say(M.readAllTenAgain)}</Button>
        </>
      )}
    </>
  );
}
