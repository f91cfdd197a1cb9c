import { COMMON } from '@fulcrant/core/messages';
import { useEffect, useState } from 'react';
import { Link, NavLink } from 'react-router';
import { Mark } from '../ui/Mark.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { SiteMenu } from './SiteMenu.tsx';

/** Sheets of the set, by their letters; the first four stand under the thumb on a phone. */
const TABS = [
  ['A', '/', COMMON.board],
  ['B', '/due', COMMON.due],
  ['C', '/outages', COMMON.outage],
  ['D', '/practice', COMMON.practice],
  ['E', '/register', M.machines],
  ['F', '/bench', COMMON.calculators],
] as const;
const UNDER_THUMB = 4;

const TAB =
  'flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 px-1 text-center font-label text-sm leading-none text-ink max-lg:border-l max-lg:border-faint max-lg:first:border-l-0 lg:min-h-16 lg:flex-none lg:border-b lg:border-faint';
const HERE = 'bg-shade font-semibold lg:border-r-4 lg:border-r-brass max-lg:border-t-4 max-lg:border-t-brass';

/** Lettered tabs at the edge of every page, under the thumb on a phone. */
export function IndexTabs() {
  const say = useSay();
  // What is fixed at the bottom of a page stands beside the index, not under it.
  useEffect(() => {
    document.documentElement.dataset.index = '';
    return () => {
      delete document.documentElement.dataset.index;
    };
  }, []);
  const [more, setMore] = useState<'site' | 'all' | null>(null);
  return (
    <nav
      aria-label={say(M.sheetIndex)}
      className="no-print fixed z-30 flex bg-paper max-lg:inset-x-0 max-lg:bottom-0 max-lg:border-t max-lg:border-rule lg:inset-y-0 lg:left-0 lg:w-[5.25rem] lg:flex-col lg:border-r lg:border-rule lg:pt-[var(--plate,0px)]"
      data-index
    >
      <Link
        to="/"
        aria-label={say(COMMON.toBoard)}
        className="grid min-h-16 place-items-center border-b border-rule max-lg:hidden"
      >
        <Mark size={40} />
      </Link>
      {TABS.map(([letter, to, name], i) => (
        <NavLink
          key={to}
          to={to}
          end={to === '/'}
          className={({ isActive }) =>
            `${TAB} ${isActive ? HERE : ''} ${i >= UNDER_THUMB ? 'max-lg:hidden' : ''}`
          }
        >
          <Letter of={letter} />
          <Words of={name} />
        </NavLink>
      ))}
      <button type="button" className={`${TAB} max-lg:hidden`} onClick={() => setMore('site')} data-site>
        <Letter of="G" />
        {say(COMMON.site)}
      </button>
      <button type="button" className={`${TAB} lg:hidden`} onClick={() => setMore('all')} data-more-pages>
        <Letter of="…" />
        {say(COMMON.moreWord)}
      </button>
      {more && (
        <SiteMenu
          title={more === 'all' ? COMMON.moreWord : COMMON.site}
          before={more === 'all' ? TABS.slice(UNDER_THUMB) : []}
          onClose={() => setMore(null)}
        />
      )}
    </nav>
  );
}

/** The letter of a sheet, in its balloon as on a drawing. */
const Letter = ({ of }: { of: string }) => (
  <span
    aria-hidden="true"
    className="figures grid size-6 place-items-center rounded-full border border-current text-[0.8rem] font-semibold leading-none"
  >
    {of}
  </span>
);
