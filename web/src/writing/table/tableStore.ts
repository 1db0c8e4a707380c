import { type Choices, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import type { Fibre } from '@lanakit/core/shelf';
import type { Wool } from '@lanakit/core/engine';
import type { Draft } from 'immer';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { SaveState } from '../../draft/DraftSaver.ts';
import { applyEdit, beginHistory, redo, undo, type History } from '../../draft/history.ts';
import { type TableSources, tableView, type TableView } from './tableState.ts';

export type EditDraft = (label: string, recipe: (draft: Draft<Pattern>) => void, key?: string) => void;

/** Everything the work table shows, and what can be done at it. What is done never changes while it is open. */
export interface TableState extends TableView {
  readonly history: History<Pattern>;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
  readonly saveState: SaveState<Pattern>;
  readonly edit: EditDraft;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly setChoices: (choices: Choices) => void;
  readonly setShelf: (fibres: readonly Fibre[], wool: Wool) => void;
  readonly version: () => number;
  /** Sends what is waiting; true once the server has everything. */
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => Promise<void>;
  readonly takeTheirs: () => void;
}

export type TableStore = StoreApi<TableState>;

/** What keeps the document: the saver, once it is there. */
export interface TableKeeping {
  readonly changed: (document: Pattern) => void;
  readonly version: () => number;
  readonly settle: () => Promise<boolean>;
  readonly keepMine: () => Promise<void>;
  readonly takeTheirs: () => void;
}

export interface TableOpening {
  readonly document: Pattern;
  readonly saveState: SaveState<Pattern>;
  readonly fibres: readonly Fibre[];
  readonly wool: Wool;
  readonly nowMs: () => number;
}

/** The work table of one pattern: its history, and all that follows from it. */
export function createTableStore(opening: TableOpening, keeping: TableKeeping): TableStore {
  const { document, saveState, fibres, wool, nowMs } = opening;
  return createStore<TableState>((set, get) => {
    const show = (sources: Partial<TableSources>, more: Partial<TableState> = {}) => {
      const before = get();
      set({ ...more, ...tableView({ ...sourcesOf(before), ...sources }, before) });
    };
    const go = (history: History<Pattern>) => {
      if (history !== get().history) show({ document: history.document }, labelsOf(history));
    };
    /** Only what the author did is sent: not the document as opened, and not theirs when she takes it. */
    const act = (next: (history: History<Pattern>) => History<Pattern>) => {
      const { history: before } = get();
      const history = next(before);
      go(history);
      if (history.document !== before.document) keeping.changed(history.document);
    };
    return {
      ...tableView({ document, choices: NO_CHOICES, fibres, wool }, null),
      ...labelsOf(beginHistory(document)),
      saveState,
      edit: (label, recipe, key) =>
        act((history) =>
          applyEdit(history, { label, recipe, atMs: nowMs(), ...(key !== undefined && { key }) }),
        ),
      undo: () => act(undo),
      redo: () => act(redo),
      setChoices: (choices) => show({ choices }),
      setShelf: (nowFibres, nowWool) => {
        if (nowWool !== get().wool || nowFibres !== get().fibres) show({ fibres: nowFibres, wool: nowWool });
      },
      version: keeping.version,
      settle: keeping.settle,
      keepMine: keeping.keepMine,
      takeTheirs: () => {
        const state = get().saveState;
        if (state.kind !== 'conflict') return;
        go(beginHistory(state.theirs.document));
        keeping.takeTheirs();
      },
    };
  });
}

const sourcesOf = ({ document, choices, fibres, wool }: TableState): TableSources => ({
  document,
  choices,
  fibres,
  wool,
});

const labelsOf = (history: History<Pattern>) => ({
  history,
  undoLabel: history.past.at(-1)?.label ?? null,
  redoLabel: history.future[0]?.label ?? null,
});

/**
 * A store that shows what another does, but not at once: only what `follows` says, or when it is told to catch up. What
 * is done through it is done to the other.
 */
export interface Mirror {
  readonly store: TableStore;
  readonly catchUp: () => void;
  /** Held, it shows nothing new until it is told to catch up, or let go. */
  readonly hold: (isHeld: boolean) => void;
  /** @returns what ends it */
  readonly watch: () => () => void;
}

export function mirrorOf(of: TableStore, follows: (shown: TableState, now: TableState) => boolean): Mirror {
  const store = createStore<TableState>(() => of.getState());
  const catchUp = () => {
    if (store.getState() !== of.getState()) store.setState(of.getState(), true);
  };
  let isHeld = false;
  const look = () => {
    if (!isHeld && follows(store.getState(), of.getState())) catchUp();
  };
  return {
    store,
    catchUp,
    hold: (now) => {
      isHeld = now;
      look();
    },
    watch: () => {
      look();
      return of.subscribe(look);
    },
  };
}
