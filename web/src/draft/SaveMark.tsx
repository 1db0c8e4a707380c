import type { SaveState } from './DraftSaver.ts';

/** Whether the work is safe, in two words, always in the same place. */
export function SaveMark({ state }: { state: SaveState<unknown> }) {
  return (
    <span role="status" className={`small ${toneOf(state)}`} data-save={state.kind}>
      {wordsOf(state)}
    </span>
  );
}

function toneOf(state: SaveState<unknown>): string {
  if (state.kind === 'saved' || state.kind === 'unsaved' || state.kind === 'saving') return 'quiet';
  return state.kind === 'kept-here' && state.isKept ? 'amber' : 'red';
}

function wordsOf(state: SaveState<unknown>): string {
  switch (state.kind) {
    case 'saved':
      return state.atMs === null ? 'Saved' : `Saved ${clock(state.atMs)}`;
    case 'unsaved':
      return 'Not saved yet';
    case 'saving':
      return 'Saving…';
    case 'kept-here':
      return state.isKept
        ? 'Not reached: kept in this browser'
        : 'Not reached, and no room here: leave this page open';
    case 'refused':
      return state.problems.length > 0 ? 'Not saved: something to mend' : `Not saved. ${state.message}`;
    case 'conflict':
      return 'Changed elsewhere';
  }
}

const clock = (atMs: number): string =>
  new Date(atMs).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
