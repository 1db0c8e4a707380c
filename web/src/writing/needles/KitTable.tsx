import { type Ladder, type NeedleKit, rungPlace } from '@lanakit/core/needles';
import { needleName } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import { NeedleMark } from '../../ui/NeedleMark.tsx';
import styles from './Ladder.module.css';
import { costWords } from '../../ui/readout.ts';

/** A kit at a glance: each sort, how many in use, how many spare, what there is and what is to buy. */
export function KitTable({ kit, ladder }: { kit: NeedleKit; ladder: Ladder }) {
  if (kit.lines.length === 0) return <p className="quiet">No step takes a needle yet.</p>;
  return (
    <table className={styles.kit}>
      <thead>
        <tr>
          <th scope="col">Needle</th>
          <th scope="col">In use</th>
          <th scope="col">Spare</th>
          <th scope="col">On hand</th>
          <th scope="col">To buy</th>
        </tr>
      </thead>
      <tbody>
        {kit.lines.map((line) => (
          <tr key={line.key}>
            <th scope="row">
              <NeedleMark
                needle={line.isNearest ? null : line.needle}
                place={rungPlace(ladder, line.wanted)}
              />{' '}
              {line.needle && !line.isNearest ? needleName(line.needle) : wantedName(line.wanted)}
            </th>
            <td>{line.inUse}</td>
            <td>
              {kit.unknownStepIds.length > 0 && kit.people > 0 ? '≥ ' : ''}
              {line.spares}
            </td>
            <td>{line.onHand ?? <span className="red">not counted</span>}</td>
            <td className={line.toBuy ? 'red' : undefined}>{line.toBuy ?? '?'}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={5}>{costWords(kit)}</td>
        </tr>
      </tfoot>
    </table>
  );
}
