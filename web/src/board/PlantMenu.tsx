import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';

const PLACES = [
  ['/register', 'Register', 'machines, positions, their years'],
  ['/due', 'Due', 'what falls due, week by week'],
  ['/bench', 'Calculators', 'clearances, fits, torques, gaps: without a job'],
  ['/outages', 'Outages', 'who does what when, done by the deadline?'],
  ['/practice', 'Practice', 'practice jobs, drills, the class'],
  ['/gauges', 'Gauges', 'calibration, doubt of a reading'],
  ['/house-rules', 'House rules', 'which school the plant follows'],
  ['/people', 'People', 'who works here, in what role'],
  ['/plant', 'The plant', 'name, paper, units, shift, stock'],
  ['/account', 'My password', 'and where I am signed in'],
] as const;

/** What stands round the sheets, one touch from the board. */
export function PlantMenu() {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="flex min-h-12 items-center gap-2 border border-muted px-4 font-label text-lg font-semibold">
        Plant <ChevronDown aria-hidden="true" size={18} />
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
                <span className="font-label text-lg font-semibold leading-tight">{name}</span>
                <span className="text-sm text-muted">{what}</span>
              </Link>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
