import type { PatternEstimate, Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { beforeYouCut, cutsToMake, type Piece } from '@lanakit/core/reading';
import { cutLines } from '@lanakit/core/words';
import { useMemo } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import styles from './BeforeCutting.module.css';
import sheet from './Reading.module.css';

interface BeforeCuttingProps {
  build: Pattern;
  estimate: PatternEstimate;
  pieces: readonly Piece[];
  wool: Wool;
}

/** Everything that is cut or torn to a size, to be gone through with scissors, pliers and ruler before the first stab. */
export function BeforeCutting({ build, estimate, pieces, wool }: BeforeCuttingProps) {
  const lines = useMemo(
    () => cutLines(beforeYouCut(pieces, cutsToMake(build, estimate)), build, wool),
    [pieces, build, estimate, wool],
  );
  if (lines.length === 0)
    return <p>Nothing in it is cut or torn to a size: wool is weighed out and taken by hand.</p>;
  return (
    <section aria-label="Before you cut">
      <h2>Before you cut</h2>
      <table className={styles.cuts}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Done</span>
            </th>
            <th scope="col">What</th>
            <th scope="col">From</th>
            <th scope="col">How many</th>
            <th scope="col">Size of each</th>
            <th scope="col">For step</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ what, from, fibreId, size, count, atStep }, at) => {
            const fibre = wool.fibres.get(fibreId ?? '');
            return (
              <tr key={at}>
                <td>
                  <span className={sheet.box} />
                </td>
                <td>{what}</td>
                <td>
                  {fibre && <FibreSwatch fibre={fibre} width={26} height={12} />} {from}
                </td>
                <td>{count}</td>
                <td>
                  <b>{size}</b>
                </td>
                <td>{atStep ?? '–'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className={styles.note}>
        Sizes of cuts have every bend, knot and turn in them. Check the first piece on the work before the
        others are cut.
      </p>
    </section>
  );
}
