import { COMMON } from '@fulcrant/core/messages';
import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

const PLACES = [
  ['/register', COMMON.register, M.machinesPositionsTheirYears],
  ['/due', COMMON.due, M.whatFallsDueWeekWeek],
  ['/bench', COMMON.calculators, M.clearancesFitsTorquesGapsWithout],
  ['/outages', COMMON.outages, M.whoDoesWhatWhenDone],
  ['/practice', COMMON.practice, M.practiceJobsDrillsClass],
  ['/gauges', COMMON.gauges, M.calibrationDoubtReading],
  ['/house-rules', COMMON.houseRules, M.whichSchoolPlantFollows],
  ['/people', COMMON.people, M.whoWorksHereWhatRole],
  ['/plant', COMMON.plant, M.namePaperUnitsShiftStock],
  ['/account', COMMON.myPassword, M.whereIAmSigned],
] as const;

/** What stands round the sheets, one touch from the board. */
export function PlantMenu() {
  const say = useSay();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="flex min-h-12 items-center gap-2 border border-muted px-4 font-label text-lg font-semibold">
        {say(COMMON.plant)} <ChevronDown aria-hidden="true" size={18} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 min-w-72 border-2 border-rule bg-paper text-ink"
        >
          {PLACES.map(([to, name, what]) => (
            <DropdownMenu.Item key={to} asChild>
              <Link
                to={to}
                className="flex min-h-12 flex-col justify-center border-b border-faint px-4 py-1 outline-none last:border-b-0 data-[highlighted]:bg-shade"
              >
                <span className="font-label text-lg font-semibold leading-tight">
                  <Words of={name} />
                </span>
                <span className="text-sm text-muted">
                  <Words of={what} />
                </span>
              </Link>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
