import type { Text } from '@fulcrant/core/messages';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Fault } from './controls.tsx';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** Part of a page that may give way without tearing the rest: it says so in its place, and is drawn anew when `again` changes. */
export function Whole({ what, again, children }: { what: Text; again: unknown; children: ReactNode }) {
  const say = useSay();
  return (
    <ErrorBoundary
      resetKeys={[again]}
      fallbackRender={() => <Fault>{say(M.couldNotDrawnWhatEntered({ what }))}</Fault>}
    >
      {children}
    </ErrorBoundary>
  );
}
