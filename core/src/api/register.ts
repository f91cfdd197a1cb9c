import { array, type InferType, mixed, number, object, string } from 'yup';
import type { Setup } from '../engine/setup.ts';
import type { PastJob } from '../history/past.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import '../judgement/sentences.ts';

const named = (what: Text, least = 1) =>
  string()
    .trim(M.leaveOutBlanksEnds)
    .min(least, COMMON.missing2({ what }))
    .max(80, M.has80LettersMost({ what }))
    .required(COMMON.missing2({ what }));

/** A place something is fitted at: its area may be left empty. */
export const newPositionSchema = object({
  area: string().trim(M.leaveOutBlanksEnds).max(80, M.areaHas80LettersMost).default(''),
  machine: named(COMMON.machine2),
  position: named(COMMON.position2),
}).noUnknown();
export type NewPosition = InferType<typeof newPositionSchema>;

/** Rows of a file into the register: looked at whole before one is taken. */
export const importSchema = object({
  csv: string().min(1, M.fileEmpty).max(400_000, M.fileTooLarge).required(M.fileEmpty),
  /** Only say what it would do. */
  look: mixed<boolean>().oneOf([true, false]),
}).noUnknown();

export type ImportLine = {
  line: number;
  area: string;
  machine: string;
  position: string;
  was: 'new' | 'known';
};
export type ImportFault = { line: number; message: Text };
export type Imported = { taken: ImportLine[]; faults: ImportFault[]; done: boolean };

export type PositionCard = {
  id: string;
  label: string;
  area: string;
  machine: string;
  position: string;
  /** The setup last used there; null where nothing was done there yet. */
  setup: Setup | null;
};
export type RegisterLine = Omit<PositionCard, 'setup'> & {
  jobs: number;
  open: number;
  lastSignedAt: string | null;
};
export type PositionPage = { card: PositionCard; past: PastJob[] };

/** A designation as it is looked up: upper case, its blanks single. @example partKey(' 22220 k  c3') // '22220 K C3' */
export const partKey = (designation: string): string => designation.trim().toUpperCase().replace(/\s+/g, ' ');

/** What a maker's sheet says of a part: fields of a trade's setup by name, and where it stands. */
export const partCardSchema = object({
  designation: named(M.designation, 2),
  trade: string().min(1).max(40).required(),
  /** Numbers as setups hold them, by the field's name; choices as their word. */
  values: mixed<Record<string, number | string>>()
    .required()
    .test('values', M.cardHoldsNumbersWordsName, (v) => {
      if (v === null || typeof v !== 'object' || Array.isArray(v)) return false;
      const all = Object.entries(v);
      return (
        all.length >= 1 &&
        all.length <= 60 &&
        all.every(
          ([k, x]) =>
            /^[a-zA-Z]+(\.[a-zA-Z0-9]+)?$/.test(k) &&
            ((typeof x === 'number' && Number.isFinite(x)) || (typeof x === 'string' && x.length <= 80)),
        )
      );
    }),
  source: string().trim(M.leaveOutBlanksEnds).max(200).default(''),
}).noUnknown();
export type PartCardBody = InferType<typeof partCardSchema>;
export type PartCard = PartCardBody & {
  key: string;
  version: number;
  by: string;
  at: string;
  /** Who looked it over, and when; null until somebody else has. */
  looked: { by: string; at: string } | null;
};

/** Several positions on one shaft: where each stands along it, which is fixed. mm. */
export const shaftCardSchema = object({
  name: named(M.shaftsName, 2),
  machine: named(COMMON.machine2),
  stations: array(
    object({
      positionId: string().length(36).required(),
      atMm: number().min(0).max(50_000).required(),
      role: string()
        .oneOf(['fixed', 'float', 'other'] as const)
        .required(),
    })
      .noUnknown()
      .required(),
  )
    .min(1, M.shaftJoinsLeastOnePosition)
    .max(12)
    .required(),
}).noUnknown();
export type ShaftCardBody = InferType<typeof shaftCardSchema>;
