import { partKey } from '@fulcrant/core/api';
import { DEPTHS, type Depth, openingFor } from '@fulcrant/core/forms';
import { allTrades, type Setup, tradeOf } from '@fulcrant/core/job';
import { COMMON, type Text, textKey } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { useOpenJob } from '../data/job.ts';
import { usePlant } from '../data/plant.ts';
import { usePartCards, usePosition } from '../data/register.ts';
import { type StoredPosition, useHouseRules, usePositions } from '../data/site.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { OpeningForm } from './OpeningForm.tsx';
import { dropOpening, keepOpening, openingDraft } from './opening-draft.ts';
import { PositionPicker } from './PositionPicker.tsx';

const depthIn = (typed: string | undefined): Depth | undefined => DEPTHS.find((d) => d === typed);

/** Open a job by three answers: where, what work, what is stamped on the part; the rest is known, or asked where it is needed. */
export function NewJobPage() {
  const say = useSay();
  const [asked] = useSearchParams();
  // Come from a search on the board or a position’s page: the position found there is the one meant.
  const from = usePositions(asked.get('q') ?? '').data?.positions.find((p) => p.id === asked.get('position'));
  const house = useHouseRules();
  const rules = house.data?.rules;
  const plant = usePlant();
  const openJob = useOpenJob();
  const go = useNavigate();
  // What was begun comes back, unless a position was asked for on the way here that is another one.
  const [draft] = useState(() => {
    const begun = openingDraft();
    const wanted = asked.get('position');
    return wanted === null || begun?.position?.id === wanted ? begun : null;
  });
  const [words, setWords] = useState(asked.get('q') ?? '');
  const [picked, setPicked] = useState<StoredPosition | null | undefined>(draft?.position ?? undefined);
  const chosen = picked === undefined ? (from ?? null) : picked;
  // A position that is known brings the kind of work last done there, until another is chosen.
  const [chosenKind, setKind] = useState<string | null>(draft?.kind ?? null);
  const kind = chosenKind ?? (chosen?.setup ? tradeOf(chosen.setup).id : allTrades()[0]?.id);
  const pick = (position: StoredPosition | null) => {
    setPicked(position);
    if (position?.setup) setKind(tradeOf(position.setup).id);
  };
  const [depth, setDepth] = useState<Depth | undefined>(depthIn(draft?.values.depth));
  const [stamp, setStamp] = useState(draft?.values.partNumber ?? '');
  const meant = useDeferredValue(stamp);
  const cards = usePartCards(partKey(meant));
  const card = cards.data?.find((c) => c.key === partKey(meant) && c.trade === kind) ?? null;
  const told = usePosition(chosen?.id ?? null);
  const [fault, setFault] = useState<Text | null>(null);
  const trade = tradeOf({ procedure: kind });
  const opening = useMemo(
    () =>
      openingFor(trade, {
        rules,
        plant: plant.data,
        stamp: meant,
        depth,
        card: card ? { values: card.values, looked: card.looked !== null } : null,
        place: chosen
          ? {
              machine: chosen.machine,
              position: chosen.position,
              // Without network the last setup of the position is what is known.
              setups: told.data?.setups ?? (chosen.setup ? { [tradeOf(chosen.setup).id]: chosen.setup } : {}),
              past: (told.data?.past ?? []).flatMap((j) =>
                j.signedAt ? [{ signedAt: j.signedAt, results: j.results }] : [],
              ),
            }
          : null,
      }),
    [trade, rules, plant.data, meant, depth, card, chosen, told.data],
  );
  const open = async (setup: Setup) => {
    const same = chosen?.machine === setup.machine && chosen.position === setup.position;
    try {
      // Another of the same name is found by the server, which knows them all.
      const id = await openJob(setup, same ? chosen.id : v7());
      dropOpening();
      await go(`/jobs/${id}`);
    } catch (error) {
      setFault(error instanceof Error ? saidBy(error) : say(M.jobCouldNotKeptDevice));
    }
  };
  const fromStamp = Object.values(opening.from).filter((o) => o === 'stamp').length - (meant.trim() ? 1 : 0);
  const picker = <PositionPicker chosen={chosen} typed={words} onTyped={setWords} onChoose={pick} />;
  return (
    <Page title={say(COMMON.openJob)} ways={[['/register', say(COMMON.register)]]} corner={<Corner />}>
      {/*
       * Rules that came after the form would begin it anew, and what was typed would be gone. Nor is
       * there a field before: one that moves into the form takes the keys of the hand in it away.
       */}
      {house.isPending ||
      plant.isPending ||
      (chosen !== null && told.isPending && told.fetchStatus !== 'idle') ? (
        <>
          {chosen && picker}
          <p className="text-muted">{say(COMMON.loading)}</p>
        </>
      ) : (
        <OpeningForm
          key={`${kind} ${chosen?.id ?? 'new'}`}
          trade={trade}
          opening={opening}
          placed={chosen !== null}
          draft={draft && draft.kind === kind && draft.position?.id === chosen?.id ? draft : null}
          onTyped={(values, unit) => keepOpening({ kind: trade.id, position: chosen, values, unit })}
          onStamp={setStamp}
          onDepth={setDepth}
          onSetup={open}
          stampSaid={
            <>
              {(trade.asksOfStamp?.(meant) ?? []).map((asked) => (
                <span key={textKey(asked)} className="block font-semibold">
                  <Words of={asked} />
                </span>
              ))}
              {fromStamp > 0 && (
                <span className="text-brass">
                  {say(
                    M.fromStampDottedUntilLooked({
                      fromStamp: fromStamp === 1 ? M.oneValue : M.values({ fromStamp }),
                    }),
                  )}{' '}
                </span>
              )}
              {card && (
                <span className={card.looked ? '' : 'text-brass'}>
                  {say(
                    M.cardVersion({
                      version: card.version,
                      looked: card.looked ? M.lookedOver({ by: card.looked.by }) : M.nobodyElseHasLookedOver,
                    }),
                  )}
                </span>
              )}
            </>
          }
          where={picker}
          work={
            <fieldset className="m-0 flex flex-wrap gap-1.5 border-0 p-0">
              <legend className="kicker mb-1">{say(COMMON.work)}</legend>
              {allTrades().map(({ id, words: { offer } }) => (
                <Button
                  key={id}
                  aria-pressed={kind === id}
                  weight={kind === id ? 'solid' : 'line'}
                  className="!px-2.5 py-0.5 text-left !text-base"
                  onClick={() => setKind(id)}
                >
                  <Words of={offer[0]} />
                  <span className="block font-text text-[0.8125rem] font-normal leading-tight">
                    <Words of={offer[1]} />
                  </span>
                </Button>
              ))}
            </fieldset>
          }
        />
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Page>
  );
}
