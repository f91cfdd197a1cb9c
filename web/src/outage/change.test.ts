import { carriedOn, momentAt, networkOf, type Outage } from '@fulcrant/core/outage';
import { describe, expect, it } from 'vitest';
import { firstCome } from '../../../core/src/arithmetic/planning/search.ts';
import { english } from '../../../core/src/testing/english.ts';
import { KNOWN, OUTAGE } from '../../../core/src/testing/outage-stand.ts';
import { adopted, boundOf, boundSaid, moved, movedOn, saidBroken, unpinned, withPlan } from './change.ts';

const net = networkOf(OUTAGE, KNOWN);
const { placed, end } = firstCome(net.network);
const say = (m: number) => `minute ${Math.round(m)}`;
const at = (id: string) => {
  const found = placed.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
/** A piece that lies ahead, done by hands, with room to be moved later. */
const piece = placed.find((p) => {
  const it = net.pieces.get(p.id);
  return it?.state === 'ahead' && !it.waits && p.units.length > 0;
})?.id as string;

describe('a plan adopted', () => {
  const carried = carriedOn(net.network, placed);
  const with_ = withPlan(OUTAGE, carried, { end: end - 60, by: 'asta' }, OUTAGE.startsAt);

  it('comes back as it was laid, with what nothing can beat', () => {
    expect(adopted(OUTAGE)).toEqual([]);
    expect(adopted(with_).map((p) => p.id)).toEqual(carried.placed.map((p) => p.id));
    expect(adopted(with_)).toEqual(
      carried.placed.map((p) => expect.objectContaining({ id: p.id, start: p.start })),
    );
    expect(boundOf(with_)).toEqual({ end: end - 60, by: 'asta' });
    expect(boundOf(OUTAGE)).toEqual({ end: 0, by: '' });
  });

  it('what has no place is left out of it', () => {
    const it = net.pieces.get(piece);
    // Nobody is left who can do it: every moment that is told is still a real one, and the task is named.
    const nobody = {
      ...OUTAGE,
      crew: OUTAGE.crew.map((c) => ({ ...c, skills: c.skills.filter((s) => s !== it?.skill) })),
    };
    const without = networkOf(nobody, KNOWN);
    const left = movedOn(without, placed);
    expect(left.fault).toBeNull();
    expect(left.placed.map((p) => p.id)).not.toContain(piece);
    for (const p of left.placed) expect(momentAt(OUTAGE, p.finish)).toMatch(/Z$/);
    const named = left.broken.map((b) => saidBroken(without, b, say, left.placed));
    expect(
      named.some(
        (n) => english(n).includes(english(it?.name ?? '-')) && english(n).includes(it?.job.machine ?? '-'),
      ),
    ).toBe(true);
    expect(adopted(withPlan(nobody, left, { end, by: '' }, OUTAGE.startsAt))).toEqual(left.placed);
  });

  it('tasks that wait for each other are named, and nothing throws', () => {
    const [a, b] = [OUTAGE.jobs[0]?.key ?? '', OUTAGE.jobs[1]?.key ?? ''];
    const links = [
      { before: a, after: b, why: 'one way' },
      { before: b, after: a, why: 'and back' },
    ];
    const round = networkOf({ ...OUTAGE, bindings: [...OUTAGE.bindings, ...links] } as Outage, KNOWN);
    const told = movedOn(round, placed);
    expect(told.fault).toMatchObject({ id: 'page.outage.waitForEachOther' });
    for (const job of [OUTAGE.jobs[0], OUTAGE.jobs[1]]) expect(english(told.fault)).toContain(job?.position);
  });

  it('what holds the end is said by the names people use', () => {
    expect(english(boundSaid(OUTAGE, 'asta, torque wrench'))).toBe('Asta, torque wrench');
  });
});

describe('a piece put elsewhere by hand', () => {
  it('is pinned where it was dropped, by whom it was dropped on, and all else goes on round it', () => {
    const later = at(piece).start + 24 * 60;
    const then = moved(OUTAGE, KNOWN, placed, piece, later, null, say);
    if ('refused' in then) throw new Error(english(then.refused));
    const pin = then.outage.pins.find((p) => p.task === piece);
    expect(pin).toEqual({ task: piece, startsAt: momentAt(OUTAGE, later), by: at(piece).units });
    expect(then.planned.placed.find((p) => p.id === piece)?.start).toBe(later);
    expect(then.planned.broken).toEqual([]);
    expect(then.planned.placed.map((p) => p.id).sort()).toEqual(placed.map((p) => p.id).sort());
    // Moved twice it is pinned once; let go, not at all. What it was moved from is as it was.
    const again = moved(then.outage, KNOWN, then.planned.placed, piece, later + 24 * 60, null, say);
    expect('outage' in again && again.outage.pins).toHaveLength(1);
    expect(unpinned(then.outage, piece).pins).toEqual([]);
    expect(OUTAGE.pins).toEqual([]);
  });

  it('is refused in the past, on who cannot do it, and before what it waits for; then nothing is changed', () => {
    const refused = (...by: [piece: string, start: number, unit: string | null]) => {
      const then = moved(OUTAGE, KNOWN, placed, ...by, say);
      return 'refused' in then ? then.refused : null;
    };
    expect(refused(piece, -15, null)).toMatchObject({ id: 'page.outage.liesPast' });
    const skill = net.pieces.get(piece)?.skill ?? '';
    const unable = OUTAGE.crew.find((c) => !c.skills.includes(skill as never));
    expect(refused(piece, at(piece).start, unable?.id ?? null)).toMatchObject({ id: 'page.outage.notDown' });
    expect(refused('no such piece', 60, null)).toMatchObject({ id: 'page.outage.whatBegunDoneNeverMoved' });
    // The last piece of a job cannot begin with the outage: it waits for those before it.
    const last = [...net.pieces.values()].filter((p) => p.job.key === 'f' && !p.waits).at(-1);
    const id = [...net.pieces].find(([, p]) => p === last)?.[0] ?? '';
    expect(refused(id, net.now + 60, null)).toMatchObject({
      id: 'page.outage.waitsFor',
      params: { machine: 'Fan 3' },
    });
  });

  it('at night, when nobody of the crew works, it has no place', () => {
    // Shifts begin at six and end at two: midnight on the plant’s clock is 18 hours after the start.
    const then = moved(OUTAGE, KNOWN, placed, piece, 18 * 60, null, say);
    expect(english('refused' in then ? then.refused : '')).toMatch(/^Fan 3|^Pump 2/);
  });

  it('each way it cannot be is a sentence with the machine in it', () => {
    const other = [...net.pieces.keys()].find((k) => k !== piece) ?? '';
    for (const why of [`waits for ${other}`, 'has no place in its shift', 'is done by nobody'])
      expect(english(saidBroken(net, { task: piece, why }, say, placed))).toMatch(/^(Fan 3|Pump 2), .+\.$/);
    expect(english(saidBroken(net, { task: 'gone', why: 'has no place' }, say, placed))).toBe(
      'gone has no place.',
    );
  });
});

it('an outage with nothing to do stays as it is', () => {
  const empty: Outage = { ...OUTAGE, jobs: [] };
  const nothing = networkOf(empty, KNOWN);
  expect(firstCome(nothing.network).placed).toEqual([]);
  expect('refused' in moved(empty, KNOWN, [], 'x', 0, null, say)).toBe(true);
});
