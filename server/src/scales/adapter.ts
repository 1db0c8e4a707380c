import type { ScaleCommand } from '@lanakit/core/scale';

/** What an adapter tells of its scale. */
export interface ScaleEars {
  /** A piece of what it said, in whatever pieces it comes. */
  readonly text: (chunk: string) => void;
  /** It is unplugged; where it comes back it says so by saying something. */
  readonly gone: () => void;
}

/** A scale as it is listened to. */
export interface OpenScale {
  readonly say: (command: ScaleCommand) => void;
  readonly close: () => void;
}

/** One way to reach a scale. Whatever is behind it says the lines of docs/scale.md. */
export interface ScaleAdapter {
  readonly name: string;
  readonly kind: 'simulated' | 'wire';
  readonly hears: boolean;
  readonly open: (ears: ScaleEars) => OpenScale;
}
