import { depthOf } from '../engine/depth.ts';
import { COMMON } from '../message/common/messages.ts';
import { inline, listOf, type Text, textKey } from '../message/message.ts';
import { VERDICT_WORD, type Verdict } from '../metrology/decision.ts';
import type { Block, FitUpSheet, SheetFinding } from './form.ts';
import { joinSaid } from './join.ts';
import { M } from './messages.ts';
import type { By } from './record-rows.ts';

type Sheet = Omit<FitUpSheet, 'document'>;
type Found = SheetFinding & { title: Text };

/** The gravest first: what stands against the work is read before what does not. */
const ORDER: readonly Verdict[] = ['reject', 'too-close', 'caution', 'incomplete', 'accept'];

const isGrave = (f: Found): boolean => f.verdict === 'reject' || f.verdict === 'too-close';

/** What was judged on the way, each once, the gravest first; what is not read yet is no result. */
function judged(sheet: Sheet): Found[] {
  const all = sheet.steps.flatMap((s) =>
    s.findings.filter((f) => f.verdict !== 'incomplete').map((f): Found => ({ ...f, title: s.title })),
  );
  // What is well or a caution is said once; every stop stands, since one may be accepted and another like it not.
  const same = (f: Found, g: Found) =>
    f.verdict === g.verdict &&
    textKey(g.reason) === textKey(f.reason) &&
    textKey(f.limit) === textKey(g.limit);
  const once = all.filter((f, i) => isGrave(f) || all.findIndex((g) => same(f, g)) === i);
  return once.sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict));
}

const stops = (f: Found): boolean => isGrave(f) && !f.accepted;

/**
 * What the whole work is worth, in a sentence: whoever reads no further knows it.
 * A stop that nobody accepted comes before what the sheet is called.
 */
function verdict(sheet: Sheet, found: readonly Found[]): { lead: Text; text: Text } {
  const { state } = sheet.title;
  const open = sheet.steps.find((s) => s.status === 'present');
  const held = sheet.holds.find((h) => !h.released);
  const stop = found.find(stops);
  const cautions = found.filter((f) => f.verdict === 'caution' && !f.accepted).length;
  if (state === 'cancelled') return { lead: M.frontCancelled, text: '' };
  if (stop) return { lead: M.frontStopped({ title: inline(stop.title) }), text: stop.reason };
  if (held) return { lead: M.frontHeld({ title: inline(held.title) }), text: held.reason };
  if (state === 'open') return { lead: M.frontOpen, text: open ? M.frontNext({ title: open.title }) : '' };
  const accepted = found.filter((f) => f.accepted).length;
  const text = M.frontWithin({ accepted, cautions });
  return { lead: state === 'running' ? M.frontRunning : accepted > 0 ? M.frontAccepted : M.frontGood, text };
}

/** Limits and whose they are, results, exceptions and names: what decides stands on the first page, the record behind it. */
export function frontBlocks(sheet: Sheet, by: By): Block[] {
  const found = judged(sheet);
  const line = (lead: Text, text: Text, small?: Text): Block => ({
    block: 'line',
    lead,
    text,
    ...(small === undefined ? {} : { small }),
  });
  return [
    { block: 'line', ...verdict(sheet, found) },
    { block: 'results', rows: sheet.rows },
    ...(found.length > 0
      ? [
          {
            block: 'table' as const,
            of: 'verdicts' as const,
            head: [M.headVerdict, M.headResult, COMMON.limit, M.headWhose],
            rows: found.map((f) => ({
              cells: [
                f.accepted
                  ? M.frontStopAccepted({ verdict: VERDICT_WORD[f.verdict] })
                  : VERDICT_WORD[f.verdict],
                f.reason,
                f.limit ?? '',
                f.source ?? '',
              ],
            })),
          },
        ]
      : []),
    // Those that hold now; one that fell with what it covered stands in the record behind.
    ...found.flatMap((f) =>
      f.accepted
        ? [line(M.frontAcceptance({ title: inline(f.title) }), f.accepted.reason, by(f.accepted))]
        : [],
    ),
    ...sheet.holds
      .filter((h) => h.released)
      .map((h) =>
        line(M.frontReleased({ title: inline(h.title) }), h.reason, h.released ? by(h.released) : ''),
      ),
    ...(sheet.lacking ?? [])
      .filter((l) => !l.until)
      .map((l) => line(M.at({ said: l.said, title: l.title }), l.reason, by(l))),
    ...sheet.setupChanges
      .filter((c) => c.judged && !c.seen)
      .map((c) =>
        line(
          M.setupChanged({ changed: listOf(c.changed, ', ') }),
          c.reason,
          joinSaid([by(c), M.lookedNobodyElse], '; '),
        ),
      ),
    ...(sheet.struck ?? [])
      .filter((s) => s.stops)
      .map((s) =>
        line(
          M.struck({ title: s.title }),
          s.reason,
          s.seen ? joinSaid([by(s), M.looked, by(s.seen)]) : joinSaid([by(s), M.stopWentNobodyElseHas], '; '),
        ),
      ),
    ...leftOutLine(sheet),
    line(M.frontWorkedBy, listOf(sheet.people, ', ')),
    ...(sheet.signature ? [line(COMMON.signed, sheet.signature.name, by(sheet.signature))] : []),
    line('', M.timesIn({ zone: sheet.timeZone })),
  ];
}

/** What the depth of the job left out, in a line. */
const leftOutLine = ({ leftOut = [], setup }: Sheet): Block[] =>
  leftOut.length === 0
    ? []
    : [
        {
          block: 'line',
          lead: M.leftOutAtDepth({ depth: depthOf(setup) }),
          text: listOf(
            leftOut.map((t) => inline(t)),
            '; ',
          ),
        },
      ];
