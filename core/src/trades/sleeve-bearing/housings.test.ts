import { describe, expect, it } from 'vitest';
import { setupSchema } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { USUAL_PARTS } from '../../steps/bearing/bearing-setup.ts';
import { english } from '../../testing/english.ts';
import { hand, refuses, setup, step } from '../../testing/test-stand.ts';
import { dismounting } from '../dismounting/procedure.ts';
import { USUAL_DISMOUNT } from '../dismounting/setup.ts';
import { splitBearing } from '../split-bearing/procedure.ts';
import { USUAL_SPLIT } from '../split-bearing/setup.ts';
import { sleeveBearing } from './procedure.ts';
import type { SleeveSetup } from './setup.ts';

const named = { machine: 'M', position: 'P' };
const order = (change: Partial<SleeveSetup>) => sleeveBearing({ ...setup, ...change }).steps;
const ids = (change: Partial<SleeveSetup>) => order(change).map((s) => s.id);
const asks = (change: Partial<SleeveSetup>, id: string) =>
  english(
    order(change)
      .find((s) => s.id === id)
      ?.items?.map((i) => i.ask),
  )?.join('\n') ?? '';
const housing = (kind: 'split' | 'one-piece' | 'flanged' | 'take-up'): Partial<SleeveSetup> => ({
  ...USUAL_PARTS,
  closing: { housing: kind, order: 'room', seals: 'labyrinth', rings: 'both' },
});

// Common practice, no source: what each kind of housing has, and in which order hands go.
describe('housings by kind', () => {
  it('only a split block has a cap: the others are asked for no cap bolts, halves or joint', () => {
    expect(ids(housing('split'))).toContain('bolts');
    expect(asks(housing('split'), 'house')).toMatch(/match marks/);
    for (const kind of ['one-piece', 'flanged', 'take-up'] as const) {
      expect(ids(housing(kind)), kind).not.toContain('bolts');
      expect(asks(housing(kind), 'house'), kind).not.toMatch(/cap|halves|joint seal strip/i);
      expect(asks(housing(kind), 'carriers'), kind).not.toMatch(/cap/i);
    }
    expect(asks(housing('take-up'), 'house')).toMatch(/frame/);
    expect(order(housing('flanged')).find((s) => s.id === 'base')?.title).toMatchObject({
      id: 'common.flangeBolts',
    });
  });

  it('no seal is asked whether it binds before the housing is closed', () => {
    expect(asks(housing('split'), 'house')).not.toMatch(/binds/);
    expect(asks(housing('split'), 'carriers')).toMatch(/seal rings free/);
    const at = ids(housing('split'));
    expect(at.indexOf('carriers')).toBeGreaterThan(at.indexOf('bolts'));
  });

  it('carrier bolts and ring screws go bolt by bolt where the sheet has them', () => {
    const screws = { size: 'M8', grade: '8.8', count: 4, friction: 'oiled', makerTorqueNm: 12 } as const;
    const with_ = { ...housing('split'), carrierBolts: screws, ringScrews: { ...screws, count: 2 } };
    expect(ids(with_)).toEqual(expect.arrayContaining(['carrierbolts', 'carriers', 'ringscrews']));
    expect(asks(with_, 'carriers')).not.toMatch(/to torque/);
    expect(asks(housing('split'), 'carriers')).toMatch(/Seal holder bolts to torque/);
  });

  it('the inboard side is looked to after the shaft has passed and before the bearing', () => {
    for (const school of ['feelers', 'nut-angle', 'hydraulic'] as const) {
      const at = ids({ driveUp: { school } });
      expect(at.indexOf('inboard'), school).toBe(at.indexOf('shaft') + 1);
      expect(at.indexOf('inboard'), school).toBeLessThan(at.indexOf('fit'));
      expect(asks({ driveUp: { school } }, 'fit'), school).toMatch(
        /taper in the bearing: wiped dry[\s\S]*Bearing set back/,
      );
    }
    expect(asks({ filmTaper: 'oiled' }, 'fit')).toMatch(
      /bore on the shaft: wiped dry[\s\S]*taper in the bearing: a light film/,
    );
    expect(asks({ driveUp: { school: 'hydraulic' } }, 'safe')).toMatch(/Hydraulic nut/);
    expect(asks({}, 'safe')).not.toMatch(/Hydraulic nut/);
  });

  it('burrs are filed after the lock that raises them', () => {
    expect(asks({ driveUp: { school: 'hydraulic' } }, 'release')).not.toMatch(/burr/i);
    expect(asks({ driveUp: { school: 'hydraulic' } }, 'lock')).toMatch(/Burrs/);
  });

  it('a split bearing is closed by questions of its own', () => {
    const split = (seals: 'labyrinth' | 'packed' | 'lip') =>
      splitBearing({ ...USUAL_SPLIT, ...named, seals }).steps;
    expect(split('labyrinth').map((s) => s.id)).not.toEqual(expect.arrayContaining(['house']));
    const words = (seals: 'labyrinth' | 'packed' | 'lip') =>
      english(
        split(seals)
          .flatMap((s) => s.items ?? [])
          .map((i) => i.ask),
      ).join('\n');
    expect(words('labyrinth')).not.toMatch(/fixing ring|chamfer|grub/i);
    expect(words('labyrinth')).toMatch(/Middle rib/);
    expect(words('packed')).toMatch(/Ends meet/);
    expect(words('lip')).toMatch(/Split lip/);
  });

  it('a dismounting looks at the grease with the cap off, and a unit of one nut has no other', () => {
    const found = (twoNuts: boolean) =>
      dismounting({
        ...USUAL_DISMOUNT,
        ...named,
        design: 'hydraulic',
        twoNuts,
        maker: { dismountAbortMpa: 40 },
      })
        .steps.find((s) => s.id === 'found')
        ?.items?.map((i) => i.id);
    expect(found(false)?.[0]).toBe('cap');
    expect(found(false)).not.toContain('nuts');
    expect(found(true)).toContain('nuts');
  });
});

