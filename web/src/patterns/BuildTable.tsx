import { type Build, type BuildPart, compareBuilds } from '@lanakit/core/resize';
import { useMemo } from 'react';
import { useWool } from '../api/queries.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { sizesOfPart } from '../words/partWords.ts';
import { findingAmount, showGrams, timesWords } from '../words/show.ts';
import styles from './BuildTable.module.css';

interface BuildTableProps {
  a: Build;
  b: Build;
  names: readonly [a: string, b: string];
}

/** Two builds line by line: every part, fibre and finding, and by how much they differ. */
export function BuildTable({ a, b, names }: BuildTableProps) {
  const { wool } = useWool();
  const { parts, fibres, findings } = useMemo(() => compareBuilds(a, b), [a, b]);
  const unitOf = (findingId: string) =>
    [...a.estimate.findings, ...b.estimate.findings].find((finding) => finding.findingId === findingId)
      ?.unit ?? 'piece';
  const amount = (findingId: string, value: number | null) =>
    value === null ? '–' : findingAmount(value, unitOf(findingId));
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">Part</th>
          <th scope="col">{names[0]}</th>
          <th scope="col">{names[1]}</th>
          <th scope="col">{names[0]}</th>
          <th scope="col">{names[1]}</th>
          <th scope="col">more or less</th>
        </tr>
      </thead>
      <tbody>
        {parts.map(({ key, a: part, b: two }) => (
          <tr key={key}>
            <th scope="row">
              {(part ?? two)?.part.name}
              {timesWords((two ?? part)?.part.count ?? 1)}
            </th>
            <td>{part ? sizesOfPart(part.part) : '–'}</td>
            <td className={sizesDiffer(part, two) ? styles.differs : ''}>
              {two ? sizesOfPart(two.part) : '–'}
            </td>
            <td>{grams(part)}</td>
            <td>{grams(two)}</td>
            <Move from={part?.estimate.total.likelyG ?? 0} to={two?.estimate.total.likelyG ?? 0} />
          </tr>
        ))}
      </tbody>
      <tbody>
        {fibres.map(({ key, a: before, b: two }) => {
          const fibre = wool.fibres.get(key);
          return (
            <tr key={key}>
              <th scope="row" colSpan={3} className={styles.fibre}>
                {fibre && <FibreSwatch fibre={fibre} width={34} height={16} />}{' '}
                {fibre?.name ?? 'a fibre no longer on the shelf'}
              </th>
              <td>{before === null ? '–' : showGrams(before)}</td>
              <td>{two === null ? '–' : showGrams(two)}</td>
              <Move from={before ?? 0} to={two ?? 0} />
            </tr>
          );
        })}
        <tr className={styles.sum}>
          <th scope="row" colSpan={3}>
            One make
          </th>
          <td>{showGrams(a.estimate.total.likelyG)}</td>
          <td>{showGrams(b.estimate.total.likelyG)}</td>
          <Move from={a.estimate.total.likelyG} to={b.estimate.total.likelyG} />
        </tr>
      </tbody>
      {findings.length > 0 && (
        <tbody>
          {findings.map(({ key, a: finding, b: two }) => (
            <tr key={key}>
              <th scope="row" colSpan={3}>
                {wool.findings.get(key)?.name ?? 'a finding no longer on the shelf'}
              </th>
              <td>{amount(key, finding)}</td>
              <td className={finding === two ? '' : styles.differs}>{amount(key, two)}</td>
              <td />
            </tr>
          ))}
        </tbody>
      )}
    </table>
  );
}

const grams = (buildPart: BuildPart | null): string =>
  buildPart === null
    ? '–'
    : buildPart.estimate.total.unknownCount > 0
      ? 'unknown'
      : showGrams(buildPart.estimate.total.likelyG);

const sizesDiffer = (a: BuildPart | null, b: BuildPart | null): boolean =>
  a !== null && b !== null && sizesOfPart(a.part) !== sizesOfPart(b.part);

/** Grams more or less; nothing where nobody would tell. */
function Move({ from, to }: { from: number; to: number }) {
  const more = to - from;
  if (Math.abs(more) < STILL_G) return <td className="quiet">same</td>;
  return (
    <td className={more > 0 ? styles.more : styles.less}>
      {more > 0 ? '+' : '−'}
      {showGrams(Math.abs(more))}
    </td>
  );
}

const STILL_G = 0.005;
