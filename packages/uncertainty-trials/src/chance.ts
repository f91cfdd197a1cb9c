/** Chance of its own, by a seed: the trials share no code with what they try. Source: xorshift128+, Vigna 2017. */
export class Chance {
  private a: bigint;
  private b: bigint;
  private spare: number | null = null;
  /** Added to every seed: another number gives another run of all trials. */
  static run = 0;

  constructor(seed: number) {
    const from = BigInt(seed) + 1_000_003n * BigInt(Chance.run);
    this.a = from * 0x9e3779b97f4a7c15n + 1n;
    this.b = from * 0xbf58476d1ce4e5b9n + 7n;
    for (let i = 0; i < 16; i++) this.even();
  }

  /** Between 0 and 1, even. */
  even(): number {
    const m = 0xffffffffffffffffn;
    let x = this.a & m;
    const y = this.b & m;
    this.a = y;
    x ^= (x << 23n) & m;
    this.b = x ^ y ^ (x >> 17n) ^ (y >> 26n);
    return Number(((this.b + y) & m) >> 11n) / 2 ** 53;
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.even();
  }

  oneOf<T>(of: readonly T[]): T {
    return of[Math.floor(this.even() * of.length)] as T;
  }

  /** Bell-shaped, by its standard deviation. Source: Marsaglia's polar method. */
  bell(deviation = 1): number {
    if (this.spare !== null) {
      const kept = this.spare;
      this.spare = null;
      return kept * deviation;
    }
    for (;;) {
      const [u, v] = [this.between(-1, 1), this.between(-1, 1)];
      const s = u * u + v * v;
      if (s === 0 || s >= 1) continue;
      const f = Math.sqrt((-2 * Math.log(s)) / s);
      this.spare = v * f;
      return u * f * deviation;
    }
  }
}
