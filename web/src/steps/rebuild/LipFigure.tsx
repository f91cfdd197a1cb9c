import { LIP_WAYS, type LipValues, type LipWay } from '@fulcrant/core/calculators';
import { COMMON, sameText, textKey } from '@fulcrant/core/messages';
import { Button } from '../../ui/controls.tsx';
import { useSay, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';

type Lip = LipValues['lips'][number];
type Props = { values: LipValues; open: boolean; onFit(lip: string, way: LipWay): void };

/** A lip seal in section on its shaft, the pump at the left: its lip leans to the side it holds. */
function LipSection({ lip }: { lip: Lip }) {
  const way = lip.fitted ?? lip.wants;
  const wrong = lip.fitted !== null && lip.fitted !== lip.wants;
  const flip = way === 'inward' ? undefined : 'translate(96 0) scale(-1 1)';
  const line = {
    fill: lip.fitted === null ? 'none' : wrong ? 'var(--paper)' : 'var(--shade)',
    stroke: wrong ? 'var(--stop)' : lip.fitted === null ? 'var(--brass)' : 'var(--ink)',
    strokeWidth: wrong ? 3.5 : 2,
    strokeDasharray: lip.fitted === null ? '5 4' : undefined,
    strokeLinejoin: 'round' as const,
  };
  return (
    <svg viewBox="0 0 96 78" className="mx-auto block h-20" aria-hidden="true">
      <line x1="0" x2="96" y1="68" y2="68" stroke="var(--ink)" strokeWidth="2" />
      <g transform={flip}>
        <path d="M62 10H30V24H48L26 64L34 68L62 30z" {...line} />
        {lip.fitted !== null && (
          <circle cx="49" cy="56" r="5" fill="none" stroke={line.stroke} strokeWidth="2" />
        )}
      </g>
    </svg>
  );
}

/** Every lip seal of the pump on one drawing, place by place, ticked with the way its lip faces as it is fitted. */
export function LipFigure({ values, open, onFit }: Props) {
  const say = useSay();
  const places = [...new Map(values.lips.map((l) => [textKey(l.where), l.where])).values()];
  return (
    <div className="flex flex-col" data-figure="lips">
      <p className="kicker m-0 flex justify-between border-b border-rule pb-1">
        <span>{say(M.intoPump)}</span>
        <span>{say(M.dashedStillFitAsDrawn)}</span>
        <span>{say(M.out)}</span>
      </p>
      {places.map((where) => (
        <section
          key={textKey(where)}
          className="grid grid-cols-[7rem_1fr] items-stretch border-b border-faint"
        >
          <h2 className="m-0 flex items-center border-r-[10px] border-shade pr-2 font-label text-lg font-semibold leading-tight">
            <Words of={where} />
          </h2>
          <ul className="m-0 grid list-none grid-cols-2 p-0 md:grid-cols-4">
            {values.lips
              .filter((l) => sameText(l.where, where))
              .map((l) => (
                <li
                  key={l.id}
                  data-item={l.id}
                  data-fitted={l.fitted ?? 'none'}
                  className="flex flex-col px-1 py-1.5"
                >
                  <LipSection lip={l} />
                  <span className="text-center text-[0.95rem] leading-tight">
                    <Words of={l.name} />
                  </span>
                  <span className="mt-1 grid grid-cols-2 gap-1">
                    {LIP_WAYS.map((way) => (
                      <Button
                        key={way}
                        disabled={!open}
                        aria-pressed={l.fitted === way}
                        aria-label={`${say(where)}, ${say(l.name)}: ${say(way === 'inward' ? COMMON.inward : COMMON.outward)}`}
                        weight={l.fitted === way ? (way === l.wants ? 'solid' : 'stop') : 'line'}
                        className="!px-1"
                        onClick={() => onFit(l.id, way)}
                      >
                        {way === 'inward' ? say(M.inText) : say(M.out)}
                      </Button>
                    ))}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
