/** A term of the trade or of the program: what it means, in one sentence, and what it is never called. */
export type Term = { term: string; means: string; not: readonly string[] };

/** The terms people read, each with one meaning. `npm run texts` names every text that still says one of the others. */
export const GLOSSARY: readonly Term[] = [
  {
    term: 'site',
    means: 'The works whose machines, people and rules are kept here.',
    not: ['house', 'plant'],
  },
  { term: 'machine', means: 'A pump, fan or drive of the site.', not: [] },
  { term: 'position', means: 'A place on a machine where a part is fitted.', not: [] },
  {
    term: 'fitter',
    means: 'A person who does the work and records it.',
    not: ['hand', 'hands', 'somebody', 'whoever'],
  },
  { term: 'lead hand', means: 'A person who may accept a finding and release a hold.', not: [] },
  { term: 'job', means: 'One piece of work at a position, from opening to signature.', not: [] },
  { term: 'job sheet', means: 'What a job leaves as its record.', not: [] },
  { term: 'step', means: 'A part of a job that is passed as a whole.', not: ['gate'] },
  { term: 'deadline', means: 'The latest time an outage may end.', not: ['wall'] },
  {
    term: 'bottleneck',
    means: 'What would bring the end forward if there were more of it.',
    not: ['throat'],
  },
  { term: 'task', means: 'A part of a job that is planned by itself.', not: [] },
  { term: 'replan', means: 'Make the plan again from here.', not: ['plan anew'] },
  {
    term: 'no way back',
    means: 'After this step something can no longer be checked.',
    not: ['door closes', 'closes for good'],
  },
  { term: 'depends on', means: 'A step is open again when the other is undone.', not: ['stands on'] },
  {
    term: 'over the limit',
    means: 'The value is larger than it may be.',
    not: ['past its stop', 'between its stops'],
  },
  {
    term: 'uncertainty',
    means: 'How far a value may be from the truth, in 95 of 100 cases.',
    not: ['doubt'],
  },
  { term: 'smallest division', means: 'The step a gauge can be read to.', not: [] },
  { term: 'accuracy', means: 'How far one reading of a gauge may be off.', not: [] },
  { term: 'simulated gauge', means: 'A gauge that is played by the program.', not: ['stand-in'] },
  { term: 'practice job', means: 'A job worked on a simulated machine.', not: ['hidden truth'] },
  { term: 'debrief', means: 'What was done well and badly, told after practice.', not: [] },
  { term: 'calculators', means: 'Single calculations without a job.', not: ['bench'] },
  { term: 'history', means: 'The numbers of a position over its jobs.', not: ['laid over each other'] },
  { term: 'service life', means: 'How long a part ran before it was taken out.', not: [] },
  { term: 'failure report', means: 'What was found on a part that came out.', not: ['came out'] },
  { term: 'site rules', means: 'Limits and methods the site has chosen.', not: ['house rules'] },
  {
    term: 'method',
    means: 'One of several ways to do or to judge the same thing.',
    not: ['school', 'schools'],
  },
  { term: 'assumed', means: 'Taken from the size, not yet checked.', not: ['supposed'] },
  { term: 'shim', means: 'A thin plate that sets a distance.', not: [] },
  { term: 'stack', means: 'Shims or gaskets that lie on each other.', not: ['heap'] },
  {
    term: 'seal holder',
    means: 'The part that carries a seal in its housing.',
    not: ['carrier', 'carriers'],
  },
  { term: 'run-in checks', means: 'Checks in the first hours after the start.', not: ['first hours'] },
  { term: 'leak check', means: 'Counting the drops of a seal after the start.', not: [] },
  {
    term: 'tighten crosswise',
    means: 'Tighten bolts in an order that keeps the joint even.',
    not: ['side about'],
  },
];
