import { costOfTakings, percentOf, sureness, takingsOfPlan, WANTED_CHANCE } from '@lanakit/core';
import { Button } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import { showMoney, showWeighed } from '../words/show.ts';
import styles from './HowSure.module.css';
import type { RunDraft } from './useRunDraft.ts';
import type { Planned } from './useRunPlan.ts';

/** Fibres that are named as the least sure. */
const NAMED = 3;

const chanceWords = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`;

/** How likely it is that nobody in the class is short of anything, and what every pack would need for it. */
export function HowSure({ runPlan, draft }: { runPlan: Planned; draft: RunDraft }) {
  // The portions come first; this follows when there is a moment.
  const later = useDeferredValue(runPlan);
  const { input } = draft;
  const { skill, roster, scaleStepG } = input;
  const sure = useMemo(
    () => sureness(later.groups, later.estimates, later.plan, { skill, roster, scaleStepG }),
    [later, skill, roster, scaleStepG],
  );
  const now = takingsOfPlan(later.plan);
  const sum = (takings: ReadonlyMap<string, number>) =>
    [...takings.values()].reduce((total, massG) => total + massG, 0);
  const moreG = sum(sure.takings) - sum(now);
  const cost = costOfTakings(sure.takings, later.shelf).known - costOfTakings(now, later.shelf).known;
  const widest = Math.max(sum(now), sum(sure.takings), 1);
  const isEnough = sure.chance >= WANTED_CHANCE;
  if (sure.fibres.length === 0) return null;
  return (
    <section className={styles.sure} aria-label="So that nobody is short">
      <h3>
        So that nobody is short{' '}
        <span className="quiet small">in the whole class, of anything; spare packs not reckoned on</span>
      </h3>
      <div className={styles.way}>
        <span>As packed, {percentOf(input.extraFraction)} % over</span>
        <span className={styles.bar} style={{ width: `${(sum(now) / widest) * 100}%` }} aria-hidden />
        <b className={isEnough ? 'leaf' : 'amber'}>{chanceWords(sure.chance)}</b>
        <b>{showWeighed(sum(now), scaleStepG)}</b>
      </div>
      {sure.extraFraction === null ? (
        <p className="quiet small">
          No amount makes it {percentOf(WANTED_CHANCE)} %: too much is unsure of what a make takes. Weigh a
          finished piece.
        </p>
      ) : (
        !isEnough && (
          <div className={styles.way}>
            <span>Every pack {percentOf(sure.extraFraction)} % over</span>
            <span
              className={`${styles.bar} ${styles.more}`}
              style={{ width: `${(sum(sure.takings) / widest) * 100}%` }}
              aria-hidden
            />
            <b className="leaf">{percentOf(WANTED_CHANCE)} %</b>
            <b>{showWeighed(sum(sure.takings), scaleStepG)}</b>
          </div>
        )
      )}
      <p className="small">
        {isEnough ? (
          'As sure as a class needs to be.'
        ) : (
          <>
            Least sure:{' '}
            {sure.fibres
              .slice(0, NAMED)
              .map(
                ({ fibreId, chance }) =>
                  `${later.shelf.get(fibreId)?.name ?? 'a fibre'} ${chanceWords(chance)}`,
              )
              .join(', ')}
            .{' '}
            {sure.extraFraction !== null && (
              <>
                {percentOf(WANTED_CHANCE)} % takes {showWeighed(moreG, scaleStepG)} more wool
                {cost > 0 && `, about ${showMoney(cost)}`}.{' '}
                <Button
                  size="small"
                  disabled={sure.extraFraction > 1}
                  onClick={() =>
                    draft.change({ extraFraction: Math.ceil((sure.extraFraction ?? 0) * 100) / 100 })
                  }
                >
                  Pack {Math.ceil(percentOf(sure.extraFraction))} % over
                </Button>
              </>
            )}
          </>
        )}{' '}
        {sure.unknown.length > 0 && (
          <span className="red">
            Not reckoned with, because something of it is unknown:{' '}
            {sure.unknown.map((fibreId) => later.shelf.get(fibreId)?.name ?? 'a fibre').join(', ')}.
          </span>
        )}
      </p>
    </section>
  );
}
