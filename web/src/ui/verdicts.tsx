import { type Finding, sourceOf, VERDICT_WORD, type Verdict } from '@fulcrant/core/judgement';
import type { ReactNode } from 'react';
import { Explained } from './Explained.tsx';
import { M } from './messages.ts';
import { useSay, Words } from './settings.tsx';

const VERDICT_INK: Record<Verdict, string> = {
  accept: 'text-good',
  caution: 'text-brass',
  reject: 'text-stop',
  'too-close': 'text-steel',
  incomplete: 'text-muted',
};

/** How far the little beam tips: the shape says the verdict before its colour does. */
const TIP: Record<Verdict, number> = { accept: 0, caution: -9, reject: -24, 'too-close': 0, incomplete: 0 };

/** A beam on its fulcrum, 28 × 20: level, tipped, hard down on its stop, doubled, or not laid on yet. */
export function VerdictMark({ verdict, size = 28 }: { verdict: Verdict; size?: number }) {
  return (
    <svg
      viewBox="0 0 28 20"
      width={size}
      height={(size * 20) / 28}
      aria-hidden="true"
      className={`shrink-0 ${VERDICT_INK[verdict]}`}
    >
      <path
        d="M14 8 20 18H8z"
        fill={verdict === 'incomplete' ? 'none' : 'currentColor'}
        stroke="currentColor"
      />
      {verdict === 'reject' && <path d="M3 18v-5M1 13h4" stroke="currentColor" strokeWidth="2" />}
      {verdict !== 'incomplete' && (
        <rect
          x="2"
          y="5.6"
          width="24"
          height="2.6"
          fill="currentColor"
          transform={`rotate(${TIP[verdict]} 14 7)`}
        />
      )}
      {verdict === 'too-close' && <rect x="2" y="1.4" width="24" height="2" fill="currentColor" />}
      {verdict === 'incomplete' && (
        <path d="M2 3h24" stroke="currentColor" strokeDasharray="3 3" strokeWidth="2" />
      )}
    </svg>
  );
}

/** One judgement: word, reason, limit and whose it is, what to do. */
export function FindingLine({
  finding,
  accepted,
  children,
}: {
  finding: Finding;
  accepted?: string | undefined;
  children?: ReactNode;
}) {
  const say = useSay();
  const source = finding.source ? sourceOf(finding.source) : null;
  return (
    <li
      className="flex gap-3 border-t border-faint py-2.5 first:border-t-0"
      data-finding={finding.code}
      data-verdict={finding.verdict}
    >
      <span className="pt-0.5">
        <VerdictMark verdict={finding.verdict} />
      </span>
      <div className="min-w-0 leading-snug">
        <p>
          <strong className={`font-label text-lg font-semibold ${VERDICT_INK[finding.verdict]}`}>
            <Words of={VERDICT_WORD[finding.verdict]} />.
          </strong>{' '}
          <Explained>{say(finding.reason)}</Explained>
        </p>
        {finding.remedy && <p className="mt-0.5 font-medium">{say(finding.remedy)}</p>}
        {(finding.limit || source) && (
          <p className="mt-0.5 text-sm text-muted">
            {finding.limit && say(M.limit({ limit: finding.limit }))}
            {source && `${say(source.title)}.`}
          </p>
        )}
        {accepted && <p className="mt-0.5 text-sm font-medium text-steel">{accepted}</p>}
        {children}
      </div>
    </li>
  );
}
