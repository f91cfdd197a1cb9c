/** A job's number as people say it. */
export const jobNumber = (serial: number): string => `H-${String(serial).padStart(4, '0')}`;

/** The serial in a number as typed: `H-0142`, `h142`, `142`; null where it is none. */
export function serialIn(text: string): number | null {
  const m = /^\s*(?:h\s*[-–]?\s*)?0*(\d{1,9})\s*$/i.exec(text);
  return m ? Number(m[1]) : null;
}
