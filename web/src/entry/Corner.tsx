import { COMMON, textKey } from '@fulcrant/core/messages';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { flush, useQueue } from '../data/queue.ts';
import { useSession } from '../data/session.tsx';
import { Button, Dialog } from '../ui/controls.tsx';
import { SAID, useKeys } from '../ui/keys.ts';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Fetched when they are asked for. */
const ChangePerson = lazy(async () => ({ default: (await import('./ChangePerson.tsx')).ChangePerson }));
const AsideList = lazy(async () => ({ default: (await import('./AsideList.tsx')).AsideList }));

const WAY =
  'grid min-h-12 place-items-center border border-ink px-5 font-label text-lg font-semibold leading-tight';

/** The corner of the sheet: what waits to be sent, and the menu of who is signed in: units, light, keys, another person. */
export function Corner({ job }: { job?: string }) {
  const say = useSay();
  const { waiting, aside, status, lost } = useQueue();
  const { unit, setUnit, theme, setTheme } = useSettings();
  const { person, stale, unconfirmed } = useSession();
  const [menu, setMenu] = useState(false);
  const [changing, setChanging] = useState(false);
  const [keys, setKeys] = useState(false);
  const [showAside, setShowAside] = useState(false);
  const here = job ? waiting.filter((w) => w.event.jobId === job).length : 0;
  const n = waiting.length;

  useKeys({
    keys: () => setKeys(true),
    units: () => setUnit(unit === 'mm' ? 'in' : 'mm'),
    light: () => setTheme(theme === 'day' ? 'night' : 'day'),
  });

  const queueWords =
    n === 0
      ? say(M.allStored)
      : say(
          M.device({
            n,
            job: job && here !== n ? M.job({ here }) : '',
            status:
              status === 'away' ? 'noConnection' : status === 'sign-in' || stale ? 'signSend' : 'sending',
          }),
        );
  const small = 'min-h-12 min-w-12 px-2 underline underline-offset-4 decoration-1';
  return (
    <div className="mt-0.5 flex flex-wrap items-center gap-x-2 text-[0.95rem] text-muted no-print">
      <p
        role="status"
        className={`m-0 mr-auto flex items-center gap-2 ${n > 0 ? 'font-medium text-brass' : ''}`}
        data-waiting={n}
        data-queue={status}
      >
        <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
          {n > 0 ? (
            <path d="M1 1h12L7 7l6 6H1l6-6z" fill="currentColor" />
          ) : (
            <path d="M1 7l4 4 8-9" fill="none" stroke="currentColor" strokeWidth="2" />
          )}
        </svg>
        {/* What is not confirmed cannot be sent: the one thing to do is said beside it, and there is no room for both. */}
        <span className={unconfirmed ? 'sr-only' : undefined}>{queueWords}</span>
        {status === 'away' && (
          <button type="button" className={small} onClick={() => void flush()}>
            {say(M.tryNow)}
          </button>
        )}
      </p>
      {unconfirmed && person && (
        <button
          type="button"
          className={`${small} font-medium text-stop`}
          onClick={() => setChanging(true)}
          data-unconfirmed
        >
          {say(M.notConfirmed)}
        </button>
      )}
      {lost > 0 && (
        <p role="status" className="m-0 font-medium text-brass" data-lost={lost}>
          {say(M.serverSetBackHadFrom({ lost }))}
        </p>
      )}
      {aside.length > 0 && (
        <button
          type="button"
          className={`${small} font-medium text-stop`}
          onClick={() => setShowAside(true)}
          data-aside={aside.length}
        >
          {say(M.refusedServer({ count: aside.length }))}
        </button>
      )}
      <button type="button" className={small} onClick={() => setMenu(true)} data-person>
        {person ? `${person.name}${stale ? say(M.signAgain) : ''}` : say(M.menu)}
      </button>
      <Dialog
        open={menu}
        onClose={() => setMenu(false)}
        title={person ? `${person.name}, ${person.role}` : say(M.menu)}
      >
        <div className="flex flex-col gap-2">
          <Button onClick={() => setUnit(unit === 'mm' ? 'in' : 'mm')}>
            {unit === 'mm' ? say(M.mmShow) : say(M.showMm)}
          </Button>
          <Button onClick={() => setTheme(theme === 'day' ? 'night' : 'day')}>
            {theme === 'day' ? say(M.night) : say(COMMON.day)}
          </Button>
          <Button
            onClick={() => {
              setMenu(false);
              setKeys(true);
            }}
          >
            {say(M.keys)}
          </Button>
          {person && (
            <Link className={WAY} to="/account">
              {say(M.myAccount)}
            </Link>
          )}
          {person && !stale ? (
            <Button
              onClick={() => {
                setMenu(false);
                setChanging(true);
              }}
              data-change-person
            >
              {say(M.changePerson)}
            </Button>
          ) : (
            <Link className={WAY} to="/sign-in">
              {say(M.sign)}
            </Link>
          )}
          <Button weight="bare" onClick={() => setMenu(false)}>
            {say(COMMON.close)}
          </Button>
        </div>
      </Dialog>
      {changing && (
        <Suspense>
          <ChangePerson to={unconfirmed ? person : null} onClose={() => setChanging(false)} />
        </Suspense>
      )}
      <Dialog open={keys} onClose={() => setKeys(false)} title={say(M.keys)}>
        <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
          {SAID.map(([k, what]) => (
            <div key={textKey(k)} className="contents">
              <dt className="figures font-semibold">
                <Words of={k} />
              </dt>
              <dd className="m-0">
                <Words of={what} />
              </dd>
            </div>
          ))}
        </dl>
      </Dialog>
      <Dialog open={showAside} onClose={() => setShowAside(false)} title={say(M.refusedServerKeptHere)} wide>
        <Suspense>
          <AsideList aside={aside} />
        </Suspense>
      </Dialog>
    </div>
  );
}
