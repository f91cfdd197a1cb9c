import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { M } from './messages.ts';

type Feed = typeof import('./feed.ts');

/** The browser's stream, in the test's hand. */
class FakeSource {
  static last: FakeSource;
  static readonly CLOSED = 2;
  static opened = 0;
  readyState = 0;
  onopen: (() => void) | null = null;
  onmessage: ((e: { data: string; lastEventId: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    FakeSource.last = this;
    FakeSource.opened++;
  }
  open() {
    this.readyState = 1;
    this.onopen?.();
  }
  send(...lines: Array<[string, string]>) {
    this.sendAfter(1000, ...lines);
  }
  /** Lines that have seen so many moves of the hand. */
  sendAfter(moves: number, ...lines: Array<[string, string]>) {
    this.onmessage?.({
      data: JSON.stringify(lines.map(([port, line]) => ({ port, line }))),
      lastEventId: String(moves),
    });
  }
  fail(closed = false) {
    this.readyState = closed ? 2 : 0;
    this.onerror?.();
  }
  close() {
    this.readyState = 2;
  }
}

let feed: Feed;
let moves: Array<Record<string, number | string>>;
let clock = 0;

beforeEach(async () => {
  vi.resetModules();
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  moves = [];
  clock = 1000;
  FakeSource.opened = 0;
  const shelf = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => shelf.get(k) ?? null,
    setItem: (k: string, v: string) => shelf.set(k, v),
  });
  vi.stubGlobal('EventSource', FakeSource);
  vi.stubGlobal('requestAnimationFrame', (f: () => void) => {
    f();
    return 0;
  });
  vi.stubGlobal('fetch', async (_path: string, init: { body: string }) => {
    moves.push(JSON.parse(init.body));
    return Response.json({ moves: moves.length });
  });
  vi.spyOn(performance, 'now').mockImplementation(() => clock);
  feed = await import('./feed.ts');
});
afterEach(() => {
  feed.unpair();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

const live = () => {
  feed.pairStandIn({ shaft: 'bent' });
  FakeSource.last.open();
};
const settled = () => new Promise((done) => setImmediate(done));

describe('the paired gauge', () => {
  it('gives what its port sent last, in mm, with the line as it came', () => {
    live();
    FakeSource.last.send(['angle', '+45.0 deg'], ['dial', '+0.012 mm'], ['micrometer', '+2.3622 in']);
    expect(feed.takeReading('dial', 45)).toMatchObject({ value: 0.012, raw: '+0.012 mm' });
    const mic = feed.takeReading('micrometer', null);
    expect('value' in mic && mic.value).toBeCloseTo(59.99988, 5);
    expect(feed.portFor(['dial'])).toBe('dial');
    expect(feed.portFor(['feeler', 'dial'])).toBe('dial');
    expect(feed.portFor(['roughness'])).toBeNull();
  });

  it('gives nothing while the shaft still turns, when the value is old, when a line is no value', () => {
    live();
    FakeSource.last.send(['angle', '+40.0 deg'], ['dial', '+0.012 mm']);
    expect(feed.takeReading('dial', 45)).toEqual({
      message: { id: 'page.data.shaftStillTurningTakeWhen', params: {} },
    });
    expect(feed.takeReading('dial', null)).toMatchObject({ value: 0.012 });
    clock += 1600;
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'page.data.gaugeHasSentNoValue', params: {} },
    });
    FakeSource.last.send(['dial', 'ERR 7']);
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'instruments.gaugeSentWhichNoValue', params: { raw: 'ERR 7' } },
    });
    FakeSource.last.send(['dial', '+12.0 deg']);
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'page.data.gaugeSendsNoNothingTaken', params: { raw: '+12.0 deg', name: 'length' } },
    });
  });

  it('a drop takes the value away, is told once, and the feed comes back with the shaft as it was', async () => {
    live();
    await feed.moveHand({ atMm: 30, angleDeg: 90 });
    FakeSource.last.send(['dial', '+0.012 mm']);
    const told = vi.fn();
    feed.onDropped(told);
    FakeSource.last.fail();
    FakeSource.last.fail();
    expect(told).toHaveBeenCalledTimes(1);
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'page.data.feedStoppedNoValueTaken', params: {} },
    });
    moves = [];
    FakeSource.last.open();
    await settled();
    expect(moves).toEqual([{ shaft: 'bent', atMm: 30, angleDeg: 90 }]);
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'page.data.gaugeHasSentNoValue', params: {} },
    });
    FakeSource.last.send(['dial', '+0.020 mm']);
    expect(feed.takeReading('dial', null)).toMatchObject({ value: 0.02 });
  });

  it('takes no count that was on its way before the hand went on to the next place', async () => {
    live();
    await feed.moveHand({ minutes: 10, flats: 3 });
    FakeSource.last.sendAfter(moves.length, ['drops', '44 dpm']);
    expect(feed.takeReading('drops', null, 'count')).toMatchObject({ value: 44 });
    await feed.moveHand({ minutes: 20, flats: 4 });
    FakeSource.last.sendAfter(moves.length - 1, ['drops', '43 dpm'], ['dial', '+0.012 mm']);
    expect(feed.takeReading('drops', null, 'count')).toEqual({
      message: { id: 'page.data.gaugeHasSentNoValue', params: {} },
    });
    expect(feed.takeReading('dial', null)).toMatchObject({ value: 0.012 });
    FakeSource.last.sendAfter(moves.length, ['drops', '31 dpm']);
    expect(feed.takeReading('drops', null, 'count')).toMatchObject({ value: 31 });
  });

  it('asks again by itself where the browser has given the stream up, and no more once it is let go', () => {
    live();
    FakeSource.last.fail(true);
    vi.advanceTimersByTime(2500);
    expect(FakeSource.opened).toBe(2);
    FakeSource.last.fail(true);
    feed.unpair();
    vi.advanceTimersByTime(10_000);
    expect(FakeSource.opened).toBe(2);
    expect(feed.takeReading('dial', null)).toEqual({
      message: { id: 'page.data.noGaugePaired', params: {} },
    });
  });

  it('moves of the hand go one after the other; those overtaken are left out, and a turn is not cut off by an old place', async () => {
    live();
    await settled();
    moves = [];
    void feed.moveHand({ atMm: 3, angleDeg: 0 });
    void feed.moveHand({ atMm: 3, angleDeg: 45 });
    void feed.moveHand({ atMm: 3, angleDeg: 90 });
    await feed.moveHand({ atMm: 3, sweepRpm: 8 });
    await settled();
    expect(moves[0]).toEqual({ atMm: 3, angleDeg: 0 });
    expect(moves.at(-1)).toEqual({ atMm: 3, sweepRpm: 8 });
    expect(moves).toHaveLength(2);
  });

  it('every line is heard by those who gather a turn', () => {
    live();
    const heard: number[] = [];
    const deaf = feed.onHeard((port, h) => {
      if (port === 'dial') heard.push(h.value);
    });
    for (let i = 0; i < 50; i++) FakeSource.last.send(['dial', `+0.0${10 + i} mm`]);
    deaf();
    FakeSource.last.send(['dial', '+0.5 mm']);
    expect(heard).toHaveLength(50);
  });
});

