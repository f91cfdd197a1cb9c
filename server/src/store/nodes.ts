import { connect } from 'node:net';

export type Node = { host: string; port: number };

/** How long a database may take to answer the door. */
const DOOR_MS = 700;

/** Does anybody answer there? */
const answers = ({ host, port }: Node): Promise<boolean> =>
  new Promise((done) => {
    const socket = connect({ host, port, timeout: DOOR_MS });
    const say = (answer: boolean) => {
      socket.destroy();
      done(answer);
    };
    socket.once('connect', () => say(true));
    socket.once('error', () => say(false));
    socket.once('timeout', () => say(false));
  });

/** The databases of a cluster that hold the same: one is used, and the next where that one is gone. */
export class Nodes {
  private at = 0;
  constructor(private readonly all: readonly Node[]) {}

  /** One that answers the door; where none does, the one used last, so that its own fault is told. */
  async pick(): Promise<Node> {
    for (let i = 0; this.all.length > 1 && i < this.all.length; i++) {
      if (await answers(this.now)) break;
      this.moveOn();
    }
    return this.now;
  }

  /** The one in use answers the door and is not ready for work: another is tried. */
  moveOn(): void {
    this.at = (this.at + 1) % this.all.length;
  }

  private get now(): Node {
    return this.all[this.at] as Node;
  }
}
