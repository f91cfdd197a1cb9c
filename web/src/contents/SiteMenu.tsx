import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { Link } from 'react-router';
import { Button, Dialog } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** What a site sets for itself, behind its one letter. */
const SITE = [
  ['/gauges', COMMON.gauges, M.calibrationAccuracy],
  ['/parts', COMMON.parts, M.partsSays],
  ['/people', COMMON.people, M.peopleAndRoles],
  ['/house-rules', COMMON.houseRules, M.limitsAndMethods],
  ['/plant', COMMON.plant, M.nameUnitsShifts],
  ['/glossary', COMMON.glossary, M.termsExplained],
  ['/signed', COMMON.finishedJobs, M.finishedJobsSay],
  ['/account', COMMON.myPassword, M.mySignIns],
] as const;

/** The pages of a site, after those there was no room for under the thumb. */
export function SiteMenu({
  title,
  before,
  onClose,
}: {
  title: Text;
  before: ReadonlyArray<readonly [letter: string, to: string, name: Text]>;
  onClose: () => void;
}) {
  const say = useSay();
  const all = [...before.map(([, to, name]) => [to, name, ''] as const), ...SITE];
  return (
    <Dialog open onClose={onClose} title={title}>
      <ul className="m-0 list-none border-t border-faint p-0">
        {all.map(([to, name, what]) => (
          <li key={to}>
            <Link
              to={to}
              onClick={onClose}
              className="flex min-h-12 flex-col justify-center border-b border-faint py-1"
            >
              <span className="font-label text-lg font-semibold leading-tight">
                <Words of={name} />
              </span>
              {what !== '' && (
                <span className="text-sm text-muted">
                  <Words of={what} />
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
      <Button className="mt-3" onClick={onClose}>
        {say(COMMON.close)}
      </Button>
    </Dialog>
  );
}
