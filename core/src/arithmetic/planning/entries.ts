import { array, number, object, string } from 'yup';
import { type Calculator, entry } from '../../judgement/entry.ts';
import { M } from './messages.ts';
import { schedule } from './schedule.ts';

const named = () => string().min(1).max(40).required();

export const PLANNING_ENTRIES: readonly Calculator[] = [
  entry(
    'planning.schedule',
    M.whenEachTaskBeginsSo,
    object({
      tasks: array(
        object({
          id: named(),
          // A plan is laid on whole minutes: tasks of 0.4 would each be given a whole one.
          minutes: number().integer().min(0).max(100_000).required(),
          after: string().max(400),
          needs: string().max(400),
        })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(300)
        .required(),
      resources: array(
        object({ id: named(), count: number().integer().min(0).max(1000).required() })
          .noUnknown()
          .required(),
      )
        .max(40)
        .default([]),
      seed: number().integer().min(1).max(1_000_000),
      seconds: number().min(0.05).max(20),
    }).noUnknown(),
    schedule,
  ),
];
