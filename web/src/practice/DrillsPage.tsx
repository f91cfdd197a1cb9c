import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { DECKS, type DeckId, type Drill, decksTold, type Kept, nextOf, putBy } from '@fulcrant/practice';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, readThrough } from '../data/api.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { DrillCard } from './DrillCard.tsx';
import { M } from './messages.ts';
import { usePracticePaper } from './use-paper.ts';

/** Drills: short questions drawn from the trades as they stand; what was got wrong comes again, sooner. */
export function DrillsPage() {
  const say = useSay();
  usePracticePaper();
  const client = useQueryClient();
  const kept = useQuery({
    queryKey: ['drills'],
    queryFn: async () => (await readThrough<{ kept: Kept[] }>('/api/practice/drills')).kept,
    staleTime: 60_000,
  });
  const [deck, setDeck] = useState<DeckId | null>(null);
  const [drill, setDrill] = useState<{ drill: Drill; n: number } | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const known = kept.data ?? [];
  const now = new Date().toISOString();
  const draw = (from: DeckId, of: readonly Kept[], n: number) => {
    const next = nextOf(from, of, new Date().toISOString());
    setDeck(from);
    setDrill(next ? { drill: next, n } : null);
  };
  const answered = async (id: string, right: boolean) => {
    // Put by here at once: the next question does not wait for the network.
    const at = new Date().toISOString();
    const before = client.getQueryData<Kept[]>(['drills']) ?? [];
    const mine = putBy(before.find((k) => k.id === id) ?? null, id, right, at);
    client.setQueryData(['drills'], [...before.filter((k) => k.id !== id), mine]);
    try {
      const { kept: all } = await call<{ kept: Kept[] }>('POST', '/api/practice/drills', {
        answers: [{ id, right: right ? 1 : 0, at }],
      });
      // Answers given meanwhile are on their way too: what is newer here stays.
      client.setQueryData<Kept[]>(['drills'], (now = []) => {
        const told = new Map(all.map((k) => [k.id, k]));
        for (const k of now) {
          const there = told.get(k.id);
          if (!there || there.right + there.wrong < k.right + k.wrong) told.set(k.id, k);
        }
        return [...told.values()];
      });
      setFault(null);
    } catch {
      setFault(say(M.noConnectionServerAnswerNot));
    }
  };
  return (
    <Page title={say(M.practiceDrills)} ways={[['/practice', say(COMMON.practiceJobs)]]} corner={<Corner />}>
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        {say(M.practiceNothingHereRecordNothing2)}
      </p>
      {kept.isError && (
        <Fault>
          <Words of={saidBy(kept.error)} />
        </Fault>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {deck === null && (
        <ul className="m-0 grid list-none gap-x-10 p-0 md:grid-cols-2" aria-label={say(M.decks)}>
          {decksTold(known, now).map((d) => (
            <li key={d.deck} className="border-b border-faint">
              <button
                type="button"
                onClick={() => draw(d.deck, known, 0)}
                className="flex min-h-16 w-full flex-wrap items-center justify-between gap-x-6 py-2 text-left hover:bg-shade"
                data-deck={d.deck}
              >
                <span className="font-label text-xl font-semibold">
                  <Words of={DECKS[d.deck]} />
                </span>
                <span className="text-muted">
                  {d.due > 0 ? (
                    <strong className="text-brass">{say(M.due({ due: d.due }))}</strong>
                  ) : (
                    say(M.noneDue)
                  )}{' '}
                  {say(
                    M.met({
                      met: d.met,
                      all: d.all,
                      right:
                        d.right + d.wrong > 0
                          ? M.n100Right({ right: Math.round((100 * d.right) / (d.right + d.wrong)) })
                          : '',
                    }),
                  )}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {deck !== null && (
        <div className="mx-auto max-w-3xl">
          {drill ? (
            <DrillCard
              key={`${drill.drill.id} ${drill.n}`}
              drill={drill.drill}
              onAnswered={(right) => void answered(drill.drill.id, right)}
              onNext={() => draw(deck, client.getQueryData<Kept[]>(['drills']) ?? known, drill.n + 1)}
            />
          ) : (
            <p className="text-lg">{say(M.nothingMoreDeckDueWhat)}</p>
          )}
          <p className="pt-6">
            <Button
              onClick={() => {
                setDeck(null);
                setDrill(null);
              }}
            >
              {say(M.anotherDeck)}
            </Button>
          </p>
        </div>
      )}
    </Page>
  );
}
