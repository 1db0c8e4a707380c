/** Who may do what: the owner everything; a helper weighs, packs and counts; a learner reads the pattern of one pack. */
export type Role = 'owner' | 'helper' | 'learner';

/** Whom a device may be let in as; learners come by the code of their pack. */
export const DEVICE_ROLES = ['owner', 'helper'] as const;
export type DeviceRole = (typeof DEVICE_ROLES)[number];

/** What whoever opens a page may know before they have said who they are. */
export interface SessionState {
  /** It is opened to a network: it asks who comes. */
  readonly isOpened: boolean;
  readonly isKnown: boolean;
  /** As whom; null: nobody yet. On loopback everybody is the owner. */
  readonly role: Role | null;
  /** What the device was named when it was paired; null: it came by the passphrase, or is not known. */
  readonly deviceName: string | null;
  /** A helper’s device that may see who comes to a class. */
  readonly seesNames: boolean;
  /** Wrong passphrases and codes within the last hour, from wherever; told to its owner alone. */
  readonly wrongTries: number | null;
}

/** A device that is let in. */
export interface DeviceLine {
  readonly id: string;
  readonly name: string;
  readonly role: DeviceRole;
  readonly seesNames: boolean;
  /** By its owner’s passphrase, for a while; or paired, until it is shut out. */
  readonly came: 'passphrase' | 'paired';
  /** ISO 8601, UTC. */
  readonly since: string;
  /** When it last asked for anything; ISO 8601, UTC. */
  readonly seenAt: string;
  /** From where it last came. */
  readonly address: string;
  /** The one that asks. */
  readonly isThis: boolean;
}

/** A code that lets one device in, for a few minutes. */
export interface PairingOffer {
  /** As it is typed, in two groups. */
  readonly code: string;
  readonly name: string;
  readonly role: DeviceRole;
  readonly seesNames: boolean;
  /** ISO 8601, UTC. */
  readonly endsAt: string;
}

/** How the studio stands to its network. */
export interface NetworkState {
  readonly isOpened: boolean;
  /** This page came over TLS. */
  readonly isSecure: boolean;
  /** Where other devices of the network find it, best first; none on loopback. */
  readonly urls: readonly string[];
  /** ISO 8601, UTC; null: none was set. */
  readonly passphraseSetAt: string | null;
  readonly devices: readonly DeviceLine[];
  readonly offers: readonly PairingOffer[];
  readonly wrongTries: number;
}

/** One write, and who did it. */
export interface WriteLogLine {
  readonly id: number;
  /** ISO 8601, UTC. */
  readonly at: string;
  /** Null: Lanakit by itself. */
  readonly role: Role | 'nobody' | null;
  readonly device: string;
  /** What was done, in the words of its route. */
  readonly what: string;
  /** The thing it was done to, as it is called now; empty: none, or it is gone. */
  readonly subject: string;
}

export interface WriteLogPage {
  readonly items: readonly WriteLogLine[];
  readonly total: number;
  /** Every device there is a line of. */
  readonly devices: readonly string[];
  readonly keptDays: number;
}
