import { describe, expect, it } from 'vitest';
import { planned } from '../arithmetic/planning/search.ts';
import type { Setup } from '../engine/setup.ts';
import { allTrades } from '../engine/trades.ts';
import { DAY, ID, job, OUTAGE } from '../testing/outage-stand.ts';
import { kitOf, toolsWanted } from './kit.ts';
import { type Outage, outageSchema } from './outage.ts';
import { networkOf } from './tasks.ts';

describe('hold points and the reach of wrenches', () => {
  const setup = Object.values(
    allTrades().find((t) => t.id === 'sleeve-bearing')?.example.setups ?? {},
  )[0] as Setup;
  const alone = { ...OUTAGE, jobs: [job('f', 'sleeve-bearing', 'Fan 3', 'Drive end', ID(1))], bindings: [] };
  const known = (held: string[]) => ({
    zone: 'UTC',
    at: '2027-03-01T05:00:00.000Z',
    setups: { f: { ...setup, holdBefore: held } as Setup },
  });

  it('a piece with a hold point in it is done while a lead hand is there, not before', () => {
    const night = { ...DAY, name: 'Late', from: '14:00', to: '22:00', breaks: [] };
    const crew = [
      ...OUTAGE.crew,
      { id: 'dora', name: 'Dora', skills: ['leading' as const], shift: 1, away: [] },
    ];
    const led: Outage = { ...alone, shifts: [DAY, night], crew };
    const held = networkOf(led, known(['driveup']));
    const of = (net: typeof held, task: string) => net.network.tasks.find((t) => t.id === `f:${task}`);
    expect(held.pieces.get('f:driveup')?.hold).toBe(true);
    expect(of(held, 'driveup')?.within?.[0]).toEqual([9 * 60, 17 * 60]);
    expect(of(held, 'bench')?.within).toBeUndefined();
    // The fitters of the early shift and the lead hand of the late one never meet: nobody can do it, and that is said.
    const plan = planned(held.network, { looks: 3 });
    expect(plan.broken.map((b) => b.task)).toContain('f:driveup');
    const both = networkOf({ ...led, crew: crew.map((c) => ({ ...c, shift: 0 })) }, known(['driveup']));
    expect(planned(both.network, { looks: 3 }).broken).toEqual([]);
    // With nobody of the crew leading, somebody from outside releases: it is not waited for.
    expect(of(networkOf(alone, known(['driveup'])), 'driveup')?.within).toBeUndefined();
    expect(networkOf(led, known([])).pieces.get('f:driveup')?.hold).toBe(false);
  });

  it('a piece takes the narrowest wrench that reaches its torque; where none does that is said, and not waited for', () => {
    const trade = allTrades().find((t) => t.id === 'sleeve-bearing');
    const nm = trade?.slots.torqueNm?.(setup) ?? 0;
    expect(nm).toBeGreaterThan(5);
    const tools = (ranges: Array<[number, number]>): Outage => ({
      ...alone,
      tools: ranges.map(([least, most]) => ({ name: 'torque wrench', count: 1, least, most })),
    });
    const wrench = (o: Outage) => {
      const net = networkOf(o, known([]));
      const [id, piece] = [...net.pieces].find(([, p]) => p.tools.includes('torque wrench')) ?? [];
      const pools = net.network.tasks.find((t) => t.id === id)?.pools ?? {};
      return { taken: Object.keys(pools).filter((k) => k.includes('wrench')), short: piece?.short };
    };
    const reach = tools([
      [nm * 2, nm * 4],
      [0, nm * 20],
      [nm / 2, nm * 1.5],
    ]);
    expect(wrench(reach).taken).toEqual([`torque wrench ${nm / 2}–${nm * 1.5} N·m`]);
    expect(wrench(tools([[nm * 2, nm * 3]]))).toEqual({ taken: [], short: ['torque wrench'] });
    const out = networkOf(tools([[nm * 2, nm * 3]]), known([]));
    expect(toolsWanted(tools([[nm * 2, nm * 3]]), out.pieces)).toContainEqual(
      expect.objectContaining({ tool: 'torque wrench', there: 1, outOfReach: expect.any(Number) }),
    );
    expect(outageSchema.isValidSync(tools([[40, 20]]))).toBe(false);
    expect(
      outageSchema.isValidSync(
        tools([
          [20, 40],
          [20, 40],
        ]),
      ),
    ).toBe(false);
    expect(outageSchema.isValidSync(reach)).toBe(true);
  });

  it('the kit has a gear pump’s gaskets and a vane pump’s shims, so many of each thickness', () => {
    const first = (trade: string, more: object) => ({
      ...(Object.values(allTrades().find((t) => t.id === trade)?.example.setups ?? {})[0] as Setup),
      ...more,
    });
    const o = { ...alone, jobs: [job('g', 'gear-pump', 'P1', 'Pump'), job('v', 'vane-pump', 'P2', 'Pump')] };
    const { rows } = kitOf(o, {
      g: first('gear-pump', {
        thinMm: 0.05,
        thinCount: 6,
        middleMm: 0.1,
        middleCount: 4,
        thickMm: undefined,
      }) as Setup,
      v: first('vane-pump', { thinMm: 0.1, thinSpare: 3, middleMm: undefined, thickMm: undefined }) as Setup,
    });
    const short = rows
      .filter((r) => r.group === 'gaskets' || r.group === 'shims')
      .map((r) => [r.group, r.count]);
    expect(short).toEqual([
      ['gaskets', 6],
      ['gaskets', 4],
      ['shims', 3],
    ]);
  });
});
