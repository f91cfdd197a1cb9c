import { describe, expect, it } from 'vitest';
import { planned } from '../arithmetic/planning/search.ts';
import type { JobEvent } from '../engine/events.ts';
import type { Setup } from '../engine/setup.ts';
import { allTrades, procedureFor, workSteps } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import { MEASURES } from '../steps/condition/condition.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { DAY, job, KNOWN, OUTAGE, SHAFT } from '../testing/outage-stand.ts';
import { handAt } from '../testing/test-stand.ts';
import { circleBy, proposedBindings } from './bindings.ts';
import { durationsOf, foundAt, named, oddsOf, stepsOf, workedByStep } from './durations.ts';
import { kitOf, kitRowKey, laidNow, toolsWanted } from './kit.ts';
import { type Outage, outageSchema } from './outage.ts';
import { minutesFrom, momentAt, shiftSpans } from './shifts.ts';
import { networkOf } from './tasks.ts';
import { difference, saidMinutes, supposed } from './what-if.ts';

describe('pieces of an outage', () => {
  it('every step of every trade belongs to a piece, and every piece has steps of its own somewhere', () => {
    for (const trade of allTrades()) {
      const used = new Set<string>();
      for (const setup of Object.values(trade.example.setups)) {
        const ids = workSteps(setup);
        const pieces = stepsOf(trade.slots.tasks, ids);
        expect(pieces.flatMap((p) => p.steps).sort()).toEqual([...ids].sort());
        for (const p of pieces) used.add(p.task.id);
      }
      expect([...used].sort(), trade.id).toEqual(trade.slots.tasks.map((t) => t.id).sort());
      for (const { id, minutes, hands, finds } of trade.slots.tasks) {
        const [least, likely, most] = minutes;
        expect(least > 0 && least <= likely && likely <= most && hands >= 1, `${trade.id} ${id}`).toBe(true);
        if (finds) expect(finds.odds).toBeGreaterThan(0);
      }
    }
    expect(named('*1', 'headon1') && !named('*1', 'headon2') && named('safe', 'safe')).toBe(true);
  });

  it('with every measure asked for a piece is still one stretch of the work, in the order of the work', () => {
    for (const trade of allTrades())
      for (const [variant, setup] of Object.entries(trade.example.setups)) {
        const all = {
          ...setup,
          condition: { ...(setup as { condition?: object }).condition, measures: MEASURES },
        };
        const steps = procedureFor(('condition' in setup ? all : setup) as Setup).steps;
        const ids = steps.flatMap((s) => (s.kind.signs ? [] : [s.id]));
        expect(
          stepsOf(trade.slots.tasks, ids).flatMap((p) => p.steps),
          `${trade.id}, ${variant}`,
        ).toEqual(ids);
      }
  });

  it('take what the plant’s own sheets took, gaps over an hour left out, once there are three', () => {
    const trade = allTrades().find((t) => t.id === 'sleeve-bearing');
    if (!trade) throw new Error();
    const { tasks } = trade.slots;
    const at = (minutes: number, step: string) =>
      ({ at: new Date(minutes * 60_000).toISOString(), data: { step } }) as unknown as JobEvent;
    // Bench 10 minutes, a dinner of 90, then 20 at the drive-up.
    const sheet = (scale: number) =>
      workedByStep([
        at(0, 'bench'),
        at(10 * scale, 'bench'),
        at(10 * scale + 90, 'driveup'),
        at(30 * scale + 90, 'driveup'),
      ]);
    expect([...sheet(1)]).toEqual([
      ['bench', 10],
      ['driveup', 20],
    ]);
    expect(durationsOf(tasks, [sheet(1), sheet(1)]).driveup).toMatchObject({ likely: 45, sheets: 0 });
    const own = durationsOf(tasks, [sheet(1), sheet(2), sheet(3)]);
    expect(own.driveup).toMatchObject({ likely: 40, sheets: 3 });
    // Three sheets: no narrower than common practice, 25, 45, 90 minutes, in proportion.
    expect(own.driveup?.least).toBeCloseTo((40 * 25) / 45, 6);
    expect(own.driveup?.most).toBeCloseTo(80, 6);
    // A dozen: their own tenth and ninetieth of a hundred.
    const dozen = durationsOf(
      tasks,
      Array.from({ length: 12 }, (_, i) => sheet(1 + i / 11)),
    ).driveup;
    expect(dozen).toMatchObject({ sheets: 12, likely: expect.closeTo(30, 4) });
    expect(dozen?.least).toBeCloseTo(22, 4);
    expect(dozen?.most).toBeCloseTo(38, 4);
    expect(own.measured?.sheets).toBe(0);
    // Written up in a minute at the end of the shift: no work was timed by it.
    expect(durationsOf(tasks, [sheet(1), sheet(2), sheet(0.05), sheet(0.05)]).driveup).toMatchObject({
      sheets: 0,
    });
  });

  it('what was found, and how often, is the plant’s own once eight sheets tell', () => {
    const task = allTrades().find((t) => t.id === 'sleeve-bearing')?.slots.tasks[0];
    if (!task) throw new Error();
    const repeated = [
      { type: 'measure.repeated', data: { step: 'shaft', done: 'dressed' } },
    ] as unknown as JobEvent[];
    const sheet = (found: boolean) => ({
      minutes: new Map([['shaft', 20]]),
      found: foundAt(found ? repeated : []),
    });
    expect(
      oddsOf(
        task,
        Array.from({ length: 7 }, () => sheet(false)),
      ),
    ).toBeNull();
    expect(
      oddsOf(
        task,
        Array.from({ length: 9 }, (_, i) => sheet(i < 3)),
      ),
    ).toBeCloseTo(3.5 / 10, 9);
    expect(
      oddsOf(
        task,
        Array.from({ length: 9 }, () => sheet(false)),
      ),
    ).toBeCloseTo(0.05, 9);
    const known = {
      ...KNOWN,
      durations: { 'sleeve-bearing': { measured: { least: 1, likely: 2, most: 3, sheets: 9, odds: 0.35 } } },
    };
    expect(networkOf(OUTAGE, known).doubts.find((d) => d.id === 'f:measured')?.found?.odds).toBe(0.35);
  });

  it('of a real sheet are all found in its events', () => {
    const { events } = workAll(handAt(EVERY_KIND['by feelers'] as never));
    const steps = workedByStep(events);
    expect([...steps.values()].every((m) => m > 0)).toBe(true);
    expect(steps.has('shaft') && steps.has('driveup')).toBe(true);
  });
});

