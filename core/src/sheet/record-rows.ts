import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr, textKey } from '../message/message.ts';
import { formatTorque } from '../quantities/torque.ts';
import type { FitUpSheet, SheetReading, Told } from './form.ts';
import { joinSaid } from './join.ts';
import { M } from './messages.ts';
import { timeAfter } from './when.ts';
import { saySheetReading } from './words.ts';

/** Who did something and when, as the sheet says it. */
export type By = (t: Told) => Text;

/** A reading as a row of its table. */
export function readingRow(r: SheetReading, by: By): { cells: Text[]; struck?: true } {
  const round = r.attempt > 1 ? M.attempt({ attempt: r.attempt }) : '';
  const measuring = r.measuring > 1 ? M.measuring({ measuring: r.measuring }) : '';
  const came = r.via === 'typed' ? r.typed : expr`${r.typed} (${r.via}${r.standIn ? M.stand : ''})`;
  return {
    cells: [
      expr`${round}${measuring}${r.name}`,
      saySheetReading(r),
      came,
      joinSaid([
        joinSaid([by(r), `, ${r.instrument}`], ''),
        r.withdrawn
          ? joinSaid([joinSaid([M.withdrawn, by(r.withdrawn)]), `: ${r.withdrawn.reason}`], '')
          : null,
        r.struck ? joinSaid([joinSaid([M.struck2, by(r.struck)]), `: ${r.struck.reason}`], '') : null,
      ]),
    ],
    ...(r.withdrawn || r.struck ? { struck: true as const } : {}),
  };
}

type BoltLine = FitUpSheet['bolts'][number];

/** Nothing of it stands against its being told together with others: it stands, did not move, and its time is the device's plain word. */
const isPlain = (b: BoltLine): boolean =>
  !b.moved && b.movedDeg === null && !b.withdrawn && !b.struck && !b.clock;

/** Whether one bolt follows another of its pass with nothing to tell between them. */
const goesOn = (a: BoltLine, b: BoltLine): boolean =>
  isPlain(a) &&
  isPlain(b) &&
  textKey(a.pass) === textKey(b.pass) &&
  (['torqueNm', 'instrument', 'by', 'attempt', 'set'] as const).every((k) => a[k] === b[k]);

/** Bolts in the order they went: those of a pass in one statement, one by itself where there is more to tell of it. */
export function statements(bolts: readonly BoltLine[]): Array<[BoltLine, ...BoltLine[]]> {
  const rows: Array<[BoltLine, ...BoltLine[]]> = [];
  for (const b of bolts) {
    const row = rows.at(-1);
    const last = row?.at(-1);
    if (row && last && ((b.told !== undefined && row[0].told === b.told) || goesOn(last, b))) row.push(b);
    else rows.push([b]);
  }
  return rows;
}

/** What was told of bolts together, as a row of their table. */
export function boltRow(
  together: [BoltLine, ...BoltLine[]],
  by: By,
  when: (at: string) => string,
): { cells: Text[]; struck?: true } {
  const [b] = together;
  // Each with its own time; of a pass entered at once there is one.
  const later = [...new Set(together.map((t) => timeAfter(when(b.at), when(t.at))))].slice(1);
  const moved = b.movedDeg !== null ? M.moved({ moved: b.movedDeg }) : b.moved ? M.moved2 : '';
  const torque: Text =
    b.torqueNm === 0
      ? COMMON.hand
      : { mm: formatTorque(b.torqueNm, 'mm'), in: formatTorque(b.torqueNm, 'in') };
  return {
    cells: [
      expr`${b.attempt > 1 ? M.attempt({ attempt: b.attempt }) : ''}${b.pass}`,
      together.map((t) => t.bolt).join(' · '),
      joinSaid([torque, moved], ''),
      joinSaid(
        [
          joinSaid([by(b), ...later], ' · '),
          `, ${b.instrument}`,
          b.withdrawn ? joinSaid([M.withdrawn2, by(b.withdrawn), `: ${b.withdrawn.reason}`], '') : null,
          b.struck ? joinSaid([M.struck3, by(b.struck), `: ${b.struck.reason}`], '') : null,
        ],
        '',
      ),
    ],
    ...(b.withdrawn || b.struck ? { struck: true as const } : {}),
  };
}
