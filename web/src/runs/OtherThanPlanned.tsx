import type { OpenedRun } from '@lanakit/core/api';
import type { PackChange } from '@lanakit/core/run';
import { packWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { counted, showChange, showDay, showWeighed } from '../words/show.ts';
import styles from './OtherThanPlanned.module.css';
import { bagTitle } from './groupWords.ts';
import { NOT_SAVED_YET } from '../draft/notSavedYet.ts';
import type { RunDraft } from './useRunDraft.ts';
import type { Planned } from './useRunPlan.ts';
import { perform } from '../api/mutations/mutation.ts';
import { replanRun } from '../api/mutations/runs.ts';
import { useAttempt } from '../shell/useAttempt.ts';

interface DifferenceProps {
  run: OpenedRun;
  runPlan: Planned;
  draft: RunDraft;
  onMoved: () => Promise<unknown>;
}

/** Packs of which all is said; the others are counted. */
const SHOWN = 8;

const KIND_WORDS: Readonly<Record<PackChange['kind'], string>> = { new: 'new', gone: 'no longer', other: '' };

/** What would be other now than it was planned, pack by pack; nothing changes until it is told to. */
export function OtherThanPlanned({ run, runPlan, draft, onMoved }: DifferenceProps) {
  const attempt = useAttempt();
  const { difference, frozen, live, shelf } = { ...runPlan, frozen: run.frozen };
  if (!difference || !frozen || difference.fibres.length + difference.packs.length === 0) return null;
  const { scaleStepG } = runPlan.input;
  const canTake = run.state === 'bought' || run.state === 'weighed';
  const take = () =>
    attempt(async () => {
      if (!(await draft.settle())) return NOT_SAVED_YET;
      await perform(replanRun(run.id, draft.version()), () => void onMoved());
      return { text: 'The new numbers are taken. What is ticked and weighs other now is marked.' };
    });
  const nameOf = (fibreId: string) => shelf.get(fibreId)?.name ?? live.shelf.get(fibreId)?.name ?? 'a fibre';
  const titleOf = (bag: string) => bagTitle(bag, live) || bagTitle(bag, runPlan);
  return (
    <section className={styles.difference} aria-label="What is other now">
      <header>
        <h3>Other than planned on {showDay(frozen.at.slice(0, 10))}</h3>
        {canTake ? (
          <Button size="small" type="primary" onClick={() => void take()}>
            Take the new numbers
          </Button>
        ) : (
          <span className="quiet small">It is {run.state}: go back to weighed to take them.</span>
        )}
      </header>
      <p className="small">
        The numbers below are kept as they were.{' '}
        {difference.fibres.length > 0 && (
          <>
            Now it would take{' '}
            {difference.fibres.map(({ fibreId, wasG, nowG }, at) => (
              <span key={fibreId}>
                {at > 0 && ', '}
                <b>{showChange(nowG - wasG, scaleStepG)}</b> {nameOf(fibreId)}
              </span>
            ))}
            .
          </>
        )}
      </p>
      <ul>
        {difference.packs.slice(0, SHOWN).map(({ kind, pack, portions }) => (
          <li key={`${kind} ${pack.id}`}>
            <b>
              {KIND_WORDS[kind]} {packWords(pack)}
            </b>
            {': '}
            {portions.map(({ bag, fibreId, wasG, nowG }, at) => (
              <span key={bag + fibreId}>
                {at > 0 && ', '}
                {nameOf(fibreId)}
                {titleOf(bag) && ` (${titleOf(bag)})`}{' '}
                {kind === 'other'
                  ? showChange(nowG - wasG, scaleStepG)
                  : showWeighed(kind === 'gone' ? wasG : nowG, scaleStepG)}
              </span>
            ))}
          </li>
        ))}
        {difference.packs.length > SHOWN && (
          <li className="quiet">and {counted(difference.packs.length - SHOWN, 'more pack')}</li>
        )}
      </ul>
    </section>
  );
}
