import type { Place } from '@fulcrant/core';
import { createElement, type ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import { EVERY_KIND, workStep } from '../../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../../core/src/testing/test-stand.ts';
import { SettingsProvider } from '../settings.tsx';
import { figureFor } from './figure-for.tsx';

/** What a browser would give: a unit in force, and the light of the day. */
function browser(unit: 'mm' | 'in'): void {
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => (k === 'fulcrant.unit' ? unit : null),
    setItem() {},
  });
  vi.stubGlobal('matchMedia', () => ({ matches: false }));
}

const drawn = (figure: ReactNode): string =>
  renderToStaticMarkup(createElement(SettingsProvider, null, figure));

/** Steps that show a figure of their own, met on the way. */
type Seen = Map<string, number>;

/** No number that is none, no word of the machine room, and a name for whoever cannot see it. */
function look(markup: string, where: string, seen: Seen, step: string): void {
  if (markup === '') return;
  seen.set(step, (seen.get(step) ?? 0) + 1);
  expect(markup, where).not.toMatch(/NaN|Infinity|undefined|\[object/);
  for (const [svg] of markup.matchAll(/<svg [^>]*viewBox[^>]*>/g))
    if (/role="img"|role="group"/.test(svg)) expect(svg, where).toMatch(/aria-label="[^"]{8,}"/);
  // Nothing is drawn a screen’s width outside its own view.
  for (const [, x] of markup.matchAll(/ (?:x|cx|x1|x2)="(-?[\d.]+)"/g))
    expect(Math.abs(Number(x)), where).toBeLessThan(1500);
}

/** A value somewhere in what a place believes. */
const between = (p: Place): number =>
  Number((p.low + 0.3 * (Math.min(p.high, p.low + 100) - p.low)).toFixed(3));

describe.each(Object.entries(EVERY_KIND))('figures of a job, %s', (_name, setup) => {
  it.each(['mm', 'in'] as const)(
    'stand at every step, before it is worked, while a value is typed, and after, in %s',
    (unit) => {
      browser(unit);
      const h = handAt(setup);
      const seen: Seen = new Map();
      const figure = (step: string, place: Place | null, typed: number | null) => {
        const report = h.state.steps.find((s) => s.id === step)?.report;
        if (!report) throw new Error(`${step} has no report.`);
        return drawn(
          figureFor({ state: h.state, step, report, shown: report, place, typed, onTurn: () => {} }),
        );
      };
      for (let i = 0; i < 60 && h.state.present && h.state.present !== 'sign'; i++) {
        const step = h.state.present;
        const next = h.state.steps.find((s) => s.id === step)?.report?.next ?? null;
        look(figure(step, next, null), `${step}, before`, seen, step);
        if (next) look(figure(step, next, between(next)), `${step}, typed at ${next.key}`, seen, step);
        workStep(h);
        look(figure(step, null, null), `${step}, after`, seen, step);
        h.pass(step);
      }
      vi.unstubAllGlobals();
      if (['seal', 'packing', 'sleeve-bearing'].includes(setup.procedure ?? 'sleeve-bearing'))
        expect(seen.size).toBeGreaterThan(2);
    },
  );
});
