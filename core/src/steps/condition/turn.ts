import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, PlaceChoice, Reading } from '../../engine/state.ts';
import type { StepDefinition } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { isText } from '../../message/message.ts';
import { type AngleReading, byAngle } from '../../metrology/harmonics.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

/** What one turn of an indicator has given so far. */
export type Turn = {
  readings: AngleReading[];
  closingMm: number | undefined;
  taken: Reading[];
  /** The whole swing of the needle over a continuous turn, each time it was read. */
  swingsMm: number[];
  /** Different angles read. */
  count: number;
};

const CLOSING = 360;
/** Swings anybody reads of one turn. */
const SWINGS_MOST = 9;

/** A place of a turn: `s1/45`, read again `s1/45/2`, and the closing `s1/360`; its whole swing `s1/swing`, read again `s1/swing/2`. */
const KEY = /^(\d{1,3}(?:\.\d)?)(?:\/(\d{1,2}))?$/;

const parse = (key: string, prefix: string): { angleDeg: number; times: number } | null => {
  if (!key.startsWith(prefix)) return null;
  const m = KEY.exec(key.slice(prefix.length));
  if (!m) return null;
  const angleDeg = Number(m[1]);
  const times = m[2] === undefined ? 1 : Number(m[2]);
  return angleDeg <= CLOSING && times >= 1 && (m[2] === undefined || times >= 2) ? { angleDeg, times } : null;
};

const SWING = /^swing(?:\/([2-9]))?$/;
const swingTimes = (key: string, prefix: string): number | null => {
  const m = key.startsWith(prefix) ? SWING.exec(key.slice(prefix.length)) : null;
  return m ? Number(m[1] ?? 1) : null;
};

const swingKey = ({ prefix }: TurnLook, times: number): string =>
  `${prefix}swing${times > 1 ? `/${times}` : ''}`;

/** The readings of a turn that stand; `prefix` names it among the step's places. */
export function turnOf(facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>, prefix: string): Turn {
  const stood = standing(facts, step.id, 'any');
  const taken = stood.filter((r) => parse(r.place, prefix) !== null);
  const swings = stood.filter((r) => swingTimes(r.place, prefix) !== null);
  const at = (r: Reading) => parse(r.place, prefix)?.angleDeg ?? 0;
  const round = taken.filter((r) => at(r) < CLOSING);
  const readings = round.map((r) => ({ angleDeg: at(r), valueMm: r.value }));
  return {
    readings,
    closingMm: taken.find((r) => at(r) === CLOSING)?.value,
    taken: [...taken, ...swings],
    swingsMm: swings.flatMap((r) => r.repeats ?? [r.value]),
    count: byAngle(readings).length,
  };
}

export type TurnLook = {
  prefix: string;
  wanted: number;
  /** Read as one swing over a whole turn; angle by angle only where somebody begins so. */
  bySwing?: boolean;
  /** “Station 2, ” or nothing. */
  label: Text;
  limitMm: number;
  station?: number;
  atMm?: number;
  instrumentKinds?: Place['instrumentKinds'];
};

/** The one turn of a sweep over face or bore of a box. */
export const boxTurn = ({ setup }: Facts<ShaftSetup>, label: Text): TurnLook => ({
  prefix: 'turn/',
  wanted: conditionOf(setup).runoutAngles ?? 8,
  label,
  limitMm: 5,
});

/** Is a turn of this job read by its whole swing? */
export const readsSwing = ({ setup }: Pick<Facts<ShaftSetup>, 'setup'>): boolean =>
  conditionOf(setup).turnBy === 'swing';

const degrees = (deg: number) => `${Number(deg.toFixed(1))}°`;

