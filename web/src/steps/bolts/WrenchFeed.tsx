import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { formatTorque } from '@fulcrant/core/units';
import { Radio } from 'lucide-react';
import { useEffect, useState } from 'react';
import { moveHand, pairStandIn, portFor, takeReading, unpair, useFeed } from '../../data/feed.ts';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';

const WRENCH = ['wrench'] as const;

/** A torque wrench on a port: what it clicked at goes into the field, to be looked at before it is ticked. */
export function WrenchFeed({ wantedNm, onTake }: { wantedNm: number; onTake: (nm: number) => void }) {
  const say = useSay();
  const feed = useFeed();
  const { unit } = useSettings();
  const [fault, setFault] = useState<Text | null>(null);
  const port = feed.source ? portFor(WRENCH) : null;
  const heard = port ? feed.heard[port] : undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another bolt, another try
  useEffect(() => setFault(null), [wantedNm]);
  if (!port)
    return (
      <Button weight="bare" className="!px-0 !text-base" onClick={() => pairStandIn({ shaft: 'true' })}>
        {say(M.practiseStandWrench)}
      </Button>
    );
  const take = () => {
    const seen = takeReading(port, null, 'torque');
    if ('message' in seen) return setFault(seen.message);
    setFault(null);
    onTake(seen.value);
  };
  return (
    <div className="flex flex-wrap items-center gap-3" data-feed={feed.state}>
      <Radio aria-hidden="true" size={20} className={feed.state === 'live' ? 'text-steel' : 'text-stop'} />
      {feed.source === 'stand-in' && (
        <Button onClick={() => void moveHand({ wrenchNm: wantedNm })} data-pull>
          {say(M.pullUntilClicks)}
        </Button>
      )}
      <span className="figures text-2xl" data-feed-value={heard?.value ?? ''}>
        {heard?.quantity === 'torque' ? formatTorque(heard.value, unit) : '–'}
      </span>
      <Button onClick={take} disabled={!heard} data-take>
        {say(COMMON.take)}
      </Button>
      <Button weight="bare" className="!px-0 !text-base" onClick={unpair}>
        {say(M.letGo)}
      </Button>
      {(fault ?? feed.fault) && (
        <Fault>
          <Words of={fault ?? feed.fault} />
        </Fault>
      )}
    </div>
  );
}
