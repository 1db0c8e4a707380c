import type { MakingPage } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import { sumOfMaking } from '@lanakit/core/logbook';
import { Button, Popconfirm } from 'antd';
import { Link, useNavigate } from 'react-router';
import { bringBack } from '../../api/mutations/keeping.ts';
import { deleteMaking } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { SaveMark } from '../../draft/SaveMark.tsx';
import { useUndoKeys } from '../../draft/useUndoKeys.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { InTopBar } from '../../shell/TopSlot.tsx';
import { questionWords } from '../../words/logbookWords.ts';
import { counted, showGrams, showMinutes } from '../../words/show.ts';
import book from '../Logbook.module.css';
import { MakingAbout } from './MakingAbout.tsx';
import { MakingConflict } from './MakingConflict.tsx';
import { MakingPictures } from './MakingPictures.tsx';
import { MakingTeaches } from './MakingTeaches.tsx';
import { MinutesChart } from './MinutesChart.tsx';
import { NextRevision } from './NextRevision.tsx';
import { PieceLines } from './PieceLines.tsx';
import { SheetAndTable } from './SheetAndTable.tsx';
import { StepLines } from './StepLines.tsx';
import { ThingLines } from './ThingLines.tsx';
import { Tried } from './Tried.tsx';
import { type MakingDraft, useMakingDraft } from './useMakingDraft.ts';
import { WoolLines } from './WoolLines.tsx';

/** A figure that is made, written down as it happens or afterwards; half of it is enough. */
export function MakingSheet({ page, wool }: { page: MakingPage; wool: Wool }) {
  const draft = useMakingDraft(page.making);
  useUndoKeys(draft);
  const questionsAt = (place: string) =>
    page.questions.filter((question) => question.place === place).map(questionWords);
  return (
    <article className={`sheet ${book.notebook}`} aria-label={`Making: ${draft.input.title}`}>
      <InTopBar>
        {draft.undoLabel !== null && (
          <span className="quiet small">Ctrl Z takes back: {draft.undoLabel}</span>
        )}
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <MakingAbout page={page} draft={draft} />
      <Sum page={page} draft={draft} />
      {questionsAt('whole').map((words) => (
        <p key={words} className={book.question} role="note">
          {words}
        </p>
      ))}
      <WoolLines page={page} draft={draft} wool={wool} questionsAt={questionsAt} />
      <PieceLines page={page} draft={draft} questionsAt={questionsAt} />
      <ThingLines page={page} draft={draft} wool={wool} />
      <StepLines page={page} draft={draft} questionsAt={questionsAt} />
      {page.build && <MinutesChart build={page.build} makings={page.ofPattern} />}
      <Tried draft={draft} />
      <MakingPictures draft={draft} />
      <MakingTeaches page={page} />
      <NextRevision page={page} draft={draft} />
      <SheetAndTable page={page} draft={draft} wool={wool} />
      <Ends page={page} draft={draft} />
      <MakingConflict draft={draft} />
    </article>
  );
}

/** What the page comes to, in a sentence. */
function Sum({ page, draft: { input } }: { page: MakingPage; draft: MakingDraft }) {
  const { took: wool, expectedG, minutes, broken } = sumOfMaking(input, page.evidence);
  const { knownG, unknownCount } = wool;
  const took =
    knownG > 0
      ? `${unknownCount > 0 ? 'So far it' : 'It'} took ${showGrams(knownG)} of wool${unknownCount === 0 && expectedG !== null ? `; before anything was weighed ${showGrams(expectedG)} were expected` : ''}.`
      : 'Nothing is weighed yet.';
  return (
    <p className={book.sum}>
      {took}
      {minutes.known !== null && ` ${showMinutes(Math.round(minutes.known))} at work.`}
      {broken > 0 && ` ${counted(broken, 'needle')} broke.`}
    </p>
  );
}

function Ends({ page, draft }: { page: MakingPage; draft: MakingDraft }) {
  const attempt = useAttempt();
  const navigate = useNavigate();
  const { id, title } = page.making;
  const remove = () =>
    attempt(async () => {
      await draft.settle();
      await perform(deleteMaking(id), () => void navigate('/logbook'));
      return {
        text: `The page “${title}” is deleted. What was learnt of it stays in force until you take it anew.`,
        undo: () => perform(bringBack({ path: '/makings', id })),
      };
    });
  return (
    <footer className={book.ends}>
      <Button
        type={draft.input.isDone ? 'default' : 'primary'}
        onClick={() =>
          draft.change(
            draft.input.isDone ? 'written on' : 'done',
            (making) => void (making.isDone = !making.isDone),
          )
        }
      >
        {draft.input.isDone ? 'Write on' : 'This page is done'}
      </Button>
      <Link to={`/logbook/learnt`}>What was learnt of all pages</Link>
      <Popconfirm
        title="Delete this page?"
        okText="Delete"
        cancelText="Keep it"
        onConfirm={() => void remove()}
      >
        <Button type="text">Delete the page</Button>
      </Popconfirm>
    </footer>
  );
}
