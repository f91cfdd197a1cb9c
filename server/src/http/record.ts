import { lacksSchema } from '@fulcrant/core/api';
import { lacking } from '../store/lacking.ts';
import { M } from './messages.ts';
import { answers, RECORDERS, type Route, route } from './routes.ts';
import { listOf, text, told } from './shapes.ts';

/** The record as a whole, as its devices ask after it. */
export const record: Route[] = [
  route({
    method: 'post',
    path: '/api/record/lacks',
    who: RECORDERS,
    summary: M.whatDeviceHasSentWhat,
    asks: lacksSchema,
    refused: M.thoseNoEntriesAskAfter,
    answer: answers(told({ events: listOf(text), photos: listOf(text) })),
    /** Of what a device has sent: what is not here. After a restore that is what came since; it is then sent again. */
    async run({ house, body }) {
      const { events, photos } = body;
      return await lacking(house.db, house.photoDir, events, photos);
    },
  }),
];
