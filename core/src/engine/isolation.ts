/** What a gate of safety stands on: handed over at the start, it is asked for anew before anything is taken apart. */
export const ISOLATION = 'isolation';
