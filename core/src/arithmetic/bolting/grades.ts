import type { SourceId } from '../../sources/register.ts';

export type BoltGrade =
  | '4.6'
  | '5.6'
  | '8.8'
  | '10.9'
  | '12.9'
  | 'SAE 2'
  | 'SAE 5'
  | 'SAE 8'
  | 'A2-70'
  | 'A4-80'
  | 'B7';

export type Strength = { proofMpa: number; yieldMpa: number; source: SourceId };

const KSI = 6.894757;

export const BOLT_GRADES: readonly BoltGrade[] = [
  '4.6',
  '5.6',
  '8.8',
  '10.9',
  '12.9',
  'SAE 2',
  'SAE 5',
  'SAE 8',
  'A2-70',
  'A4-80',
  'B7',
];

/**
 * Proof stress and yield by grade and size, MPa. Stainless has no proof stress of its own: nine tenths of its yield
 * stands in. Sources: ISO 898-1 (8.8 changes above M16), SAE J429, ISO 3506-1, ASTM A193; all from memory.
 * @example strengthOf('8.8', 10) // { proofMpa: 580, yieldMpa: 640, source: 'iso-898' }
 */
export function strengthOf(grade: BoltGrade, diameterMm: number): Strength {
  const iso = (proofMpa: number, yieldMpa: number): Strength => ({ proofMpa, yieldMpa, source: 'iso-898' });
  const sae = (proofKsi: number, yieldKsi: number): Strength => ({
    proofMpa: proofKsi * KSI,
    yieldMpa: yieldKsi * KSI,
    source: 'sae-j429',
  });
  switch (grade) {
    case '4.6':
      return iso(225, 240);
    case '5.6':
      return iso(280, 300);
    case '8.8':
      return diameterMm <= 16 ? iso(580, 640) : iso(600, 660);
    case '10.9':
      return iso(830, 940);
    case '12.9':
      return iso(970, 1100);
    case 'SAE 2':
      return diameterMm <= 19.1 ? sae(55, 57) : sae(33, 36);
    case 'SAE 5':
      return diameterMm <= 25.5 ? sae(85, 92) : sae(74, 81);
    case 'SAE 8':
      return sae(120, 130);
    case 'A2-70':
      return { proofMpa: 405, yieldMpa: 450, source: 'iso-3506' };
    case 'A4-80':
      return { proofMpa: 540, yieldMpa: 600, source: 'iso-3506' };
    case 'B7':
      return { proofMpa: 105 * KSI, yieldMpa: 105 * KSI, source: 'astm-a193' };
  }
}
