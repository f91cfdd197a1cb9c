import { classBand, mountingLimits } from '../../arithmetic/bearings/clearance-table.ts';
import type { StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { listOf } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { asked, item } from '../../steps/questions.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

/** A sheet that stands farther off the table for its bore than this is read again. Our own choice. */
const FAR = 1.6;

type Doubted = { id: string; what: Text; saidMm: number[]; tableMm: readonly [number, number] };

/** Values typed from the maker's sheet, each with the table's for this bore and taper; the sheet outranks it, a slip does not. */
function compared(setup: SleeveSetup): Doubted[] {
  const { maker, boreMm, taper, clearanceClass } = setup;
  if (!(boreMm > 18 && boreMm <= 500)) return [];
  const said = (...values: Array<number | undefined>) => values.filter((v) => v !== undefined);
  const table = mountingLimits(boreMm, clearanceClass, taper);
  const band = classBand(boreMm, clearanceClass);
  const bench: Doubted = {
    id: 'bench',
    what: M.benchClearance2,
    saidMm: said(maker.benchLowerMm, maker.benchUpperMm),
    tableMm: [band.lowerMm, band.upperMm],
  };
  if (!table) return [bench];
  const { travelMm, reductionMinMm, reductionMaxMm } = table;
  return [
    bench,
    {
      id: 'reduction',
      what: COMMON.reduction2,
      saidMm: said(maker.reductionMinMm, maker.reductionMaxMm),
      tableMm: [reductionMinMm, reductionMaxMm],
    },
    ...(travelMm
      ? [
          {
            id: 'driveup',
            what: M.driveUp2,
            saidMm: said(maker.driveUpMinMm, maker.driveUpMaxMm),
            tableMm: travelMm,
          },
        ]
      : []),
  ];
}

/** What of the sheet lies more than a factor 1.6 off the table for this bore and taper. */
export const farOff = (setup: SleeveSetup): Doubted[] =>
  compared(setup).filter(({ saidMm, tableMm: [low, high] }) =>
    saidMm.some((v) => v > FAR * high || v < low / FAR),
  );

/** The sheet read once more, by name, where what was typed from it is far off every table: a decimal place slips easily. */
export function sheetAgainStep(setup: SleeveSetup): StepDefinition<SleeveSetup>[] {
  const far = farOff(setup);
  if (far.length === 0) return [];
  return [
    asked(
      'sheetagain',
      M.sheetReadAgain,
      M.whatTypedFromMakersSheet,
      far.map(({ id, what, saidMm, tableMm }) =>
        item(
          COMMON.sheet,
          id,
          M.sheetsTableBoreHasDecimal({
            what,
            said: listOf(
              saidMm.map((v) => len(v)),
              ' to ',
            ),
            bore: len(setup.boreMm, 0),
            table: len(tableMm[0]),
            table2: len(tableMm[1]),
          }),
          { note: true, remedy: M.correctValueUnderMakersSheet },
        ),
      ),
    ),
  ];
}
