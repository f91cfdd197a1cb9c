declare module 'woff2sfnt-sfnt2woff' {
  /** A WOFF font unpacked to its plain form. */
  export function toSfnt(woff: Buffer): Buffer;
}
