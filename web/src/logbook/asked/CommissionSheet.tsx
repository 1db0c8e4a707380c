import type { CommissionPage } from '@lanakit/core/api';
import { type CommissionInput, isAhead, standingOf } from '@lanakit/core/commissions';
import type { Wool } from '@lanakit/core/engine';
import { Button, Popconfirm } from 'antd';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { deleteCommission } from '../../api/mutations/commissions.ts';
import { bringBack } from '../../api/mutations/keeping.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { usePatternIf } from '../../api/queries.ts';
import { DraftConflict } from '../../draft/DraftConflict.tsx';
import { SaveMark } from '../../draft/SaveMark.tsx';
import { useUndoKeys } from '../../draft/useUndoKeys.ts';
import { InTopBar } from '../../shell/TopSlot.tsx';
import { useAttempt } from '../../shell/useAttempt.ts';
import { COMMISSION_STATE_WORDS } from '../../words/commissionWords.ts';
import { todayPlus } from '../../words/days.ts';
import { showDay } from '../../words/show.ts';
import book from '../Logbook.module.css';
import { AskedAbout } from './AskedAbout.tsx';
import { AskedPictures } from './AskedPictures.tsx';
import { CalendarPlace } from './CalendarPlace.tsx';
import { MadeForIt } from './MadeForIt.tsx';
import { QuoteTable } from './QuoteTable.tsx';
import { type CommissionDraft, useCommissionDraft } from './useCommissionDraft.ts';
import { WhichPattern } from './WhichPattern.tsx';

/** Who asked for what, the pattern that answers it, what it takes, and when it is made. */
export function CommissionSheet({ page, wool }: { page: CommissionPage; wool: Wool }) {
  const draft = useCommissionDraft(page.commission);
  useUndoKeys(draft);
  const { input } = draft;
  const { data: pattern } = usePatternIf(input.patternId);
  const document = input.patternId === null ? null : (pattern?.document ?? null);
  const { taken, today, terms } = page;
  const standing = useMemo(
    () => standingOf(input, document, wool, { taken, today, terms }),
    [input, document, wool, taken, today, terms],
  );
  return (
    <article className={`sheet ${book.notebook}`} aria-label={`Asked for: ${input.title}`}>
      <InTopBar>
        {draft.undoLabel !== null && (
          <span className="quiet small">Ctrl Z takes back: {draft.undoLabel}</span>
        )}
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <AskedAbout draft={draft} />
      <AskedPictures draft={draft} />
      <WhichPattern page={page} draft={draft} pattern={document} standing={standing} />
      <QuoteTable page={page} draft={draft} wool={wool} standing={standing} />
      {isAhead(input) && <CalendarPlace page={page} draft={draft} standing={standing} />}
      <MadeForIt page={page} draft={draft} pattern={document} standing={standing} wool={wool} />
      <Ends page={page} draft={draft} />
      <DraftConflict what="What was asked for" draft={draft} inWords={inWords} />
    </article>
  );
}

const inWords = ({ title, askedBy, byDay, count }: CommissionInput): string =>
  [title, askedBy, `${count} of it`, byDay === null ? 'whenever it is done' : `by ${showDay(byDay)}`]
    .filter((word) => word !== '')
    .join(', ');

/** What may come next, in the order it usually comes. */
const NEXT: Readonly<Record<CommissionInput['state'], readonly (readonly [CommissionInput['state'], string])[]>> = {
  asked: [['agreed', 'It is agreed'], ['declined', 'It is not to be']],
  agreed: [['made', 'It is made'], ['asked', 'Not agreed after all']],
  made: [['handed-over', 'It is handed over'], ['agreed', 'Not made yet']],
  'handed-over': [['made', 'Not handed over yet']],
  declined: [['asked', 'It is asked for again']],
}; // prettier-ignore

function Ends({ page, draft }: { page: CommissionPage; draft: CommissionDraft }) {
  const attempt = useAttempt();
  const navigate = useNavigate();
  const { input, change } = draft;
  const { id } = page.commission;
  const remove = () =>
    attempt(async () => {
      await draft.settle();
      await perform(deleteCommission(id), () => void navigate('/logbook/asked'));
      return {
        text: `“${input.title}” is deleted.`,
        undo: () => perform(bringBack({ path: '/commissions', id })),
      };
    });
  const go = (to: CommissionInput['state']) =>
    change(COMMISSION_STATE_WORDS[to], (commission) => {
      commission.state = to;
      commission.handedOverOn = to === 'handed-over' ? (commission.handedOverOn ?? todayPlus(0)) : null;
    });
  return (
    <footer className={book.ends}>
      {NEXT[input.state].map(([to, words], at) => (
        <Button key={to} type={at === 0 && isAhead(input) ? 'primary' : 'default'} onClick={() => go(to)}>
          {words}
        </Button>
      ))}
      <Popconfirm title="Delete it?" okText="Delete" cancelText="Keep it" onConfirm={() => void remove()}>
        <Button type="text">Delete</Button>
      </Popconfirm>
    </footer>
  );
}