describe('shifts', () => {
  it('are the plant’s own clock, breaks cut out; on the night the clock is changed an hour is missing', () => {
    expect(shiftSpans(OUTAGE, 0, 'Europe/Berlin').slice(0, 3)).toEqual([
      [0, 180],
      [195, 360],
      [390, 480],
    ]);
    // Night of 27 to 28 March 2027: clocks go from 02:00 to 03:00, so 22:00 to 06:00 is seven hours.
    const nights = {
      ...OUTAGE,
      startsAt: '2027-03-26T12:00:00.000Z',
      endsAt: '2027-03-29T12:00:00.000Z',
      shifts: [{ ...DAY, from: '22:00', to: '06:00', breaks: [] }],
    };
    const lengths = shiftSpans(nights, 0, 'Europe/Berlin')
      .slice(0, 3)
      .map(([f, t]) => t - f);
    expect(lengths).toEqual([480, 420, 480]);
    expect(shiftSpans(nights, 3, 'Europe/Berlin')).toEqual([]);
    expect(momentAt(OUTAGE, minutesFrom(OUTAGE, '2027-03-02T05:30:00.000Z'))).toBe(
      '2027-03-02T05:30:00.000Z',
    );
  });
});

describe('what binds jobs', () => {
  it('is proposed by shaft and trade, and never in a circle', () => {
    const bindings = proposedBindings(OUTAGE.jobs, [SHAFT]);
    const said = bindings.map((b) => `${b.before}${b.after} ${english(b.why)}`);
    expect(said).toContain('df off before on');
    expect(said).toContain('sf surveyed before fitted');
    expect(said).toContain('fg fixed before float');
    expect(bindings.some((b) => b.before === 'p' || b.after === 'p')).toBe(false);
    expect(circleBy(bindings, { before: 'g', after: 'd', why: '' })).toMatchObject({
      id: 'planning.thenTheyWouldWaitEach',
    });
    expect(circleBy(bindings, { before: 'p', after: 'd', why: '' })).toBeNull();
    expect(proposedBindings(OUTAGE.jobs, [SHAFT])).toEqual(bindings);
    // A survey that sets the coupling comes when the seal is in, not before.
    const jobs = [job('c', 'condition.survey', 'Pump 2', 'Coupling'), job('b', 'packing', 'Pump 2', 'Box')];
    const coupling = { c: { condition: { measures: ['coupling'] } } as never };
    expect(proposedBindings(jobs, [], coupling)).toEqual([
      { before: 'b', after: 'c', why: { id: 'planning.sealBeforeCoupling', params: {} } },
    ]);
    expect(proposedBindings(jobs, [])).toEqual([
      { before: 'c', after: 'b', why: { id: 'planning.surveyedBeforeFitted', params: {} } },
    ]);
  });
});

