import { allMethods } from '@fulcrant/core/job';
import { chosenOf } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { ApiFault, call } from '../data/api.ts';
import { useHouseRules } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';

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
      setFault(
        error instanceof ApiFault
          ? error.title
          : 'No connection to the server: a house rule is set when it is there.',
      );
    }
  };
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">House rules</h1>
          <Link className="text-steel underline underline-offset-4" to="/">
            Shift board
          </Link>
        </div>
        <div className="px-6 py-3">
          <p className="m-0 max-w-3xl text-muted">
            {lead
              ? 'A new job follows what is chosen here.'
              : 'A lead hand sets these; a new job follows them.'}{' '}
            The maker’s sheet outranks them all; a job may follow another school, and its sheet says so.
            {kept.data?.set &&
              ` Last set by ${kept.data.set.by}, ${format(new Date(kept.data.set.at), 'd MMM yyyy HH:mm')}.`}
          </p>
          {/* Nothing is shown as chosen before it is known what is. */}
          {kept.isPending && <p className="m-0 py-3 text-lg">Fetching the house rules …</p>}
          {kept.isError && <Fault>{kept.error.message}</Fault>}
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
