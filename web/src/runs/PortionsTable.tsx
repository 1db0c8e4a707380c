import { Term } from '../ui/Term.tsx';
import type { FibrePortion, PackGroup, PortionLine, RunFibre, RunInput } from '@lanakit/core/run';
import { groupWords, ROLE_WORDS } from '@lanakit/core/words';
import { ComingNow } from '../ui/ComingNow.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { HowItCame } from '../ui/look/HowItCame.tsx';
import { portionCame } from '../words/portionCame.ts';
import { ownerLine } from '../words/ownerWords.ts';
import { counted, PREPARATION_WORDS, showGrams, showLikely, showWeighed } from '../words/show.ts';
import { weighingWords } from '../words/weighingWords.ts';
import { bagTitle, extraWords, whoseWords } from './groupWords.ts';
import styles from './PortionsTable.module.css';
import { FibreWhy } from './FibreWhy.tsx';
import type { ShownRun } from './useRunPlan.ts';

interface PortionsTableProps {
  runPlan: ShownRun;
  input: RunInput;
}

/** What one pack gets of each fibre, for which parts, packs that are alike together, and what the class takes. */
export function PortionsTable({ runPlan, input }: PortionsTableProps) {
  const { plan, groups, tellingFibreByGroup, shelf } = runPlan;
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
          At least: {counted(plan.unknownCount, 'amount of wool is', 'amounts of wool are')} unknown.
        </p>
      )}
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col" colSpan={2}>
              Fibre and what it is for
            </th>
            {groups.map((group) => {
              const fibre = shelf.get(tellingFibreByGroup.get(group.key) ?? '');
              return (
                <th scope="col" key={group.key}>
                  {isOne ? (
                    'One pack'
                  ) : (
                    <span className={styles.group} title={whoseWords(group, input.roster)}>
                      {fibre && <FibreSwatch fibre={fibre} width={58} height={16} />}
                      <b>{groupWords(group)}</b> × {group.packs}
                    </span>
                  )}
                </th>
              );
            })}
            <th scope="col">{plan.packs} packs</th>
            <th scope="col">
              <Term id="free">Free on the shelf</Term>
            </th>
            <th scope="col">
              <Term id="short">Short</Term>
            </th>
          </tr>
        </thead>
        {plan.fibres.map((fibre) => (
          <FibreRows key={fibre.bag + fibre.fibreId} runFibre={fibre} runPlan={runPlan} input={input} />
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
            <td colSpan={2 + groups.length}>
              To weigh out for {input.kind === 'kits' ? 'all boxes' : 'the class'}
            </td>
            <td>{showWeighed(plan.classG, input.scaleStepG)}</td>
            <td colSpan={2} />
          </tr>
        </tfoot>
      </table>
    </>
  );
}

function FibreRows({ runFibre, runPlan, input }: { runFibre: RunFibre } & PortionsTableProps) {
  const { shelf, plan } = runPlan;
  const fibre = shelf.get(runFibre.fibreId);
  const weigh = (massG: number) => showWeighed(massG, input.scaleStepG);
  const cells = plan.groups.map(({ key, packs, plan: { fibres } }) => ({
    key,
    packs,
    portion:
      fibres.find((portion) => portion.fibreId === runFibre.fibreId && portion.bag === runFibre.bag) ?? null,
  }));
  const opening = (portion: FibrePortion, packs: number, words: string) => (
    <HowItCame
      title={`${fibre?.name ?? 'Fibre'} in one pack and in all`}
      lines={portionCame(portion, input, packs)}
    >
      {words}
    </HowItCame>
  );
  const total = (massG: number) => (
    <FibreWhy fibreId={runFibre.fibreId} runPlan={runPlan}>
      {weigh(massG)}
    </FibreWhy>
  );
  return (
    <tbody>
      <tr className={styles.fibre}>
        <td className={styles.swatch}>{fibre && <FibreSwatch fibre={fibre} width={58} height={24} />}</td>
        <th scope="row">
          {fibre?.name ?? 'A fibre no longer on the shelf'}{' '}
          <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
          {bagTitle(runFibre.bag, runPlan) && (
            <span className="amber"> · {bagTitle(runFibre.bag, runPlan)}</span>
          )}
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
        <td>
          {total(runFibre.classG)}
          {runFibre.lossG > 0 && (
            <span className={styles.promised}>+ {showGrams(runFibre.lossG)} lost in weighing</span>
          )}
        </td>
        <td>
          {runFibre.freeG === null ? (
            <span className="red">not counted</span>
          ) : (
            <>
              {showGrams(runFibre.freeG)}
              {runFibre.stock.promisedG > 0 && (
                <span className={styles.promised}>
                  {showGrams(runFibre.stock.promisedG)} to what is packed before
                </span>
              )}
            </>
          )}
        </td>
        <td className="red">
          {(runFibre.shortG ?? 0) > 0 && total(runFibre.shortG ?? 0)}
          {runFibre.shortG !== 0 && <ComingNow itemId={runFibre.fibreId} className="as-block" />}
        </td>
      </tr>
      <LineRows cells={cells} runPlan={runPlan} input={input} />
      {[...togetherWords(cells, input)].map(([words, packs]) => (
        <tr key={words} className={styles.part}>
          <td />
          <td colSpan={4 + cells.length} className="quiet">
            {cells.length > 1 && `For ${packs}: `}
            {words}
          </td>
        </tr>
      ))}
    </tbody>
  );
}

/** How portions too small for the scale are weighed, with how many packs that is for: what is weighed along is said once. */
function togetherWords(
  cells: readonly { readonly portion: FibrePortion | null }[],
  { scaleStepG }: RunInput,
): Map<string, number> {
  return new Map(
    cells.flatMap(({ portion }) =>
      portion?.weighing.kind === 'together'
        ? [[weighingWords(portion.weighing, scaleStepG), portion.weighing.packs] as const]
        : [],
    ),
  );
}

interface LineRowsProps extends PortionsTableProps {
  cells: readonly { readonly key: string; readonly portion: FibrePortion | null }[];
}

/** A use of one design, whichever groups have it. */
interface SameLine {
  readonly line: PortionLine;
  readonly group: PackGroup;
}

const lineKey = ({ useId, makeAt }: PortionLine, group: PackGroup): string =>
  `${group.makes[makeAt]?.revisionId ?? ''} ${useId}`;

/** Each use of the fibre, pack by pack. */
function LineRows({ cells, runPlan: { groups }, input }: LineRowsProps) {
  const lines = new Map<string, SameLine>();
  const groupOf = new Map(groups.map((group) => [group.key, group]));
  for (const { key, portion } of cells) {
    const group = groupOf.get(key);
    for (const line of portion?.lines ?? []) if (group) lines.set(lineKey(line, group), { line, group });
  }
  const designs = new Set(groups.flatMap(({ makes }) => makes.map(({ revisionId }) => revisionId)));
  const grams = (portionLines: readonly PortionLine[]) => {
    if (portionLines.length === 0) return '';
    const weighedG = portionLines.reduce((sum, line) => sum + (line.weighedG ?? 0), 0);
    return weighedG === 0
      ? showLikely(portionLines.reduce((sum, line) => sum + line.exactG, 0))
      : showWeighed(weighedG, input.scaleStepG);
  };
  return [...lines].map(([id, { line, group }]) => {
    const make = group.makes[line.makeAt];
    return (
      <tr key={id} className={styles.part}>
        <td />
        <td>
          {designs.size > 1 && `${make?.pattern.title}: `}
          {make && ownerLine(line.owner, make.pattern)} <span className="quiet">{ROLE_WORDS[line.role]}</span>
        </td>
        {cells.map(({ key, portion }) => {
          const packGroup = groupOf.get(key);
          return (
            <td key={key}>
              {grams(
                portion?.lines.filter((portionLine) => packGroup && lineKey(portionLine, packGroup) === id) ??
                  [],
              )}
            </td>
          );
        })}
        <td colSpan={3} />
      </tr>
    );
  });
}