/** The place behind a key of a turn, or why it cannot be read now. */
export function turnPlace(
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  look: TurnLook,
  key: string,
): Place | Text | null {
  const swing = swingTimes(key, look.prefix);
  if (swing !== null) return swingPlace(facts, step, look, swing);
  const at = parse(key, look.prefix);
  if (!at) return null;
  const turn = turnOf(facts, step, look.prefix);
  const first = turn.readings.length ? Math.min(...turn.readings.map((r) => r.angleDeg)) : 0;
  const closing = at.angleDeg === CLOSING;
  const place: Place = {
    key,
    label: closing
      ? M.backClosingTurn({ label: look.label, degrees: degrees(first) })
      : M.at({
          label: look.label,
          degrees: degrees(at.angleDeg),
          times: at.times > 1 ? M.reading({ times: at.times }) : '',
        }),
    quantity: 'dial',
    low: -look.limitMm,
    high: look.limitMm,
    instrumentKinds: look.instrumentKinds ?? ['dial'],
    turn: {
      station: look.station ?? 0,
      atMm: look.atMm ?? 0,
      angleDeg: closing ? first + CLOSING : at.angleDeg,
    },
  };
  if (closing && turn.count === 0) return M.turnClosedAfterReadNot;
  if (closing && at.times > 1) return M.turnClosesOnceWithdrawClosing;
  if (at.times > 1 && !readingAt(facts, step.id, `${look.prefix}${Number(at.angleDeg)}`, 'any'))
    return M.nothingReadYet({ degrees: degrees(at.angleDeg) });
  if (readingAt(facts, step.id, key, 'any')) return M.alreadyHasReadingWithdrawReason({ label: place.label });
  return place;
}

/** The whole swing of the needle, the first time or once more. */
function swingPlace(
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  look: TurnLook,
  times: number,
): Place | Text {
  const label = M.swingWholeTurn({ label: look.label, times: times > 1 ? M.reading({ times }) : '' });
  if (times > 1 && !readingAt(facts, step.id, swingKey(look, times - 1), 'any')) return M.swingNotReadYet;
  if (readingAt(facts, step.id, swingKey(look, times), 'any'))
    return M.alreadyHasReadingWithdrawReason({ label });
  return {
    key: swingKey(look, times),
    label,
    quantity: 'dial',
    low: 0,
    high: 2 * look.limitMm,
    instrumentKinds: look.instrumentKinds ?? ['dial'],
  };
}

/** Where a turn is read next, without what the turn is called. */
export function sweptAt(
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  look: TurnLook,
  key: string,
): Text {
  const place = turnPlace(facts, step, { ...look, label: '' }, key);
  return place === null ? '' : isText(place) ? place : place.label;
}

/** The key to read next: round the even grid until enough angles are read, then the closing one; null when the turn is whole. */
export function nextInTurn(turn: Turn, look: TurnLook): string | null {
  if (look.bySwing && turn.count === 0) return turn.swingsMm.length > 0 ? null : `${look.prefix}swing`;
  if (turn.count < look.wanted) {
    const read = new Set(byAngle(turn.readings).map((r) => r.angleDeg));
    for (let i = 0; i < look.wanted; i++) {
      const a = Number(((360 * i) / look.wanted).toFixed(1));
      if (!read.has(a)) return `${look.prefix}${a}`;
    }
  }
  return turn.closingMm === undefined ? `${look.prefix}${CLOSING}` : null;
}

/** Reading again at the highest and the lowest angle of a turn: where a verdict too close to call is settled. */
export function againInTurn(turn: Turn, look: TurnLook): PlaceChoice[] {
  const swung = new Set(turn.taken.flatMap((r) => swingTimes(r.place, look.prefix) ?? []));
  // A swing withdrawn leaves its number free: that one is read first.
  let times = 1;
  while (swung.has(times)) times++;
  const swing =
    swung.size > 0 && times <= SWINGS_MOST ? [{ key: swingKey(look, times), label: M.swingAgain }] : [];
  const grouped = byAngle(turn.readings);
  if (grouped.length === 0)
    return swung.size > 0 ? [...swing, { key: `${look.prefix}0`, label: M.angleByAngle }] : [];
  if (grouped.length < 2) return swing;
  const high = grouped.reduce((a, b) => (b.valueMm > a.valueMm ? b : a));
  const low = grouped.reduce((a, b) => (b.valueMm < a.valueMm ? b : a));
  // Where all are alike, one angle is both.
  return [
    ...swing,
    ...[...new Set([high, low])].map((g) => ({
      key: `${look.prefix}${g.angleDeg}/${againAt(turn, look.prefix, g.angleDeg)}`,
      label: M.again({ degrees: degrees(g.angleDeg) }),
    })),
  ];
}

/** The next free number of a repeat at an angle. */
function againAt(turn: Turn, prefix: string, angleDeg: number): number {
  const used = turn.taken.flatMap((r) => {
    const at = parse(r.place, prefix);
    return at?.angleDeg === angleDeg ? [at.times] : [];
  });
  return Math.max(1, ...used) + 1;
}
