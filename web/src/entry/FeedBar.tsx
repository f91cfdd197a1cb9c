import type { GaugeLine } from '@fulcrant/core/instruments';
import type { Place } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import {
  STAND_IN_SHAFTS,
  type StandInHeat,
  type StandInLeak,
  type StandInPump,
  type StandInShaft,
} from '@fulcrant/core/simulators';
import { footKey } from '@fulcrant/core/steps';
import { type LengthUnit, lengthDigits, measured } from '@fulcrant/core/units';
import { Radio, Unplug } from 'lucide-react';
import { useContext, useEffect, useState } from 'react';
import { moveHand, pairSerial, pairStandIn, portFor, quantityFor, unpair, useFeed } from '../data/feed.ts';
import { hasSerial } from '../data/serial-port.ts';
import { GaugesHere } from '../data/site.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Digits } from '../ui/Num.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

const SHAFT_WORDS: Record<StandInShaft, Text> = {
  true: M.trueShaft,
  bent: M.bentShaft,
  'off-centre': M.straightShaftOffCentre,
  oval: M.ovalShaft,
  bruised: M.shaftBruise,
};
const PUMP_WORDS: Record<StandInPump, Text> = {
  free: M.nutGoesFreely,
  'other-nut-tight': M.otherNutLeftTight,
  'lets-go': M.sleeveAboutLetGo,
};
const LEAK_WORDS: Record<StandInLeak, Text> = {
  rings: M.packingBeingBroken,
  faces: M.sealBeds,
  'faces-open': M.sealOpens,
};
const HEAT_WORDS: Record<StandInHeat, Text> = {
  'first-hours': M.bearingFirstHours,
  'falls-back': M.riseFallsBack,
  'keeps-climbing': M.oneKeepsClimbing,
};

/** What a line of a gauge shows, in the unit in force. */
function shown(line: Pick<GaugeLine, 'value' | 'quantity'>, unit: LengthUnit): Text {
  if (line.quantity === 'length') return lengthDigits(line.value, unit);
  // Of a shaft that turns, whole degrees can be followed by eye.
  if (line.quantity === 'angle') return `${line.value.toFixed(0)}°`;
  const { format } = measured(line.quantity);
  return line.quantity === 'count' ? M.minute({ value: format(line.value, unit) }) : format(line.value, unit);
}

/** The gauge on a port: what it shows, whether it is live, and the way to pair one. Space takes what it shows. */
export function FeedBar({ place, onTake }: { place: Place; onTake: () => void }) {
  const say = useSay();
  const feed = useFeed();
  const { unit } = useSettings();
  const [pairing, setPairing] = useState(false);
  const atPractice = useContext(GaugesHere) !== null;
  const port = feed.source ? portFor(place.instrumentKinds) : null;
  const heard = port ? feed.heard[port] : undefined;

  // The stand-in's hand follows the sheet: it goes to the place that is asked for, and only when that changes.
  const atMm = place.turn?.atMm;
  const angleDeg = place.turn?.angleDeg;
  const foot = footKey.read(place.key)?.foot ?? 0;
  const { minutes, flats } = place;
  const otherNut = place.key.endsWith('/back');
  useEffect(() => {
    if (feed.source !== 'stand-in') return;
    if (atMm !== undefined && angleDeg !== undefined) void moveHand({ atMm, angleDeg });
    else if (foot > 0) void moveHand({ foot });
    else if (minutes !== undefined) void moveHand({ minutes, ...(flats === undefined ? {} : { flats }) });
    else if (otherNut) void moveHand({ freeOtherNut: true });
  }, [feed.source, atMm, angleDeg, foot, minutes, flats, otherNut]);

  // At a practice bench the gauges lie beside the sheet: nothing is paired there.
  if (atPractice || (feed.source && !port)) return null;
  if (!port)
    return (
      <>
        <Button weight="bare" className="!px-0 !text-base" onClick={() => setPairing(true)}>
          {say(M.pairGauge)}
        </Button>
        <PairDialog open={pairing} onClose={() => setPairing(false)} place={place} />
      </>
    );
  const fits = heard && heard.quantity === quantityFor(place.quantity);
  return (
    <div className="w-full border-t border-faint pt-1" data-feed={feed.state}>
      <div className="flex items-center gap-x-2.5">
        <Radio
          aria-hidden="true"
          size={20}
          className={`shrink-0 ${feed.state === 'live' ? 'text-steel' : 'text-stop'}`}
        />
        <span className="min-w-0 flex-1 leading-tight">
          {feed.source === 'stand-in' ? say(M.stand) : say(M.port)}{' '}
          {feed.state === 'live' ? say(M.live) : feed.state === 'opening' ? say(M.opening) : say(M.noFeed)}
          <span className="block text-sm text-muted">
            {feed.source === 'stand-in'
              ? place.turn && feed.heard.angle
                ? say(M.shaft({ value: feed.heard.angle.value.toFixed(0) }))
                : say(M.practiceOnly)
              : say(M.linesValueUnit)}
          </span>
        </span>
        <span className="text-right text-2xl" data-feed-value={heard?.value ?? ''}>
          {fits ? <Digits text={shown(heard, unit)} /> : <span className="text-muted">–</span>}
        </span>
        <Button onClick={onTake} disabled={!heard} title={say(COMMON.space)} className="!px-3" data-take>
          {say(COMMON.take)}
        </Button>
        <button
          type="button"
          aria-label={say(M.letPairedGaugeGo)}
          title={say(M.letPairedGaugeGo)}
          onClick={unpair}
          className="grid size-12 shrink-0 place-items-center text-muted"
        >
          <Unplug aria-hidden="true" size={20} />
        </button>
      </div>
      {port === 'pump' && (
        <div className="flex gap-2 pb-1">
          <Button onClick={() => void moveHand({ strokes: 1 })} data-stroke>
            {say(M.strokePump)}
          </Button>
          <Button onClick={() => void moveHand({ release: true })} data-release>
            {say(M.openValve)}
          </Button>
        </div>
      )}
      {feed.fault && (
        <Fault>
          <Words of={feed.fault} />
        </Fault>
      )}
    </div>
  );
}

