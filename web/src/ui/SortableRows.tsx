import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { HolderOutlined } from '@ant-design/icons';
import {
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  type KeyboardEvent,
  type ReactNode,
  type RefObject,
} from 'react';
import styles from './SortableRows.module.css';

export interface RowActions {
  readonly onMove: (id: string, toIndex: number) => void;
  readonly onDuplicate: (id: string) => void;
  readonly onDelete: (id: string) => void;
  readonly onAddAfter: (id: string) => void;
}

interface SortableRowsProps extends RowActions {
  /** What one row is: `part`, `step`. */
  noun: string;
  /** A row that says of what it is drawn (`of`) is drawn anew only when one of these is another. */
  rows: readonly {
    readonly id: string;
    readonly name: string;
    readonly of?: readonly unknown[] | undefined;
  }[];
  /** The row that is open; it is brought into sight when it opens, and a new one is there to be written in. */
  openId: string | null;
  /** The row itself; its first `[data-row-head]` takes the focus. */
  renderRow: (id: string, index: number) => ReactNode;
  /** What stands between two rows, before this one. */
  renderBefore?: (id: string, index: number) => ReactNode;
}

const HEAD = '[data-row-head]';

/** More than any screen shows at once. */
const FIRST_ROWS = 16;

/** Rows that are put in order by dragging their handle, by the handle's own keys, or by Alt and an arrow. */
export function SortableRows({ noun, rows, openId, renderRow, renderBefore, ...actions }: SortableRowsProps) {
  const list = useRef<HTMLOListElement>(null);
  const refocusId = useRef<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  // A row that was moved keeps the focus: the browser drops it when the element is put elsewhere.
  useLayoutEffect(() => {
    if (refocusId.current !== null) headIn(list.current, refocusId.current)?.focus();
    refocusId.current = null;
  }, [rows]);
  const firstId = useRef(rows[0]?.id ?? null);
  useEffect(() => {
    const isAtTop = firstId.current === openId;
    firstId.current = null;
    // Opened with its first row open nothing has to be scrolled to, and asking would lay the page out once more.
    if (openId === null || isAtTop) return;
    rowIn(list.current, openId)?.scrollIntoView({ block: 'nearest' });
  }, [openId]);
  useWritingInNew(list, rows, openId);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    actions.onMove(
      String(active.id),
      rows.findIndex((row) => row.id === over.id),
    );
  };
  const onKeyDown = (event: KeyboardEvent, id: string) => {
    if (!(event.target as HTMLElement).matches(HEAD)) return;
    // Rows may hold rows: a key is for the innermost.
    event.stopPropagation();
    const index = rows.findIndex((candidate) => candidate.id === id);
    const row = rows[index];
    const action = row && rowKeyAction(event);
    if (!action) return;
    event.preventDefault();
    const neighbour = rows[index + action.step];
    if (action.kind === 'focus' && neighbour) headIn(list.current, neighbour.id)?.focus();
    if (action.kind === 'move') {
      refocusId.current = row.id;
      actions.onMove(row.id, index + action.step);
    }
    if (action.kind === 'duplicate') actions.onDuplicate(row.id);
    if (action.kind === 'add') actions.onAddAfter(row.id);
    if (action.kind === 'delete') {
      refocusId.current = (rows[index + 1] ?? rows[index - 1])?.id ?? null;
      actions.onDelete(row.id);
    }
  };
  // One function for all rows and all times: a row that is not drawn anew still reaches the newest.
  const newest = useRef(onKeyDown);
  useEffect(() => {
    newest.current = onKeyDown;
  });
  const handleKey = useCallback((event: KeyboardEvent, id: string) => newest.current(event, id), []);
  const ids = rows.map((row) => row.id).join(' ');
  const items = useMemo(() => (ids === '' ? [] : ids.split(' ')), [ids]);
  // Opened, what fits a screen is there first; the rest follows when there is a moment.
  const isWhole = useDeferredValue(true, false);
  const shown = isWhole
    ? rows
    : rows.slice(0, Math.max(FIRST_ROWS, rows.findIndex(({ id }) => id === openId) + 1));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{ announcements: announcementsFor(noun, rows) }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ol ref={list} className={styles.rows}>
          {shown.map((row, index) => (
            <Row
              key={row.id}
              id={row.id}
              label={`Move ${noun} ${index + 1}, ${row.name}`}
              of={row.of}
              index={index}
              renderBefore={renderBefore}
              renderRow={renderRow}
              onKeyDown={handleKey}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** A row that comes and is open at once was asked for to be written: its first field has the keys. */
function useWritingInNew(
  list: RefObject<HTMLElement | null>,
  rows: SortableRowsProps['rows'],
  openId: string | null,
): void {
  const known = useRef<ReadonlySet<string> | null>(null);
  useEffect(() => {
    const before = known.current;
    known.current = new Set(rows.map(({ id }) => id));
    if (openId === null || !before || before.has(openId) || !known.current.has(openId)) return;
    const field = rowIn(list.current, openId)?.querySelector<HTMLInputElement | HTMLTextAreaElement>(FIELD);
    field?.focus();
    field?.select();
  }, [list, rows, openId]);
}

const FIELD = 'input, textarea';

const rowIn = (list: HTMLElement | null, id: string): HTMLElement | null =>
  list?.querySelector<HTMLElement>(`[data-row="${globalThis.CSS.escape(id)}"]`) ?? null;

const headIn = (list: HTMLElement | null, id: string): HTMLElement | null =>
  rowIn(list, id)?.querySelector<HTMLElement>(HEAD) ?? null;

interface RowKeyAction {
  readonly kind: 'focus' | 'move' | 'duplicate' | 'delete' | 'add';
  readonly step: number;
}

function rowKeyAction(event: KeyboardEvent): RowKeyAction | null {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  const isModified = event.ctrlKey || event.metaKey;
  if (step !== 0) return { kind: event.altKey ? 'move' : 'focus', step };
  if (isModified && event.key.toLowerCase() === 'd') return { kind: 'duplicate', step: 0 };
  if (isModified && event.key === 'Enter') return { kind: 'add', step: 0 };
  if (event.key === 'Delete') return { kind: 'delete', step: 0 };
  return null;
}

interface RowProps {
  id: string;
  label: string;
  index: number;
  of: readonly unknown[] | undefined;
  renderBefore: ((id: string, index: number) => ReactNode) | undefined;
  renderRow: (id: string, index: number) => ReactNode;
  onKeyDown: (event: KeyboardEvent, id: string) => void;
}

/** The very same element every time: a row drawn anew does not draw its grip anew. */
const GRIP = <HolderOutlined />;

const isSameRow = (before: RowProps, after: RowProps): boolean =>
  after.of !== undefined &&
  before.of?.length === after.of.length &&
  after.of.every((candidate, at) => candidate === before.of?.[at]) &&
  before.label === after.label &&
  before.index === after.index;

/** What stands in a row. The row itself is drawn anew with the list, which says so to every row whenever one changes. */
const RowContent = memo(function RowContent({ id, index, renderRow }: RowProps) {
  return renderRow(id, index);
}, isSameRow);

const Row = memo(function Row(props: RowProps) {
  const { id, label, index, renderBefore, onKeyDown } = props;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      data-row={id}
      className={`${styles.row} ${isDragging ? styles.dragging : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      onKeyDown={(event) => onKeyDown(event, id)}
    >
      {renderBefore?.(id, index)}
      <div className={styles.body}>
        <button
          type="button"
          ref={setActivatorNodeRef}
          className={styles.handle}
          {...attributes}
          {...listeners}
          aria-label={label}
        >
          {GRIP}
        </button>
        <div className={styles.content}>
          <RowContent {...props} />
        </div>
      </div>
    </li>
  );
}, isSameRow);

/** What is read out while a row is carried. */
function announcementsFor(noun: string, rows: SortableRowsProps['rows']) {
  const place = (id: string | number) => rows.findIndex((row) => row.id === id) + 1;
  const name = (id: string | number) => rows.find((row) => row.id === id)?.name ?? noun;
  type Event = { active: { id: string | number }; over: { id: string | number } | null };
  return {
    onDragStart: ({ active }: Pick<Event, 'active'>) =>
      `Picked up ${name(active.id)}, place ${place(active.id)}.`,
    onDragOver: ({ active, over }: Event) =>
      over ? `${name(active.id)} is over place ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }: Event) =>
      over ? `${name(active.id)} is put at place ${place(over.id)}.` : undefined,
    onDragCancel: ({ active }: Pick<Event, 'active'>) =>
      `${name(active.id)} is back at place ${place(active.id)}.`,
  };
}
