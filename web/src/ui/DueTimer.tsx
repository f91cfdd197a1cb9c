import { differenceInDays, format, intervalToDuration } from 'date-fns';
import { useEffect, useState } from 'react';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** How long until the next reading of a step that keeps times, counted down on the sheet. */
export function DueTimer({ at }: { at: string }) {
  const say = useSay();
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, []);
  const due = new Date(at);
  const late = due.getTime() <= now;
  const far = differenceInDays(due, now);
  const { days = 0, hours = 0, minutes = 0, seconds = 0 } = intervalToDuration({ start: now, end: due });
  const whole = days * 24 + hours;
  const left =
    far > 1
      ? say(M.days({ far }))
      : whole > 0
        ? say(M.hMin({ whole, minutes }))
        : say(M.inText({ minutes, padStart: String(seconds).padStart(2, '0') }));
  return (
    <p className="m-0 flex items-baseline gap-2 text-lg" role="timer" data-due={late ? 'now' : 'later'}>
      <span className="kicker">
        {say(M.next({ due: far > 1 ? format(due, 'EEE d MMM') : M.at({ due: format(due, 'EEE HH:mm') }) }))}
      </span>
      <span className={`figures ${late ? 'font-semibold text-brass' : ''}`}>
        {late ? say(M.dueNow) : left}
      </span>
    </p>
  );
}
