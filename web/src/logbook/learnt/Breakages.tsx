import type { LearningState } from '@lanakit/core/api';
import { lossRates } from '@lanakit/core/logbook';
import { breakageRate, defaultRate } from '@lanakit/core/needles';
import { useFindings, useNeedleEvidence } from '../../api/queries.ts';
import { counted, showMinutes } from '../../words/show.ts';
import book from '../Logbook.module.css';

/** How often needles break and small things are lost: what was reckoned with, and what was counted. Always in force: a spare more or less changes no portion. */
export function Breakages({ state }: { state: LearningState }) {
  const needles = useNeedleEvidence().data?.items.filter(({ exposureMinutes }) => exposureMinutes > 0) ?? [];
  const things = useFindings().data?.items ?? [];
  const lost = lossRates(state.losses);
  if (needles.length + lost.length === 0) return null;
  return (
    <section aria-label="What breaks and is lost">
      <h3>What breaks and is lost</h3>
      <ul className={book.said}>
        {needles.map(({ gauge, broken, exposureMinutes }) => (
          <li key={gauge ?? 'any'}>
            <b>{gauge === null ? 'Needles of no gauge' : `Gauge ${gauge}`}</b>:{' '}
            {everyMinutes(breakageRate(gauge, needles).perMinute)}, was{' '}
            {everyMinutes(defaultRate(gauge))}; {counted(broken, 'needle')} broke in{' '}
            {showMinutes(exposureMinutes)} of quiet work
          </li>
        ))}
        {lost.map(({ findingId, used, lost: gone, usual, now, sparesFor }) => (
          <li key={findingId}>
            <b>{things.find(({ id }) => id === findingId)?.name ?? 'A thing no longer on the shelf'}</b>:{' '}
            {oneIn(now)} is lost, was {oneIn(usual)}; {gone} of {used + gone}. {counted(sparesFor(TEN), 'spare')} for{' '}
            {TEN} that are used {sparesFor(TEN) === 1 ? 'is' : 'are'} enough nineteen times in twenty
          </li>
        ))}
      </ul>
      <p className="quiet small">
        These are reckoned with as they are counted: how many spare needles a class wants follows at once.
      </p>
    </section>
  ); // prettier-ignore
}

/** Spares are told for so many. */
const TEN = 10;

const everyMinutes = (perMinute: number): string => `one in ${showMinutes(1 / perMinute)}`;
const oneIn = (rate: number): string => `one in ${Math.round(1 / rate)}`;