describe('a sheet far off its table', () => {
  it('is read again by name: 12.4 to 12.6 at bore 200, tabled 1.4 to 2.0 (general bearing handbooks, from memory)', () => {
    const far: Partial<SleeveSetup> = {
      boreMm: 200,
      driveUp: { school: 'hydraulic' },
      maker: { startPressureMpa: 3, driveUpMinMm: 12.4, driveUpMaxMm: 12.6 },
    };
    expect(asks(far, 'sheetagain')).toMatch(/12\.4.* to .*12\.6.*1\.4.* to .*2/);
    const near = { ...far, maker: { startPressureMpa: 3, driveUpMinMm: 1.24, driveUpMaxMm: 1.26 } };
    expect(ids(near)).not.toContain('sheetagain');
    expect(ids({ maker: { reductionMinMm: 0.45, reductionMaxMm: 0.6 } })).toContain('sheetagain');
  });

  it('holds the job until what the sheet says is written down', () => {
    const h = hand({ maker: { benchLowerMm: 0.8, benchUpperMm: 1.1 } }).safe();
    expect(h.state.present).toBe('sheetagain');
    refuses(() => h.answer('sheetagain', 'bench', 'yes'), /Write down/);
    h.answer('sheetagain', 'bench', 'yes', '0.80 to 1.10, by the sheet').pass('sheetagain');
    expect(step(h, 'sheetagain').status).toBe('done');
  });
});

it('a first fill asks for no number nobody has: the sheet’s grams, or a share that is seen', () => {
  const grease = (g: object) => check(setupSchema, { ...setup, grease: g });
  for (const school of ['to-shaft', 'by-speed', 'share'])
    expect(grease({ how: 'fill', school }).ok, school).toBe(true);
  const asked = (g: object) => ids({ grease: { school: 'by-speed', ...g } as never });
  // On unless the unit came greased or runs in oil: then it says which.
  expect(asked({ how: 'fill' })).toContain('grease');
  expect(asks({ grease: { how: 'greased', school: 'by-speed' } }, 'grease')).toMatch(/housing seals only/);
  expect(asks({ grease: { how: 'oil', school: 'by-speed' } }, 'grease')).toMatch(/Oil filled to the mark/);
  expect(USUAL_PARTS.grease).toMatchObject({ how: 'fill' });
});
