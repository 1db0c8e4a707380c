import { type Ladder, ladderOf } from '@lanakit/core/needles';
import { type Pattern, type School, SCHOOL_DEFAULTS, type SchoolKind } from '@lanakit/core/pattern';
import type { Needle } from '@lanakit/core/shelf';
import { capital, SCHOOL_HINTS, SCHOOL_WORDS } from '@lanakit/core/words';
import { Modal } from 'antd';
import { useMemo, useState } from 'react';
import { useTable } from '../table/tableContext.ts';
import { counted } from '../../words/show.ts';
import { KitTable } from './KitTable.tsx';
import { LadderChart } from './LadderChart.tsx';
import styles from './Ladder.module.css';
import { type KitWish, useKit } from './useKit.ts';

interface SchoolDialogProps {
  kind: SchoolKind;
  build: Pattern;
  ladder: Ladder;
  needles: readonly Needle[];
  wish: KitWish;
  onClose: () => void;
}

/** Another school beside the one there is: both ladders, and the kit each needs. Nothing changes until it is taken. */
export function SchoolDialog({ kind, build, ladder, needles, wish, onClose }: SchoolDialogProps) {
  const edit = useTable((table) => table.edit);
  const estimate = useTable((table) => table.estimate);
  const wool = useTable((table) => table.wool);
  const [readId, setReadId] = useState<string | null>(null);
  const school: School = SCHOOL_DEFAULTS[kind];
  const other = useMemo((): Pattern => ({ ...build, school }), [build, school]);
  const otherLadder = useMemo(
    () => ladderOf(other, estimate, wool, needles),
    [other, estimate, wool, needles],
  );
  const take = () => {
    edit('the needle school', (draft) => void (draft.school = school));
    onClose();
  };
  return (
    <Modal
      open
      width={1080}
      title={`${capital(SCHOOL_WORDS[kind])} instead of ${SCHOOL_WORDS[build.school.kind]}?`}
      onCancel={onClose}
      onOk={take}
      okText="Take this school"
      cancelText="Keep what I have"
    >
      <p className="quiet">
        {SCHOOL_HINTS[kind]} Needles you gave a step yourself stay as they are. Kits are for{' '}
        {counted(wish.people, 'person', 'people')}.
      </p>
      <Side
        title={`Now: ${SCHOOL_WORDS[build.school.kind]}`}
        build={build}
        ladder={ladder}
        wish={wish}
        readId={readId}
        onRead={setReadId}
      />
      <Side
        title={`Then: ${SCHOOL_WORDS[kind]}`}
        build={other}
        ladder={otherLadder}
        wish={wish}
        readId={readId}
        onRead={setReadId}
      />
    </Modal>
  );
}

interface SideProps {
  title: string;
  build: Pattern;
  ladder: Ladder;
  wish: KitWish;
  readId: string | null;
  onRead: (stepId: string) => void;
}

function Side({ title, build, ladder, wish, readId, onRead }: SideProps) {
  const document = useTable((table) => table.document);
  const kit = useKit(build, ladder, wish);
  const gaps = ladder.flags.filter(({ code }) => code === 'not_said').length;
  const wrong = ladder.flags.length - gaps;
  return (
    <section className={styles.side} aria-label={title}>
      <h3>
        {title}{' '}
        <span className="quiet small">
          {counted(ladder.path.changes.length, 'change')}
          {wrong > 0 && ` · ${counted(wrong, 'thing')} to look at`}
          {gaps > 0 && <span className="red"> · {counted(gaps, 'step')} without a needle</span>}
        </span>
      </h3>
      <div className={styles.sideBody}>
        <LadderChart ladder={ladder} numbered={document} currentId={readId} onRead={onRead} isCompact />
        <KitTable kit={kit} ladder={ladder} />
      </div>
    </section>
  );
}
