export const STAND_IN_PORTS = [
  'dial',
  'angle',
  'micrometer',
  'feeler',
  'pump',
  'wrench',
  'probe',
  'drops',
] as const;
export type StandInPort = (typeof STAND_IN_PORTS)[number];

/** A line a gauge sent, and from which port. */
export type PortLine = { port: StandInPort; line: string };
