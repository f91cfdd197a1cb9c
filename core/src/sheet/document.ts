import { sayClock } from '../engine/clock.ts';
import { ANSWER_WORD, type Said as Answered } from '../engine/said.ts';
import type { ClockMark } from '../engine/state.ts';
import type { Drawing } from '../judgement/drawing.ts';
import { VERDICT_WORD } from '../metrology/decision.ts';
import type { Said } from '../quantities/say.ts';
import { formatTorque } from '../quantities/torque.ts';
import type { Block, FitUpSheet, SheetFinding, SheetReading, Told } from './form.ts';
import { whenIn } from './when.ts';
import { saySheetReading } from './words.ts';

/** Put texts together, in each unit. */
export function joinSaid(parts: ReadonlyArray<Said | null | undefined>, between = ' '): Said {
  const there = parts.filter((p): p is Said => p !== null && p !== undefined && p !== '');
  if (there.every((p) => typeof p === 'string')) return there.join(between);
  const inUnit = (unit: 'mm' | 'in') => there.map((p) => (typeof p === 'string' ? p : p[unit])).join(between);
  return { mm: inUnit('mm'), in: inUnit('in') };
}

type Sheet = Omit<FitUpSheet, 'document'> & { drawings: Drawing[] };

/** The blocks of a sheet in the order they are read. */
export function sheetDocument(sheet: Sheet): Block[] {
  const when = whenIn(sheet.timeZone);
  const late: ClockMark[] = [];
  // What waited on a device is marked, and told once at the end; a clock that was off is told where it stands.
  const by = (t: Told) => {
    if (t.clock?.kind === 'offline') late.push(t.clock);
    const mark = t.clock?.kind === 'offline' ? '†' : t.clock ? ` (${sayClock(t.clock, when)})` : '';
    return `${t.by}, ${when(t.at)}${mark}`;
  };
  return [
    ...(sheet.setup.demo
      ? [
          {
            block: 'line' as const,
            lead: 'Demo plant.',
            text: 'People, machines and numbers are invented; this is no record of a machine.',
          },
        ]
      : []),
    ...(sheet.title.state === 'running'
      ? [
          {
            block: 'line' as const,
            lead: 'Running, checks to come:',
            text: (sheet.toCome ?? []).map((c) => `${c.what}, ${when(c.at)}`).join('; '),
            ...(sheet.signature ? { small: joinSaid(['Signed', by(sheet.signature)]) } : {}),
          },
        ]
      : []),
    { block: 'results', rows: sheet.rows },
    ...(sheet.drawings.length > 0 ? [{ block: 'drawings' as const, drawings: sheet.drawings }] : []),
    { block: 'heading', text: 'Setup' },
    ...sheet.setupLines.map(([group, said]): Block => ({ block: 'line', lead: `${group}.`, text: said })),
    ...struckAfter(sheet, null, by),
    ...sheet.steps.flatMap((s) => [...stepBlocks(sheet, s, by), ...struckAfter(sheet, s.id, by)]),
    ...alsoRecorded(sheet, by, () => sayLate(late, when)),
  ];
}

/** Entries that waited on a device, in a line. */
function sayLate(late: readonly ClockMark[], when: (at: string) => string): Block[] {
  if (late.length === 0) return [];
  const stored = late.map((c) => c.storedAt).sort();
  const [first, last] = [when(stored[0] ?? ''), when(stored.at(-1) ?? '')];
  const text = `${late.length === 1 ? 'One entry was' : `${late.length} entries were`} made without network, at the device’s own time, and stored ${first === last ? first : `${first} to ${last}`}.`;
  return [{ block: 'line', lead: '†', text }];
}

type By = (t: Told) => Said;

/** Readings, bolts and photographs of a step. */
function recordBlocks(sheet: Sheet, step: string, by: By): Block[] {
  const readings = sheet.readings.filter((r) => r.step === step);
  const bolts = sheet.bolts.filter((b) => b.step === step);
  // A sheet laid down before there were any has none.
  const photos = (sheet.photos ?? []).filter((p) => p.step === step);
  return [
    ...(readings.length > 0
      ? [
          {
            block: 'table' as const,
            head: ['place', 'reading', 'typed', 'who, when, gauge'],
            rows: readings.map((r) => readingRow(r, by)),
          },
        ]
      : []),
    ...(bolts.length > 0
      ? [
          {
            block: 'table' as const,
            head: ['pass', 'bolt', 'torque', 'who, when, wrench'],
            rows: bolts.map((b) => boltRow(b, by)),
          },
        ]
      : []),
    ...(photos.length > 0
      ? [
          {
            block: 'photos' as const,
            photos: photos.map((p) => ({
              hash: p.hash,
              words: p.words,
              small: by(p),
              width: p.width,
              height: p.height,
            })),
          },
        ]
      : []),
  ];
}

