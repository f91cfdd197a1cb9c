/** The years of a position: series, lives, what came out. */

export { autopsy } from '../autopsy/autopsy.ts';
export { limitsOf } from '../history/limits.ts';
export { type PastJob, whenOf } from '../history/past.ts';
export { besideEachOther, livesOf, type Trace, tracesOf } from '../history/traces.ts';
