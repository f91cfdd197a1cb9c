import { PassThrough } from 'node:stream';
import {
  STAND_IN_HEATS,
  STAND_IN_LEAKS,
  STAND_IN_PUMPS,
  STAND_IN_SHAFTS,
  type StandInShaft,
} from '@fulcrant/core/simulators';
import { boolean, number, object, string } from 'yup';
import { STAND_IN_PORTS } from '../instruments/ports.ts';
import type { StandInBench } from '../instruments/stand-in-bench.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { answers, type Call, file, RECORDERS, type Route, route } from './routes.ts';
import { numeral, told } from './shapes.ts';

const DEVICE = /^[0-9a-z-]{8,40}$/;
/** A reader this far behind is let go; it comes back by itself. */
const BEHIND_MOST = 256 * 1024;

const moveSchema = object({
  shaft: string().oneOf(Object.keys(STAND_IN_SHAFTS) as StandInShaft[]),
  atMm: number().min(-1000).max(5000),
  angleDeg: number().min(-360).max(1080),
  sweepRpm: number().min(0.5).max(60),
  foot: number().integer().min(1).max(8),
  pump: string().oneOf(STAND_IN_PUMPS),
  strokes: number().integer().min(1).max(40),
  release: boolean(),
  freeOtherNut: boolean(),
  heat: string().oneOf(STAND_IN_HEATS),
  leak: string().oneOf(STAND_IN_LEAKS),
  flats: number().min(-60).max(200),
  minutes: number().min(-1).max(10000),
  wrenchNm: number().min(0).max(5000),
}).noUnknown();

function benchOf(call: Pick<Call, 'params' | 'house'>, personId: string): StandInBench {
  const device = call.params.device ?? '';
  if (!DEVICE.test(device)) throw new Problem(404, M.thereNoSuchDevice);
  const bench = call.house.standIns.bench(personId, device);
  if (bench === 'house') throw new Problem(503, M.allStandBenchesTakenJust);
  if (bench === 'person') throw new Problem(429, M.youStandFourStandBenches);
  return bench;
}

/** Gauges on ports of the server: the stand-ins. Lines come as server-sent events, the hand's moves go as posts. */
export const feed: Route[] = [
  route({
    method: 'get',
    path: '/api/feed/:device',
    who: RECORDERS,
    summary: M.linesSimulatedGaugesAsThey,
    query: object({ ports: string().max(200).default('dial'), shaft: string().max(40).default('') }),
    answer: file('text/event-stream'),
    run(call, person) {
      const { ctx, house, query } = call;
      const bench = benchOf(call, person.id);
      const wanted = query.ports.split(',');
      const ports = STAND_IN_PORTS.filter((p) => wanted.includes(p));
      // The shaft lies on the rollers before the first line is sent, or that line would be another shaft's.
      const { shaft } = query;
      if (Object.hasOwn(STAND_IN_SHAFTS, shaft)) bench.move({ shaft: shaft as StandInShaft });
      if (ports.length === 0)
        throw new Problem(400, M.portsSome({ standInPorts: STAND_IN_PORTS.join(', ') }));
      const stream = new PassThrough();
      const deaf = bench.listen((lines, moves) => {
        if (stream.writableLength > BEHIND_MOST) return end();
        const heard = lines.filter((l) => ports.includes(l.port));
        // How many moves of the hand these lines have seen.
        stream.write(`id: ${moves}\ndata: ${JSON.stringify(heard)}\n\n`);
      });
      const forget = house.standIns.onEnd(() => end());
      const end = () => {
        deaf();
        forget();
        stream.end();
      };
      stream.on('close', end);
      ctx.req.on('close', end);
      stream.write('retry: 500\n\n');
      ctx.set('cache-control', 'no-store');
      // A stream kept back until enough of it is there would be no feed.
      (ctx as { compress?: boolean }).compress = false;
      ctx.type = 'text/event-stream';
      ctx.body = stream;
    },
  }),
  route({
    method: 'post',
    path: '/api/feed/:device/hand',
    who: RECORDERS,
    summary: M.moveWhatSimulatedGaugeStands,
    asks: moveSchema,
    refused: M.noMoveHand,
    answer: answers(told({ moves: numeral })),
    run(call, person) {
      return { moves: benchOf(call, person.id).move(call.body) };
    },
  }),
];