function stepBlocks(sheet: Sheet, step: Sheet['steps'][number], by: By): Block[] {
  return [
    { block: 'heading', text: step.title },
    ...struckParts(sheet, step.id, by),
    ...step.answers.flatMap((a) => answerLines(a, by)),
    ...recordBlocks(sheet, step.id, by),
    ...step.findings.flatMap((f) => findingLines(f, by)),
    ...(step.working.length > 0
      ? [{ block: 'working' as const, rows: step.working.map((w): [Said, Said] => [w.what, w.sum]) }]
      : []),
    ...step.before.flatMap((b, i): Block[] => [
      { block: 'line', lead: `Measuring ${i + 1}, before:`, text: b.done, small: by(b) },
      ...b.findings.filter((f) => f.verdict !== 'incomplete').flatMap((f) => findingLines(f, by, true)),
    ]),
    ...step.rounds.flatMap((r, i): Block[] => [
      { block: 'line', lead: `Round ${i + 1}, opened again.`, text: `${r.because}.`, small: by(r) },
      ...r.answers.flatMap((a) => answerLines(a, by, true)),
      ...r.findings.filter((f) => f.verdict !== 'incomplete').flatMap((f) => findingLines(f, by, true)),
      ...(r.passed
        ? [
            {
              block: 'line' as const,
              text: '',
              small: joinSaid(['Passed by', by(r.passed)]),
              inset: true as const,
            },
          ]
        : []),
    ]),
    ...(step === sheet.steps.at(-1) && sheet.signature
      ? [{ block: 'line' as const, lead: 'Signed', text: sheet.signature.name, small: by(sheet.signature) }]
      : []),
    ...(step.passed
      ? [
          {
            block: 'line' as const,
            text: '',
            small: joinSaid([
              'Passed by',
              by(step.passed),
              step.byRulesOfThen ? '(by the rules of then; the findings above are by today’s)' : null,
            ]),
          },
        ]
      : []),
  ];
}

type Answer = Sheet['steps'][number]['answers'][number];

/** What an answer is called on paper. */
const answerWord = (a: { answer: string }): string => ANSWER_WORD[a.answer as Answered] ?? a.answer;

/** An answer, after what was answered before it: found, then put right. */
function answerLines(a: Answer, by: By, inset?: true): Block[] {
  const before = a.before ?? [];
  return [
    {
      block: 'line',
      lead: answerWord(a),
      text: a.ask,
      small: joinSaid([
        ...before.map((b) =>
          joinSaid([`First ${answerWord(b)}`, b.note ? `“${b.note}”` : null, joinSaid([by(b), ';'], '')]),
        ),
        before.length > 0 ? (a.reason ? `corrected, ${a.reason}:` : `then ${answerWord(a)}`) : null,
        a.note ? `“${a.note}”.` : null,
        by(a),
      ]),
      ...(inset ? { inset } : {}),
    },
  ];
}

type Struck = NonNullable<Sheet['struck']>[number];

/** Who struck what, and who has looked since. */
const struckLine = (s: Struck, by: By): Block => ({
  block: 'line',
  lead: s.whole
    ? 'Struck: the setup no longer asks this step.'
    : 'Struck in part: the setup no longer asks what is crossed out.',
  text: s.reason,
  small: joinSaid(
    [
      by(s),
      s.seen
        ? joinSaid(['looked at by', by(s.seen)])
        : s.stops
          ? 'a stop went with it, and nobody else has looked yet'
          : null,
    ],
    '; ',
  ),
});

const struckFindings = (s: Struck, by: By): Block[] => [
  ...s.answers.flatMap((a) => answerLines(a, by, true)),
  ...s.findings.filter((f) => f.verdict !== 'incomplete').flatMap((f) => findingLines(f, by, true)),
];

/** Parts of a step that were struck, as they stood. */
const struckParts = (sheet: Sheet, step: string, by: By): Block[] =>
  (sheet.struck ?? [])
    .filter((s) => !s.whole && s.step === step)
    .flatMap((s) => [struckLine(s, by), ...struckFindings(s, by)]);

/** Whole steps that were struck, where they stood, with their readings and bolts. */
const struckAfter = (sheet: Sheet, follows: string | null, by: By): Block[] =>
  (sheet.struck ?? [])
    .filter((s) => s.whole && s.follows === follows)
    .flatMap((s) => {
      const there = sheet.steps.some((x) => x.id === s.step);
      return [
        { block: 'heading' as const, text: `${s.title}, struck` },
        struckLine(s, by),
        // Where the step has come back its readings stand in its own table, crossed out.
        ...(there ? [] : recordBlocks(sheet, s.step, by)),
        ...struckFindings(s, by),
      ];
    });

