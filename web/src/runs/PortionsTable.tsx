import { type FibrePortion, type PortionLine, type RunFibre, type RunInput } from '@lanakit/core';
import { ROLE_WORDS } from '@lanakit/core/words';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { HowItCame } from '../look/HowItCame.tsx';
import { portionCame } from '../words/portionCame.ts';
import { BAG_WORDS, ownerLine } from '../words/ownerWords.ts';
import { PREPARATION_WORDS, showGrams, showLikely, showWeighed } from '../words/show.ts';
import { weighingWords } from '../words/weighingWords.ts';
import { extraWords, groupTitle, whoseWords } from './groupWords.ts';
import styles from './PortionsTable.module.css';
import type { Planned } from './useRunPlan.ts';

interface PortionsTableProps {
  runPlan: Planned;
  input: RunInput;
}

/** What one pack gets of each fibre, for which parts, packs that are alike together, and what the class takes. */
export function PortionsTable({ runPlan, input }: PortionsTableProps) {
  const { plan, groups, telling, shelf, revision } = runPlan;
  const isOne = groups.length === 1;
  return (
    <>
      <header className={styles.heading}>
        <h2>Portions</h2>
        <span className="quiet small">
          grams in one pack, {extraWords(input)}, rounded up to {input.scaleStepG} g · choose a number to see
          why
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
            {groups.map((group) => {
              const fibre = shelf.get(telling.get(group.key) ?? '');
              return (
                <th scope="col" key={group.key}>
                  {isOne ? (
                    'One pack'
                  ) : (
                    <span className={styles.group} title={whoseWords(group, input.roster)}>
                      {fibre && <FibreSwatch fibre={fibre} width={58} height={16} />}
                      <b>{groupTitle(revision.document, group)}</b> × {group.packs}
                    </span>
                  )}
                </th>
              );
            })}
            <th scope="col">{plan.packs} packs</th>
            <th scope="col">Free on the shelf</th>
            <th scope="col">Short</th>
          </tr>
        </thead>
        {plan.fibres.map((fibre) => (
          <FibreRows key={fibre.bag + fibre.fibreId} own={fibre} runPlan={runPlan} input={input} />
        ))}
        <tfoot>
          {!isOne && (
            <tr>
              <td colSpan={2}>One pack</td>
              {plan.groups.map(({ key, plan: { packG } }) => (
                <td key={key}>{showLikely(packG)}</td>
              ))}
              <td colSpan={3} />
            </tr>
          )}
          <tr>
            <td colSpan={2 + groups.length}>To weigh out for the class</td>
            <td>{showWeighed(plan.classG, input.scaleStepG)}</td>
            <td colSpan={2} />
          </tr>
        </tfoot>
      </table>
    </>
  );
}

function FibreRows({ own, runPlan, input }: { own: RunFibre } & PortionsTableProps) {
  const { shelf, plan } = runPlan;
  const fibre = shelf.get(own.fibreId);
  const weigh = (massG: number) => showWeighed(massG, input.scaleStepG);
  const cells = plan.groups.map(({ key, packs, plan: { fibres } }) => ({
    key,
    packs,
    portion: fibres.find((portion) => portion.fibreId === own.fibreId && portion.bag === own.bag) ?? null,
  }));
  const first = cells.find(({ portion }) => portion !== null)?.portion ?? null;
  const opening = (portion: FibrePortion, packs: number, words: string) => (
    <HowItCame
      title={`${fibre?.name ?? 'Fibre'} in one pack and in all`}
      lines={portionCame(portion, input, packs)}
    >
      {words}
    </HowItCame>
  );
  const total = (massG: number) =>
    plan.groups.length === 1 && first ? opening(first, plan.packs, weigh(massG)) : weigh(massG);
  return (
    <tbody>
      <tr className={styles.fibre}>
        <td className={styles.swatch}>{fibre && <FibreSwatch fibre={fibre} width={58} height={24} />}</td>
        <th scope="row">
          {fibre?.name ?? 'A fibre no longer on the shelf'}{' '}
          <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
          {BAG_WORDS[own.bag] && <span className="amber"> · {BAG_WORDS[own.bag]}</span>}
        </th>
        {cells.map(({ key, packs, portion }) => (
          <td key={key}>
            {portion
              ? opening(
                  portion,
                  packs,
                  portion.packG === null ? showLikely(portion.exactG) : weigh(portion.packG),
                )
              : '–'}
          </td>
        ))}
        <td>{total(own.classG)}</td>
        <td>
          {own.freeG === null ? (
            <span className="red">not counted</span>
          ) : (
            <>
              {showGrams(own.freeG)}
              {own.stock.promisedG > 0 && (
                <span className={styles.promised}>
                  {showGrams(own.stock.promisedG)} to what is packed before
                </span>
              )}
            </>
          )}
        </td>
        <td className="red">{(own.shortG ?? 0) > 0 && total(own.shortG ?? 0)}</td>
      </tr>
      <LineRows cells={cells} runPlan={runPlan} input={input} />
      {cells.map(({ key, packs, portion }) =>
        portion?.weighing.kind === 'together' ? (
          <tr key={key} className={styles.part}>
            <td />
            <td colSpan={4 + cells.length} className="quiet">
              {cells.length > 1 && `For ${packs}: `}
              {weighingWords(portion.weighing, input.scaleStepG)}
            </td>
          </tr>
        ) : null,
      )}
    </tbody>
  );
}

interface LineRowsProps extends PortionsTableProps {
  cells: readonly { readonly key: string; readonly portion: FibrePortion | null }[];
}

/** Each use of the fibre, pack by pack. */
function LineRows({ cells, runPlan: { revision }, input }: LineRowsProps) {
  const lines = new Map<string, PortionLine>();
  for (const { portion } of cells) for (const line of portion?.lines ?? []) lines.set(line.useId, line);
  const grams = (line: PortionLine | undefined) => {
    if (!line) return '';
    return line.weighedG === null || line.weighedG === 0
      ? showLikely(line.exactG)
      : showWeighed(line.weighedG, input.scaleStepG);
  };
  return [...lines.values()].map((line) => (
    <tr key={line.useId} className={styles.part}>
      <td />
      <td>
        {ownerLine(line.owner, revision.document)} <span className="quiet">{ROLE_WORDS[line.role]}</span>
      </td>
      {cells.map(({ key, portion }) => (
        <td key={key}>{grams(portion?.lines.find(({ useId }) => useId === line.useId))}</td>
      ))}
      <td colSpan={3} />
    </tr>
  ));
}
