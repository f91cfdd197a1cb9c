import type { ReactNode } from 'react';

/** One of several that may each be on, drawn small. */
export const TOGGLE =
  'min-h-12 border border-muted px-2.5 text-sm data-[state=on]:border-2 data-[state=on]:border-brass data-[state=on]:font-semibold';

/** A part of what an outage is made of, under its heading. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="kicker m-0 mb-2 border-b border-rule pb-1">{title}</h2>
      {children}
    </section>
  );
}
