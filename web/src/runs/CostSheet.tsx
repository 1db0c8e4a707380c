import { fractionOf, majorOf, minorOf, percentBounds, percentOf } from '@lanakit/core/base';
import { type Cost, costOfRun, type CostTerms, RUN_BOUNDS, type RunCost } from '@lanakit/core/run';
import { needleName } from '@lanakit/core/shelf';
import { groupWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { useFibres, useNeedles } from '../api/queries.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { StillLoading } from '../shell/Loading.tsx';
import { counted, showMinutes, showMoney } from '../words/show.ts';
import fields from './RunFields.module.css';
import styles from './PortionsTable.module.css';
import type { RunDraft } from './useRunDraft.ts';
import type { ShownRun } from './useRunPlan.ts';
import { useRunKit } from './useRunKit.ts';

const NONE: readonly never[] = [];

const money = ({ minor, unknownCount }: Cost): string =>
  unknownCount > 0 ? `≥ ${showMoney(minor)}` : showMoney(minor);

interface CostSheetProps {
  runId: string;
  runPlan: ShownRun;
  draft: RunDraft;
}

/** Both ends of what an author states from – to: packed is the far one. */
const ends = (least: Cost | null, most: Cost): string =>
  least && showMoney(least.minor) !== showMoney(most.minor)
    ? `${money(least)}–${showMoney(most.minor)}`
    : money(most);

/** What a seat or box costs, what it has to be sold for, and from how many on that pays. */
export function CostSheet({ runId, runPlan, draft }: CostSheetProps) {
  const { cost, error } = useCost(runId, runPlan, draft);
  if (!cost) return <StillLoading error={error} />;
  const isKits = draft.input.kind === 'kits';
  return (
    <>
      <CostTable cost={cost} groups={runPlan.groups} isKits={isKits} />
      <div className={`${fields.fields} ${styles.terms}`}>
        <TermsFields draft={draft} isKits={isKits} />
        <Price cost={cost} wool={runPlan.wool} terms={draft.input.cost} isKits={isKits} />
      </div>
    </>
  );
}

/** What a run comes to at the prices of the shelf; null until all of them are there. */
function useCost(runId: string, runPlan: ShownRun, { input }: RunDraft) {
  const { data: fibres, error } = useFibres();
  const needles = useNeedles().data?.items ?? NONE;
  const { kitOfRun: classKit } = useRunKit(runId, input);
  const { toPack, plan, wool } = runPlan;
  const isKits = input.kind === 'kits';
  const cost = useMemo(() => {
    if (!fibres) return null;
    const today = new Map(fibres.items.map(({ id, pricePer100gMinor }) => [id, pricePer100gMinor]));
    for (const [id, fibre] of wool.fibres) if (!today.has(id)) today.set(id, fibre.pricePer100gMinor);
    return costOfRun(toPack, plan, input.cost, {
      wool: wool.fibres,
      findings: wool.findings,
      todayPer100gMinor: today,
      kit: isKits ? null : (classKit?.kit ?? null),
      needles,
      spareTerms: runPlan.input,
    });
  }, [fibres, toPack, plan, input.cost, runPlan.input, wool, classKit, isKits, needles]);
  return { cost, error };
}

interface CostTableProps {
  cost: RunCost;
  groups: ShownRun['groups'];
  isKits: boolean;
}

/** Pack by pack, and what is there once for the run. */
function CostTable({ cost, groups, isKits }: CostTableProps) {
  const span = isKits ? 6 : 5;
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col" colSpan={2}>
            One pack of
          </th>
          <th scope="col">Wool, as paid</th>
          <th scope="col">today</th>
          <th scope="col">Findings</th>
          {isKits && <th scope="col">Packaging</th>}
          <th scope="col">{isKits ? 'Needles' : 'Needles broken'}</th>
          <th scope="col">Your time</th>
          <th scope="col">Together</th>
        </tr>
      </thead>
      <tbody>
        {cost.packs.map((pack) => (
          <PackRow
            key={pack.groupKey}
            pack={pack}
            group={groups.find(({ key }) => key === pack.groupKey)}
            isKits={isKits}
          />
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2}>Once for the run: time, what is spare or shown or lies out</td>
          <td colSpan={span}>{money(cost.fixed)}</td>
          <td />
        </tr>
        <tr>
          <td colSpan={2}>All of it for {soldWords(cost.sold, isKits)}</td>
          <td colSpan={span}>
            {ends(cost.wholeLeast, cost.whole)}{' '}
            <span className="quiet">at today’s wool prices {money(cost.wholeToday)}</span>
          </td>
          <td />
        </tr>
      </tfoot>
    </table>
  );
}

interface PackRowProps {
  pack: RunCost['packs'][number];
  group: ShownRun['groups'][number] | undefined;
  isKits: boolean;
}

const PackRow = ({ pack, group, isKits }: PackRowProps) => (
  <tr>
    <td />
    <th scope="row">
      {group && groupWords(group)} <span className="quiet">× {pack.packs}</span>
    </th>
    <td>{ends(pack.fibresLeast, pack.fibres)}</td>
    <td className="quiet">{money(pack.fibresToday)}</td>
    <td>{money(pack.findings)}</td>
    {isKits && <td>{money(pack.packaging)}</td>}
    <td>{money(pack.needles)}</td>
    <td>
      {showMinutes(pack.minutes)}
      {pack.timeMinor !== null && `, ${showMoney(pack.timeMinor)}`}
    </td>
    <td>
      <b>{ends(pack.wholeLeast, pack.whole)}</b>
    </td>
  </tr>
);

const soldWords = (count: number, isKits: boolean): string =>
  isKits ? counted(count, 'box', 'boxes') : counted(count, 'seat');

/** What an hour is worth, how long things take, and what is to be left over. */
function TermsFields({ draft, isKits }: { draft: RunDraft; isKits: boolean }) {
  const terms = draft.input.cost;
  const set = (more: Partial<CostTerms>) => draft.change({ cost: { ...terms, ...more } });
  return (
    <>
      <NumberField
        label="Your hour"
        value={terms.hourlyWageMinor === null ? null : majorOf(terms.hourlyWageMinor)}
        bounds={{ min: 0, max: 1000 }}
        allowEmpty
        decimals={2}
        placeholder="not reckoned"
        onValue={(wage) => set({ hourlyWageMinor: wage === null ? null : minorOf(wage) })}
      />
      <NumberField
        label="Left over of the price"
        value={percentOf(terms.marginFraction)}
        bounds={percentBounds(RUN_BOUNDS.marginFraction)}
        suffix="%"
        onValue={(percent) => set({ marginFraction: fractionOf(percent) })}
      />
      <NumberField
        label="To weigh a portion"
        value={terms.secondsPerPortion}
        bounds={RUN_BOUNDS.secondsPerPortion}
        suffix="s"
        onValue={(secondsPerPortion) => set({ secondsPerPortion })}
      />
      <NumberField
        label={`To pack a ${isKits ? 'box' : 'pack'}`}
        value={terms.minutesPerPack}
        bounds={RUN_BOUNDS.minutesPerPack}
        suffix="min"
        onValue={(minutesPerPack) => set({ minutesPerPack })}
      />
      <NumberField
        label="Once for the run"
        value={terms.fixedMinutes}
        bounds={RUN_BOUNDS.fixedMinutes}
        suffix="min"
        onValue={(fixedMinutes) => set({ fixedMinutes })}
      />
    </>
  );
}

interface PriceProps {
  cost: RunCost;
  wool: ShownRun['wool'];
  terms: CostTerms;
  isKits: boolean;
}

/** What one has to be sold for, or what nobody knows the price of. */
function Price({ cost, wool, terms, isKits }: PriceProps) {
  const needles = useNeedles().data?.items ?? NONE;
  const nameOf = (id: string): string => {
    const needle = needles.find((candidate) => candidate.id === id);
    return (
      wool.fibres.get(id)?.name ??
      wool.findings.get(id)?.name ??
      (needle ? `${needleName(needle)} needles` : 'a thing')
    );
  };
  return (
    <p className={styles.price}>
      {cost.priceMinor === null ? (
        <span className="red">
          No price can be given: nothing is known of what {cost.unpriced.map(nameOf).join(', ')} cost. Enter
          it on the shelf.
        </span>
      ) : (
        <>
          A {isKits ? 'box' : 'seat'} at <b>{showMoney(cost.priceMinor)}</b> leaves{' '}
          {percentOf(terms.marginFraction)} %
          {cost.paysFrom !== null && ` and pays for itself from ${soldWords(cost.paysFrom, isKits)} on`}.
        </>
      )}
      {terms.hourlyWageMinor === null && (
        <span className="amber"> Your own time is not in it: say what an hour is worth.</span>
      )}
    </p>
  );
}
