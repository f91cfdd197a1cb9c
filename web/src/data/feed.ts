import { type GaugeLine, parseGaugeLine } from '@fulcrant/core/instruments';
import { measuredAt, type PlaceQuantity } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import type { StandInHeat, StandInLeak, StandInPump, StandInShaft } from '@fulcrant/core/simulators';
import { measured, type Quantity, saidBy } from '@fulcrant/core/units';
import { useSyncExternalStore } from 'react';
import { v4 } from 'uuid';
import { call } from './api.ts';
import { M } from './messages.ts';
import { openSerial } from './serial-port.ts';

/** Where lines come from: a port of the stand-in bench on the server, or a gauge on this device's own serial port. */
export type FeedSource = 'stand-in' | 'serial';
export type FeedPort =
  | 'dial'
  | 'angle'
  | 'micrometer'
  | 'feeler'
  | 'pump'
  | 'wrench'
  | 'probe'
  | 'drops'
  | 'serial';
/** What lies on the stand-in bench: a shaft on the rollers, and a pump or a warm bearing where one is asked for. */
export type Scene = {
  shaft: StandInShaft;
  pump?: StandInPump | undefined;
  heat?: StandInHeat | undefined;
  leak?: StandInLeak | undefined;
};
export type Heard = GaugeLine & { at: number };

export type FeedView = {
  source: FeedSource | null;
  state: 'off' | 'opening' | 'live' | 'dropped';
  heard: Partial<Record<FeedPort, Heard>>;
  /** What the feed has to say for itself: why it stopped, or a line that is no value. */
  fault: Text | null;
  scene: Scene;
};

/**
 * A value older than this is not the gauge's any more: the bench sends without pause, a gauge on a serial port often only when
 * its key is pressed.
 */
const FRESH_MS: Record<FeedSource, number> = { 'stand-in': 1500, serial: 10_000 };
/** How near the shaft must be to where it was turned to before its dial is read. */
const ARRIVED_DEG = 0.6;
const RETRY_MS = 2000;
const DEVICE = 'fulcrant.device';

const OFF: FeedView = { source: null, state: 'off', heard: {}, fault: null, scene: { shaft: 'true' } };
let view: FeedView = OFF;
let close: (() => void) | null = null;
let frame = 0;
const watchers = new Set<() => void>();
const hearers = new Set<(port: FeedPort, heard: Heard) => void>();
const drops = new Set<() => void>();

/** Show a change at once. */
function show(change: Partial<FeedView>): void {
  view = { ...view, ...change };
  for (const w of watchers) w();
}

/** Lines come faster than anybody can read: those who watch are told once a frame. */
function showSoon(): void {
  if (frame) return;
  frame = requestAnimationFrame(() => {
    frame = 0;
    for (const w of watchers) w();
  });
}

/** Gauges that show something else as soon as the hand goes on to the next place. */
const FOLLOWS: readonly FeedPort[] = ['probe', 'drops'];

/** Lines that have seen fewer moves of the hand than the bench was told are of the place before. */
let told = 0;

function hear(port: FeedPort, text: string, moves = Number.POSITIVE_INFINITY): void {
  // What comes while the hand is still moved, or was sent before it was, is of the place before.
  if ((telling || moves < told) && FOLLOWS.includes(port)) return;
  const parsed = parseGaugeLine(text);
  if (!parsed.ok) {
    // Said once; whatever stood there before is not the gauge's word now.
    const { [port]: _, ...heard } = view.heard;
    show({ heard, fault: parsed.message });
    return;
  }
  const heard = { ...parsed.line, at: performance.now() };
  view = { ...view, heard: { ...view.heard, [port]: heard }, fault: null };
  for (const h of hearers) h(port, heard);
  showSoon();
}

function dropped(why: Text): void {
  show({ state: 'dropped', heard: {}, fault: why });
  for (const d of drops) d();
}

/** This device among others: its own stand-in bench. */
function device(): string {
  const kept = localStorage.getItem(DEVICE) ?? v4();
  localStorage.setItem(DEVICE, kept);
  return kept;
}

const STOPPED = M.feedStoppedNoValueTaken;

/** Pair the stand-in bench, laid out so. The feed comes back by itself after a drop, and finds the bench as it was. */
export function pairStandIn(scene: Scene): void {
  unpair();
  show({ source: 'stand-in', state: 'opening', scene, fault: null });
  let laidOut = false;
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const open = () => {
    source = new EventSource(
      `/api/feed/${device()}?ports=dial,angle,micrometer,feeler,pump,wrench,probe,drops&shaft=${scene.shaft}`,
    );
    source.onopen = () => {
      show({ state: 'live', fault: null });
      // The pump keeps its pressure over a drop: it is coupled up once.
      told = 0;
      void moveHand({ ...(laidOut ? { shaft: view.scene.shaft } : view.scene), ...lastPlace });
      laidOut = true;
    };
    source.onmessage = (e: MessageEvent<string>) => {
      for (const l of JSON.parse(e.data) as Array<{ port: FeedPort; line: string }>)
        hear(l.port, l.line, Number(e.lastEventId));
    };
    source.onerror = () => {
      if (view.state !== 'dropped') dropped(STOPPED);
      // A browser gives up on a refused stream; ask again ourselves.
      if (source?.readyState === EventSource.CLOSED && !timer)
        timer = setTimeout(() => {
          timer = null;
          open();
        }, RETRY_MS);
    };
  };
  open();
  close = () => {
    source?.close();
    if (timer) clearTimeout(timer);
  };
}

