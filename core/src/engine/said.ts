/** Yes, no, or not on this one: the machine has no such thing, and the reason is written down. */
export const ANSWERS = ['yes', 'no', 'none'] as const;
export type Said = (typeof ANSWERS)[number];
