import {
  blankPart,
  duplicatePart,
  moveItem,
  type Part,
  type Pattern,
  withoutPart,
  withThingBack,
} from '@lanakit/core/pattern';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { become } from '../../draft/become.ts';
import { useNotice } from '../../shell/Notice.tsx';
import styles from '../../ui/Lists.module.css';
import { PartRow } from './PartRow.tsx';
import { SortableRows, type RowActions } from '../../ui/SortableRows.tsx';
import { useTable } from '../table/tableContext.ts';

interface PartsListProps {
  openId: string | null;
  onOpen: (partId: string | null) => void;
}

/** The parts, one open at a time for writing. */
export function PartsList({ openId, onOpen }: PartsListProps) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const actions = usePartActions(onOpen);
  return (
    <div className={styles.scroll}>
      {document.parts.length === 0 && (
        <p className={styles.empty}>
          A part is a piece with a shape, a finished size and its wool: a body, an ear, eight arms alike.
          Start with the largest.
        </p>
      )}
      <SortableRows
        noun="part"
        openId={openId}
        rows={document.parts.map(({ id, name }) => ({ id, name }))}
        renderRow={(id, index) => (
          <PartRow
            index={index}
            isOpen={id === openId}
            onToggle={() => onOpen(id === openId ? null : id)}
            actions={actions}
          />
        )}
        {...actions}
      />
      <div className={styles.add}>
        <Button onClick={() => actions.onAddAfter(document.parts.at(-1)?.id ?? '')}>Add a part</Button>
        {document.parts.length === 0 && (
          <Button
            type="text"
            onClick={() => edit('the first part', (draft) => void draft.parts.push(startingBody()))}
          >
            or begin with an egg, 60 × 45 mm
          </Button>
        )}
      </div>
    </div>
  );
}

function startingBody(): Part {
  return {
    ...blankPart(nanoid(10), 'Body'),
    shape: {
      kind: 'egg',
      length: { value: 60, unit: 'mm' },
      diameter: { value: 45, unit: 'mm' },
      widestAtFraction: 0.4,
    },
  };
}

function usePartActions(onOpen: (partId: string | null) => void): RowActions {
  const say = useNotice();
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  return {
    onMove: (id, toIndex) =>
      edit('moving a part', (draft) => void (draft.parts = moveItem(draft.parts, id, toIndex))),
    onDuplicate: (id) => {
      const newId = nanoid(10);
      edit('duplicating a part', (draft) => void (draft.parts = duplicatePart(document.parts, id, newId)));
      onOpen(newId);
    },
    onDelete: (id) => {
      const at = document.parts.findIndex((part) => part.id === id);
      const part = document.parts[at];
      if (!part) return;
      edit(
        'deleting a part',
        become<Pattern>((pattern) => withoutPart(pattern, id)),
      );
      // Brought back by itself, not by undoing whatever came last: she may have written on meanwhile.
      const bringBack = () =>
        edit(
          'bringing a part back',
          become<Pattern>((pattern) => withThingBack(pattern, document, { kind: 'part', id })),
        );
      say({ text: `“${part.name}” is deleted, and taken out of its steps and joins.`, undo: bringBack });
    },
    onAddAfter: (id) => {
      const newId = nanoid(10);
      const at = document.parts.findIndex((part) => part.id === id) + 1;
      edit(
        'adding a part',
        (draft) => void draft.parts.splice(at, 0, blankPart(newId, `Part ${document.parts.length + 1}`)),
      );
      onOpen(newId);
    },
  };
}
