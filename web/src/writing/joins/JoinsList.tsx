import { type LengthUnit, showSizesMm } from '@lanakit/core/base';
import type { JoinEstimate } from '@lanakit/core/engine';
import {
  blankJoin,
  type Join,
  moveItem,
  type Pattern,
  type Removable,
  withoutThing,
  withThingBack,
} from '@lanakit/core/pattern';
import { JOIN_METHOD_WORDS } from '@lanakit/core/words';
import { Button, Checkbox } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { ownerName } from '../../words/ownerWords.ts';
import { showGrams, showLikely } from '../../words/show.ts';
import { JoinEditor } from './JoinEditor.tsx';
import { become } from '../../draft/become.ts';
import { useNotice } from '../../shell/Notice.tsx';
import styles from '../../ui/Lists.module.css';
import { SortableRows } from '../../ui/SortableRows.tsx';
import { RemarkMark } from '../table/RemarkMark.tsx';
import { useTable } from '../table/tableContext.ts';

/** What is set onto what, how, and the wool that belongs to no part. */
export function JoinsList() {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [openId, setOpenId] = useState<string | null>(null);
  const add = () => {
    const [onto, part] = document.parts;
    if (!onto || !part) return;
    const id = nanoid(10);
    edit('adding a join', (draft) => void draft.joins.push(blankJoin(id, part.id, onto.id)));
    setOpenId(id);
  };
  const say = useNotice();
  const remove = (id: string) => {
    const join: Removable = { kind: 'join', id };
    edit(
      'deleting a join',
      become<Pattern>((pattern) => withoutThing(pattern, join)),
    );
    const bringBack = () =>
      edit(
        'bringing a join back',
        become<Pattern>((pattern) => withThingBack(pattern, document, join)),
      );
    say({ text: 'The join is deleted, and taken out of its steps.', undo: bringBack });
  };
  return (
    <div className={styles.scroll}>
      {document.joins.length === 0 && (
        <p className={styles.empty}>
          A join sets one part onto another. Its wool belongs to no part, so lists forget it: the loose end
          that goes in, and the wrap that covers it.
        </p>
      )}
      <SortableRows
        noun="join"
        openId={openId}
        rows={document.joins.map((join) => ({
          id: join.id,
          name: ownerName({ kind: 'join', id: join.id }, document),
        }))}
        renderRow={(id, index) => (
          <JoinRow
            index={index}
            isOpen={id === openId}
            onToggle={() => setOpenId(id === openId ? null : id)}
            onDelete={() => remove(id)}
          />
        )}
        onMove={(id, toIndex) =>
          edit('moving a join', (draft) => void (draft.joins = moveItem(draft.joins, id, toIndex)))
        }
        onDuplicate={() => undefined}
        onDelete={remove}
        onAddAfter={add}
      />
      <div className={styles.add}>
        <Button disabled={document.parts.length < 2} onClick={add}>
          Add a join
        </Button>
        {document.parts.length < 2 && <span className="quiet">A join needs two parts.</span>}
        {document.joins.length > 0 && (
          <Checkbox
            className="to-middle"
            checked={document.joinsApart}
            onChange={(event) => {
              const isApart = event.target.checked;
              edit('the bag of joins', (draft) => void (draft.joinsApart = isApart));
            }}
          >
            covers in a bag of their own, or they are used up on the body
          </Checkbox>
        )}
      </div>
    </div>
  );
}

interface JoinRowProps {
  index: number;
  isOpen: boolean;
  onToggle: () => void;
  onDelete: () => void;
}

function JoinRow({ index, isOpen, onToggle, onDelete }: JoinRowProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const document = useTable((table) => table.document);
  const joins = useTable((table) => table.document.joins);
  const estimate = useTable((table) => table.estimate);
  const whole = useTable((table) => table.whole);
  const shelf = useTable((table) => table.shelf);
  const join = joins[index];
  const isOwn = ({ joinId }: { joinId: string }) => joinId === join?.id;
  const joinEstimate = estimate.joins.find(isOwn) ?? whole.joins.find(isOwn);
  if (!join || !joinEstimate) return null;
  const cover = joinEstimate.cover;
  const fibre = shelf.get(cover?.fibreId ?? '');
  return (
    <div className={isOpen ? styles.open : ''}>
      <button type="button" data-row-head className={styles.head} aria-expanded={isOpen} onClick={onToggle}>
        <span className={styles.main}>
          <span className={styles.name}>{ownerName({ kind: 'join', id: join.id }, document)}</span>
          {joinEstimate.count && joinEstimate.count.high > 1 && ` ×${joinEstimate.count.likely}`}
          <span className={styles.detail}>{joinLine(join, joinEstimate, lengthUnit)}</span>
        </span>
        {fibre && <FibreSwatch fibre={fibre} width={34} height={20} />}
        <span className={styles.amount}>
          {cover?.kind === 'known' && showLikely(cover.all.likelyG)}
          {cover?.kind === 'unknown' && <span className="red">unknown</span>}
          {cover?.kind === 'known' && cover.count.high > 1 && <span>{showGrams(cover.pieceG)} each</span>}
        </span>
        <RemarkMark id={join.id} />
      </button>
      {isOpen && <JoinEditor join={join} joinEstimate={joinEstimate} index={index} onDelete={onDelete} />}
    </div>
  );
}

function joinLine(
  { method, looseEnd, cover }: Join,
  { tailMm, looseEnd: end }: JoinEstimate,
  unit: LengthUnit,
): string {
  const loose =
    looseEnd && tailMm !== null
      ? `loose end ${showSizesMm([tailMm], unit)}${end?.kind === 'known' ? `, ${showGrams(end.pieceG)}` : ''}`
      : 'no loose end';
  return `${JOIN_METHOD_WORDS[method]} · ${loose}${cover ? '' : ' · not covered'}`;
}
