import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** How drive-up is judged. Feelers are our own choice: they measure the thing itself. */
export const DRIVE_UP = defineMethod({
  id: 'driveUp',
  ask: M.howDriveUpJudged,
  why: M.whicheverMakerGivesWhereNone,
  usual: 'feelers',
  answers: [
    ['feelers', M.clearanceFeelers, PRACTICE],
    ['nut-angle', M.nutAngleFromZero, M.makersSheetOnly],
    ['hydraulic', M.hydraulicNut, M.makersSheetOnly],
  ],
});
export type DriveUpMethod = MethodId<typeof DRIVE_UP>;
