import { textKey } from '@fulcrant/core/messages';
import { assemblies, handTurns, lipSeals, partTags } from '@fulcrant/core/steps';
import { Words } from '../../ui/settings.tsx';
import { GateStep } from '../GateStep.tsx';
import type { StepView } from '../view.tsx';
import { StepFigure, view } from '../view.tsx';
import { LipFigure } from './LipFigure.tsx';
import { M } from './messages.ts';
import { PartTags } from './PartTags.tsx';

/** Steps of pumps put together. */
export const rebuildViews: StepView[] = [
  view(assemblies, {
    Body: (p) => (
      <div className="flex flex-col gap-3">
        <StepFigure {...p} />
        <GateStep {...p} />
      </div>
    ),
  }),
  view(partTags, {
    Body: ({ values, open, onAnswer, job }) => (
      <PartTags
        values={values}
        open={open}
        onTag={(part, tag) => onAnswer(part, 'yes', tag)}
        onTags={
          job.practice
            ? null
            : (parts, tag) => {
                for (const part of parts) onAnswer(part, 'yes', tag);
              }
        }
      />
    ),
  }),
  view(lipSeals, {
    Body: ({ values, open, onAnswer }) => (
      <LipFigure values={values} open={open} onFit={(lip, way) => onAnswer(lip, 'yes', way)} />
    ),
  }),
  view(handTurns, {
    Body: (p) => (
      <div className="flex flex-col gap-4">
        <GateStep {...p} />
        {p.values.turns === 'no' && (
          <section data-causes>
            <h2 className="kicker m-0">
              <Words of={M.look} />
            </h2>
            <ol className="m-0 list-decimal pl-6 text-lg">
              {p.values.causes.map((c) => (
                <li key={textKey(c)} className="border-b border-faint py-1.5">
                  <Words of={c} />
                </li>
              ))}
            </ol>
          </section>
        )}
      </div>
    ),
  }),
];
