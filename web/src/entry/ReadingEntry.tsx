import { measuredAt, type Place } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { type LengthUnit, measured } from '@fulcrant/core/units';
import { Keyboard } from 'lucide-react';
import {
  type FormEvent,
  type ReactNode,
  useCallback,
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { createPortal } from 'react-dom';
import { portFor } from '../data/feed.ts';
import { takeCaret } from '../ui/caret.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { Keypad } from '../ui/Keypad.tsx';
import { useKeys } from '../ui/keys.ts';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { FeedBar } from './FeedBar.tsx';
import { GaugePicker } from './GaugePicker.tsx';
import type { GaugeChoice } from './gauge-choice.ts';
import { M } from './messages.ts';
import { touchesNear } from './touches.ts';
import { type Fill, useFill, useTypedReading } from './use-typed-reading.ts';

type Props = {
  /** Keeps half-typed text apart from other jobs' across reloads. */
  draftKey: string;
  place: Place;
  /** The gauge in hand, and those that may be. */
  choice: GaugeChoice;
  storeLabel: string;
  /** Called as the text changes, with the value understood or null. */
  onPreview: (value: number | null) => void;
  /** Refusal if this value were stored, known before it is. */
  refusal: Text | null;
  onStore: (value: number, raw: string, via?: 'port') => Promise<Text | null>;
  /** Keys on the screen, and where on the sheet they are laid. */
  pad: boolean;
  padSlot: HTMLElement | null;
  onPad: (open: boolean) => void;
  fill?: Fill;
  /** The last reading at this step: blades or divisions near it can be touched instead of typed. */
  lastMm?: number | null;
  /** When it was read, where the step keeps times and it is told later; left out where times are not kept. */
  earlier?: string | undefined;
  onEarlier?: (time: string) => void;
  /** Other ways to read here, beside the pairing. */
  children?: ReactNode;
};

/** The unit of a number as it is said: what is left without its digits. */
const unitOf = (said: string): string => said.replace(/^[\d.,\s]+/, '');

/**
 * One field at a time, big. It says back what it understood in both units before anything is stored; Enter stores and
 * goes on; a gauge that types its digits and Enter works unchanged. Half-typed text survives a reload.
 */
export function ReadingEntry(props: Props) {
  const { place, choice, onPreview, refusal, pad, padSlot, onPad, children } = props;
  const { gauge } = choice;
  const { unit: usual } = useSettings();
  const say = useSay();
  // The unit of this one reading, where it is not the device's.
  const [own, setOwn] = useState<LengthUnit | null>(null);
  const unit = own ?? usual;
  const quantity = measured(measuredAt(place.quantity));
  const mark = unitOf(quantity.format(1, unit));
  const typed = useTypedReading({
    job: props.draftKey,
    place,
    gauge,
    unit,
    // What was typed is kept with the unit it was meant in.
    onStore: (value, raw, via) =>
      props.onStore(value, own && mark && /^[\d.,/ −-]+$/.test(raw) ? `${raw} ${mark}` : raw, via),
  });
  const { text, type, fault, understood, value, take } = typed;
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each new place takes the caret
  useLayoutEffect(() => takeCaret(input.current), [place.key]);
  const other = unitOf(quantity.format(1, unit === 'mm' ? 'in' : 'mm'));
  useFill(props.fill, type);
  useEffect(() => onPreview(value), [value, onPreview]);
  // Gone from the sheet, nothing is being supposed any more.
  useEffect(() => () => onPreview(null), [onPreview]);
  useKeys({ take: () => portFor(place.instrumentKinds) !== null && take() });
  const store = (event: FormEvent) => {
    event.preventDefault();
    typed.store();
  };

  const near = text === '' ? touchesNear(place, gauge, props.lastMm ?? null, unit) : [];
  const shown = fault ?? (value !== null ? refusal : null);
  // What stays the same from key to key is not drawn anew at each: the echo comes within the frame.
  const latest = useLatest({ type, text, take });
  const onTake = useCallback(() => latest.current.take(), [latest]);
  const onKey = useCallback(
    (k: string) =>
      latest.current.type(k === '⌫' ? latest.current.text.slice(0, -1) : `${latest.current.text}${k}`),
    [latest],
  );
  const picker = useMemo(() => <GaugePicker choice={choice} />, [choice]);
  const keypad = useMemo(
    () => <Keypad onKey={onKey} kind={place.quantity} signed={place.low < 0} />,
    [onKey, place.quantity, place.low],
  );
  // Other ways to read stand under the keys: what is used most is nearest.
  const others = useMemo(
    () => (
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <button
          type="button"
          aria-pressed={pad}
          aria-label={say(M.keypadScreen)}
          title={say(M.keypadScreen)}
          onClick={() => onPad(!pad)}
          className="inline-flex min-h-12 min-w-12 items-center gap-2 px-1 text-steel"
        >
          <Keyboard aria-hidden="true" size={22} />
        </button>
        <FeedBar place={place} onTake={onTake} />
        {children}
      </div>
    ),
    [pad, say, onPad, place, onTake, children],
  );
  return (
    <div className="flex flex-col gap-1.5">
      <form onSubmit={store} noValidate className="flex flex-col gap-1.5" data-place={place.key}>
        <div className="flex flex-wrap items-center justify-between gap-x-3">
          <label htmlFor={id} className="kicker min-w-24 flex-1 !text-brass">
            <Words of={place.label} />
          </label>
          {picker}
        </div>
        <div className="flex flex-wrap items-stretch gap-2">
          <input
            ref={input}
            id={id}
            value={text}
            onChange={(e) => type(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== ' ' || text !== '' || !portFor(place.instrumentKinds)) return;
              e.preventDefault();
              take();
            }}
            inputMode={pad ? 'none' : 'decimal'}
            autoComplete="off"
            spellCheck={false}
            maxLength={40}
            placeholder={place.quantity === 'flats' ? '1' : quantity.empty[unit]}
            aria-describedby={`${id}-read`}
            aria-invalid={shown !== null}
            className="figures min-h-14 min-w-24 flex-1 basis-24 border-0 border-b-[3px] border-brass bg-transparent px-1 text-4xl max-xl:text-3xl text-ink placeholder:text-faint"
          />
          {mark !== '' && mark !== other && (
            <button
              type="button"
              onClick={() => setOwn(unit === 'mm' ? 'in' : 'mm')}
              aria-label={say(M.unitOfThisReading({ mark, other }))}
              title={say(M.unitOfThisReading({ mark, other }))}
              className="figures -ml-2 min-h-14 min-w-12 shrink-0 border-b-[3px] border-brass px-1 text-lg text-steel"
              data-unit={mark}
            >
              {mark}
            </button>
          )}
          <Button type="submit" weight="solid" className="min-h-14 shrink-0">
            {props.storeLabel}
          </Button>
        </div>
        {near.length > 0 && (
          <fieldset
            className="m-0 flex min-w-0 flex-wrap gap-1.5 border-0 p-0 max-md:flex-nowrap max-md:overflow-x-auto"
            data-near
          >
            <legend className="sr-only">{say(M.whatReadsOneTouch)}</legend>
            {near.map((b) => (
              <button
                key={b}
                type="button"
                aria-label={say(M.reads({ b }))}
                onClick={() => typed.put(b)}
                className="figures min-h-12 min-w-16 shrink-0 border border-muted px-2 text-xl"
              >
                {b}
              </button>
            ))}
          </fieldset>
        )}
        <div id={`${id}-read`} className="min-h-[1.6rem] leading-snug" aria-live="polite">
          {understood && 'value' in understood && (
            <p className="text-[0.95rem]">
              {say(M.readAs)}{' '}
              <span className="figures font-medium">
                <Words of={understood.said} />
              </span>
              {understood.note && (
                <span className="text-muted">
                  {' '}
                  (<Words of={understood.note} />)
                </span>
              )}
            </p>
          )}
          {understood && 'message' in understood && !fault && (
            <p className="text-muted">
              <Words of={understood.message} />
            </p>
          )}
          {shown && <Fault>{say(shown)}</Fault>}
        </div>
      </form>
      {props.earlier !== undefined && (
        <label className="flex items-center gap-2 text-[0.95rem] text-muted">
          {say(M.readEarlier)}
          <input
            type="time"
            value={props.earlier}
            onChange={(e) => props.onEarlier?.(e.target.value)}
            className="figures min-h-12 border-b-2 border-muted bg-transparent text-lg text-ink"
          />
        </label>
      )}
      {(!pad || !padSlot) && others}
      {pad &&
        padSlot &&
        createPortal(
          <>
            {keypad}
            {others}
          </>,
          padSlot,
        )}
    </div>
  );
}
