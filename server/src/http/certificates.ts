import {
  CERTIFICATE_BYTES,
  certificatesOf,
  keepCertificate,
  lookAtCertificate,
  readCertificate,
} from '../store/certificates.ts';
import { isHash } from '../store/kept-files.ts';
import { bytesOf } from './bytes.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

/** Calibration certificates of gauges, by the hash of their content. */
export const certificates: Route[] = [
  {
    method: 'get',
    path: '/api/certificates',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = { certificates: await certificatesOf(house.db) };
    },
  },
  {
    method: 'put',
    path: '/api/instruments/:id/certificates/:hash',
    who: RECORDERS,
    takes: 'application/octet-stream',
    /** `?name=` is what the file was called where it came from. */
    async run({ ctx, house, params }, me) {
      const { id = '', hash } = params;
      if (!isHash(hash)) throw new Problem(404, 'A certificate is named by the SHA-256 of its file.');
      const gauge = await house.db.models.Instrument.findByPk(id);
      if (!gauge || gauge.standIn) throw new Problem(404, 'There is no such gauge.');
      const bytes = await bytesOf(ctx, CERTIFICATE_BYTES, 'A certificate has 5 MB at the most.');
      const seen = await lookAtCertificate(bytes, hash);
      if ('fault' in seen) throw new Problem(400, seen.fault);
      const asked = ctx.query.name;
      const name = (typeof asked === 'string' ? asked : '').replace(/[^\p{L}\p{N} ._-]/gu, '').slice(0, 120);
      await keepCertificate(
        house.db,
        house.photoDir,
        { hash, name: name || 'certificate', type: seen.type, bytes },
        id,
        me.id,
      );
      ctx.status = 204;
    },
  },
  {
    method: 'get',
    path: '/api/certificates/:hash',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }) {
      const file = isHash(params.hash) ? await readCertificate(house.db, house.photoDir, params.hash) : null;
      if (!file) throw new Problem(404, 'There is no such certificate.');
      ctx.body = file.bytes;
      ctx.type = file.type;
      ctx.set('cache-control', 'private, max-age=31536000, immutable');
      // It came from outside: it is shown, and may do nothing.
      ctx.set('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
      ctx.set('x-content-type-options', 'nosniff');
    },
  },
];
