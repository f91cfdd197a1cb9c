import { pileFigure } from '@fulcrant/core/figures';
import { COMMON } from '@fulcrant/core/messages';
import { endClearance, type SqueezeValues, squeeze, stackKey } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { DrawingView } from '../../figures/DrawingView.tsx';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** Stacks loose and tight, and what each lost. */
function Squeezed({ values: v, active }: { values: SqueezeValues; active: string | undefined }) {
  const say = useSay();
  const { unit } = useSettings();
  const cell = (mm: number | null, key: string) => (
    <td
      className={`figures py-2 pr-6 text-right text-xl ${active === key ? 'border-b-[3px] border-brass' : ''}`}
    >
      {mm === null ? '·' : lengthDigits(mm, unit)}
    </td>
  );
  return (
    <table className="w-full border-collapse">
      <thead>
        <tr className="kicker border-b border-rule text-left">
          <th className="font-normal">{say(M.stack)}</th>
          <th className="pr-6 text-right font-normal">{say(M.loose)}</th>
          <th className="pr-6 text-right font-normal">{say(COMMON.underTorque)}</th>
          <th className="text-right font-normal">{say(M.lost)}</th>
        </tr>
      </thead>
      <tbody>
        {v.pairs.map((p, i) => (
          <tr key={stackKey.write({ how: 'loose', n: i + 1 })} className="border-b border-faint">
            <th className="text-left font-label text-xl font-semibold">{i + 1}</th>
            {cell(p.looseMm, stackKey.write({ how: 'loose', n: i + 1 }))}
            {cell(p.torquedMm, stackKey.write({ how: 'tight', n: i + 1 }))}
            <td className="figures py-2 text-right text-xl">
              {p.looseMm === null || p.torquedMm === null
                ? ''
                : `${((100 * (p.looseMm - p.torquedMm)) / p.looseMm).toFixed(1)} %`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Steps of a gear pump. */
export const views: StepView[] = [
  view(endClearance, {
    Under: ({ values: { told, pieces } }) =>
      told?.stack ? (
        <DrawingView
          drawing={pileFigure({
            title: M.stackPut,
            pile: pieces.map((p, i) => ({ ...p, count: told.stack?.counts[i] ?? 0 })),
          })}
        />
      ) : null,
  }),
  view(squeeze, {
    layout: 'field',
    Figure: ({ values, place }) => <Squeezed values={values} active={place?.key} />,
    Told: ({ values: { told } }) =>
      told ? (
        <p className="m-0 text-lg">
          <Words of={M.stackLoses} /> <span className="figures">{(100 * told.fraction).toFixed(1)} %</span>
          {told.uncertainty === null ? (
            ''
          ) : (
            <Words of={M.right95100({ uncertainty: (200 * told.uncertainty).toFixed(1) })} />
          )}
          .
        </p>
      ) : null,
  }),
];
