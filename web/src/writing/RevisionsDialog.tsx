import type { Revision, StoredPattern } from '@lanakit/core/api';
import type { Pattern } from '@lanakit/core/pattern';
import { Button, Modal } from 'antd';
import { Link } from 'react-router';
import { errorWords, get } from '../api/client.ts';
import { useRevisionsOf } from '../api/queries.ts';
import { become } from '../draft/become.ts';
import { useNotice } from '../shell/Notice.tsx';
import styles from '../ui/Lists.module.css';
import { counted } from '../words/show.ts';
import { useTable } from './table/tableContext.ts';

/** What was published when, and why; each may be read, compared, and gone back to. */
export function RevisionsDialog({ stored, onClose }: { stored: StoredPattern; onClose: () => void }) {
  const undo = useTable((table) => table.undo);
  const edit = useTable((table) => table.edit);
  const { data } = useRevisionsOf(stored.id);
  const say = useNotice();
  const goBack = async (revisionId: string, number: number) => {
    try {
      const { document } = await get<Revision>(`/revisions/${revisionId}`);
      edit(
        `going back to revision ${number}`,
        become<Pattern>(() => document),
      );
      say({
        text: `The draft is as revision ${number} again. Undo brings back what you had.`,
        undo: undo,
      });
      onClose();
    } catch (error) {
      say({ text: errorWords(error), isProblem: true });
    }
  };
  return (
    <Modal open width={720} title="Revisions" footer={null} onCancel={onClose}>
      {data?.items.length === 0 && <p className="quiet">Nothing is published yet.</p>}
      <ul className={styles.revisions}>
        {data?.items.map(({ id, number, publishedAt, note, openRemarks }) => (
          <li key={id}>
            <b>{number}</b>
            <span>
              {note || <span className="quiet">no note</span>}
              <span className={styles.detail}>
                {new Date(publishedAt).toLocaleDateString('en-GB', { dateStyle: 'medium' })}
                {openRemarks !== null && `, ${openWords(openRemarks.length)}`}
              </span>
            </span>
            <Link to={`/patterns/${stored.id}/read?revision=${id}`}>read</Link>
            <Link to={`/compare?a=revision:${id}&b=draft:${stored.id}`}>what changed since</Link>
            <Button size="small" onClick={() => void goBack(id, number)}>
              Go back to it
            </Button>
          </li>
        ))}
      </ul>
    </Modal>
  );
}

/** What the review had open when it was published. */
const openWords = (count: number): string =>
  count === 0
    ? 'nothing was open'
    : `${counted(count, 'thing')} to look at ${count === 1 ? 'was' : 'were'} open`;
