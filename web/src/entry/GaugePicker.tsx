import type { Instrument } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { useState } from 'react';
import { isOverdue } from '../data/overdue.ts';
import { Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import type { GaugeChoice } from './gauge-choice.ts';
import { M } from './messages.ts';
import { UnlistedDialog } from './UnlistedDialog.tsx';

/** What the list of gauges gives for one that is not in it. */
const NOT_LISTED = '+';

/**
 * Which gauge is in hand, and whether it is out of date. The device's own list: it works with gloves and with keys. Those that do not
 * reach say so in their line; what needs no gauge and what is in no list stands below.
 */
export function GaugePicker({ choice }: { choice: GaugeChoice }) {
  const say = useSay();
  const [refused, setRefused] = useState<Text | null>(null);
  const [naming, setNaming] = useState(false);
  const { gauges, gauge, refuses } = choice;
  const line = (g: Instrument) => {
    const why = refuses(g);
    return (
      <option key={g.id} value={g.id}>
        {why ? `▲ ${say(why)}` : g.name}
        {isOverdue(g) ? say(M.outDateSince({ calibrationDue: g.calibrationDue ?? '' })) : ''}
      </option>
    );
  };
  return (
    <>
      <select
        aria-label={say(M.gaugeHand)}
        value={gauge?.id ?? ''}
        onChange={(e) =>
          e.target.value === NOT_LISTED ? setNaming(true) : setRefused(choice.choose(e.target.value))
        }
        className={`min-h-12 max-w-[10.5rem] border-0 border-b border-faint bg-paper px-1 text-[0.95rem] ${gauge && isOverdue(gauge) ? 'font-medium text-stop' : 'text-ink'}`}
      >
        {!gauge && <option value="">{say(M.whichGauge)}</option>}
        {gauges.filter((g) => !refuses(g)).map(line)}
        {gauges.filter(refuses).map(line)}
        {choice.name && <option value={NOT_LISTED}>{say(M.notListedNameIt)}</option>}
      </select>
      {naming && choice.name && (
        <UnlistedDialog kinds={choice.kinds} onName={choice.name} onClose={() => setNaming(false)} />
      )}
      {refused && (
        <div className="w-full" data-gauge-refused>
          <Fault>{say(refused)}</Fault>
        </div>
      )}
    </>
  );
}
