import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Fault } from './controls.tsx';

/** Part of a page that may give way without tearing the rest: it says so in its place, and is drawn anew when `again` changes. */
export function Whole({ what, again, children }: { what: string; again: unknown; children: ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[again]}
      fallbackRender={() => (
        <Fault>{`${what} could not be drawn. What was entered is kept; the rest of the sheet goes on.`}</Fault>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
