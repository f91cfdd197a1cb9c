import { COMMON, isText } from '@fulcrant/core/messages';
import { isHash } from '../store/kept-files.ts';
import { keepPhoto, lookAtPhoto, PHOTO_BYTES, readPhoto } from '../store/photos.ts';
import { bytesOf } from './bytes.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, file, NOTHING, RECORDERS, type Route, route } from './routes.ts';

/** Photographs by the hash of their content. */
export const photos: Route[] = [
  route({
    method: 'put',
    path: '/api/photos/:hash',
    who: RECORDERS,
    summary: M.keepPhotograph,
    takes: 'image/jpeg',
    answer: NOTHING,
    problems: [404],
    async run({ ctx, house, params }, me) {
      const { hash } = params;
      if (!isHash(hash)) throw new Problem(404, COMMON.photographNamedSha256File);
      const bytes = await bytesOf(ctx, PHOTO_BYTES, M.photographTooLargeDeviceMakes);
      const size = await lookAtPhoto(bytes, hash);
      if (isText(size)) throw new Problem(400, size);
      await keepPhoto(house.db, house.photoDir, hash, bytes, size, me.id);
    },
  }),
  route({
    method: 'get',
    path: '/api/photos/:hash',
    who: EVERYONE_SIGNED_IN,
    summary: M.photograph,
    answer: file('image/jpeg'),
    problems: [404],
    async run({ ctx, house, params }) {
      const bytes = isHash(params.hash) ? await readPhoto(house.photoDir, params.hash) : null;
      if (!bytes) throw new Problem(404, M.photographNotHereWaitsDevice);
      ctx.body = bytes;
      ctx.type = 'image/jpeg';
      // Named by what is in it, it never changes; it is for those who are signed in.
      ctx.set('cache-control', 'private, max-age=31536000, immutable');
      ctx.set('content-security-policy', "default-src 'none'");
    },
  }),
];
