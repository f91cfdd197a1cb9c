import type { Certificate } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import sharp from 'sharp';
import { type Database, rowsOf, run } from './database.ts';
import { faultOfKept, hurtOnTheWay, keepFile, placeOf, readKept } from './kept-files.ts';
import { M } from './messages.ts';

/** A certificate is a page or a few: larger files are something else. */
export const CERTIFICATE_BYTES = 5_000_000;
const ENDINGS = { 'application/pdf': 'pdf', 'image/jpeg': 'jpg', 'image/png': 'png' } as const;
export type CertificateType = keyof typeof ENDINGS;

/** Where a certificate’s file lies. */
export const certificateFile = (dir: string, hash: string, type: CertificateType): string =>
  placeOf(dir, hash, ENDINGS[type]);

/** What a certificate is by its content, whatever it calls itself; or why it is not taken in, as `fault`. */
export async function lookAtCertificate(
  bytes: Buffer,
  hash: string,
): Promise<{ type: CertificateType } | { fault: Text }> {
  const hurt = hurtOnTheWay(bytes, hash, 'certificate');
  if (hurt) return { fault: hurt };
  if (bytes.subarray(0, 5).toString('latin1') === '%PDF-')
    return bytes.subarray(-1024).toString('latin1').includes('%%EOF')
      ? { type: 'application/pdf' }
      : { fault: M.pdfCutOffBeforeEnd };
  try {
    const picture = sharp(bytes, { limitInputPixels: 8192 * 8192, failOn: 'error' });
    const { format } = await picture.metadata();
    if (format === 'jpeg' || format === 'png') {
      await picture.stats();
      return { type: `image/${format}` };
    }
  } catch {
    // No picture, or a broken one: the sentence below says what is taken.
  }
  return { fault: M.certificateComesAsPdfAs };
}

/** Keep a certificate of a gauge: its file first, then it is known. The same file twice is once. */
export async function keepCertificate(
  db: Database,
  dir: string,
  file: { hash: string; name: string; type: CertificateType; bytes: Buffer },
  instrumentId: string,
  personId: string,
): Promise<void> {
  await keepFile(certificateFile(dir, file.hash, file.type), file.bytes);
  await run(
    db,
    'INSERT IGNORE INTO certificates (hash, instrument_id, name, type, bytes, person_id, at) VALUES (?, ?, ?, ?, ?, ?, NOW(3))',
    [file.hash, instrumentId, file.name, file.type, file.bytes.length, personId],
  );
}

/** The certificates of every gauge, newest first. */
export const certificatesOf = (db: Database): Promise<Array<Certificate & { instrumentId: string }>> =>
  rowsOf(
    db,
    `SELECT c.hash, c.instrument_id AS instrumentId, c.name, c.type, c.bytes, c.at, p.name AS \`by\`
     FROM certificates c JOIN people p ON p.id = c.person_id ORDER BY c.at DESC, c.hash`,
    [],
  );

/** A certificate’s file and what it is, or null where there is none. */
export async function readCertificate(
  db: Database,
  dir: string,
  hash: string,
): Promise<{ bytes: Buffer; type: CertificateType } | null> {
  const [row] = await rowsOf<{ type: CertificateType }>(
    db,
    'SELECT type FROM certificates WHERE hash = ? LIMIT 1',
    [hash],
  );
  const bytes = row ? await readKept(certificateFile(dir, hash, row.type)) : null;
  return row && bytes ? { bytes, type: row.type } : null;
}

/** Certificates that should be there and are not, a sentence each. */
export async function verifyCertificates(db: Database, dir: string): Promise<Text[]> {
  const rows = await rowsOf<{ hash: string; type: CertificateType }>(
    db,
    'SELECT DISTINCT hash, type FROM certificates ORDER BY hash',
    [],
  );
  const faults = await Promise.all(
    rows.map((r) => faultOfKept(certificateFile(dir, r.hash, r.type), r.hash, M.certificate)),
  );
  return faults.filter((f) => f !== null);
}