function readingRow(r: SheetReading, by: By): { cells: Said[]; struck?: true } {
  const round = r.attempt > 1 ? `attempt ${r.attempt}: ` : '';
  const measuring = r.measuring > 1 ? `measuring ${r.measuring}: ` : '';
  const came = r.via === 'typed' ? r.typed : `${r.typed} (${r.via}${r.standIn ? ', stand-in' : ''})`;
  return {
    cells: [
      `${round}${measuring}${r.name}`,
      saySheetReading(r),
      came,
      joinSaid([
        joinSaid([by(r), `, ${r.instrument}`], ''),
        r.withdrawn
          ? joinSaid([joinSaid(['Withdrawn by', by(r.withdrawn)]), `: ${r.withdrawn.reason}`], '')
          : null,
        r.struck ? joinSaid([joinSaid(['Struck by', by(r.struck)]), `: ${r.struck.reason}`], '') : null,
      ]),
    ],
    ...(r.withdrawn || r.struck ? { struck: true as const } : {}),
  };
}

function boltRow(b: Sheet['bolts'][number], by: By): { cells: Said[]; struck?: true } {
  const moved = b.movedDeg !== null ? `, moved ${b.movedDeg}°` : b.moved ? ', moved' : '';
  const torque: Said =
    b.torqueNm === 0 ? 'hand' : { mm: formatTorque(b.torqueNm, 'mm'), in: formatTorque(b.torqueNm, 'in') };
  return {
    cells: [
      `${b.attempt > 1 ? `attempt ${b.attempt}: ` : ''}${b.pass}`,
      String(b.bolt),
      joinSaid([torque, moved], ''),
      joinSaid(
        [
          by(b),
          `, ${b.instrument}`,
          b.withdrawn ? joinSaid(['. Withdrawn by ', by(b.withdrawn), `: ${b.withdrawn.reason}`], '') : null,
          b.struck ? joinSaid(['. Struck by ', by(b.struck), `: ${b.struck.reason}`], '') : null,
        ],
        '',
      ),
    ],
    ...(b.withdrawn || b.struck ? { struck: true as const } : {}),
  };
}

function findingLines(f: SheetFinding, by: By, inset?: true): Block[] {
  const more = inset ? { inset } : {};
  return [
    {
      block: 'line',
      lead: `${VERDICT_WORD[f.verdict]}.`,
      text: f.reason,
      small: joinSaid([
        f.limit ? joinSaid(['Limit ', f.limit, '.'], '') : null,
        f.source ? `${f.source}.` : null,
      ]),
      ...more,
    },
    ...(f.accepted
      ? [
          {
            block: 'line' as const,
            lead: 'Deviation accepted.',
            text: f.accepted.reason,
            small: by(f.accepted),
            ...more,
          },
        ]
      : []),
  ];
}

function alsoRecorded(sheet: Sheet, by: By, late: () => Block[]): Block[] {
  const line = (lead: string, text: Said, small: Said): Block => ({ block: 'line', lead, text, small });
  const lines: Block[] = [
    ...sheet.revisions.map((r) =>
      line(
        `Revision ${r.n} opened.`,
        r.reason,
        joinSaid([by(r), `Signed before by ${r.signedBefore}.`], '. '),
      ),
    ),
    ...sheet.deviations.map((d) =>
      line(
        `Deviation accepted at ${d.title}${d.attempt > 1 ? `, attempt ${d.attempt}` : ''}:`,
        d.reason,
        joinSaid([by(d), joinSaid(['it stood:', d.stood])], '; '),
      ),
    ),
    ...sheet.holds.map((h) =>
      line(
        `Hold at ${h.title}:`,
        h.reason,
        h.released ? joinSaid(['Released by', by(h.released)]) : 'Not released.',
      ),
    ),
    ...(sheet.lacking ?? []).map((l) =>
      line(
        `${l.said} at ${l.title}:`,
        l.reason,
        joinSaid([by(l), l.until ? joinSaid(['read after all,', by(l.until)]) : null], '; '),
      ),
    ),
    ...sheet.dismountings.map((d) => line(`${sheet.reopened}:`, d.reason, by(d))),
    ...sheet.loosenings.map((d) => line(`${d.what} loosened:`, d.reason, by(d))),
    ...sheet.setupChanges.map((c) =>
      line(
        `Setup changed (${c.changed.join(', ')}):`,
        joinSaid(
          [
            ...(c.values ?? []).map((v) => joinSaid([`${v.field}:`, v.before, '→', v.after])),
            `Why: ${c.reason}`,
          ],
          '; ',
        ),
        joinSaid(
          [
            by(c),
            c.seen ? joinSaid(['looked at by', by(c.seen)]) : c.judged ? 'looked at by nobody else' : null,
          ],
          '; ',
        ),
      ),
    ),
    ...sheet.notes.map((n) => line('Note:', n.text, by(n))),
    ...sheet.sources.map(
      (s): Block => ({ block: 'line', text: '', small: `Source: ${s.title} (${s.rank}).` }),
    ),
    {
      block: 'line',
      text: '',
      small: `Times: ${sheet.timeZone}. This sheet does not replace local codes, the maker’s instructions or licensed practice.`,
    },
  ];
  return [{ block: 'heading', text: 'Also recorded' }, ...late(), ...lines];
}
