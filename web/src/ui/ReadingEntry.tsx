import { type Instrument, type Place, readValue } from '@fulcrant/core';
import { Keyboard } from 'lucide-react';
import { type FormEvent, type ReactNode, useEffect, useId, useLayoutEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { portFor, quantityFor, takeReading } from '../app/feed.ts';
import { useSay, useSettings } from '../app/settings.tsx';
import { Button, Fault } from './controls.tsx';
import { FeedBar } from './FeedBar.tsx';
import { GaugePicker } from './GaugePicker.tsx';
import { Keypad } from './Keypad.tsx';

const PLACEHOLDER: Partial<Record<Place['kind'], Record<'mm' | 'in', string>>> = {
  angle: { mm: '0°', in: '0°' },
  roughness: { mm: '0.00 µm', in: '0 µin' },
  pressure: { mm: '0.0 MPa', in: '0 psi' },
  temperature: { mm: '0 °C', in: '0 °F' },
  count: { mm: '0', in: '0' },
  flats: { mm: '1', in: '1' },
};

type Props = {
  /** Keeps half-typed text apart from other jobs' across reloads. */
  draftKey: string;
  place: Place;
  gauges: Instrument[];
  gauge: Instrument | null;
  onGauge: (id: string) => void;
  storeLabel: string;
  /** Called as the text changes, with the value understood or null. */
  onPreview: (value: number | null) => void;
  /** Refusal if this value were stored, known before it is. */
  refusal: string | null;
  onStore: (value: number, raw: string, via?: 'port') => Promise<string | null>;
  /** Keys on the screen, and where on the sheet they are laid. */
  pad: boolean;
  padSlot: HTMLElement | null;
  onPad: (open: boolean) => void;
  /** Text laid into the field from elsewhere, such as a part turned on the figure; `n` counts. */
  fill?: { text: string; n: number } | null;
  /** Other ways to read here, beside the pairing. */
  children?: ReactNode;
};

/**
 * One field at a time, big. It says back what it understood in both units before anything is stored; Enter stores and
 * goes on; a gauge that types its digits and Enter works unchanged. Half-typed text survives a reload.
 */
export function ReadingEntry({
  draftKey,
  place,
  gauges,
  gauge,
  onGauge,
  storeLabel,
  onPreview,
  refusal,
  onStore,
  pad,
  padSlot,
  onPad,
  fill,
  children,
}: Props) {
  const { unit } = useSettings();
  const say = useSay();
  const key = `fulcrant.draft.${draftKey}.${place.key}`;
  const [text, setText] = useState(() => localStorage.getItem(key) ?? '');
  const [fault, setFault] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const understood = text.trim() === '' ? null : readValue(text, place.kind, unit);
  const value = understood && 'value' in understood ? understood.value : null;
  // What a reading that waits its turn must see when it comes: the place and gauge of that moment, not of its keystroke.
  const now = useRef({ key, place, gauge, onStore, text });
  now.current = { key, place, gauge, onStore, text };
  const before = useRef(key);
  const turn = useRef<Promise<void>>(Promise.resolve());

  // A new place shows its own half-typed text; what a quick gauge has typed meanwhile goes along to it instead.
  useLayoutEffect(() => {
    if (before.current !== key) {
      before.current = key;
      if (now.current.text === '') setText(localStorage.getItem(key) ?? '');
      else localStorage.setItem(key, now.current.text);
      setFault(null);
    }
    input.current?.focus({ preventScroll: true });
  }, [key]);
  const filled = useRef(fill?.n ?? 0);
  useEffect(() => {
    if (!fill || fill.n === filled.current) return;
    filled.current = fill.n;
    type(fill.text);
  });
  useEffect(() => onPreview(value), [value, onPreview]);
  // Gone from the sheet, nothing is being supposed any more.
  useEffect(() => () => onPreview(null), [onPreview]);

  const type = (next: string) => {
    setText(next);
    setFault(null);
    if (next === '') localStorage.removeItem(key);
    else localStorage.setItem(key, next);
  };

  const storeInTurn = async (raw: string) => {
    const at = now.current;
    const meant = readValue(raw, at.place.kind, unit);
    const refused = !('value' in meant)
      ? meant.message
      : at.gauge
        ? await at.onStore(meant.value, raw)
        : 'Say which gauge is in hand.';
    if (refused === null) {
      if (localStorage.getItem(at.key) === raw) localStorage.removeItem(at.key);
      // Let the sheet move on to the next place before the next reading looks where it is.
      await new Promise((done) => setTimeout(done));
      return;
    }
    // Refused: what was typed comes back to be mended, unless more has been typed since.
    if (now.current.text === '') setText(raw);
    setFault(refused);
  };

  const store = (event: FormEvent) => {
    event.preventDefault();
    const raw = text.trim();
    if (raw === '') return setFault(`Nothing is typed for ${place.label.toLowerCase()}.`);
    // The field is free at once for the next digits; the draft on the device stays until the reading is kept.
    setText('');
    setFault(null);
    turn.current = turn.current.then(() => storeInTurn(raw));
  };

  /** What the paired gauge shows becomes the reading of the place the sheet is at when its turn comes. */
  const takeInTurn = async () => {
    const at = now.current;
    const port = portFor(at.place.instrumentKinds);
    const seen = port
      ? takeReading(port, at.place.turn?.angleDeg ?? null, quantityFor(at.place.kind))
      : { message: 'No gauge is paired that reads here. Type the reading, or pair one.' };
    const refused =
      'message' in seen
        ? seen.message
        : at.gauge
          ? await at.onStore(seen.value, seen.raw, 'port')
          : 'Say which gauge is in hand.';
    setFault(refused);
    if (refused === null) await new Promise((done) => setTimeout(done));
  };
  const take = () => {
    turn.current = turn.current.then(takeInTurn);
  };
  useEffect(() => {
    // Space on the bare sheet takes too; in a field or on a button it keeps its own meaning.
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== ' ' || e.target !== document.body || !portFor(now.current.place.instrumentKinds)) return;
      e.preventDefault();
      take();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  });

  const shown = fault ?? (value !== null ? refusal : null);
  return (
    <div className="flex flex-col gap-1.5">
      <form onSubmit={store} noValidate className="flex flex-col gap-1.5" data-place={place.key}>
        <div className="flex items-center justify-between gap-3">
          <label htmlFor={id} className="kicker min-w-0 flex-1 !text-brass">
            {place.label}
          </label>
          <GaugePicker gauges={gauges} gauge={gauge} onGauge={onGauge} />
        </div>
        <div className="flex items-stretch gap-2">
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
            placeholder={PLACEHOLDER[place.kind]?.[unit] ?? (unit === 'mm' ? '0.000' : '.0000')}
            aria-describedby={`${id}-read`}
            aria-invalid={shown !== null}
            className="figures min-h-14 w-full min-w-0 border-0 border-b-[3px] border-brass bg-transparent px-1 text-4xl text-ink placeholder:text-faint"
          />
          <Button type="submit" weight="solid" className="shrink-0">
            {storeLabel}
          </Button>
          <button
            type="button"
            aria-pressed={pad}
            aria-label="Keypad on the screen"
            title="Keypad on the screen"
            onClick={() => onPad(!pad)}
            className="grid w-12 shrink-0 place-items-center border border-faint text-muted aria-pressed:border-ink aria-pressed:text-ink"
          >
            <Keyboard aria-hidden="true" />
          </button>
        </div>
        <div id={`${id}-read`} className="min-h-[1.6rem] leading-snug" aria-live="polite">
          {understood && 'value' in understood && (
            <p className="text-[0.95rem]">
              read as <span className="figures font-medium">{understood.said}</span>
              {understood.note && <span className="text-muted"> ({understood.note})</span>}
            </p>
          )}
          {understood && 'message' in understood && !fault && (
            <p className="text-muted">{understood.message}</p>
          )}
          {shown && <Fault>{say(shown)}</Fault>}
        </div>
      </form>
      <div className="flex flex-wrap items-center gap-x-6">
        <FeedBar place={place} onTake={take} />
        {children}
      </div>
      {pad &&
        padSlot &&
        createPortal(
          <Keypad
            onKey={(k) => type(k === '⌫' ? text.slice(0, -1) : `${text}${k}`)}
            kind={place.kind}
            signed={place.low < 0}
          />,
          padSlot,
        )}
    </div>
  );
}
