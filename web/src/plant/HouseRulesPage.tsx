import { allMethods } from '@fulcrant/core/job';
import { chosenOf } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { ApiFault, call } from '../data/api.ts';
import { useSession } from '../data/session.tsx';
import { useHouseRules } from '../data/site.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Where practitioners disagree the plant follows one school; a job takes over what holds when it is opened. */
export function HouseRulesPage() {
  const kept = useHouseRules();
  const { person } = useSession();
  const client = useQueryClient();
  const say = useSay();
  const [fault, setFault] = useState<Text | null>(null);
  const lead = person?.role === 'lead';
  const follow = async (rule: string, answer: string) => {
    setFault(null);
    try {
      await call('POST', '/api/house-rules', { [rule]: answer });
      await client.invalidateQueries({ queryKey: ['house-rules'] });
    } catch (error) {
      setFault(error instanceof ApiFault ? error.title : say(M.noConnectionServerHouseRule));
    }
  };
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">{say(COMMON.houseRules)}</h1>
          <Link
            className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
            to="/"
          >
            {say(COMMON.shiftBoard)}
          </Link>
        </div>
        <div className="px-6 py-3">
          <p className="m-0 max-w-3xl text-muted">
            {say(
              M.makersSheetOutranksThemAll({
                lead: lead ? 'newJobFollowsWhatCho' : 'leadHandSetsTheseNew',
                set:
                  kept.data?.set &&
                  say(
                    M.lastSet({
                      by: kept.data.set.by,
                      at: format(new Date(kept.data.set.at), 'd MMM yyyy HH:mm'),
                    }),
                  ),
              }),
            )}
          </p>
          {/* Nothing is shown as chosen before it is known what is. */}
          {kept.isPending && <p className="m-0 py-3 text-lg">{say(M.fetchingHouseRules)}</p>}
          {kept.isError && (
            <Fault>
              <Words of={saidBy(kept.error)} />
            </Fault>
          )}
          {(kept.data ? allMethods() : []).map((q) => (
            <section
              key={q.id}
              className="grid gap-x-8 gap-y-2 border-t border-faint py-3 md:grid-cols-[18rem_1fr]"
              data-rule={q.id}
            >
              <div>
                <h2 className="m-0 text-xl leading-tight">
                  <Words of={q.ask} />
                </h2>
                <p className="m-0 text-sm text-muted">
                  <Words of={q.why} />
                </p>
              </div>
              <div className="flex flex-wrap gap-2">
                {q.answers.map(([answer, says, source]) => {
                  const on = chosenOf(kept.data?.rules ?? {}, q) === answer;
                  return (
                    <Button
                      key={answer}
                      aria-pressed={on}
                      weight={on ? 'solid' : 'line'}
                      disabled={!lead && !on}
                      className="py-1 text-left"
                      onClick={() => lead && !on && void follow(q.id, answer)}
                    >
                      {say(says)}
                      <span className="block font-text text-sm font-normal">
                        <Words of={source} />
                      </span>
                    </Button>
                  );
                })}
              </div>
            </section>
          ))}
          {fault && (
            <Fault>
              <Words of={fault} />
            </Fault>
          )}
        </div>
      </main>
      <footer>
        <Corner />
      </footer>
    </div>
  );
}