/** Pair a gauge on a serial port. Null when it is open, else why not. */
export async function pairSerial(): Promise<Text | null> {
  unpair();
  try {
    const end = await openSerial((text) => hear('serial', text), dropped);
    close = end;
    show({ source: 'serial', state: 'live', fault: null });
    return null;
  } catch (error) {
    return error instanceof Error ? saidBy(error) : M.portCouldNotOpened;
  }
}

/** Let the paired gauge go. */
export function unpair(): void {
  close?.();
  close = null;
  lastPlace = {};
  show(OFF);
}

type Lasting = Partial<Scene> & {
  atMm?: number;
  angleDeg?: number;
  foot?: number;
  minutes?: number;
  flats?: number;
};
/** What is done once, and not again when the bench comes back. */
type Once = {
  sweepRpm?: number;
  strokes?: number;
  release?: boolean;
  freeOtherNut?: boolean;
  wrenchNm?: number;
};
type Move = Lasting & Once;
let lastPlace: Lasting = {};

/** Moves not yet told to the bench: they go one after the other, and what is overtaken is left out. */
let pending: Move | null = null;
let telling: Promise<void> | null = null;

async function tellAll(): Promise<void> {
  while (pending && view.source === 'stand-in') {
    const move = pending;
    pending = null;
    const heard = await call<{ moves: number }>('POST', `/api/feed/${device()}/hand`, move).catch(() => null);
    if (heard) told = heard.moves;
  }
  telling = null;
}

/** Move the hand at the stand-in bench; where the bench is away, it is told again when it is back. */
export function moveHand(move: Move): Promise<void> {
  const { sweepRpm, strokes, release, freeOtherNut, wrenchNm, ...lasting } = move;
  const { pump: _pump, ...place } = lasting;
  lastPlace = { ...lastPlace, ...place };
  const { sweepRpm: _, ...before } = pending ?? {};
  pending = {
    ...before,
    ...lasting,
    ...(sweepRpm === undefined ? {} : { sweepRpm }),
    ...(strokes === undefined ? {} : { strokes: strokes + (before.strokes ?? 0) }),
    ...(release ? { release } : {}),
    ...(freeOtherNut ? { freeOtherNut } : {}),
    ...(wrenchNm === undefined ? {} : { wrenchNm }),
  };
  if (sweepRpm !== undefined) delete pending.angleDeg;
  telling ??= tellAll();
  if (place.minutes !== undefined || place.flats !== undefined)
    view = {
      ...view,
      heard: Object.fromEntries(
        Object.entries(view.heard).filter(([port]) => !FOLLOWS.some((f) => f === port)),
      ),
    };
  return telling;
}

/** Which port of the bench stands for which kind of gauge. */
const PORT_OF: ReadonlyArray<readonly [FeedPort, string]> = [
  ['dial', 'dial'],
  ['micrometer', 'micrometer'],
  ['feeler', 'feeler'],
  ['pump', 'pressure'],
  ['wrench', 'wrench'],
  ['probe', 'thermometer'],
  ['drops', 'counter'],
];

/** The port that reads a kind of gauge just now. */
export function portFor(kinds: readonly string[]): FeedPort | null {
  if (view.source === 'serial') return 'serial';
  if (view.source !== 'stand-in') return null;
  return PORT_OF.find(([, kind]) => kinds.includes(kind))?.[0] ?? null;
}

/** The quantity a place wants from a gauge on a port. */
export function quantityFor(read: PlaceQuantity): Quantity {
  const quantity = measuredAt(read);
  // A tester of roughness sends a height.
  return quantity === 'roughness' ? 'length' : quantity;
}

/** What the paired gauge shows now, fresh and at rest; else why it cannot be taken. */
export function takeReading(
  port: FeedPort,
  angleDeg: number | null,
  wanted: Quantity = 'length',
): Heard | { message: Text } {
  if (view.state !== 'live') return { message: view.fault ?? M.noGaugePaired };
  const heard = view.heard[port];
  if (!heard || performance.now() - heard.at > FRESH_MS[view.source ?? 'stand-in'])
    return { message: view.fault ?? M.gaugeHasSentNoValue };
  if (heard.quantity !== wanted)
    return {
      message: M.gaugeSendsNoNothingTaken({ raw: heard.raw, name: measured(wanted).name }),
    };
  const turned = view.heard.angle?.value;
  if (angleDeg !== null && turned !== undefined && Math.abs(turned - angleDeg) > ARRIVED_DEG)
    return { message: M.shaftStillTurningTakeWhen };
  return heard;
}

/** Hear every line as it comes. Call what comes back to stop. */
export function onHeard(listener: (port: FeedPort, heard: Heard) => void): () => void {
  hearers.add(listener);
  return () => hearers.delete(listener);
}

/** Be told when the feed drops. */
export function onDropped(listener: () => void): () => void {
  drops.add(listener);
  return () => drops.delete(listener);
}

function watch(w: () => void): () => void {
  watchers.add(w);
  return () => watchers.delete(w);
}

/** The paired gauge as the sheet shows it, at most once a frame. */
export const useFeed = (): FeedView => useSyncExternalStore(watch, () => view);

/** Only what is paired: for those who need not follow every value. */
export const useFeedSource = (): FeedSource | null => useSyncExternalStore(watch, () => view.source);
