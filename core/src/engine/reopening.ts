/** What it is called when a part of the work is taken back and done anew: on the button, on the sheet, and what is asked. */
export type Reopening = {
  does: string;
  said: string;
  ask: string;
  confirm: string;
  /** The usual caution at it. */
  caution: string;
  /** What it is called where there is no other way on. */
  onward?: string;
  /** The steps it undoes, which open again with all that stands on them; none where a new attempt begins instead. */
  undoes: readonly string[];
};

/** What a gate of safety stands on: handed over at the start, it is asked for anew before anything is taken apart. */
export const ISOLATION = 'isolation';
