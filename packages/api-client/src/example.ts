import createClient from 'openapi-fetch';
import type { paths } from './api.ts';

/** What somebody writes against the API whose types were made from its description: signed in, and the open jobs read. */
export async function openJobs(baseUrl: string, name: string, password: string): Promise<string[]> {
  const api = createClient<paths>({ baseUrl });
  const session = await api.POST('/api/session', { body: { name, password } });
  if (!session.data) throw new Error(session.error.title);
  const { data, error } = await api.GET('/api/jobs', { params: { query: { state: 'open', limit: 50 } } });
  if (!data) throw new Error(error.title);
  return data.jobs.map((j) => `${j.number} ${j.machine}, ${j.position}: ${j.act}`);
}

/** A gauge added, with what its answer says of it. */
export async function addGauge(baseUrl: string): Promise<string> {
  const api = createClient<paths>({ baseUrl });
  const { data } = await api.POST('/api/instruments', {
    body: { name: 'Dial', kind: 'dial', step: 0.01, low: 0, high: 10, calibrationDue: '2027-01-31' },
  });
  return data?.instrument.id ?? '';
}
