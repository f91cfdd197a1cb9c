import type { Series } from '../../engine/slots.ts';

const length = (id: string, label: string): Series => ({ id, label, quantity: 'length' });

export const CLEARANCE_LEAST = length('end-clearance-least', 'End clearance, least');
export const CLEARANCE_MOST = length('end-clearance-most', 'End clearance, most');
export const GASKET_STACK = length('gasket-stack', 'Gasket stack');
