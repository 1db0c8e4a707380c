import { type RunTick, tickState, type WeighMark } from '@lanakit/core/run';
import { partingWords } from '@lanakit/core/words';
import type { KeyboardEvent } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import type { Woolly } from '../ui/look/fibreTile.ts';
import { flyWool } from '../ui/look/flyWool.ts';
import { showWeighed } from '../words/show.ts';
import { percent } from '../words/weighingWords.ts';
import type { Planned } from './useRunPlan.ts';
import styles from './WeighOut.module.css';

/** What everything at the scale goes by. */
export interface AtScale {
  runPlan: Planned;
  ticks: ReadonlyMap<string, RunTick>;
  onTick: (tick: RunTick) => Promise<void>;
}

interface MarkGroupProps extends AtScale {
  title: string;
  marks: readonly WeighMark[];
  nameOf: (mark: WeighMark) => string;
  /** Each weighing shows its own fibre: they are not all of one. */
  isMixed?: boolean;
}

/** Weighings of one bag, a button each; arrows go from one to the next, the space bar ticks and goes on. */
export function MarkGroup({ title, marks, nameOf, isMixed = false, runPlan, ticks, onTick }: MarkGroupProps) {
  const { scaleStepG } = runPlan.input;
  const move = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    focusBeside(event.currentTarget, by);
  };
  const first = marks.find(({ parts }) => parts > 1);
  const weighing = first && partingOfMark(first, runPlan);
  return (
    <div className={styles.bag}>
      {title !== '' && <h2>{title}</h2>}
      {weighing && (
        <p className="quiet">
          {weighing.words}
          {weighing.isByHand && '. Too little even so: a wisp by hand is as good'}
        </p>
      )}
      <div className={styles.marks} onKeyDown={move}>
        {marks.map((mark) => {
          const state = tickState(mark, ticks.get(mark.mark));
          const fibre = isMixed ? runPlan.shelf.get(mark.fibreId) : undefined;
          const isDone = state.kind !== 'open';
          const weighedG = isDone ? ticks.get(mark.mark)?.weighedG : null;
          return (
            <button
              key={mark.mark}
              type="button"
              aria-pressed={isDone}
              className={`${styles.mark} ${styles[state.kind]}`}
              onClick={(event) => {
                const button = event.currentTarget;
                const again = state.kind === 'other';
                seeItMove(button, runPlan.shelf.get(mark.fibreId), isDone && !again);
                void onTick({ mark: mark.mark, isDone: again || !isDone, massG: mark.massG });
                // A key goes on to the next; a finger goes where it will.
                if (!isDone && event.detail === 0) focusBeside(button.parentElement, 1);
              }}
            >
              <span className={styles.tick} aria-hidden>
                {state.kind === 'done' ? '✓' : ''}
              </span>
              <span className={styles.name}>
                {fibre && (
                  <span className={styles.lies} data-wool-lies="">
                    <FibreSwatch fibre={fibre} width={34} height={20} />
                  </span>
                )}
                {nameOf(mark)}
              </span>
              <span className={styles.grams}>
                {showWeighed(mark.massG, scaleStepG)}
                <small>
                  {typeof weighedG === 'number'
                    ? `${showWeighed(weighedG, scaleStepG)} in it`
                    : `± ${showWeighed(mark.toleranceG, scaleStepG)}`}
                </small>
              </span>
              {state.kind === 'other' && (
                <span className={styles.was}>
                  {showWeighed(state.weighedG, scaleStepG)} in it:{' '}
                  {state.differenceG > 0 ? 'add' : 'take out'}{' '}
                  {showWeighed(Math.abs(state.differenceG), scaleStepG)}
                </span>
              )}
            </button>
          );
        })}
      </div>
    </div>
  );
}

/** What a tick moves is seen to move: from where the fibre lies into the bag, and back when it is taken out. */
function seeItMove(button: HTMLElement, fibre: Woolly | undefined, isOut: boolean): void {
  const scale = button.closest('[data-scale]');
  const lies = button.querySelector('[data-wool-lies]') ?? scale?.querySelector('header [data-wool-lies]');
  const goes = scale?.querySelector('[data-wool-goes]') ?? button.firstElementChild;
  if (!fibre || !lies || !goes) return;
  if (isOut) flyWool(fibre, goes, lies);
  else flyWool(fibre, lies, goes);
}

function focusBeside(group: HTMLElement | null, by: number): void {
  const buttons = [...(group?.querySelectorAll('button') ?? [])];
  const at = buttons.findIndex((button) => button === document.activeElement);
  buttons[at + by]?.focus();
}

/** How a weighing that several packs share is parted. */
function partingOfMark({ fibreId, bag }: WeighMark, { plan }: Planned) {
  for (const { plan: group } of plan.groups) {
    const portion = group.fibres.find((fibre) => fibre.fibreId === fibreId && fibre.bag === bag);
    if (portion?.weighing.kind !== 'together') continue;
    const { groups, isByHand } = portion.weighing;
    const ways = [
      ...new Set(
        groups.map(
          ({ packs, parting, errorFraction }) =>
            `for ${packs}: ${partingWords(parting)}${isByHand ? '' : `, each within ${percent(errorFraction)}`}`,
        ),
      ),
    ];
    return { words: `Too little one by one. Weighed together ${ways.join('; ')}`, isByHand };
  }
  return null;
}
