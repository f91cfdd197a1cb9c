import type { StepView } from '../steps/view.tsx';
import { views as shared } from '../steps/views.tsx';
import { views as dismounting } from './dismounting/views.tsx';
import { views as gearPump } from './gear-pump/views.tsx';
import { views as packing } from './packing/views.tsx';
import { views as plunger } from './plunger/views.tsx';
import { views as regreasing } from './regreasing/views.tsx';
import { views as seal } from './seal/views.tsx';
import { views as sealWear } from './seal-wear/views.tsx';
import { views as sleeveBearing } from './sleeve-bearing/views.tsx';
import { views as splitBearing } from './split-bearing/views.tsx';
import { views as survey } from './survey/views.tsx';
import { views as vanePump } from './vane-pump/views.tsx';

/** How every kind of step is shown, by the kind's name: the only list. */
const VIEWS = new Map<string, StepView>(
  [
    shared,
    sleeveBearing,
    splitBearing,
    seal,
    packing,
    plunger,
    gearPump,
    vanePump,
    sealWear,
    dismounting,
    regreasing,
    survey,
  ]
    .flat()
    .map((v) => [v.name, v]),
);

/** The view of a kind of step; undefined where it is only asked. */
export const viewOf = (kind: string): StepView | undefined => VIEWS.get(kind);

/** Let views of a trade in that is not in the list. @returns takes them out again */
export function addViews(views: readonly StepView[]): () => void {
  for (const v of views) VIEWS.set(v.name, v);
  return () => {
    for (const v of views) VIEWS.delete(v.name);
  };
}