/** Choose what is paired: the stand-in bench that ships with the application, or a gauge that sends lines on a serial port. */
function PairDialog({ open, onClose, place }: { open: boolean; onClose: () => void; place: Place }) {
  const say = useSay();
  const [fault, setFault] = useState<Text | null>(null);
  const serial = async () => {
    const refused = await pairSerial();
    setFault(refused);
    if (!refused) onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title={say(M.pairGauge)}>
      <div className="flex flex-col items-start gap-3">
        <p className="m-0">
          {say(M.gaugeTypesDigitsEnterNeeds)} <kbd>{say(COMMON.space)}</kbd>{' '}
          {say(M.takesWhatPairedGaugeShows)}
        </p>
        <h3 className="kicker m-0">{say(M.serialPortLinesValueUnit)}</h3>
        {hasSerial() ? (
          <Button onClick={() => void serial()}>{say(M.choosePort)}</Button>
        ) : (
          <p className="m-0 text-muted">{say(M.browserGivesNoSerialPorts)}</p>
        )}
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <Scenes place={place} onPaired={onClose} />
        <p className="m-0 text-sm text-muted">{say(M.readingsFromStandMarkedSo)}</p>
      </div>
    </Dialog>
  );
}

/** What can lie on the bench for a place: pump and indicator, thermocouple, or the gauges of a shaft. */
function Scenes({ place, onPaired }: { place: Place; onPaired: () => void }) {
  const say = useSay();
  const pump = place.instrumentKinds.includes('pressure');
  const heat = place.instrumentKinds.includes('thermometer');
  const leak = place.instrumentKinds.includes('counter');
  const pick = (key: string, words: Text, pair: () => void) => (
    <Button
      key={key}
      data-scene={key}
      onClick={() => {
        pair();
        onPaired();
      }}
    >
      <Words of={words} />
    </Button>
  );
  return (
    <>
      <h3 className="kicker m-0">
        {say(
          M.standBenchPractice({
            pump: pump
              ? 'pumpNutIndicator'
              : heat
                ? 'thermocouple'
                : leak
                  ? 'dropCounterUnder'
                  : 'dialMicrometerFeeler',
          }),
        )}
      </h3>
      <div className="flex flex-wrap gap-2">
        {pump
          ? (Object.keys(PUMP_WORDS) as StandInPump[]).map((p) =>
              pick(p, PUMP_WORDS[p], () => pairStandIn({ shaft: 'true', pump: p })),
            )
          : heat
            ? (Object.keys(HEAT_WORDS) as StandInHeat[]).map((h) =>
                pick(h, HEAT_WORDS[h], () => pairStandIn({ shaft: 'true', heat: h })),
              )
            : leak
              ? (Object.keys(LEAK_WORDS) as StandInLeak[]).map((l) =>
                  pick(l, LEAK_WORDS[l], () => pairStandIn({ shaft: 'true', leak: l })),
                )
              : (Object.keys(STAND_IN_SHAFTS) as StandInShaft[]).map((s) =>
                  pick(s, SHAFT_WORDS[s], () => pairStandIn({ shaft: s })),
                )}
      </div>
    </>
  );
}
