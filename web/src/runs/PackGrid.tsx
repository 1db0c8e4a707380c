import type { Pack } from '@lanakit/core/run';
import { packWords } from '@lanakit/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { PREPARATION_WORDS, showGramNumber, showWeighed, showWeighedNumber } from '../words/show.ts';
import { bagTitle } from './groupWords.ts';
import styles from './PackGrid.module.css';
import type { ShownRun } from './useRunPlan.ts';

const ROW_PX = 30;

/** Every pack with every fibre of every bag; totals stay in sight however many there are. */
export function PackGrid({ runPlan }: { runPlan: ShownRun }) {
  const { plan, packs, shelf, input } = runPlan;
  const scroller = useRef<HTMLDivElement>(null);
  const columns = plan.fibres.filter(({ byGroup }) => byGroup.size > 0);
  const gramsOf = useMemo(
    () =>
      new Map(
        plan.groups.map(({ key, plan: group }) => [
          key,
          new Map(
            group.fibres.map(({ bag, fibreId, packG, exactG }) => [
              `${bag}|${fibreId}`,
              packG === null ? `≈ ${showGramNumber(exactG)}` : showWeighedNumber(packG, input.scaleStepG),
            ]),
          ),
        ]),
      ),
    [plan, input.scaleStepG],
  );

  const virtual = useVirtualizer({
    count: packs.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const template = { gridTemplateColumns: `190px repeat(${columns.length}, 116px) 104px` };
  const packG = new Map(plan.groups.map(({ key, plan: group }) => [key, group.packG]));
  return (
    <div
      ref={scroller}
      className={styles.scroller}
      role="table"
      aria-label="Pack by pack"
      aria-rowcount={packs.length + 2}
      tabIndex={0}
    >
      <div className={styles.head} style={template} role="row">
        <span role="columnheader">Pack</span>
        {columns.map((row) => {
          const fibre = shelf.get(row.fibreId);
          return (
            <span key={row.bag + row.fibreId} role="columnheader" title={fibre?.name ?? ''}>
              {fibre && <FibreSwatch fibre={fibre} width={44} height={12} />}
              {fibre?.name ?? 'a fibre'} {fibre && PREPARATION_WORDS[fibre.preparation]}
              {bagTitle(row.bag, runPlan) && <small>{bagTitle(row.bag, runPlan)}</small>}
            </span>
          );
        })}
        <span role="columnheader">One pack, g</span>
      </div>
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const pack = packs[index];
          return pack ? (
            <GridRow
              key={pack.id}
              pack={pack}
              index={index}
              style={{ ...template, transform: `translateY(${start}px)`, height: ROW_PX }}
              cells={columns.map(
                ({ bag, fibreId }) => gramsOf.get(pack.groupKey)?.get(`${bag}|${fibreId}`) ?? '–',
              )}
              sum={showGramNumber(packG.get(pack.groupKey) ?? 0)}
            />
          ) : null;
        })}
      </div>
      <div className={styles.foot} style={template} role="row">
        <span role="rowheader">{packs.length} packs</span>
        {columns.map((row) => (
          <span key={row.bag + row.fibreId} role="cell">
            {showWeighed(row.classG, input.scaleStepG)}
          </span>
        ))}
        <span role="cell">{showWeighed(plan.classG, input.scaleStepG)}</span>
      </div>
    </div>
  );
}

interface GridRowProps {
  pack: Pack;
  index: number;
  style: React.CSSProperties;
  cells: readonly string[];
  sum: string;
}

const GridRow = ({ pack, index, style, cells, sum }: GridRowProps) => (
  <div className={styles.row} style={style} role="row" aria-rowindex={index + 2}>
    <span role="rowheader">{packWords(pack)}</span>
    {cells.map((cell, at) => (
      <span key={at} role="cell">
        {cell}
      </span>
    ))}
    <span role="cell">
      <b>{sum}</b>
    </span>
  </div>
);
