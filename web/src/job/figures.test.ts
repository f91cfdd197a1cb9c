import { type Place, reportAt, stepOf } from '@fulcrant/core/job';
import { createElement, Fragment, type ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import { EVERY_KIND, workStep } from '../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../core/src/testing/test-stand.ts';
import type { JobView } from '../data/job.ts';
import type { ViewInput } from '../steps/view.tsx';
import { viewOf } from '../trades/registry.ts';
import { SettingsProvider } from '../ui/settings.tsx';

/** What a browser would give: a unit in force, and the light of the day. */
function browser(unit: 'mm' | 'in'): void {
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => (k === 'fulcrant.unit' ? unit : null),
    setItem() {},
  });
  vi.stubGlobal('matchMedia', () => ({ matches: false }));
}

const drawn = (figure: ReactNode): string =>
  renderToStaticMarkup(
    createElement(SettingsProvider, null, createElement(Fragment, null, ...[figure].flat())),
  );

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

/** Bodies with fields of their own: they ask the server for gauges, or carry what is dragged. */
const FIELDS = new Set(['bolts', 'signature', 'parts-order', 'fixed-first']);

/** A job nobody works at: a figure only looks. */
const NOBODY = {} as JobView;

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
      const figure = (id: string, place: Place | null, typed: number | null) => {
        const report = reportAt(h.state, id);
        const step = stepOf(h.state, id);
        const view = step && viewOf(step.kind.name);
        if (!report || !step) throw new Error(`${id} has no report.`);
        if (!view) return '';
        const input: ViewInput = {
          ...{ state: h.state, step, report, shown: report, place, typed, open: true, job: NOBODY },
          ...{ onTurn() {}, onAnswer() {}, onLook() {} },
        };
        const body = FIELDS.has(view.name) ? null : view.body?.(input);
        return drawn([view.figure(input), view.told?.(input), body]);
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
      expect(seen.size).toBeGreaterThan(0);
    },
  );
});
