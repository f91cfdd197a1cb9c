import type { Series } from '../../engine/slots.ts';
import type { Text } from '../../message/message.ts';
import { M } from './messages.ts';

const length = (id: string, label: Text): Series => ({ id, label, quantity: 'length' });

export const CLEARANCE_LEAST = length('end-clearance-least', M.endClearanceLeast);
export const CLEARANCE_MOST = length('end-clearance-most', M.endClearanceMost);
export const GASKET_STACK = length('gasket-stack', M.gasketStack2);
