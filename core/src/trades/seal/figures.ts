import { MARK_NAME } from '../../arithmetic/seals/angles.ts';
import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { COMMON } from '../../message/common/messages.ts';
import { starting } from '../../message/message.ts';
import { type ClockLine, clockFigure } from '../../steps/figures/clock.ts';
import { raceFigure } from '../../steps/figures/race.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { angles, portsStep } from './angles.ts';
import { keptFigure } from './kept-figure.ts';
import { M } from './messages.ts';
import { compression, sealSettingStep } from './setting.ts';
import { sealSettingFigure } from './setting-figure.ts';
import { kept } from './setting-kept.ts';
import { shimsFigure } from './shims-figure.ts';
import { baselines, gasStep, splitGaps, sweepMiddle, throttleStep } from './small.ts';
import { baselineFigure, gasFigure, throttleFigure } from './small-figures.ts';

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
              text: M.to2({
                markName: starting(MARK_NAME[p.a]),
                mark_name2: MARK_NAME[p.b],
                between: p.betweenDeg.toFixed(0),
                off: p.offDeg > 0 ? M.turn({ off: p.offDeg.toFixed(0) }) : '',
              }),
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
      note: M.endViewFromOutboardSplits,
    });
  }),
  // Barrier ports on the clock face, and where they are wanted.
  figureOf(portsStep, ({ setup, values: v, place, typed, turns }) =>
    clockFigure({
      marks: [
        { key: 'inlet', name: M.inlet, deg: v.placed.inletDeg, across: false },
        { key: 'outlet', name: M.outlet, deg: v.placed.outletDeg, across: false },
      ],
      active: place?.key ?? null,
      typedDeg: typed,
      turns,
      lines: [
        ...(setup.rotation && setup.seenFrom
          ? [
              {
                text: M.turnsSeenFrom({
                  rotation: setup.rotation,
                  replace: setup.seenFrom.replace('-', ' '),
                }),
                tone: 'ink' as const,
              },
            ]
          : []),
        { text: M.lowerPortUpperOutVents, tone: 'muted' },
      ],
      wanted: [
        { deg: v.inletDeg, word: M.inWord },
        { deg: v.outletDeg, word: COMMON.outWord },
      ],
      note: M.dashedWhereRotationViewWant,
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
