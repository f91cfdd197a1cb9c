import { type Rig, stepOf, whyOf } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { type Attempt, type Debrief, PART_IDS, PARTS, WORTH } from '@fulcrant/practice';
import { useSay, Words } from '../ui/settings.tsx';
import { Why } from '../ui/Why.tsx';
import { M } from './messages.ts';
import { Replay } from './Replay.tsx';
import { TruthFigure } from './TruthFigure.tsx';

/** The truth laid over what was written: the mark by its parts, what was really there, each reading beside it, every point with its reason. */
export function DebriefView({ rig, debrief, attempt }: { rig: Rig; debrief: Debrief; attempt: Attempt }) {
  const say = useSay();
  const title = (step: string) => stepOf({ setup: rig.setup }, step)?.title ?? step;
  return (
    <div data-debrief={debrief.score}>
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        {say(M.practiceNothingHereRecordNothing2)}
      </p>
      <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        <section aria-label={say(M.mark)}>
          <p className="m-0 flex items-baseline gap-4">
            <span className="figures text-6xl">{debrief.score}</span>
            <span className="text-muted">
              {say(
                M.n1002({
                  minutes:
                    debrief.minutes === 0
                      ? M.underMinute
                      : `${debrief.minutes} ${debrief.minutes === 1 ? 'minute' : 'minutes'}`,
                }),
              )}
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
                  {say(M.of({ part: debrief.parts[p].toFixed(0), worth: WORTH[p] }))}
                </dd>
              </div>
            ))}
          </dl>
        </section>
        <section aria-label={say(M.whatTrulyThere)}>
          <h2 className="kicker m-0 border-b border-rule pb-1">{say(M.whatTrulyThere)}</h2>
          {debrief.faults.length === 0 && debrief.looks.length === 0 && (
            <p className="m-0 py-2 text-lg">{say(M.nothingWrong)}</p>
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
                <span className="font-label text-lg">{say(M.lookedWrongNot)}</span>
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
        <section aria-label={say(M.truthOverWhatWritten)} className="pt-6">
          <h2 className="kicker m-0 border-b border-rule pb-1">{say(M.truthOverWhatWritten)}</h2>
          <TruthFigure beside={debrief.beside} title={title} />
        </section>
      )}
      <section aria-label={say(COMMON.details)} className="pt-6">
        <h2 className="kicker m-0 border-b border-rule pb-1">{say(COMMON.details)}</h2>
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
