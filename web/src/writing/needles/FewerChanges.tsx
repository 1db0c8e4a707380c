import { inOrder, inOrderOf, type Ordering } from '@lanakit/core/needles';
import { movedItems, type Pattern } from '@lanakit/core/pattern';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { become } from '../../draft/become.ts';
import { useTable } from '../table/tableContext.ts';
import { useNotice } from '../../shell/Notice.tsx';
import { plainText } from '../../draft/markdownEdits.ts';
import { counted } from '../../words/show.ts';
import styles from './Ladder.module.css';
import { useFewerChanges } from './useFewerChanges.ts';

/** How often the needle changes, and in which order it would change less. */
export function FewerChanges({ changes }: { changes: number }) {
  const document = useTable((table) => table.document);
  const state = useFewerChanges(document);
  const [isOpen, setOpen] = useState(false);
  switch (state.kind) {
    case 'working':
      return (
        <span className="quiet small" role="status">
          {counted(changes, 'change')} · looking for fewer, {Math.round(state.share * 100)} % put in order{' '}
          <Button size="small" onClick={state.stop}>
            Stop
          </Button>
        </span>
      );
    case 'stopped':
    case 'failed':
      return (
        <span className="quiet small">
          {counted(changes, 'change')} · the search for fewer{' '}
          {state.kind === 'failed' ? 'broke off' : 'was stopped'}
        </span>
      );
    case 'done': {
      const { ordering } = state;
      if (ordering.changes >= changes) {
        return (
          <span className="quiet small">
            {counted(changes, 'change')} of needle{provedWords(ordering, changes)}
          </span>
        );
      }
      return (
        <span className="small">
          {counted(changes, 'change')} of needle, {ordering.changes} would do{' '}
          <Button size="small" onClick={() => setOpen(true)}>
            See the order
          </Button>
          {isOpen && <OrderDialog ordering={ordering} changes={changes} onClose={() => setOpen(false)} />}
        </span>
      );
    }
  }
}

const provedWords = ({ atLeast }: Ordering, changes: number): string =>
  atLeast >= changes
    ? ': no order has fewer'
    : `; no order found has fewer, and none can have under ${atLeast}`;

function OrderDialog({
  ordering,
  changes,
  onClose,
}: {
  ordering: Ordering;
  changes: number;
  onClose: () => void;
}) {
  const edit = useTable((table) => table.edit);
  const document = useTable((table) => table.document);
  const say = useNotice();
  const steps = useTable((table) => table.document.steps);
  const then = inOrder(document, ordering.order).steps;
  const moved = new Set(movedItems(steps, then).map(({ id }) => id));
  const take = () => {
    edit(
      'putting the steps in order',
      become<Pattern>((pattern) => inOrder(pattern, ordering.order)),
    );
    onClose();
    say({
      text: `The steps are in the new order: ${counted(ordering.changes, 'change')} of needle.`,
      undo: () =>
        edit(
          'putting the steps back',
          become<Pattern>((pattern) => inOrderOf(pattern, steps)),
        ),
    });
  };
  return (
    <Modal
      open
      width={720}
      title={`${ordering.changes} changes instead of ${changes}`}
      onCancel={onClose}
      onOk={take}
      okText="Take this order"
      cancelText="Keep mine"
    >
      <p className="quiet">
        Work on one piece stays in your order, and so does everything that has to come before something else.
        {ordering.atLeast < ordering.changes
          ? ` The best found; none can have under ${ordering.atLeast}.`
          : ' No order has fewer.'}
      </p>
      <ol className={styles.order} tabIndex={0} aria-label="The steps in the new order">
        {then.map(({ id, text }, index) => (
          <li key={id} className={moved.has(id) ? styles.moved : undefined}>
            <span>{index + 1}</span>
            <span>{plainText(text)}</span>
            <span className="quiet small">
              {moved.has(id) ? `was ${steps.findIndex((step) => step.id === id) + 1}` : ''}
            </span>
          </li>
        ))}
      </ol>
    </Modal>
  );
}
