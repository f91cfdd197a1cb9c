import type { ShaftCardBody } from '@fulcrant/core/api';
import { formatLength } from '@fulcrant/core/units';
import { Link } from 'react-router';
import { useRegister } from '../data/register.ts';
import { useSay, useSettings } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** A shaft lying down: its positions along it to scale, the fixed one pinned, this one in brass. */
export function ShaftStrip({ shaft, here }: { shaft: ShaftCardBody; here: string }) {
  const say = useSay();
  const { unit } = useSettings();
  const places = useRegister(shaft.machine).data?.positions ?? [];
  const at = shaft.stations.map((s) => s.atMm);
  const [from, to] = [Math.min(...at), Math.max(...at)];
  const x = (mm: number) => 60 + (880 * (mm - from)) / (to - from || 1);
  return (
    <figure className="m-0 border-y border-faint py-2">
      <figcaption className="kicker">{shaft.name}</figcaption>
      <svg
        viewBox="0 0 1000 120"
        className="block w-full"
        role="img"
        aria-label={`${shaft.name}: ${shaft.stations.map((s) => say(M.at({ position: places.find((p) => p.id === s.positionId)?.position ?? M.position, role: s.role, at: formatLength(s.atMm, unit) }))).join('; ')}`}
      >
        <rect x="20" y="52" width="960" height="16" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
        <line x1="8" y1="60" x2="992" y2="60" stroke="var(--muted)" strokeDasharray="14 4 3 4" />
        {shaft.stations.map((s) => (
          <g key={s.positionId}>
            <rect
              x={x(s.atMm) - 16}
              y="36"
              width="32"
              height="48"
              fill="var(--paper)"
              stroke={s.positionId === here ? 'var(--brass)' : 'var(--ink)'}
              strokeWidth={s.positionId === here ? 3 : 1.5}
            />
            {s.role === 'fixed' && <path d={`M${x(s.atMm) - 9} 84 l9 14 l9 -14 z`} fill="var(--ink)" />}
            {s.role === 'float' && (
              <path
                d={`M${x(s.atMm) - 14} 92 h28 m-28 0 l6 -4 m-6 4 l6 4 m22 -4 l-6 -4 m6 4 l-6 4`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
            )}
            <text
              x={x(s.atMm)}
              y="26"
              textAnchor="middle"
              fontSize="15"
              fill="var(--muted)"
              fontFamily="var(--font-figure)"
            >
              {formatLength(s.atMm, unit, 0)}
            </text>
          </g>
        ))}
      </svg>
      <p className="m-0 flex flex-wrap gap-x-6">
        {shaft.stations.map((s) => {
          const place = places.find((p) => p.id === s.positionId);
          return place ? (
            <Link
              key={s.positionId}
              to={`/positions/${s.positionId}`}
              className={`inline-flex min-h-12 items-center underline underline-offset-4 ${s.positionId === here ? 'font-medium text-brass' : 'text-steel'}`}
            >
              {place.position}
            </Link>
          ) : null;
        })}
      </p>
    </figure>
  );
}
