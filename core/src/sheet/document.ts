import { sayClock } from '../engine/clock.ts';
import { ANSWER_WORD, type Said as Answered } from '../engine/said.ts';
import type { ClockMark } from '../engine/state.ts';
import type { Drawing } from '../judgement/drawing.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr, listOf } from '../message/message.ts';
import { VERDICT_WORD } from '../metrology/decision.ts';
import type { Block, FitUpSheet, SheetFinding, Told } from './form.ts';
import { frontBlocks } from './front.ts';
import { joinSaid } from './join.ts';
import { M } from './messages.ts';
import { type By, boltRow, readingRow, statements } from './record-rows.ts';
import { timeAfter, whenIn } from './when.ts';

type Sheet = Omit<FitUpSheet, 'document'> & { drawings: Drawing[] };

/** The blocks of a sheet in the order they are read. */
export function sheetDocument(sheet: Sheet): Block[] {
  const when = whenIn(sheet.timeZone);
  const late: ClockMark[] = [];
  // What waited on a device is marked, and told once at the end; a clock that was off is told where it stands.
  const by = (t: Told) => {
    if (t.clock?.kind === 'offline') late.push(t.clock);
    const mark = t.clock?.kind === 'offline' ? '†' : t.clock ? expr` (${sayClock(t.clock, when)})` : '';
    return expr`${t.by}, ${when(t.at)}${mark}`;
  };
  return [
    ...(sheet.setup.demo
      ? [
          {
            block: 'line' as const,
            lead: M.demoPlant,
            text: M.peopleMachinesNumbersInventedNo,
          },
        ]
      : []),
    ...(sheet.title.state === 'running'
      ? [
          {
            block: 'line' as const,
            lead: M.runningChecksCome,
            text: listOf(
              (sheet.toCome ?? []).map((c) => expr`${c.what}, ${when(c.at)}`),
              '; ',
            ),
            ...(sheet.signature ? { small: joinSaid([COMMON.signed, by(sheet.signature)]) } : {}),
          },
        ]
      : []),
    ...frontBlocks(sheet, by),
    ...(sheet.drawings.length > 0 ? [{ block: 'drawings' as const, drawings: sheet.drawings }] : []),
    { block: 'heading', text: COMMON.setup },
    ...sheet.setupLines.map(([group, said]): Block => ({ block: 'line', lead: expr`${group}.`, text: said })),
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
  const text = M.madeWithoutNetworkDevicesOwn({
    count: late.length === 1 ? M.oneEntry : M.entriesWere({ count: late.length }),
    first: first === last ? first : M.to({ first, last }),
  });
  return [{ block: 'line', lead: '†', text }];
}

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
            head: [M.headPlace, M.headReading, M.headTyped, M.whoWhenGauge],
            rows: readings.map((r) => readingRow(r, by)),
          },
        ]
      : []),
    ...(bolts.length > 0
      ? [
          {
            block: 'table' as const,
            head: [M.headPass, M.headBolt, COMMON.torque, M.whoWhenWrench],
            rows: statements(bolts).map((together) => boltRow(together, by, whenIn(sheet.timeZone))),
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
    ...answersTogether(step.answers, by, whenIn(sheet.timeZone)),
    ...recordBlocks(sheet, step.id, by),
    ...step.findings.flatMap((f) => findingLines(f, by)),
    ...(step.working.length > 0
      ? [{ block: 'working' as const, rows: step.working.map((w): [Text, Text] => [w.what, w.sum]) }]
      : []),
    ...step.before.flatMap((b, i): Block[] => [
      {
        block: 'line',
        lead: M.measuringBefore({ i: i + 1 }),
        text: b.done || M.nothingDoneCountsTogether,
        small: by(b),
      },
      ...b.findings.filter((f) => f.verdict !== 'incomplete').flatMap((f) => findingLines(f, by, true)),
    ]),
    ...step.rounds.flatMap((r, i): Block[] => [
      { block: 'line', lead: M.roundOpenedAgain({ i: i + 1 }), text: expr`${r.because}.`, small: by(r) },
      ...r.answers.flatMap((a) => answerLines(a, by, true)),
      ...r.findings.filter((f) => f.verdict !== 'incomplete').flatMap((f) => findingLines(f, by, true)),
      ...(r.passed
        ? [
            {
              block: 'line' as const,
              text: '',
              small: joinSaid([M.passed, by(r.passed)]),
              inset: true as const,
            },
          ]
        : []),
    ]),
    ...(step === sheet.steps.at(-1) && sheet.signature
      ? [
          {
            block: 'line' as const,
            lead: COMMON.signed,
            text: sheet.signature.name,
            small: by(sheet.signature),
          },
        ]
      : []),
    ...(step.passed
      ? [
          {
            block: 'line' as const,
            text: '',
            small: joinSaid([
              M.passed,
              by(step.passed),
              step.byRulesOfThen ? M.rulesThenFindingsAboveTodays : null,
            ]),
          },
        ]
      : []),
  ];
}

type Answer = Sheet['steps'][number]['answers'][number];

/** What an answer is called on paper. */
const answerWord = (a: { answer: string }): Text => ANSWER_WORD[a.answer as Answered] ?? a.answer;

const isPlain = (a: Answer): boolean =>
  a.answer === 'yes' && !a.note && !a.reason && !a.before?.length && !a.clock;

/** Answers in their order: a run of plain ones of one person stands together, each with its time; all else stands alone. */
function answersTogether(answers: readonly Answer[], by: By, when: (at: string) => string): Block[] {
  const runs: Answer[][] = [];
  for (const a of answers) {
    const run = runs.at(-1);
    const last = run?.at(-1);
    if (run && last && isPlain(last) && isPlain(a) && last.by === a.by) run.push(a);
    else runs.push([a]);
  }
  return runs.flatMap((run): Block[] => {
    const [first] = run;
    if (!first || run.length === 1) return run.flatMap((a) => answerLines(a, by));
    return [
      {
        block: 'line',
        lead: answerWord(first),
        text: listOf(
          run.map((a) => expr`${a.ask} ${timeAfter(when(first.at), when(a.at))}`),
          ' · ',
        ),
        small: expr`${first.by}, ${when(first.at).slice(0, 10)}`,
      },
    ];
  });
}

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
          joinSaid([
            M.first({ answerWord: answerWord(b) }),
            b.note ? `“${b.note}”` : null,
            joinSaid([by(b), ';'], ''),
          ]),
        ),
        before.length > 0
          ? a.reason
            ? M.corrected({ reason: a.reason })
            : M.thenText({ answerWord: answerWord(a) })
          : null,
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
  lead: s.whole ? M.struckSetupNoLongerAsks : M.struckPartSetupNoLonger,
  text: s.reason,
  small: joinSaid(
    [by(s), s.seen ? joinSaid([M.looked, by(s.seen)]) : s.stops ? M.stopWentNobodyElseHas : null],
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
        { block: 'heading' as const, text: M.struck({ title: s.title }) },
        struckLine(s, by),
        // Where the step has come back its readings stand in its own table, crossed out.
        ...(there ? [] : recordBlocks(sheet, s.step, by)),
        ...struckFindings(s, by),
      ];
    });

