/** One thing done at a break-in, minutes after its start: drops counted, nuts turned (flats each, minus back), the gland felt. */
export type BreakInAct = { minutes: number } & (
  | { what: 'drops'; dropsPerMin: number }
  | { what: 'flats'; flats: number }
  | { what: 'warmth'; glandC: number }
);

/** A count of the drops, and how many flats each nut stood on when it was made. */
export type BreakInCount = { minutes: number; drops: number; flats: number };

/** What the acts so far come to. */
export type BreakInSeen = {
  counts: BreakInCount[];
  last: BreakInCount | null;
  /** Counts since the nuts were last turned. */
  sinceTurn: BreakInCount[];
  flats: number;
  /** When the nuts were last turned, either way; null before. */
  turnedAt: number | null;
  /** Turned after the last count. */
  turnedAfterCount: boolean;
  /** The most flats turned on at once. */
  mostAtOnce: number;
  warmC: number | null;
  /** Too dry or too hot, until a wetter count or a cooler gland. */
  stop: 'dry' | 'hot' | null;
  /** When the nuts were backed off since it was met; null where they were not. */
  backedAt: number | null;
};

/** A gland this hot glazes its packing. Common practice, no source. */
export const HOT_C = 80;

/**
 * What was done at a break-in, act by act. Hot outranks dry; either is met at once, whichever act tells of it.
 * @param lowDrops drops a minute under which the packing runs dry
 */
export function seenSoFar(acts: readonly BreakInAct[], lowDrops: number): BreakInSeen {
  const seen: BreakInSeen = {
    counts: [],
    last: null,
    sinceTurn: [],
    flats: 0,
    turnedAt: null,
    turnedAfterCount: false,
    mostAtOnce: 0,
    warmC: null,
    stop: null,
    backedAt: null,
  };
  let [dry, hot] = [false, false];
  for (const act of acts) {
    if (act.what === 'flats') {
      seen.flats += act.flats;
      seen.turnedAt = act.minutes;
      seen.turnedAfterCount = true;
      seen.sinceTurn = [];
      seen.mostAtOnce = Math.max(seen.mostAtOnce, act.flats);
      if (act.flats < 0 && (dry || hot)) seen.backedAt = act.minutes;
      continue;
    }
    if (act.what === 'warmth') {
      seen.warmC = act.glandC;
      hot = act.glandC >= HOT_C;
    } else {
      const count = { minutes: act.minutes, drops: act.dropsPerMin, flats: seen.flats };
      seen.counts.push(count);
      seen.sinceTurn = [...seen.sinceTurn, count];
      seen.last = count;
      seen.turnedAfterCount = false;
      dry = act.dropsPerMin < lowDrops;
    }
    // Looked at again and still so: back once more.
    if (hot ? act.what === 'warmth' : act.what === 'drops') seen.backedAt = null;
    seen.stop = hot ? 'hot' : dry ? 'dry' : null;
  }
  return seen;
}

/** A count with the flats turned till then, and the gland's warmth where it was felt: as a table of a break-in is kept. */
export type BreakInRow = {
  minutes: number;
  flats: number;
  dropsPerMin: number;
  glandC?: number | undefined;
};

/** The acts a table of counts tells of: where the flats differ, the nuts were turned after the count before. */
export function actsOfRows(rows: readonly BreakInRow[]): BreakInAct[] {
  const sorted = [...rows].sort((a, b) => a.minutes - b.minutes);
  return sorted.flatMap((row, i): BreakInAct[] => {
    const before = sorted[i - 1];
    const turned = row.flats - (before?.flats ?? 0);
    return [
      ...(turned === 0
        ? []
        : [{ what: 'flats' as const, minutes: before?.minutes ?? row.minutes, flats: turned }]),
      ...(row.glandC === undefined
        ? []
        : [{ what: 'warmth' as const, minutes: row.minutes, glandC: row.glandC }]),
      { what: 'drops' as const, minutes: row.minutes, dropsPerMin: row.dropsPerMin },
    ];
  });
}
