/**
 * Things done one after the other, in the order they were asked for: a quick gauge sends its next reading before the last is
 * kept. One that throws does not hold up those behind it.
 */
export class InTurn {
  private last: Promise<void> = Promise.resolve();

  /** Do this when its turn comes. */
  add(task: () => Promise<void>): Promise<void> {
    const done = this.last.then(task);
    this.last = done.catch(() => undefined);
    return done;
  }
}
