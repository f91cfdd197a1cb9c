import { VERDICT_WORD } from '@fulcrant/core/judgement';
import { textKey } from '@fulcrant/core/messages';
import type { VerdictValues } from '@fulcrant/core/trades';
import { useSay, Words } from '../../ui/settings.tsx';
import { VerdictMark } from '../../ui/verdicts.tsx';
import { M } from './messages.ts';

/** What the survey comes to, a line a measure: passed, accepted, or what stands against it and the remedy. */
export function VerdictStep({ values, onLook }: { values: VerdictValues; onLook: (step: string) => void }) {
  const say = useSay();
  const { lines } = values;
  return (
    <ul className="m-0 list-none border-t border-rule p-0" data-fit={values.fit}>
      {lines.map((l) => (
        <li key={l.step} className="border-b border-faint">
          <button
            type="button"
            onClick={() => onLook(l.step)}
            className="grid min-h-14 w-full grid-cols-[36px_11rem_1fr] items-start gap-3 py-2 text-left hover:bg-shade"
          >
            <span className="pt-1">
              <VerdictMark verdict={l.verdict} />
            </span>
            <span className="font-label text-xl font-semibold leading-tight">
              <Words of={l.title} />
            </span>
            <span className="min-w-0 leading-snug">
              {l.against.length === 0 && l.cautions.length === 0 && <Words of={VERDICT_WORD[l.verdict]} />}
              {l.against.map((a) => (
                <span key={a.code} className="block">
                  {say(a.reason)}
                  {a.accepted ? (
                    <span className="block text-sm font-medium text-steel">
                      {say(M.accepted({ accepted: a.accepted }))}
                    </span>
                  ) : (
                    a.remedy && <span className="block text-[0.95rem] font-medium">{say(a.remedy)}</span>
                  )}
                </span>
              ))}
              {l.cautions.map((c) => (
                <span key={textKey(c)} className="block text-[0.95rem] text-muted">
                  {say(c)}
                </span>
              ))}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
