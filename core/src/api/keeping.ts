import type { Preparation } from '../shelf/index.ts';

/** Why a copy of the studio was made. */
export type BackupReason = 'daily' | 'asked' | 'before-migration' | 'before-restore';

/** A copy of the whole studio, found whole when it was made. */
export interface BackupName {
  readonly name: string;
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly reason: BackupReason;
  readonly sizeBytes: number;
}

/** What has a name in a studio and can be brought back by itself. */
export type KeptKind = 'pattern' | 'run' | 'item';

/**
 * One thing that is not the same in a backup as it is now. `lost`: made since, and would be gone; `changed`: would be again as
 * it was; `back`: deleted since, and would be there again.
 */
export interface BackupDifference {
  readonly is: 'lost' | 'changed' | 'back';
  readonly kind: KeptKind | 'technique';
  readonly id: string;
  readonly name: string;
}

/** What a backup holds, and what putting all of it back would do to what is there now. */
export interface BackupContents extends BackupName {
  readonly counts: Readonly<Record<KeptKind | 'technique', number>>;
  readonly differences: readonly BackupDifference[];
  /** Lines of the ledger, and ticks, that were entered since and would be gone. */
  readonly movementsLost: number;
  readonly ticksLost: number;
}

/** Something that is there and cannot be read. */
export interface DamagedThing {
  readonly table: string;
  readonly id: string;
  /** Null where not even that can be read. */
  readonly name: string | null;
}

/** How safe the studio is. */
export interface Keeping {
  /** When this was told; ISO 8601, UTC. */
  readonly now: string;
  /** Where backups are made. */
  readonly folder: string;
  /** The newest first. */
  readonly backups: readonly BackupName[];
  /** Why the last one was not made; null when it was. */
  readonly backupFault: string | null;
  /** A second place of the maker’s choice, and why the last copy did not get there. */
  readonly secondPlace: { readonly path: string; readonly fault: string | null } | null;
  /** What was found wrong with the studio’s file when it was last looked through; null: nothing, or not looked at yet. */
  readonly fileFault: string | null;
  /** What could not be read when it was last asked for. */
  readonly damaged: readonly DamagedThing[];
}

/** What was put back, and where what was there before lies now. */
export interface PutBack {
  readonly keptAs: string;
}

/** Something that was deleted, and how it is had back. */
export interface BinnedThing {
  readonly kind: KeptKind | 'technique' | 'making' | 'commission';
  readonly id: string;
  readonly name: string;
  readonly deletedAt: string;
  /** Where its kind is at home, below /api: it is brought back by `{path}/{id}/restore`. */
  readonly path: string;
}

/** One state of something before it was changed. */
export interface HistoryEntry {
  readonly id: number;
  readonly version: number;
  /** From when it was so. */
  readonly at: string;
  /** It never was: somebody else was first, and this is what would have been made of it. */
  readonly isLost: boolean;
}

/** Something as it is, with its document as its kind has it. */
export interface HistoryState {
  readonly name: string;
  readonly version: number;
  readonly document: object;
}

/** A thing of a shelf, so far as it takes to know it by. */
export interface ThingOfShelf {
  readonly kind: 'fibre' | 'blend' | 'finding' | 'needle' | 'tool' | 'supplier';
  readonly id: string;
  readonly name: string;
  /** Of a fibre or blend. */
  readonly preparation: Preparation | null;
}

/** A thing of the shelf of a studio that came in, and the one here that it seems to be. */
export interface ThingThatCame extends ThingOfShelf {
  /** Null: none; it is put on this shelf. */
  readonly itemId: string | null;
  /** It is that very one, not only one of its name. */
  readonly isSame: boolean;
}

/** A studio read from its open files, not brought in yet. */
export interface StudioThatCame {
  /** Of what was read; it is kept for a day. */
  readonly id: string;
  readonly counts: Readonly<Record<KeptKind | 'technique', number>>;
  readonly movements: number;
  /** Of those, how many are here already the same. */
  readonly here: Readonly<Record<KeptKind | 'technique', number>>;
  /** Nothing was ever put into the studio that is open: it becomes the same. */
  readonly isEmptyHere: boolean;
  readonly things: readonly ThingThatCame[];
  /** Everything on this shelf, for what it could be. */
  readonly shelf: readonly ThingOfShelf[];
}

/** What came in of it. */
export interface BroughtIn {
  readonly counts: Readonly<Record<KeptKind | 'technique', number>>;
  /** Lines of the ledger. */
  readonly movements: number;
  /** Runs whose wool had left a ledger that is here already: they are planned again. */
  readonly backToPlanned: number;
}
