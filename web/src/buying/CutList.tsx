import type { Cutting, CuttingThing } from '@lanakit/core/api';
import type { CuttingPlan, CutStock } from '@lanakit/core/cutting';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { putCutPlanAway, takeCutPlan, tickCut } from '../api/mutations/cutting.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { cutSizeMm } from '../words/buyingWords.ts';
import { counted } from '../words/show.ts';
import { CutDrawing } from './CutDrawing.tsx';
import styles from './Cutting.module.css';

const SOURCE_WORDS: Readonly<Record<CutStock['source'], string>> = {
  whole: 'a whole one',
  rest: 'the one that is begun',
  offcut: 'an offcut',
  bought: 'to buy',
};

interface CutListProps {
  /** Not taken yet where its id is empty. */
  plan: CuttingPlan;
  thing: CuttingThing;
  runs: Cutting['runs'];
}

/** Stick by stick or sheet by sheet, in the order of cutting, to scale; a plan that is taken is ticked off. */
export function CutList({ plan, thing, runs }: CutListProps) {
  const attempt = useAttempt();
  const isTaken = plan.id !== '';
  const numbers = new Map(plan.pieces.map(({ key }, at) => [key, at + 1]));
  const longestMm = Math.max(...plan.stocks.map(({ lengthMm }) => lengthMm));
  // A tick stands at once; what the shelf says to it follows.
  const [ticking, setTicking] = useState<{ readonly stock: number; readonly isDone: boolean } | null>(null);
  const tick = (stock: number, isDone: boolean) => {
    setTicking({ stock, isDone });
    return attempt(async () => {
      const ticked = await perform(tickCut(plan, stock, isDone)).finally(() => setTicking(null));
      const offcuts = plan.stocks[stock]?.parts.filter(({ isKept }) => isKept) ?? [];
      return {
        text: isDone
          ? offcuts.length > 0
            ? `Cut: ${offcuts.map(({ lengthMm, widthMm }) => cutSizeMm(lengthMm, widthMm)).join(', ')} back on the shelf.`
            : 'Cut.'
          : 'Not cut after all: the shelf is as it was.',
        ...(isDone && { undo: () => perform(tickCut(ticked, stock, false)) }),
      };
    });
  };
  const away = () =>
    attempt(async () => {
      await perform(putCutPlanAway(plan));
      const { itemId, pieces, stocks, terms } = plan;
      return plan.done.length > 0
        ? { text: 'The rest is left uncut. What is cut stays cut.' }
        : {
            text: 'Put away: it can be planned again.',
            undo: () => perform(takeCutPlan({ itemId, pieces, stocks, terms })),
          };
    });
  const isDone = (stock: number) =>
    ticking?.stock === stock ? ticking.isDone : plan.done.some((cut) => cut.stock === stock);
  return (
    <div className={styles.list}>
      {isTaken && (
        <header className={styles.head}>
          <p>
            <b>
              {plan.done.length} of {plan.stocks.length} cut
            </b>
          </p>
          <Button size="small" onClick={() => void away()}>
            {plan.done.length === 0 ? 'Put the plan away' : 'Leave the rest uncut'}
          </Button>
        </header>
      )}
      <ol className={styles.legend} aria-label="Pieces">
        {plan.pieces.map(({ key, name, runId, lengthMm, widthMm }) => (
          <li key={key} className="small">
            {name}, {cutSizeMm(lengthMm, widthMm)}{' '}
            {runs.some(({ id }) => id === runId) ? (
              <Link to={`/runs/${runId}/guide`} title="Its templates at true size">
                {runs.find(({ id }) => id === runId)?.name}
              </Link>
            ) : (
              <span className="quiet">a run that has been</span>
            )}
          </li>
        ))}
      </ol>
      <ul className={styles.stocks}>
        {grouped(plan.stocks, isTaken).map(({ stock, at, times }) => (
          <li key={at} className={isDone(at) ? styles.done : ''}>
            <span className={styles.stockName}>
              {isTaken && (
                <Checkbox
                  checked={isDone(at)}
                  disabled={ticking !== null && ticking.stock !== at}
                  aria-label={`${at + 1}. ${thing.finding.name}, ${SOURCE_WORDS[stock.source]}`}
                  onChange={(event) => void tick(at, event.target.checked)}
                />
              )}
              <span className="small">
                {times > 1 && <b>{times} × </b>}
                {SOURCE_WORDS[stock.source]}, {cutSizeMm(stock.lengthMm, stock.widthMm)}
                <span className="quiet"> · {counted(stock.cuts.length, 'cut')}</span>
              </span>
            </span>
            <CutDrawing
              stock={stock}
              longestMm={longestMm}
              numberOf={(key) => numbers.get(key) ?? 0}
              colour={thing.finding.colour}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Those that are cut alike stand once, until they are ticked off one by one. */
function grouped(stocks: readonly CutStock[], isTaken: boolean) {
  const groups: { stock: CutStock; at: number; times: number }[] = [];
  stocks.forEach((stock, at) => {
    const last = groups.at(-1);
    if (!isTaken && last && isAlike(last.stock, stock)) last.times += 1;
    else groups.push({ stock, at, times: 1 });
  });
  return groups;
}

const isAlike = (a: CutStock, b: CutStock): boolean =>
  a.source === b.source && a.offcutId === null && JSON.stringify(a.parts) === JSON.stringify(b.parts);
