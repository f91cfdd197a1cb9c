import { WHY_EVERY, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of regreasing is there. */
export const why: Why = {
  ...WHY_EVERY,
  match: M.twoGreasesWhoseThickenersDo,
  strokes: M.tooLittleStarvesTooMuch,
  watch: M.freshGreaseDragsSoWarms,
};
