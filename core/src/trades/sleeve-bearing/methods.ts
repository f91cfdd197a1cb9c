import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** How drive-up is judged. Feelers are our own choice: they measure the thing itself. */
export const DRIVE_UP = defineMethod({
  id: 'driveUp',
  ask: 'How drive-up is judged',
  why: 'Whichever the maker gives; where none is given, feelers: they measure the thing itself.',
  usual: 'feelers',
  answers: [
    ['feelers', 'clearance by feelers', PRACTICE],
    ['nut-angle', 'nut angle from zero', 'maker’s sheet only'],
    ['hydraulic', 'hydraulic nut', 'maker’s sheet only'],
  ],
});
export type DriveUpMethod = MethodId<typeof DRIVE_UP>;
