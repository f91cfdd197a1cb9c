import type { Certificate } from '@fulcrant/core/api';
import { useQuery } from '@tanstack/react-query';
import { putFile, readThrough } from './api.ts';

export type GaugeCertificate = Certificate & { instrumentId: string };

/** Calibration certificates of all gauges, the newest first. */
export const useCertificates = () =>
  useQuery({
    queryKey: ['certificates'],
    queryFn: async () =>
      (await readThrough<{ certificates: GaugeCertificate[] }>('/api/certificates')).certificates,
    staleTime: 30_000,
  });

/**
 * Send a certificate of a gauge: PDF or a picture.
 * @throws ApiFault with the reason where it is not taken
 */
export async function sendCertificate(gaugeId: string, file: File): Promise<void> {
  const bytes = await file.arrayBuffer();
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  const hash = [...sum].map((b) => b.toString(16).padStart(2, '0')).join('');
  await putFile(
    `/api/instruments/${gaugeId}/certificates/${hash}?name=${encodeURIComponent(file.name)}`,
    bytes,
  );
}