describe('a serial port', () => {
  it('says why where none was chosen or it cannot be opened', async () => {
    vi.stubGlobal('navigator', { serial: { requestPort: async () => Promise.reject(new Error('no')) } });
    expect(await feed.pairSerial()).toEqual(M.noPortChosen);
    vi.stubGlobal('navigator', {
      serial: { requestPort: async () => ({ open: async () => Promise.reject(new Error('busy')) }) },
    });
    expect(await feed.pairSerial()).toEqual(M.portHeldByAnother);
    vi.stubGlobal('navigator', {});
    const { hasSerial } = await import('./serial-port.ts');
    expect(hasSerial()).toBe(false);
  });

  it('gives whole lines from pieces, also a while after the key was pressed', async () => {
    let control: ReadableStreamDefaultController<Uint8Array> | undefined;
    const readable = new ReadableStream<Uint8Array>({
      start(c) {
        control = c;
      },
    });
    vi.stubGlobal('navigator', {
      serial: {
        requestPort: async () => ({ open: async () => undefined, close: async () => undefined, readable }),
      },
    });
    expect(await feed.pairSerial()).toBeNull();
    for (const piece of ['-0.0', '08 m', 'm\r\n']) control?.enqueue(new TextEncoder().encode(piece));
    await vi.waitFor(() => expect(feed.takeReading('serial', null)).toMatchObject({ value: -0.008 }));
    clock += 5000;
    expect(feed.takeReading('serial', 90)).toMatchObject({ value: -0.008 });
    clock += 6000;
    expect(english(feed.takeReading('serial', 90))).toHaveProperty('message');
    expect(feed.portFor(['caliper'])).toBe('serial');
  });
});
