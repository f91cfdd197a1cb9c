import { MARK_NAME } from '../../arithmetic/seals/angles.ts';
import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { type ClockLine, clockFigure } from '../../steps/figures/clock.ts';
import { raceFigure } from '../../steps/figures/race.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { angles, portsStep } from './angles.ts';
import { keptFigure } from './kept-figure.ts';
import { compression, sealSettingStep } from './setting.ts';
import { sealSettingFigure } from './setting-figure.ts';
import { kept } from './setting-kept.ts';
import { shimsFigure } from './shims-figure.ts';
import { baselines, gasStep, splitGaps, sweepMiddle, throttleStep } from './small.ts';
import { baselineFigure, gasFigure, throttleFigure } from './small-figures.ts';

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** Figures of a seal. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  figureOf(sealSettingStep, ({ values, place, typed }) =>
    sealSettingFigure({ values, active: place?.key, typed }),
  ),
  figureOf(compression, ({ values, place, typed }) => {
    const impeller = place?.key === 'impeller';
    return sealSettingFigure({
      values,
      active: impeller ? undefined : place?.key,
      typed: impeller ? null : typed,
    });
  }),
  // Splits and seams on the clock face, with what each pair comes to.
  figureOf(angles, ({ values: v, place, typed, turns }) => {
    const clash = (key: string) => v.pairs.some((p) => p.offDeg > 0 && (p.a === key || p.b === key));
    const lines = v.pairs.flatMap((p): ClockLine[] =>
      p.betweenDeg === null
        ? []
        : [
            {
              text: `${cap(MARK_NAME[p.a])} to ${MARK_NAME[p.b]}: ${p.betweenDeg.toFixed(0)}°${
                p.offDeg > 0 ? `, turn by ${p.offDeg.toFixed(0)}°` : ''
              }`,
              tone: p.offDeg > 0 ? 'stop' : 'muted',
            },
          ],
    );
    return clockFigure({
      marks: v.marks.map((m) => ({
        key: m.mark,
        name: m.name,
        deg: m.deg,
        across: m.mark.endsWith('split'),
        bad: clash(m.mark),
      })),
      active: place?.key ?? null,
      typedDeg: typed,
      turns,
      lines,
      note: 'end view from outboard; splits run right across, seams are at one place',
    });
  }),
  // Barrier ports on the clock face, and where they are wanted.
  figureOf(portsStep, ({ setup, values: v, place, typed, turns }) =>
    clockFigure({
      marks: [
        { key: 'inlet', name: 'inlet', deg: v.placed.inletDeg, across: false },
        { key: 'outlet', name: 'outlet', deg: v.placed.outletDeg, across: false },
      ],
      active: place?.key ?? null,
      typedDeg: typed,
      turns,
      lines: [
        {
          text: `Turns ${setup.rotation ?? 'clockwise'}, seen from the ${(setup.seenFrom ?? 'drive-end').replace('-', ' ')}`,
          tone: 'ink',
        },
        { text: 'Lower port in, upper out: it vents', tone: 'muted' },
      ],
      wanted: [
        { deg: v.inletDeg, word: 'in' },
        { deg: v.outletDeg, word: 'out' },
      ],
      note: 'dashed: where rotation and view want them',
    }),
  ),
  figureOf(splitGaps, ({ values: v, setup, place }) =>
    raceFigure({
      what: 'split',
      values: {
        raceMm: { a: v.aMm, b: v.bMm },
        ringMm: null,
        ring2Mm: null,
        offsetDeg: null,
        offsetWantedDeg: 90,
      },
      shaftMm: setup.shaftMm,
      place: place?.key,
    }),
  ),
  figureOf(baselines, ({ values, setup, typed }) =>
    baselineFigure({ mm: typed ?? values.baselineMm, pins: setup.family === 'clamp-split' }),
  ),
  figureOf(sweepMiddle, shimsFigure),
  figureOf(kept, ({ values, typed, place }) => keptFigure({ values, typed, place: place?.key ?? null })),
  figureOf(throttleStep, ({ values, place }) => throttleFigure({ values, active: place?.key })),
  figureOf(gasStep, ({ values, setup, typed }) =>
    gasFigure({ values, processMpa: setup.processMpa ?? 0, typed }),
  ),
];
