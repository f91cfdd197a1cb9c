import { allTrades } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { isCalled } from '../quantities/say.ts';
import { M } from './messages.ts';
import { type PartValues, partFields, readPart } from './part-card.ts';
import { showField } from './setup-form.ts';

/** A row of a file of cards: one value of one part. */
export type PartRow = { designation: string; trade: string; source: string; field: string; value: string };
export const PART_HEAD = ['designation', 'trade', 'source', 'field', 'value'] as const;

type Card = { designation: string; trade: string; source: string; values: PartValues };

/** Cards as rows: a value a line, as people write it, so that a table program shows what a card says. */
export const partRows = (cards: readonly Card[]): PartRow[] =>
  cards.flatMap((c) => {
    const trade = allTrades().find((t) => t.id === c.trade);
    const fields = trade ? partFields(trade) : [];
    return Object.entries(c.values).map(([field, v]) => {
      const known = fields.find((f) => f.name === field);
      return {
        designation: c.designation,
        trade: c.trade,
        source: c.source,
        field,
        value: known && !known.options ? showField(known, v, 'mm') : String(v),
      };
    });
  });

/**
 * Rows as cards, a card a designation; every bad row is named with its line. A field may be told by its name or by its label, a value as
 * people type it, with its unit.
 * @param rows with the line each stands in
 */
export function partsFrom(rows: ReadonlyArray<PartRow & { line: number }>): {
  cards: Array<Card & { line: number }>;
  faults: Array<{ line: number; message: Text }>;
} {
  const faults: Array<{ line: number; message: Text }> = [];
  const cards: Array<Card & { line: number }> = [];
  const byPart = new Map<string, Array<PartRow & { line: number }>>();
  for (const r of rows) {
    if (r.designation.trim().length < 2) {
      faults.push({ line: r.line, message: M.designationMissing });
      continue;
    }
    const key = r.designation.trim().toUpperCase();
    byPart.set(key, [...(byPart.get(key) ?? []), r]);
  }
  for (const mine of byPart.values()) {
    const [first] = mine;
    if (!first) continue;
    const trade = allTrades().find((t) => t.id === first.trade || isCalled(t.words.offer[0], first.trade));
    if (!trade) {
      faults.push({ line: first.line, message: COMMON.thereNoWork({ trade: first.trade }) });
      continue;
    }
    const other = mine.find((r) => r.trade !== first.trade);
    if (other)
      faults.push({
        line: other.line,
        message: M.standsUnderAnotherWorkAbove({ designation: first.designation }),
      });
    const fields = partFields(trade);
    const text: Record<string, string> = {};
    const lineOf = new Map<string, number>();
    for (const r of mine) {
      const field = fields.find((f) => f.name === r.field || isCalled(f.label, r.field));
      if (!field)
        faults.push({
          line: r.line,
          message: M.cardHasNoField({ offer: trade.words.offer[0], field: r.field }),
        });
      else if (lineOf.has(field.name))
        faults.push({
          line: r.line,
          message: M.standsLineAlready({ label: field.label, get: lineOf.get(field.name) }),
        });
      else if (r.value.trim() === '')
        faults.push({ line: r.line, message: M.hasNoValue({ label: field.label }) });
      else {
        // A choice may be told by its words.
        text[field.name] = field.options?.find(([, words]) => isCalled(words, r.value))?.[0] ?? r.value;
        lineOf.set(field.name, r.line);
      }
    }
    const read = readPart(trade, text, 'mm');
    if ('faults' in read)
      for (const [name, message] of Object.entries(read.faults))
        faults.push({ line: lineOf.get(name) ?? first.line, message });
    else if (Object.keys(read.values).length > 0)
      cards.push({
        designation: first.designation.trim(),
        trade: trade.id,
        source: first.source.trim(),
        values: read.values,
        line: first.line,
      });
  }
  faults.sort((a, b) => a.line - b.line);
  return { cards, faults };
}
