/** What an adapter tells of its device. */
export interface DeviceEars {
  /** A piece of what it said, in whatever pieces it comes. */
  readonly text: (chunk: string) => void;
  /** It is unplugged; where it comes back it says so by saying something. */
  readonly gone: () => void;
}

/** A device as it is listened to. */
export interface OpenDevice {
  readonly say: (line: string) => void;
  readonly close: () => void;
}

/** One way to reach a device that says lines: those of docs/scale.md, or of docs/labels.md. */
export interface DeviceAdapter {
  readonly name: string;
  readonly kind: 'simulated' | 'wire';
  readonly hears: boolean;
  readonly open: (ears: DeviceEars) => OpenDevice;
}
