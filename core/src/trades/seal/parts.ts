import type { GateItem, StepDefinition } from '../../engine/step.ts';
import type { BoltSpec } from '../../steps/bolt-passes.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { item } from '../../steps/questions.ts';
import type { SealSetup } from './setup.ts';
import { splitGaps } from './small.ts';

/** Orders of size, to catch a slip of unit: 20 to 30 lbf·ft, 50 to 60 lbf·in. Common practice, no source. */
const USUAL_GLAND_NM = [27, 41] as const;
const USUAL_SCREW_NM = [5.6, 6.8] as const;

const sheetSet =
  (what: string, spec: (s: SealSetup) => Partial<BoltSpec> & { count: number }) =>
  (setup: SealSetup): BoltSpec => ({ what, layout: 'circle', ...spec(setup) });

/** Gland bolts, evenly and crosswise. */
export const glandBolts = (
  title = 'Gland bolts',
  guide = 'Evenly, crosswise, pass by pass, to the sheet’s torque.',
  snug = false,
) =>
  ({
    id: 'glandbolts',
    title,
    needs: snug ? [] : ['glandNm'],
    kind: boltsStep(
      sheetSet(title, (s) => ({
        count: s.glandBolts,
        ...(snug
          ? { snug: true as const }
          : { makerTorqueNm: s.glandNm, makerMostNm: s.glandMostNm, usualNm: USUAL_GLAND_NM }),
      })),
    ),
    guide,
  }) satisfies StepDefinition<SealSetup>;

/** Set screws: every dog point before the first cup point. */
export const setScrews = (more: Partial<StepDefinition<SealSetup>> = {}): StepDefinition<SealSetup> => ({
  id: 'screws',
  title: 'Set screws',
  needs: ['screwNm'],
  kind: boltsStep(
    sheetSet('Set screws', (s) => ({
      count: (s.dogs ?? 0) + (s.cups ?? 0),
      dogs: s.dogs ?? 0,
      makerTorqueNm: s.screwNm,
      makerMostNm: s.screwMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide: 'Dog points first, all of them, then cup points: by hand, then to torque, crosswise.',
  closes: 'Once the screws bite, the impeller is adjusted only with the clips back in and the screws loose.',
  ...more,
});

/** How many screws hold the rotary: dog points and cup points together. */
export const screwsOf = (s: SealSetup): number => (s.dogs ?? 0) + (s.cups ?? 0);

/** Drive screws of a clamped seal: they have no points told apart. */
export const driveScrews: StepDefinition<SealSetup> = {
  id: 'screws',
  title: 'Drive screws',
  needs: ['screwNm'],
  kind: boltsStep(
    sheetSet('Drive screws', (s) => ({
      count: screwsOf(s),
      makerTorqueNm: s.screwNm,
      makerMostNm: s.screwMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide: 'The rotating halves on their pins; drive screws alternately, to the sheet’s torque.',
};

/** Joint screws of a split part, drawn side about so that both splits close alike. */
export const jointScrews = (
  id: string,
  title: string,
  guide: string,
  more: Partial<StepDefinition<SealSetup>> = {},
): StepDefinition<SealSetup> => ({
  id,
  title,
  needs: ['jointNm'],
  kind: boltsStep(
    sheetSet(title, (s) => ({
      count: s.jointScrews ?? 2,
      makerTorqueNm: s.jointNm,
      makerMostNm: s.jointMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide,
  ...more,
});

/** Both gaps of a split part, felt after its screws. */
export const gapsStep = (title: string): StepDefinition<SealSetup> => ({
  id: 'splitgaps',
  title,
  kind: splitGaps,
  guide: 'The same blade at both splits. One side drawn more holds the seal askew on the shaft.',
  repeatWord: 'Drawn again',
});

/** Ends of an O-ring at its split, by the house’s school. */
export const oRingEnds = (setup: SealSetup, id: string, which: string): GateItem =>
  item(
    'O-rings',
    id,
    setup.oRings === 'proud'
      ? `${which} O-ring’s ends stand a little proud of the split; not pushed in, not far out.`
      : `${which} O-ring’s ends lie flush with the split; too far in is as bad as proud.`,
  );
