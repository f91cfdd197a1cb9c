import type { BoxBoreStepValues, BoxFaceStepValues, FitUpSheet, RunoutStepValues } from '@fulcrant/core';
import { BoreFigure, FaceFigure } from '../../figures/BoxFigures.tsx';
import { RunoutFigure } from '../../figures/RunoutFigure.tsx';

/** The turns of the indicator as they were drawn while they were read, for the sheet. */
export function SheetFigures({ sheet }: { sheet: FitUpSheet }) {
  const report = (id: string) => sheet.steps.find((s) => s.id === id) ?? null;
  const before = (id: string) => report(id)?.before?.at(-1)?.values ?? null;
  const runout = report('runout')?.values as RunoutStepValues | undefined;
  const face = report('face')?.values as BoxFaceStepValues | undefined;
  const bore = report('bore')?.values as BoxBoreStepValues | undefined;
  if (!('shaftMm' in sheet.setup)) return null;
  const { shaftMm, seatMm } = sheet.setup;
  const frame = 'mx-auto max-w-3xl break-inside-avoid px-4 pt-3';
  return (
    <>
      {runout?.stations.some((s) => s.readings.length > 0) && (
        <div className={frame}>
          <RunoutFigure
            values={runout}
            before={before('runout') as RunoutStepValues | null}
            shaftMm={shaftMm}
            seatMm={seatMm}
            active={null}
          />
        </div>
      )}
      {face && face.readings.length > 0 && (
        <div className={frame}>
          <FaceFigure
            values={face}
            before={before('face') as BoxFaceStepValues | null}
            shaftMm={shaftMm}
            active={null}
          />
        </div>
      )}
      {bore && bore.readings.length > 0 && (
        <div className={frame}>
          <BoreFigure
            values={bore}
            before={before('bore') as BoxBoreStepValues | null}
            shaftMm={shaftMm}
            active={null}
          />
        </div>
      )}
    </>
  );
}
