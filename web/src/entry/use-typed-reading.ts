import { readValue } from '@fulcrant/core/forms';
import type { Instrument } from '@fulcrant/core/instruments';
import type { Place } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { inline } from '@fulcrant/core/messages';
import type { LengthUnit } from '@fulcrant/core/units';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { portFor, quantityFor, takeReading } from '../data/feed.ts';
import { useSay } from '../ui/settings.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { draftKey, dropDraft, keepDraft, readDraft } from './draft.ts';
import { InTurn } from './in-turn.ts';
import { M } from './messages.ts';

type Input = {
  job: string;
  place: Place;
  gauge: Instrument | null;
  unit: LengthUnit;
  onStore: (value: number, raw: string, via?: 'port') => Promise<Text | null>;
};

const NO_GAUGE = M.sayWhichGaugeHand;
/** Let the sheet move on to the next place before the next reading looks where it is. */
const sheetMovesOn = () => new Promise<void>((done) => setTimeout(done));

/** Could a reading here be so many mm: by the place, and by the gauge in hand? */
const believableAt = (place: Place, gauge: Instrument | null) => (mm: number) =>
  mm >= place.low && mm <= place.high && (gauge === null || (Math.abs(mm) >= gauge.low && mm <= gauge.high));

/**
 * The one field: its text, kept through a reload; what is understood by it; and readings stored one after the other, each at the
 * place and with the gauge of the moment its turn comes, not of its keystroke.
 */
export function useTypedReading({ job, place, gauge, unit, onStore }: Input) {
  const say = useSay();
  const key = draftKey(job, place.key);
  const [text, setText] = useState(() => readDraft(key));
  const [fault, setFault] = useState<Text | null>(null);
  const now = useLatest({ key, place, gauge, onStore, text });
  const before = useRef(key);
  const [turn] = useState(() => new InTurn());
  const understood =
    text.trim() === ''
      ? null
      : readValue(text, place.quantity, unit, believableAt(place, gauge), place.nominalMm);

  // A new place shows its own half-typed text; what a quick gauge has typed meanwhile goes along to it instead.
  useLayoutEffect(() => {
    if (before.current === key) return;
    before.current = key;
    if (now.current.text === '') setText(readDraft(key));
    else keepDraft(key, now.current.text);
    setFault(null);
  }, [key, now]);

  const type = (next: string) => {
    setText(next);
    setFault(null);
    keepDraft(key, next);
  };

  const storeInTurn = async (raw: string) => {
    const at = now.current;
    const meant = readValue(
      raw,
      at.place.quantity,
      unit,
      believableAt(at.place, at.gauge),
      at.place.nominalMm,
    );
    const refused = !('value' in meant)
      ? meant.message
      : at.gauge
        ? await at.onStore(meant.value, raw)
        : NO_GAUGE;
    if (refused === null) {
      dropDraft(at.key, raw);
      return sheetMovesOn();
    }
    // Refused: what was typed comes back to be mended, unless more has been typed since.
    if (now.current.text === '') setText(raw);
    setFault(refused);
  };

  /** What the paired gauge shows becomes the reading of the place the sheet is at when its turn comes. */
  const takeInTurn = async () => {
    const at = now.current;
    const port = portFor(at.place.instrumentKinds);
    const seen = port
      ? takeReading(port, at.place.turn?.angleDeg ?? null, quantityFor(at.place.quantity))
      : { message: say(M.noGaugePairedReadsHere) };
    const refused =
      'message' in seen ? seen.message : at.gauge ? await at.onStore(seen.value, seen.raw, 'port') : NO_GAUGE;
    setFault(refused);
    if (refused === null) await sheetMovesOn();
  };

  return {
    text,
    type,
    fault,
    understood,
    value: understood && 'value' in understood ? understood.value : null,
    /** Store what is typed. The field is free at once for the next digits; its draft stays until the reading is kept. */
    store() {
      const raw = text.trim();
      if (raw === '') return setFault(say(M.nothingTyped({ label: inline(place.label) })));
      setText('');
      setFault(null);
      void turn.add(() => storeInTurn(raw));
    },
    /** Store a reading touched instead of typed. */
    put(raw: string) {
      setFault(null);
      void turn.add(() => storeInTurn(raw));
    },
    take: () => void turn.add(takeInTurn),
  };
}

/** Text put into the field from elsewhere, such as a part turned on the figure; `n` counts. */
export type Fill = { text: string; n: number } | null | undefined;

/** Lay what comes from elsewhere into the field, once each time it comes. */
export function useFill(fill: Fill, type: (text: string) => void): void {
  const filled = useRef(fill?.n ?? 0);
  useEffect(() => {
    if (!fill || fill.n === filled.current) return;
    filled.current = fill.n;
    type(fill.text);
  });
}
