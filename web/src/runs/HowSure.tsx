import {
  costOfTakings,
  percentOf,
  portionsOfRun,
  type RunPortions,
  sureness,
  takingsOfPlan,
  toPackOf,
  WANTED_CHANCE,
} from '@lanakit/core';
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

const NO_STOCK = () => ({ onHandG: null, promisedG: 0 });

interface Way {
  readonly name: string;
  readonly plan: RunPortions;
  readonly chance: number;
  readonly costMinor: number;
}

/** How likely it is that nobody in the class is short of anything: by a percentage, and by what each fibre needs for it. */
export function HowSure({ runPlan, draft }: { runPlan: Planned; draft: RunDraft }) {
  // The portions come first; this follows when there is a moment.
  const later = useDeferredValue(runPlan);
  const { input } = draft;
  const { seats, sparePacks, skill, roster, scaleStepG, extraFraction, wantedChance } = input;
  const both = useMemo(() => {
    const terms = { seats, sparePacks, skill, roster, scaleStepG, extraFraction };
    const way = (name: string, chance: number | null): Way & { sure: ReturnType<typeof sureness> } => {
      const run = { ...terms, wantedChance: chance };
      const toPack = toPackOf(later.revision.document, run, later.wool);
      const plan = portionsOfRun(toPack, run, NO_STOCK);
      const sure = sureness(toPack, plan, run);
      return {
        name,
        plan,
        sure,
        chance: sure.chance,
        costMinor: costOfTakings(takingsOfPlan(plan), later.shelf).known,
      };
    };
    const chance = wantedChance ?? WANTED_CHANCE;
    return {
      percent: way(`${percentOf(extraFraction)} % over in every pack`, null),
      chance: way(`As each needs, for ${percentOf(chance)} %`, chance),
    };
  }, [later, seats, sparePacks, skill, roster, scaleStepG, extraFraction, wantedChance]);
  const inUse = wantedChance === null ? both.percent : both.chance;
  const widest = Math.max(both.percent.plan.classG, both.chance.plan.classG, 1);
  const more = {
    massG: both.chance.plan.classG - both.percent.plan.classG,
    costMinor: both.chance.costMinor - both.percent.costMinor,
  };
  if (inUse.sure.fibres.length === 0) return null;
  return (
    <section className={styles.sure} aria-label="So that nobody is short">
      <h3>
        So that nobody is short{' '}
        <span className="quiet small">in the whole class, of anything; spare packs not reckoned on</span>
      </h3>
      {[both.percent, both.chance].map((way) => (
        <div key={way.name} className={`${styles.way} ${way === inUse ? styles.inUse : ''}`}>
          <span>{way.name}</span>
          <span
            aria-hidden
            className={`${styles.bar} ${way === inUse ? '' : styles.other}`}
            style={{ width: `${(way.plan.classG / widest) * 100}%` }}
          />
          <b className={way.chance < WANTED_CHANCE - 0.005 ? 'amber' : 'leaf'}>{chanceWords(way.chance)}</b>
          <b>{showWeighed(way.plan.classG, scaleStepG)}</b>
        </div>
      ))}
      <p className="small">
        Least sure{wantedChance === null ? ' as packed' : ''}:{' '}
        {inUse.sure.fibres
          .slice(0, NAMED)
          .map(
            ({ fibreId, chance }) => `${later.shelf.get(fibreId)?.name ?? 'a fibre'} ${chanceWords(chance)}`,
          )
          .join(', ')}
        .{' '}
        {wantedChance === null ? (
          <>
            {percentOf(WANTED_CHANCE)} % takes {showWeighed(Math.max(0, more.massG), scaleStepG)} more
            {more.costMinor > 0 && `, about ${showMoney(more.costMinor)}`}.{' '}
            <Button size="small" onClick={() => draft.change({ wantedChance: WANTED_CHANCE })}>
              Pack for {percentOf(WANTED_CHANCE)} %
            </Button>
          </>
        ) : (
          <Button size="small" onClick={() => draft.change({ wantedChance: null })}>
            Back to {percentOf(extraFraction)} % over
          </Button>
        )}{' '}
        What a make takes is an estimate still: a finished piece on the scale makes all of this less.{' '}
        {inUse.sure.unknown.length > 0 && (
          <span className="red">
            Not reckoned with, because something of it is unknown:{' '}
            {inUse.sure.unknown.map((fibreId) => later.shelf.get(fibreId)?.name ?? 'a fibre').join(', ')}.
          </span>
        )}
      </p>
    </section>
  );
}
