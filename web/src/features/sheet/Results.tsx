import { type FitUpSheet, formatTorque } from '@fulcrant/core';
import type { ReactNode } from 'react';
import { useSettings } from '../../app/settings.tsx';
import { Length } from '../../ui/Num.tsx';

/** The numbers a reliability engineer asks for a year later. */
export function Results({ sheet }: { sheet: FitUpSheet }) {
  const { unit } = useSettings();
  const r = sheet.results;
  const rows: Array<[string, ReactNode]> = [
    [
      'Shaft, smallest and largest',
      r.smallestMm === null || r.largestMm === null ? (
        '–'
      ) : (
        <>
          <Length key="s" mm={r.smallestMm} unit={false} /> and <Length key="l" mm={r.largestMm} />
        </>
      ),
    ],
    ['Bench clearance', r.benchMm === null ? '–' : <Length key="b" mm={r.benchMm} />],
    ['Reduction', r.reductionMm === null ? '–' : <Length key="r" mm={r.reductionMm} />],
    ['Residual clearance', r.residualMm === null ? '–' : <Length key="c" mm={r.residualMm} />],
    [
      'Nut from snug',
      r.nutDeg === null ? (
        '–'
      ) : (
        <span key="n" className="figures">
          {(r.nutDeg / 360).toFixed(2)} turn
        </span>
      ),
    ],
    [
      'Cap bolts',
      r.torqueNm === null ? (
        '–'
      ) : (
        <span key="t" className="figures">
          {sheet.setup.boltCount} × {sheet.setup.boltSize} {sheet.setup.boltGrade},{' '}
          {formatTorque(r.torqueNm, unit)}
        </span>
      ),
    ],
  ];
  return (
    <dl className="m-0 grid border-l border-t border-faint sm:grid-cols-2 md:grid-cols-3">
      {rows.map(([k, v]) => (
        <div key={k} className="border-b border-r border-faint px-3 py-2">
          <dt className="kicker">{k}</dt>
          <dd className="m-0 text-xl font-medium">{v}</dd>
        </div>
      ))}
    </dl>
  );
}
