import type { FibreTook } from '@lanakit/core/classDay';
import { fibreNamesOf } from '@lanakit/core/words';
import { useShelf } from '../../api/queries.ts';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { showGrams } from '../../words/show.ts';
import styles from './Tables.module.css';

interface WoolTableProps {
  rows: readonly FibreTook[];
  /** There is a bag for all to come to. */
  hasSpare: boolean;
}

const NOT_WEIGHED = 'not weighed';

/** What a class took of each fibre, against what was planned. */
export function WoolTable({ rows, hasSpare }: WoolTableProps) {
  const { byId } = useShelf();
  const name = fibreNamesOf({ fibres: byId });
  return (
    <table className={styles.took}>
      <thead>
        <tr>
          <th scope="col">Fibre</th>
          <th scope="col">Planned</th>
          <th scope="col">Weighed out</th>
          {hasSpare && <th scope="col">From the spare bag</th>}
          <th scope="col">Came back</th>
          <th scope="col">Took</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const fibre = byId.get(row.fibreId);
          return (
            <tr key={row.fibreId}>
              <th scope="row">
                <span className={styles.fibre}>
                  {fibre && <FibreSwatch fibre={fibre} width={26} height={20} />}
                  {fibre ? name(row.fibreId) : 'a fibre that is no longer on the shelf'}
                </span>
              </th>
              <td>{showGrams(row.plannedG)}</td>
              <td>{row.weighedG === null ? NOT_WEIGHED : showGrams(row.weighedG)}</td>
              {hasSpare && <td>{row.spareG === 0 ? '–' : showGrams(row.spareG)}</td>}
              <td>{row.leftG === null ? NOT_WEIGHED : showGrams(row.leftG)}</td>
              <td>
                <b>{tookWords(row)}</b>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function tookWords({ tookG, weighedG, leftG }: FibreTook): string {
  if (tookG !== null) return showGrams(tookG);
  return weighedG !== null && leftG === null ? `up to ${showGrams(weighedG)}` : 'not known';
}
