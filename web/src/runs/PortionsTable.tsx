import { type FibrePortion, percentOf, type RunInput } from '@lanakit/core';
import { ROLE_WORDS } from '@lanakit/core/words';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { HowItCame } from '../look/HowItCame.tsx';
import { portionCame } from '../words/portionCame.ts';
import { BAG_WORDS, ownerLine } from '../words/ownerWords.ts';
import { PREPARATION_WORDS, showGrams, showLikely, showWeighed } from '../words/show.ts';
import { weighingWords } from '../words/weighingWords.ts';
import styles from './PortionsTable.module.css';
import type { RunPlan } from './useRunPlan.ts';

interface PortionsTableProps {
  runPlan: RunPlan & { kind: 'plan' };
  input: RunInput;
}

/** What one pack gets of each fibre, for which parts, and what the class takes from the shelf. */
export function PortionsTable({ runPlan, input }: PortionsTableProps) {
  const { plan } = runPlan;
  return (
    <>
      <header className={styles.heading}>
        <h2>Portions</h2>
        <span className="quiet small">
          grams in one pack, {percentOf(input.extraFraction)} % over the likely amount, rounded up to{' '}
          {input.scaleStepG} g · choose a number to see why
        </span>
      </header>
      {plan.unknownCount > 0 && (
        <p className={`red ${styles.unknown}`}>
          At least: {plan.unknownCount} amounts of this revision are unknown.
        </p>
      )}
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col" colSpan={2}>
              Fibre and what it is for
            </th>
            <th scope="col">One pack</th>
            <th scope="col">{plan.packs} packs</th>
            <th scope="col">Free on the shelf</th>
            <th scope="col">Short</th>
          </tr>
        </thead>
        {plan.fibres.map((portion) => (
          <FibreRows key={portion.bag + portion.fibreId} portion={portion} runPlan={runPlan} input={input} />
        ))}
        <tfoot>
          <tr>
            <td colSpan={3}>To weigh out for the class</td>
            <td>{showWeighed(plan.classG, input.scaleStepG)}</td>
            <td colSpan={2} />
          </tr>
        </tfoot>
      </table>
    </>
  );
}

function FibreRows({ portion, runPlan, input }: { portion: FibrePortion } & PortionsTableProps) {
  const { shelf, revision, plan } = runPlan;
  const fibre = shelf.get(portion.fibreId);
  const weigh = (massG: number) => showWeighed(massG, input.scaleStepG);
  const opening = (words: string) => (
    <HowItCame
      title={`${fibre?.name ?? 'Fibre'} in one pack and in all`}
      lines={portionCame(portion, input, plan.packs)}
    >
      {words}
    </HowItCame>
  );
  return (
    <tbody>
      <tr className={styles.fibre}>
        <td className={styles.swatch}>{fibre && <FibreSwatch fibre={fibre} width={58} height={24} />}</td>
        <th scope="row">
          {fibre?.name ?? 'A fibre no longer on the shelf'}{' '}
          <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
          {BAG_WORDS[portion.bag] && <span className="amber"> · {BAG_WORDS[portion.bag]}</span>}
        </th>
        <td>{opening(portion.packG === null ? showLikely(portion.exactG) : weigh(portion.packG))}</td>
        <td>{opening(weigh(portion.classG))}</td>
        <td>
          {portion.freeG === null ? (
            <span className="red">not counted</span>
          ) : (
            <>
              {showGrams(portion.freeG)}
              {portion.stock.promisedG > 0 && (
                <span className={styles.promised}>
                  {showGrams(portion.stock.promisedG)} to what is packed before
                </span>
              )}
            </>
          )}
        </td>
        <td className="red">{(portion.shortG ?? 0) > 0 && opening(weigh(portion.shortG ?? 0))}</td>
      </tr>
      {portion.lines.map((line) => (
        <tr key={line.useId} className={styles.part}>
          <td />
          <td>
            {ownerLine(line.owner, revision.document)} <span className="quiet">{ROLE_WORDS[line.role]}</span>
          </td>
          <td>
            {line.weighedG === null || line.weighedG === 0 ? showLikely(line.exactG) : weigh(line.weighedG)}
          </td>
          <td colSpan={3} />
        </tr>
      ))}
      {portion.weighing.kind === 'together' && (
        <tr className={styles.part}>
          <td />
          <td colSpan={5} className="quiet">
            {weighingWords(portion.weighing, input.scaleStepG)}
          </td>
        </tr>
      )}
    </tbody>
  );
}
