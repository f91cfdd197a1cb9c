import { createRequire } from 'node:module';
import { bearingSection, type JobState, type LengthUnit, say } from '@fulcrant/core';
import PDFDocument from 'pdfkit';
import type { SealedSheet } from './seal.ts';

export async function sheetPdf(sheet: SealedSheet, state: JobState, options: { unit: LengthUnit; size: 'A4' | 'LETTER' }): Promise<Buffer> {
  void [createRequire, bearingSection, PDFDocument, say, sheet, state, options];
  return Buffer.alloc(0);
}
