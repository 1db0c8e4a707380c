import { findingsOfRun, needleName, needlesOfBoxes, unitOfFinding } from '@lanakit/core';
import { wantedName } from '@lanakit/core/words';
import { useNeedles } from '../api/resources.ts';
import { findingAmount } from '../words/show.ts';
import styles from './PortionsTable.module.css';
import type { InForce } from './useRunPlan.ts';

const NONE: readonly never[] = [];

/** Everything counted, cut or poured that a run takes: in each sort of pack, in all, and what is wanting. */
export function FindingsTable({ runPlan }: { runPlan: InForce }) {
  const { toPack, wool } = runPlan;
  const needles = useNeedles().data?.items ?? NONE;
  const rows = findingsOfRun(toPack, wool.findings);
  const given = needlesOfBoxes(toPack, needles);
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
          <th scope="col">Short</th>
          <th scope="col">Packs to buy</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ findingId, isPackaging, spare, total, onHand, short, putUps, unknownCount }) => {
          const finding = wool.findings.get(findingId);
          const unit = finding ? unitOfFinding(finding.measure) : 'piece';
          const show = (amount: number) => findingAmount(amount, unit);
          return (
            <tr key={`${findingId} ${isPackaging}`}>
              <td />
              <th scope="row">
                {finding?.name ?? 'no longer on the shelf'}
                {isPackaging && <span className="quiet"> packaging</span>}
                {unknownCount > 0 && <span className="red"> at least: an amount is unknown</span>}
              </th>
              <td>{spare > 0 ? show(spare) : '–'}</td>
              <td>
                <b>{show(total)}</b>
              </td>
              <td>{onHand === null ? <span className="red">not counted</span> : show(onHand)}</td>
              <td className="red">{short !== null && short > 0 && show(short)}</td>
              <td>{putUps !== null && putUps > 0 ? putUps : '–'}</td>
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
            <td className="red">{short !== null && short > 0 && short}</td>
            <td>–</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
