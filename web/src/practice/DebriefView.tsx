import { type Rig, stepOf, whyOf } from '@fulcrant/core/job';
import { type Attempt, type Debrief, PART_IDS, PARTS, WORTH } from '@fulcrant/practice';
import { useSay, Words } from '../ui/settings.tsx';
import { Why } from '../ui/Why.tsx';
import { Replay } from './Replay.tsx';
import { TruthFigure } from './TruthFigure.tsx';

/** The truth laid over what was written: the mark by its parts, what was really there, each reading beside it, every point with its reason. */
export function DebriefView({ rig, debrief, attempt }: { rig: Rig; debrief: Debrief; attempt: Attempt }) {
  const say = useSay();
  const title = (step: string) => stepOf({ setup: rig.setup }, step)?.title ?? step;
  return (
    <div data-debrief={debrief.score}>
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        Practice. Nothing here is a record, and nothing of it is signed.
      </p>
      <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        <section aria-label="The mark">
          <p className="m-0 flex items-baseline gap-4">
            <span className="figures text-6xl">{debrief.score}</span>
            <span className="text-muted">
              of 100, in{' '}
              {debrief.minutes === 0
                ? 'under a minute'
                : `${debrief.minutes} ${debrief.minutes === 1 ? 'minute' : 'minutes'}`}
            </span>
          </p>
          <dl className="m-0 mt-3 grid gap-2">
            {PART_IDS.map((p) => (
              <div key={p} className="grid grid-cols-[6.5rem_minmax(0,1fr)_5.5rem] items-center gap-3">
                <dt className="font-label text-lg">
                  <Words of={PARTS[p]} />
                </dt>
                <dd className="m-0 h-3 border border-ink">
                  <span
                    className="block h-full bg-ink"
                    style={{ width: `${(100 * debrief.parts[p]) / WORTH[p]}%` }}
                  />
                </dd>
                <dd className="figures m-0 whitespace-nowrap text-right">
                  {debrief.parts[p].toFixed(0)} of {WORTH[p]}
                </dd>
              </div>
            ))}
          </dl>
        </section>
        <section aria-label="What was truly there">
          <h2 className="kicker m-0 border-b border-rule pb-1">What was truly there</h2>
          {debrief.faults.length === 0 && debrief.looks.length === 0 && (
            <p className="m-0 py-2 text-lg">Nothing was wrong.</p>
          )}
          <ul className="m-0 list-none p-0">
            {debrief.faults.map((f) => (
              <li key={f.id} className="border-b border-faint py-2" data-truth={f.id}>
                <span className="font-label text-xl font-semibold">
                  <Words of={f.name} />
                </span>
                <span className="text-muted">
                  {' '}
                  · <Words of={title(f.step)} />
                </span>
                <p className="m-0">
                  <Words of={f.because} />
                </p>
              </li>
            ))}
            {debrief.looks.map((l) => (
              <li key={`${l.step}/${l.item}`} className="border-b border-faint py-2">
                <span className="font-label text-lg">Looked wrong, and was not</span>
                <span className="text-muted">
                  {' '}
                  · <Words of={title(l.step)} />
                </span>
                <p className="m-0">
                  <Words of={l.says} /> <Words of={l.because} />
                </p>
              </li>
            ))}
          </ul>
        </section>
      </div>
      {debrief.beside.length > 0 && (
        <section aria-label="Truth over what was written" className="pt-6">
          <h2 className="kicker m-0 border-b border-rule pb-1">Truth over what was written</h2>
          <TruthFigure beside={debrief.beside} title={title} />
        </section>
      )}
      <section aria-label="Point by point" className="pt-6">
        <h2 className="kicker m-0 border-b border-rule pb-1">Point by point</h2>
        <ul className="m-0 grid list-none gap-x-10 p-0 lg:grid-cols-2">
          {debrief.points.map((p, i) => (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: points stand as they were told, and never move
              key={i}
              className="flex gap-3 border-b border-faint py-1.5"
              data-point={p.good ? 'good' : 'lost'}
            >
              <span className={`w-24 shrink-0 font-label ${p.good ? 'text-muted' : 'text-stop'}`}>
                {p.good ? '' : '▲ '}
                <Words of={PARTS[p.part]} />
              </span>
              <span className="min-w-0">
                {p.step && (
                  <span className="text-muted">
                    <Words of={title(p.step)} />
                    {p.place ? `, ${p.place}` : ''}:{' '}
                  </span>
                )}
                {say(p.says)}
                {!p.good && p.step && whyOf(rig.setup, p.step) && (
                  <>
                    {' '}
                    <Why title={title(p.step)}>{whyOf(rig.setup, p.step) ?? ''}</Why>
                  </>
                )}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <Replay rig={rig} attempt={attempt} debrief={debrief} title={title} />
    </div>
  );
}
