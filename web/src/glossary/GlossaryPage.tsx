import { COMMON, GLOSSARY, TRADE_TERMS } from '@fulcrant/core/messages';
import { useState } from 'react';
import { Corner } from '../entry/Corner.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { MEANING } from '../ui/terms.ts';
import { M } from './messages.ts';

const capital = (term: string): string => term.charAt(0).toUpperCase() + term.slice(1);

/** Every term the pages use, of the trade and of the program: one sentence each, found by its letters. */
export function GlossaryPage() {
  const say = useSay();
  const [typed, setTyped] = useState('');
  const all = [
    ...Object.values(MEANING).map(([term, means]) => [say(term), say(means)] as const),
    ...[...TRADE_TERMS, ...GLOSSARY].map(({ term, means }) => [capital(term), means] as const),
  ].sort(([a], [b]) => a.localeCompare(b));
  const words = typed.trim().toLowerCase();
  const found = all.filter(([term, means]) => `${term} ${means}`.toLowerCase().includes(words));
  return (
    <Page title={say(COMMON.glossary)} corner={<Corner />}>
      <div className="max-w-md">
        <TextField label={say(M.findTerm)} value={typed} onText={setTyped} />
      </div>
      {found.length === 0 && <p className="text-muted">{say(M.noTerm)}</p>}
      <dl className="m-0 mt-4 grid md:grid-cols-[14rem_minmax(0,1fr)]" data-terms={found.length}>
        {found.map(([term, means]) => (
          <div key={term} className="contents">
            <dt className="pr-6 border-t border-faint pt-2 font-label text-lg font-semibold">{term}</dt>
            <dd className="m-0 pb-2 text-lg md:border-t md:border-faint md:pt-2">{means}</dd>
          </div>
        ))}
      </dl>
    </Page>
  );
}
