import { findingsOfRun, needlesOfBoxes } from '@lanakit/core/run';
import { needleName, unitOfFinding } from '@lanakit/core/shelf';
import { piecesLine, tooLargeWords, wantedName } from '@lanakit/core/words';
import { useMemo } from 'react';
import { useFindings, useNeedles } from '../api/queries.ts';
import { ComingNow } from '../ui/ComingNow.tsx';
import { findingAmount } from '../words/show.ts';
import styles from './PortionsTable.module.css';
import { SpareField } from './SpareField.tsx';
import type { RunDraft } from './useRunDraft.ts';
import type { Planned } from './useRunPlan.ts';

const NONE: readonly never[] = [];

/** Everything counted, cut or poured that a run takes: in all, what runs before take, and what is wanting. */
export function FindingsTable({ runPlan, draft }: { runPlan: Planned; draft: RunDraft }) {
  const { toPack, input, promised } = runPlan;
  const needles = useNeedles().data?.items ?? NONE;
  const shelf = useFindings().data?.items ?? NONE;
  // What is on hand is today's, whatever the numbers were planned from.
  const findings = useMemo(() => new Map(shelf.map((finding) => [finding.id, finding])), [shelf]);
  const rows = findingsOfRun(toPack, findings, input, promised);
  const given = needlesOfBoxes(toPack, needles, promised);
  if (rows.length + given.length === 0)
    return <p className={styles.heading}>This run takes nothing but wool.</p>;
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col" colSpan={2}>
            Finding
          </th>
          <th scope="col">Spare</th>
          <th scope="col">In all</th>
          <th scope="col">On hand</th>
          <th scope="col">Promised</th>
          <th scope="col">Short</th>
          <th scope="col">Packs to buy</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const finding = findings.get(row.findingId);
          const unit = finding ? unitOfFinding(finding.measure) : 'piece';
          const show = (amount: number) => findingAmount(amount, unit);
          const isCut = row.pieces.length > 0;
          return (
            <tr key={`${row.findingId} ${row.isPackaging}`}>
              <td />
              <th scope="row">
                {finding?.name ?? 'no longer on the shelf'}
                {row.isPackaging && <span className="quiet"> packaging</span>}
                {row.unknownCount > 0 && <span className="red"> at least: an amount is unknown</span>}
                {row.tooLarge && <span className="red small"> {tooLargeWords(row.tooLarge)}</span>}
              </th>
              <td>
                {finding && !row.isPackaging && !isCut ? (
                  <SpareField finding={finding} spare={row.spare} draft={draft} />
                ) : (
                  '–'
                )}
              </td>
              <td>
                <b>{isCut ? piecesLine(row.pieces) : show(row.total)}</b>
              </td>
              <td>{row.onHand === null ? <span className="red">not counted</span> : show(row.onHand)}</td>
              <td>{row.promised > 0 ? show(row.promised) : '–'}</td>
              <td className="red">
                {row.short !== null && row.short > 0 && show(row.short)}
                {row.short !== 0 && <ComingNow itemId={row.findingId} className="as-block" />}
              </td>
              <td>
                {row.putUps !== null && row.putUps > 0 ? row.putUps : '–'}
                {row.putUps !== null && row.putUps > 0 && !row.isFewestProven && (
                  <span className="quiet small"> at the most</span>
                )}
              </td>
            </tr>
          );
        })}
        {given.map(({ wanted, needle, total, short }) => (
          <tr key={wantedName(wanted)}>
            <td />
            <th scope="row">
              {needle ? needleName(needle) : wantedName(wanted)} <span className="quiet">needles</span>
            </th>
            <td>–</td>
            <td>
              <b>{total}</b>
            </td>
            <td>{needle?.onHand ?? <span className="red">{needle ? 'not counted' : 'none'}</span>}</td>
            <td>–</td>
            <td className="red">{short !== null && short > 0 && short}</td>
            <td>–</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
