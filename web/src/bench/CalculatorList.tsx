import { CALCULATORS, CHAPTERS } from '@fulcrant/core/calculators';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** The calculators by chapter, found by any words of their titles; the list stays while one is worked. */
export function CalculatorList({ id, onChoose }: { id: string; onChoose: (id: string) => void }) {
  const say = useSay();
  const [typed, setTyped] = useState('');
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const chapters = CHAPTERS.map(({ title, ids }) => ({
    title,
    all: CALCULATORS.filter(
      (c) =>
        ids.includes(c.id) && words.every((w) => `${say(title)} ${say(c.title)}`.toLowerCase().includes(w)),
    ),
  })).filter((c) => c.all.length > 0);
  return (
    <nav
      className="border-b border-rule px-4 py-4 lg:sticky lg:top-0 lg:self-start lg:border-b-0"
      aria-label={say(COMMON.calculators)}
    >
      <h1 className="m-0 mb-2 text-3xl">{say(COMMON.calculators)}</h1>
      <TextField
        label={say(M.findCalculator)}
        type="search"
        inputMode="search"
        value={typed}
        onText={setTyped}
      />
      <div className="mt-3 overflow-y-auto max-lg:max-h-72 lg:max-h-[calc(100dvh-11rem)]">
        {chapters.length === 0 && <p className="m-0 py-3">{say(M.noCalculatorFound)}</p>}
        {chapters.map((c) => (
          <section key={say(c.title)} aria-label={say(c.title)}>
            <h2 className="kicker m-0 border-b border-rule pb-1 pt-3">
              <Words of={c.title} />
            </h2>
            <ul className="m-0 list-none p-0">
              {c.all.map((x) => (
                <li key={x.id} className="border-b border-faint">
                  <button
                    type="button"
                    aria-current={x.id === id}
                    onClick={() => onChoose(x.id)}
                    className="min-h-12 w-full py-1.5 text-left leading-snug aria-[current=true]:font-semibold aria-[current=true]:text-brass"
                  >
                    <Words of={x.title} />
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </nav>
  );
}
