import { object, string } from 'yup';
import {
  CERTIFICATE_BYTES,
  certificatesOf,
  keepCertificate,
  lookAtCertificate,
  readCertificate,
} from '../store/certificates.ts';
import { isHash } from '../store/kept-files.ts';
import { bytesOf } from './bytes.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, file, NOTHING, RECORDERS, type Route, route } from './routes.ts';
import { listOf, ofItsOwn, told } from './shapes.ts';

/** Calibration certificates of gauges, by the hash of their content. */
export const certificates: Route[] = [
  route({
    method: 'get',
    path: '/api/certificates',
    who: EVERYONE_SIGNED_IN,
    summary: M.calibrationCertificates,
    answer: answers(told({ certificates: listOf(ofItsOwn()) })),
    async run({ house }) {
      return { certificates: await certificatesOf(house.db) };
    },
  }),
  route({
    method: 'put',
    path: '/api/instruments/:id/certificates/:hash',
    who: RECORDERS,
    summary: M.keepCalibrationCertificate,
    query: object({ name: string().max(400) }),
    takes: 'application/octet-stream',
    answer: NOTHING,
    problems: [404],
    /** `?name=` is what the file was called where it came from. */
    async run({ ctx, house, params, query }, me) {
      const { id = '', hash } = params;
      if (!isHash(hash)) throw new Problem(404, M.certificateNamedSha256File);
      const gauge = await house.db.models.Instrument.findByPk(id);
      if (!gauge || gauge.standIn) throw new Problem(404, M.thereNoSuchGauge);
      const bytes = await bytesOf(ctx, CERTIFICATE_BYTES, M.certificateHas5MbMost);
      const seen = await lookAtCertificate(bytes, hash);
      if ('fault' in seen) throw new Problem(400, seen.fault);
      const name = (query.name ?? '').replace(/[^\p{L}\p{N} ._-]/gu, '').slice(0, 120);
      await keepCertificate(
        house.db,
        house.photoDir,
        { hash, name: name || 'certificate', type: seen.type, bytes },
        id,
        me.id,
      );
    },
  }),
  route({
    method: 'get',
    path: '/api/certificates/:hash',
    who: EVERYONE_SIGNED_IN,
    summary: M.calibrationCertificate,
    answer: file('application/octet-stream'),
    problems: [404],
    async run({ ctx, house, params }) {
      const file = isHash(params.hash) ? await readCertificate(house.db, house.photoDir, params.hash) : null;
      if (!file) throw new Problem(404, M.thereNoSuchCertificate);
      ctx.body = file.bytes;
      ctx.type = file.type;
      ctx.set('cache-control', 'private, max-age=31536000, immutable');
      // It came from outside: it is shown, and may do nothing.
      ctx.set('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
      ctx.set('x-content-type-options', 'nosniff');
    },
  }),
];
