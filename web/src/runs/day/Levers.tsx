import { isEqual } from '@lanakit/core/base';
import type { Designs, RunInput } from '@lanakit/core/run';
import { applied, type Lever, type TriedLever } from '@lanakit/core/timetable';
import { chanceWords, leverCostWords, leverWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import styles from './Day.module.css';
import type { DayTold } from './useDay.ts';

interface LeversProps {
  input: RunInput;
  designs: Designs;
  told: DayTold;
  /** Some of it has no minutes. */
  isAtBest: boolean;
  onTake: (change: Partial<RunInput>) => void;
}

/** So many are shown before somebody asks for all of them. */
const SHOWN = 6;

/** What would help, the most first; several together for the chance that is wanted. */
export function Levers({ input, designs, told, isAtBest, onTake }: LeversProps) {
  const [isAll, setAll] = useState(false);
  const { levers, together, areLeversOld, outcome, isGoing } = told;
  const best = levers.toSorted(byGain);
  const shown = isAll ? best : fewOfEach(best).slice(0, SHOWN);
  const take = (taken: readonly Lever[]) => {
    const { plan, roster } = taken.reduce((run, lever) => applied(lever, run, designs), input);
    onTake({ plan, roster });
  };
  const isEnough = (outcome?.all ?? 0) >= input.plan.wantedChance;
  return (
    <section
      className={`sheet ${styles.panel} ${areLeversOld ? styles.old : ''}`}
      aria-label="What would help"
    >
      <div className={styles.panelHead}>
        <h2>What would help</h2>
        <span className="quiet small" role="status">
          {isGoing
            ? areLeversOld && levers.length > 0
              ? 'as it was before; trying again…'
              : 'trying one after another…'
            : ''}
        </span>
      </div>
      {together && together.levers.length > 0 && !isEnough && (
        <div className={styles.together}>
          <p>
            <b>
              {together.all >= input.plan.wantedChance
                ? `For ${chanceWords(input.plan.wantedChance)}:`
                : `As far as ${chanceWords(together.all)}:`}
            </b>{' '}
            {together.levers.map((lever) => leverWords(lever, input, designs)).join('; ')}
            {together.all >= input.plan.wantedChance && (
              <span className="quiet"> ({chanceWords(together.all)})</span>
            )}
          </p>
          <Button type="primary" size="small" onClick={() => take(together.levers)}>
            Take {together.levers.length === 1 ? 'it' : `these ${together.levers.length}`}
          </Button>
        </div>
      )}
      {isEnough &&
        outcome &&
        (isAtBest ? (
          <p className="amber">It fits at best: some steps are untimed, and count as nothing.</p>
        ) : (
          <p className="leaf">It fits, as sure as it is wanted.</p>
        ))}
      <table className={styles.levers}>
        <thead className="visually-hidden">
          <tr>
            <th>What is done</th>
            <th>The last is done</th>
            <th>Chance</th>
            <th>Take</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((tried) => (
            <tr
              key={JSON.stringify(tried.lever)}
              className={together?.levers.some((each) => isEqual(each, tried.lever)) ? styles.among : ''}
            >
              <td>
                <b>{leverWords(tried.lever, input, designs)}</b>
                <span className="quiet small">{leverCostWords(tried.lever, tried.makerMinutes, input)}</span>
              </td>
              <td className={styles.number}>{minutesWords(tried)}</td>
              <td className={`${styles.number} ${tried.chanceGained > 0 ? 'leaf' : ''}`}>
                {gainWords(tried)}
              </td>
              <td>
                <Button size="small" onClick={() => take([tried.lever])}>
                  Take
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {best.length === 0 && !isGoing && !isEnough && <p className="quiet">Nothing that was tried helps.</p>}
      {(best.length > shown.length || isAll) && (
        <Button size="small" onClick={() => setAll(!isAll)}>
          {isAll ? `Only the first ${SHOWN}` : `Show ${best.length - shown.length} more`}
        </Button>
      )}
    </section>
  );
}

/** Two of a sort say enough before somebody asks for all. */
const fewOfEach = (levers: readonly TriedLever[]): TriedLever[] =>
  levers.filter(
    ({ lever: { kind } }, at) => levers.slice(0, at).filter((each) => each.lever.kind === kind).length < 2,
  );

const byGain = (a: TriedLever, b: TriedLever): number =>
  b.chanceGained - a.chanceGained || (b.minutesGained ?? 0) - (a.minutesGained ?? 0);

const minutesWords = ({ minutesGained }: TriedLever): string =>
  minutesGained === null || Math.round(minutesGained) === 0
    ? ''
    : `${minutesGained > 0 ? '−' : '+'}${Math.abs(Math.round(minutesGained))} min`;

const gainWords = ({ chanceGained }: TriedLever): string => {
  const percent = Math.round(chanceGained * 100);
  return percent === 0 ? '±0 %' : `+${percent} %`;
};
