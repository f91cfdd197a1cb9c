import { lengthDigits, type Place, STAND_IN_SHAFTS, type StandInShaft } from '@fulcrant/core';
import { Radio, Unplug } from 'lucide-react';
import { useEffect, useState } from 'react';
import { moveHand, pairSerial, pairStandIn, portFor, unpair, useFeed } from '../app/feed.ts';
import { hasSerial } from '../app/serial-port.ts';
import { useSettings } from '../app/settings.tsx';
import { Button, Dialog, Fault } from './controls.tsx';
import { Digits } from './Num.tsx';

const SHAFT_WORDS: Record<StandInShaft, string> = {
  true: 'a true shaft',
  bent: 'a bent shaft',
  'off-centre': 'a straight shaft off centre',
  oval: 'an oval shaft',
  bruised: 'a shaft with a bruise',
};

/** The gauge on a port: what it shows, whether it is live, and the way to pair one. Space takes what it shows. */
export function FeedBar({ place, onTake }: { place: Place; onTake: () => void }) {
  const feed = useFeed();
  const { unit } = useSettings();
  const [pairing, setPairing] = useState(false);
  const port = feed.source ? portFor(place.instrumentKinds) : null;
  const heard = port ? feed.heard[port] : undefined;

  // The stand-in's hand follows the sheet: it turns the shaft to the place that is asked for, and only when that changes.
  const atMm = place.turn?.atMm;
  const angleDeg = place.turn?.angleDeg;
  const foot = Number(/^f(\d+)\//.exec(place.key)?.[1] ?? 0);
  useEffect(() => {
    if (feed.source !== 'stand-in') return;
    if (atMm !== undefined && angleDeg !== undefined) void moveHand({ atMm, angleDeg });
    else if (foot > 0) void moveHand({ foot });
  }, [feed.source, atMm, angleDeg, foot]);

  if (feed.source && !port) return null;
  if (!port)
    return (
      <>
        <Button weight="bare" className="!px-0 !text-base" onClick={() => setPairing(true)}>
          Pair a gauge
        </Button>
        <PairDialog open={pairing} onClose={() => setPairing(false)} />
      </>
    );
  return (
    <div className="w-full border-t border-faint pt-1" data-feed={feed.state}>
      <div className="flex items-center gap-x-2.5">
        <Radio
          aria-hidden="true"
          size={20}
          className={`shrink-0 ${feed.state === 'live' ? 'text-steel' : 'text-stop'}`}
        />
        <span className="min-w-0 flex-1 leading-tight">
          {feed.source === 'stand-in' ? 'Stand-in' : 'On the port'}{' '}
          {feed.state === 'live' ? 'live' : feed.state === 'opening' ? 'opening …' : 'no feed'}
          <span className="block text-sm text-muted">
            {feed.source === 'stand-in'
              ? feed.heard.angle
                ? `shaft at ${feed.heard.angle.value.toFixed(0)}°`
                : 'practice only'
              : 'lines of value and unit'}
          </span>
        </span>
        <span className="text-right text-2xl" data-feed-value={heard?.value ?? ''}>
          {heard && heard.quantity === 'length' ? (
            <Digits text={lengthDigits(heard.value, unit)} />
          ) : (
            <span className="text-muted">–</span>
          )}
        </span>
        <Button onClick={onTake} disabled={!heard} title="Space" className="!px-3" data-take>
          Take it
        </Button>
        <button
          type="button"
          aria-label="Let the paired gauge go"
          title="Let the paired gauge go"
          onClick={unpair}
          className="grid size-12 shrink-0 place-items-center text-muted"
        >
          <Unplug aria-hidden="true" size={20} />
        </button>
      </div>
      {feed.fault && <Fault>{feed.fault}</Fault>}
    </div>
  );
}

/** Choose what is paired: the stand-in bench that ships with the application, or a gauge that sends lines on a serial port. */
function PairDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [fault, setFault] = useState<string | null>(null);
  const serial = async () => {
    const refused = await pairSerial();
    setFault(refused);
    if (!refused) onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title="Pair a gauge">
      <div className="flex flex-col items-start gap-3">
        <p className="m-0">
          A gauge that types its digits and Enter needs no pairing: it works in every field. <kbd>Space</kbd>{' '}
          takes what a paired gauge shows.
        </p>
        <h3 className="kicker m-0">On a serial port, lines of value and unit</h3>
        {hasSerial() ? (
          <Button onClick={() => void serial()}>Choose the port</Button>
        ) : (
          <p className="m-0 text-muted">This browser gives no serial ports.</p>
        )}
        {fault && <Fault>{fault}</Fault>}
        <h3 className="kicker m-0">Stand-in bench, for practice: dial, micrometer, feelers and</h3>
        <div className="flex flex-wrap gap-2">
          {(Object.keys(STAND_IN_SHAFTS) as StandInShaft[]).map((s) => (
            <Button
              key={s}
              data-shaft={s}
              onClick={() => {
                pairStandIn(s);
                onClose();
              }}
            >
              {SHAFT_WORDS[s]}
            </Button>
          ))}
        </div>
        <p className="m-0 text-sm text-muted">
          Readings from the stand-in are marked so on the sheet: practice, no record of a machine.
        </p>
      </div>
    </Dialog>
  );
}
