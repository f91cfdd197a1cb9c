import type { Person } from '@fulcrant/core/api';

/** Who works at a demo, invented, and the password all of them have: public, so that anybody can try it. */
export const DEMO_PASSWORD = 'beet-campaign';

export const PEOPLE: Person[] = [
  { id: 'asta', name: 'Asta', role: 'fitter' },
  { id: 'bram', name: 'Bram', role: 'fitter' },
  { id: 'imke', name: 'Imke', role: 'lead' },
  { id: 'oskar', name: 'Oskar', role: 'viewer' },
];
