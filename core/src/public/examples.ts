/** Jobs worked by the book: for the demo, for trials. */

export type { ToolBox } from '../engine/scripted-hand.ts';
export { ScriptedHand } from '../engine/scripted-hand.ts';
export { feelStack } from '../trades/gear-pump/example.ts';
export { BearingHand } from '../trades/sleeve-bearing/hand.ts';
