import { randomUUID } from 'node:crypto';
import type { HandCardKept } from '@fulcrant/core/api';
import type { Instrument } from '@fulcrant/core/instruments';
import { type Database, rowsOf, run } from './database.ts';

type Row = Omit<HandCardKept, 'values' | 'at'> & { readings: string; at: Date | string };

const kept = ({ readings, at, ...card }: Row): HandCardKept => ({
  ...card,
  values: JSON.parse(readings) as number[],
  at: new Date(at).toISOString(),
});

const SELECT = `SELECT h.id, h.person_id AS personId, p.name AS person, h.instrument_id AS instrumentId,
  i.name AS instrument, h.kind, h.step, h.scatter, h.free, h.readings, h.watched_by AS watchedBy, h.at
  FROM hand_cards h JOIN people p ON p.id = h.person_id JOIN instruments i ON i.id = h.instrument_id`;

/** Every hand card, the newest first. */
export const handCardsOf = async (db: Database): Promise<HandCardKept[]> =>
  (await rowsOf<Row>(db, `${SELECT} ORDER BY h.at DESC, h.id`, [])).map(kept);

/** Keep a card of a person. */
export async function keepHandCard(
  db: Database,
  personId: string,
  gauge: Pick<Instrument, 'id' | 'kind' | 'step'>,
  card: { scatter: number; free: number; values: readonly number[]; watchedBy: string | null },
): Promise<HandCardKept> {
  const id = `h-${randomUUID()}`;
  await run(
    db,
    `INSERT INTO hand_cards (id, person_id, instrument_id, kind, step, scatter, free, readings, watched_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, NOW(3))`,
    [
      ...[id, personId, gauge.id, gauge.kind, gauge.step, card.scatter, card.free],
      ...[JSON.stringify(card.values), card.watchedBy],
    ],
  );
  const [row] = await rowsOf<Row>(db, `${SELECT} WHERE h.id = ?`, [id]);
  return kept(row as Row);
}

/** The cards of one person, as readings may name them: any ever made, since a device may have been away for long. */
export async function handsOfPerson(
  db: Database,
  personId: string,
): Promise<Array<Pick<HandCardKept, 'kind' | 'step' | 'scatter' | 'free'>>> {
  return rowsOf(db, 'SELECT kind, step, scatter, free FROM hand_cards WHERE person_id = ?', [personId]);
}