describe('an outage as a network', () => {
  const outage = { ...OUTAGE, bindings: proposedBindings(OUTAGE.jobs, [SHAFT]) };
  it('is planned: order kept, hands that can do it, nothing broken', () => {
    const { network, pieces, wall } = networkOf(outage, KNOWN);
    const plan = planned(network, { looks: 40 });
    expect(plan.broken).toEqual([]);
    expect(plan.end).toBeLessThan(wall);
    const by = new Map(plan.placed.map((p) => [p.id, p]));
    for (const p of plan.placed) {
      const piece = pieces.get(p.id);
      for (const u of p.units) expect(outage.crew.find((c) => c.id === u)?.skills).toContain(piece?.skill);
    }
    expect(by.get('f:measured')?.start).toBeGreaterThanOrEqual(by.get('s:measured')?.finish ?? 0);
    expect(by.get('g:measured')?.start).toBeGreaterThanOrEqual(by.get('f:close')?.finish ?? 0);
  });

  it('what is done or begun stands where it stood, the rest lies ahead of now; a pin holds', () => {
    const at = momentAt(OUTAGE, 600 + 1440);
    const first = momentAt(OUTAGE, 30);
    const last = momentAt(OUTAGE, 70);
    const steps = procedureFor(
      Object.values(allTrades().find((t) => t.id === 'dismounting')?.example.setups ?? {})[0] as never,
    ).steps;
    const pieces = stepsOf(
      allTrades().find((t) => t.id === 'dismounting')?.slots.tasks ?? [],
      steps.flatMap((s) => (s.kind.signs ? [] : [s.id])),
    );
    const begun = Object.fromEntries(
      (pieces[0]?.steps ?? []).map((s) => [s, { first, last, done: true, by: 'Asta' }]),
    );
    const known = { ...KNOWN, at, progress: { d: begun } };
    const pinned = {
      ...outage,
      pins: [{ task: 'p:strip', startsAt: momentAt(OUTAGE, 3000), by: ['bram'] }],
    } as Outage;
    const { network, now, pieces: told } = networkOf(pinned, known);
    const plan = planned(network, { looks: 30 });
    const by = new Map(plan.placed.map((p) => [p.id, p]));
    expect(told.get('d:open')?.state).toBe('done');
    expect(by.get('d:open')).toMatchObject({ start: 30, finish: 70, units: ['asta'] });
    expect(by.get('p:strip')).toMatchObject({ start: 3000, units: ['bram'] });
    for (const p of plan.placed) if (p.id !== 'd:open') expect(p.start).toBeGreaterThanOrEqual(now);
  });

  it('with nobody who can do it says so', () => {
    const bare = { ...outage, crew: outage.crew.filter((c) => c.id !== 'bram') };
    const plan = planned(networkOf(bare, KNOWN).network, { looks: 10 });
    expect(plan.broken.map((b) => b.task)).toEqual(['p:strip', 'p:pack', 'p:breakin']);
  });
});

describe('what if', () => {
  it('changes only what it says, and the difference is told in words', () => {
    const outage = { ...OUTAGE, bindings: proposedBindings(OUTAGE.jobs, [SHAFT]) };
    const plan = (o: Outage) => planned(networkOf(o, KNOWN).network, { looks: 40 });
    const base = plan(outage);
    const wall = minutesFrom(outage, outage.endsAt);
    const told = (o: Outage) =>
      difference(
        outage,
        base.placed,
        plan(o).placed,
        wall,
        (k) => `Job ${k}`,
        (at) => at.slice(0, 16),
      );
    const ill = told(
      supposed(outage, { kind: 'ill', who: 'cora', from: outage.startsAt, to: outage.endsAt }),
    );
    expect(ill.endMinutes).toBeGreaterThan(0);
    expect(ill.words[0]).toMatchObject({ id: 'planning.done' });
    const less = told(supposed(outage, { kind: 'drop', job: 'p' }));
    expect(
      english(less.words.at(-1)) === 'Job p is left out.' || less.words.includes('Job p is left out.'),
    ).toBe(true);
    expect(supposed(outage, { kind: 'drop', job: 'f' }).bindings.some((b) => b.before === 'f')).toBe(false);
    expect(
      supposed(outage, { kind: 'late', tool: 'hydraulic pump', until: outage.endsAt }).tools[0]?.from,
    ).toBe(outage.endsAt);
    expect(supposed(outage, { kind: 'another', tool: 'torque wrench' }).tools[1]?.count).toBe(2);
    expect(supposed(outage, { kind: 'one more', skill: 'seals' }).crew).toHaveLength(4);
    expect(supposed(outage, { kind: 'wall', to: '2027-03-02T13:00:00.000Z' }).endsAt).toBe(
      '2027-03-02T13:00:00.000Z',
    );
    const longer = supposed(outage, { kind: 'longer', minutes: 60 });
    expect(longer.shifts[0]?.to).toBe('15:00');
    expect(told(longer).endMinutes).toBeLessThanOrEqual(0);
    expect([saidMinutes(95), saidMinutes(40), saidMinutes(-120)]).toEqual([
      '1 h 35',
      expect.objectContaining({ params: { m: 40 } }),
      '2 h',
    ]);
  });
});

