import { Fragment, type ReactNode, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Panel, PanelGroup, PanelResizeHandle } from 'react-resizable-panels';
import { keptAs } from '../api/studio.ts';
import { sheetShares, type SheetWidth } from './sheetShares.ts';
import styles from './TablePanels.module.css';

/** A sheet on the table. */
export interface TableSheet extends SheetWidth {
  readonly id: string;
  /** Its name on a tablet, where sheets lie one behind the other. */
  readonly name: string;
  readonly content: ReactNode;
}

/** Where a finger works, or there is room for one sheet only, they lie one behind the other. */
const ONE_AT_A_TIME = '(max-width: 900px), (pointer: coarse) and (max-width: 1180px)';

/** Sheets side by side, as wide as somebody made them; or one at a time, a swipe from one to the next. */
export function TablePanels({ sheets }: { sheets: readonly TableSheet[] }) {
  const isOneAtATime = useMedia(ONE_AT_A_TIME);
  return isOneAtATime ? <OneAtATime sheets={sheets} /> : <SideBySide sheets={sheets} />;
}

function SideBySide({ sheets }: { sheets: readonly TableSheet[] }) {
  const shares = sheetShares(sheets, window.innerWidth);
  return (
    // As many as there are keep widths of their own.
    <PanelGroup
      direction="horizontal"
      autoSaveId={keptAs(`table.${sheets.length}`)}
      className={styles.group ?? ''}
    >
      {sheets.map(({ id, content }, at) => (
        <Fragment key={id}>
          {at > 0 && (
            <PanelResizeHandle
              className={styles.edge ?? ''}
              aria-label={`How wide: ${sheets[at - 1]?.name ?? ''}`}
              hitAreaMargins={{ coarse: 14, fine: 4 }}
            />
          )}
          <Panel
            id={id}
            order={at}
            defaultSize={shares[at]?.usual ?? 0}
            minSize={shares[at]?.least ?? 0}
            className={styles.panel ?? ''}
          >
            {content}
          </Panel>
        </Fragment>
      ))}
    </PanelGroup>
  );
}

function OneAtATime({ sheets }: { sheets: readonly TableSheet[] }) {
  const row = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(1);
  const show = (index: number, behavior: ScrollBehavior) =>
    row.current?.children[index]?.scrollIntoView({ behavior, inline: 'start', block: 'nearest' });
  // What is written comes first; the figure lies a swipe to its left, the ledger a swipe to its right.
  useEffect(() => show(1, 'instant'), []);
  const noteWhere = () => {
    const { scrollLeft, clientWidth } = row.current ?? { scrollLeft: 0, clientWidth: 1 };
    setAt(Math.round(scrollLeft / clientWidth));
  };
  return (
    <div className={styles.oneAtATime}>
      <nav aria-label="Sheets" className={styles.tabs}>
        {sheets.map(({ id, name }, index) => (
          <button
            key={id}
            type="button"
            aria-current={index === at ? 'true' : undefined}
            onClick={() => show(index, 'smooth')}
          >
            {name}
          </button>
        ))}
      </nav>
      <div ref={row} className={styles.row} onScroll={noteWhere}>
        {sheets.map(({ id, content }, index) => (
          <div key={id} className={styles.panel} inert={index !== at}>
            {content}
          </div>
        ))}
      </div>
    </div>
  );
}

function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => window.matchMedia(query).matches,
  );
}
