/** One tick of a ruler whose zero is at 0. */
export interface Tick {
  /** Along the edge, in the units of `scale`. */
  readonly at: number;
  readonly weight: 'major' | 'half' | 'minor';
  /** Whole centimetres or inches, on major ticks. */
  readonly label: string | null;
}

/** A true ruler along `length` px at `scale` px per mm: millimetres (5, 10) or eighths of an inch (½, 1). */
export function rulerTicks(length: number, scale: number, unit: 'mm' | 'in'): Tick[] {
  const perMajor = unit === 'mm' ? 10 : 8;
  const smallestMm = unit === 'mm' ? 1 : 25.4 / 8;
  // Ticks closer than 3 px run together: leave the small ones out, never move them.
  const stride =
    [1, perMajor / 2, perMajor, perMajor * 5].find((n) => n * smallestMm * scale >= 3) ?? perMajor * 10;
  const majorEvery = [1, 2, 5, 10].find((n) => n * perMajor * smallestMm * scale >= 22) ?? 20;
  const count = Math.floor(length / (stride * smallestMm * scale));
  return Array.from({ length: count + 1 }, (_, i) => {
    const small = i * stride;
    const isMajor = small % perMajor === 0;
    const major = small / perMajor;
    return {
      at: small * smallestMm * scale,
      weight: isMajor ? 'major' : small % (perMajor / 2) === 0 ? 'half' : 'minor',
      label: isMajor && major > 0 && major % majorEvery === 0 ? String(major) : null,
    };
  });
}
