import { packNames } from '@lanakit/core/papers';
import { whyOfFibre } from '@lanakit/core/run';
import { groupWords, ownerWords, ROLE_WORDS } from '@lanakit/core/words';
import { Popover } from 'antd';
import type { ReactNode } from 'react';
import { showLikely, showWeighed } from '../words/show.ts';
import { bagTitle } from './groupWords.ts';
import styles from './PortionsTable.module.css';
import type { ShownRun } from './useRunPlan.ts';

interface FibreWhyProps {
  fibreId: string;
  runPlan: ShownRun;
  children: ReactNode;
}

/** Parts that are named; the rest is summed. */
const SHOWN = 14;

/** Why so much of a fibre: which parts of whose packs; and, where it is short, who goes without. */
export function FibreWhy({ fibreId, runPlan, children }: FibreWhyProps) {
  return (
    <Popover
      trigger="click"
      title={`Where ${runPlan.shelf.get(fibreId)?.name ?? 'it'} goes`}
      content={() => <Shares fibreId={fibreId} runPlan={runPlan} />}
    >
      <button type="button" className="opens num" title="Where it goes, and who is hit">
        {children}
      </button>
    </Popover>
  );
}

function Shares({ fibreId, runPlan }: Omit<FibreWhyProps, 'children'>) {
  const { plan, groups, packs, input } = runPlan;
  const { told, rest, needG, takenG, shortG, hit } = whyOfFibre(plan, packs, fibreId, SHOWN);
  const groupOf = (key: string) => groups.find((group) => group.key === key);
  return (
    <div className={styles.shares}>
      <table>
        <tbody>
          {told.map((share) => {
            const group = groupOf(share.groupKey);
            const make = group?.makes[share.makeAt];
            return (
              <tr key={`${share.groupKey} ${share.bag} ${share.makeAt} ${share.owner.id} ${share.role}`}>
                <th scope="row">
                  {make && ownerWords(share.owner, make.build)}{' '}
                  <span className="quiet">
                    {ROLE_WORDS[share.role]}
                    {bagTitle(share.bag, runPlan) && `, ${bagTitle(share.bag, runPlan)}`}
                  </span>
                </th>
                <td className="quiet">{group && groups.length > 1 ? groupWords(group) : ''}</td>
                <td>
                  {showLikely(share.exactG)} × {share.packs}
                </td>
                <td>
                  <b>{showLikely(share.allG)}</b>
                </td>
              </tr>
            );
          })}
          {rest.count > 0 && (
            <tr>
              <th scope="row">{rest.count} smaller ones</th>
              <td />
              <td />
              <td>{showLikely(rest.allG)}</td>
            </tr>
          )}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">What they need, before rounding up to the scale</th>
            <td />
            <td />
            <td>{showLikely(needG)}</td>
          </tr>
          <tr>
            <th scope="row">Off the shelf</th>
            <td />
            <td />
            <td>{showWeighed(takenG, input.scaleStepG)}</td>
          </tr>
        </tfoot>
      </table>
      {hit.length > 0 && (
        <p className="red">
          {showWeighed(shortG, input.scaleStepG)} short: goes without, filled in their order,{' '}
          {packNames(hit.map(({ pack }) => pack))}.
        </p>
      )}
    </div>
  );
}