describe('kit', () => {
  it('adds up over all jobs what their setups say, with who wants it; jobs nobody has told of are named', () => {
    const packing = Object.values(
      allTrades().find((t) => t.id === 'packing')?.example.setups ?? {},
    )[0] as never as {
      partNumber?: string;
    };
    const bearing = { ...(EVERY_KIND['by feelers'] as object), partNumber: '22220 K' };
    const { rows, unknown } = kitOf(OUTAGE, {
      f: bearing as never,
      g: bearing as never,
      p: packing as never,
    });
    expect(unknown.map((j) => j.key)).toEqual(['s', 'd']);
    expect(rows.find((r) => r.group === 'bearings')).toMatchObject({ item: '22220 K', count: 2 });
    const bolts = rows.filter((r) => r.group === 'bolts');
    expect(bolts.reduce((n, r) => n + r.count, 0)).toBeGreaterThanOrEqual(8);
    const rope = rows.find((r) => r.group === 'rope');
    expect(rope?.unit).toBe('mm');
    // No less than the rings themselves: count × cut, and waste.
    expect(rope?.count).toBeGreaterThan(500);
    const { pieces } = networkOf(OUTAGE, KNOWN);
    expect(toolsWanted(OUTAGE, pieces).find((t) => t.tool === 'hydraulic pump')).toMatchObject({
      there: 1,
      pieces: 1,
    });
  });

  it('ticks kept when rows were called by their English are found under what they are called now', () => {
    const { rows } = kitOf(OUTAGE, { p: { ...(EVERY_KIND.packed as object) } as never });
    const row = rows.find((r) => r.group === 'rope');
    if (!row) throw new Error('no rope');
    const said = `rope ${english(row.item)} mm`;
    expect(said).not.toBe(kitRowKey(row));
    expect(laidNow(rows, { [said]: 'Asta' })).toEqual({ [kitRowKey(row)]: 'Asta' });
    expect(laidNow(rows, { [kitRowKey(row)]: 'Imke', other: 'Asta' })).toEqual({
      [kitRowKey(row)]: 'Imke',
      other: 'Asta',
    });
  });
});

describe('an outage as it is written', () => {
  it('is refused in sentences: a wall before the start, a day that is none, two of one key', async () => {
    const faults = async (change: object) =>
      outageSchema.validate({ ...OUTAGE, ...change }, { abortEarly: false }).then(
        () => [],
        (e) => english(e.errors as Text[]),
      );
    expect(await faults({})).toEqual([]);
    expect((await faults({ endsAt: OUTAGE.startsAt })).join()).toMatch(/deadline/);
    expect((await faults({ startsAt: '2027-02-31T05:00' })).join()).toMatch(/day and a time/);
    expect((await faults({ jobs: [OUTAGE.jobs[0], OUTAGE.jobs[0]] })).join()).toMatch(/one key/);
    const round = [
      { before: 'f', after: 'g', why: '' },
      { before: 'g', after: 'f', why: '' },
    ];
    expect((await faults({ bindings: round })).join()).toMatch(/circle/);
    // Struck out it binds nobody.
    expect(await faults({ bindings: [round[0], { ...round[1], off: true }] })).toEqual([]);
    expect((await faults({ jobs: [job('x', 'welding', 'Fan', 'End')] })).join()).toMatch(/no work “welding”/);
    expect((await faults({ tools: [OUTAGE.tools[0], OUTAGE.tools[0]] })).join()).toMatch(/twice/);
    expect((await faults({ endsAt: '2028-03-01T00:00:00Z' })).join()).toMatch(/120 days/);
  });
});
