import { afterAll, beforeAll, expect, it } from 'vitest';
import { drillsOf } from '../../../packages/practice/src/decks.ts';
import { type Caller, caller, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let oskar: Caller;
beforeAll(async () => {
  house = await openHouse();
  [asta, oskar] = await Promise.all([caller(house.url, 'Asta'), caller(house.url, 'Oskar')]);
});
afterAll(() => house?.close());

it('drills are kept for each person by what was right; nobody sees another’s', async () => {
  const [first, second] = drillsOf('fraction');
  const at = new Date().toISOString();
  const told = await asta('POST', '/api/practice/drills', {
    answers: [
      { id: first?.id, right: 1, at },
      { id: second?.id, right: 0, at },
      { id: 'no/such/drill', right: 1, at },
    ],
  });
  expect(told.status).toBe(200);
  const kept = (await asta('GET', '/api/practice/drills')).body.kept as Array<{
    id: string;
    due: string;
    right: number;
  }>;
  expect(kept.map((k) => k.id).sort()).toEqual([first?.id, second?.id].sort());
  const due = (id?: string) => kept.find((k) => k.id === id)?.due ?? '';
  expect(due(second?.id) < due(first?.id)).toBe(true);
  expect((await oskar('GET', '/api/practice/drills')).body.kept).toEqual([]);
  // A viewer may practise too; what is no answer is refused, a clock far ahead counts as now.
  const ahead = await oskar('POST', '/api/practice/drills', {
    answers: [{ id: first?.id, right: 1, at: '2099-01-01T00:00:00.000Z' }],
  });
  expect(ahead.body.kept[0].due < '2050').toBe(true);
  expect((await oskar('POST', '/api/practice/drills', { answers: [] })).status).toBe(400);
  expect(
    (await oskar('POST', '/api/practice/drills', { answers: [{ id: first?.id, right: 2, at }] })).status,
  ).toBe(400);
  // Practice is no job: nothing of it is on the board, or due.
  expect((await asta('GET', '/api/due')).body.due.some((d: { what: string }) => /drill/i.test(d.what))).toBe(
    false,
  );
});