function findingLines(f: SheetFinding, by: By, inset?: true): Block[] {
  const more = inset ? { inset } : {};
  return [
    {
      block: 'line',
      lead: expr`${VERDICT_WORD[f.verdict]}.`,
      text: f.reason,
      small: joinSaid([
        f.limit ? joinSaid([M.limit, f.limit, '.'], '') : null,
        f.source ? expr`${f.source}.` : null,
      ]),
      ...more,
    },
    ...(f.accepted
      ? [
          {
            block: 'line' as const,
            lead: M.deviationAccepted,
            text: f.accepted.reason,
            small: by(f.accepted),
            ...more,
          },
        ]
      : []),
  ];
}

function alsoRecorded(sheet: Sheet, by: By, late: () => Block[]): Block[] {
  const line = (lead: Text, text: Text, small: Text): Block => ({ block: 'line', lead, text, small });
  const lines: Block[] = [
    ...sheet.revisions.map((r) =>
      line(
        M.revisionOpened({ n: r.n }),
        r.reason,
        joinSaid([by(r), M.signedBefore({ signedBefore: r.signedBefore })], '. '),
      ),
    ),
    ...sheet.deviations.map((d) =>
      line(
        M.deviationAccepted2({
          title: d.title,
          attempt: d.attempt > 1 ? COMMON.attempt({ attempt: d.attempt }) : '',
        }),
        d.reason,
        joinSaid([by(d), joinSaid([M.stood, d.stood])], '; '),
      ),
    ),
    ...sheet.holds.map((h) =>
      line(
        M.hold({ title: h.title }),
        h.reason,
        h.released ? joinSaid([M.released, by(h.released)]) : M.notReleased,
      ),
    ),
    ...(sheet.lacking ?? []).map((l) =>
      line(
        M.at({ said: l.said, title: l.title }),
        l.reason,
        joinSaid([by(l), l.until ? joinSaid([M.readAfterAll, by(l.until)]) : null], '; '),
      ),
    ),
    ...sheet.dismountings.map((d) => line(expr`${sheet.reopened}:`, d.reason, by(d))),
    ...sheet.loosenings.map((d) => line(M.loosened({ what: d.what }), d.reason, by(d))),
    ...sheet.setupChanges.map((c) =>
      line(
        M.setupChanged({ changed: listOf(c.changed, ', ') }),
        joinSaid(
          [
            ...(c.values ?? []).map((v) => joinSaid([expr`${v.field}:`, v.before, '→', v.after])),
            M.why({ reason: c.reason }),
          ],
          '; ',
        ),
        joinSaid(
          [by(c), c.seen ? joinSaid([M.looked, by(c.seen)]) : c.judged ? M.lookedNobodyElse : null],
          '; ',
        ),
      ),
    ),
    ...sheet.notes.map((n) => line(COMMON.note, n.text, by(n))),
    ...sheet.sources.map(
      (s): Block => ({ block: 'line', text: '', small: M.source({ title: s.title, rank: s.rank }) }),
    ),
    {
      block: 'line',
      text: '',
      small: M.timesSheetDoesNotReplace({ timeZone: sheet.timeZone }),
    },
  ];
  return [{ block: 'heading', text: M.alsoRecorded }, ...late(), ...lines];
}
