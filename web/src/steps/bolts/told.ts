import type { Instrument } from '@fulcrant/core/instruments';

/** One bolt, as it is told. */
export type Tick = {
  pass: number;
  bolt: number;
  torqueNm: number;
  moved: boolean;
  movedDeg?: number;
  asDone?: boolean;
  instrument: Instrument;
};

/** What is left of a pass, told in one. */
export type ToldPass = {
  pass: number;
  bolts: number[];
  torqueNm: number;
  moved?: boolean;
  instrument: Instrument;
};
