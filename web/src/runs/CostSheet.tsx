import { fractionOf, majorOf, minorOf, percentBounds, percentOf } from '@lanakit/core/base';
import { type Cost, costOfRun, type CostTerms, RUN_BOUNDS } from '@lanakit/core/run';
import { needleName } from '@lanakit/core/shelf';
import { groupWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { useFibres, useNeedles } from '../api/resources.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { Loading } from '../shell/Loading.tsx';
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
  const { data: fibres, error } = useFibres();
  const needles = useNeedles().data?.items ?? NONE;
  const { own } = useRunKit(runId, draft.input);
  const { input } = draft;
  const { toPack, plan, wool, groups } = runPlan;
  const isKits = input.kind === 'kits';
  const cost = useMemo(() => {
    if (!fibres) return null;
    const today = new Map(fibres.items.map(({ id, pricePer100gMinor }) => [id, pricePer100gMinor]));
    for (const [id, fibre] of wool.fibres) if (!today.has(id)) today.set(id, fibre.pricePer100gMinor);
    return costOfRun(toPack, plan, input.cost, {
      wool: wool.fibres,
      findings: wool.findings,
      todayPer100gMinor: today,
      kit: isKits ? null : (own?.kit ?? null),
      needles,
      spareTerms: runPlan.input,
    });
  }, [fibres, toPack, plan, input.cost, runPlan.input, wool, own, isKits, needles]);
  if (!cost) return <Loading error={error} />;
  const needleOf = (id: string) => {
    const needle = needles.find((one) => one.id === id);
    return needle ? `${needleName(needle)} needles` : 'a thing';
  };
  const set = (more: Partial<CostTerms>) => draft.change({ cost: { ...input.cost, ...more } });
  const one = isKits ? 'box' : 'seat';
  return (
    <>
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
          {cost.packs.map((pack) => {
            const group = groups.find(({ key }) => key === pack.groupKey);
            return (
              <tr key={pack.groupKey}>
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
          })}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={2}>Once for the run: time, what is spare or shown or lies out</td>
            <td colSpan={isKits ? 6 : 5}>{money(cost.fixed)}</td>
            <td />
          </tr>
          <tr>
            <td colSpan={2}>All of it for {counted(cost.sold, one, isKits ? 'boxes' : 'seats')}</td>
            <td colSpan={isKits ? 6 : 5}>
              {ends(cost.wholeLeast, cost.whole)}{' '}
              <span className="quiet">at today’s wool prices {money(cost.wholeToday)}</span>
            </td>
            <td />
          </tr>
        </tfoot>
      </table>
      <div className={`${fields.fields} ${styles.terms}`}>
        <NumberField
          label="Your hour"
          value={input.cost.hourlyWageMinor === null ? null : majorOf(input.cost.hourlyWageMinor)}
          bounds={{ min: 0, max: 1000 }}
          allowEmpty
          decimals={2}
          placeholder="not reckoned"
          onValue={(wage) => set({ hourlyWageMinor: wage === null ? null : minorOf(wage) })}
        />
        <NumberField
          label="Left over of the price"
          value={percentOf(input.cost.marginFraction)}
          bounds={percentBounds(RUN_BOUNDS.marginFraction)}
          suffix="%"
          onValue={(percent) => set({ marginFraction: fractionOf(percent) })}
        />
        <NumberField
          label="To weigh a portion"
          value={input.cost.secondsPerPortion}
          bounds={RUN_BOUNDS.secondsPerPortion}
          suffix="s"
          onValue={(secondsPerPortion) => set({ secondsPerPortion })}
        />
        <NumberField
          label={`To pack a ${isKits ? 'box' : 'pack'}`}
          value={input.cost.minutesPerPack}
          bounds={RUN_BOUNDS.minutesPerPack}
          suffix="min"
          onValue={(minutesPerPack) => set({ minutesPerPack })}
        />
        <NumberField
          label="Once for the run"
          value={input.cost.fixedMinutes}
          bounds={RUN_BOUNDS.fixedMinutes}
          suffix="min"
          onValue={(fixedMinutes) => set({ fixedMinutes })}
        />
        <p className={styles.price}>
          {cost.priceMinor === null ? (
            <span className="red">
              No price can be given: nothing is known of what{' '}
              {cost.unpriced
                .map((id) => wool.fibres.get(id)?.name ?? wool.findings.get(id)?.name ?? needleOf(id))
                .join(', ')}{' '}
              cost. Enter it on the shelf.
            </span>
          ) : (
            <>
              A {one} at <b>{showMoney(cost.priceMinor)}</b> leaves {percentOf(input.cost.marginFraction)} %
              {cost.paysFrom !== null &&
                ` and pays for itself from ${counted(cost.paysFrom, one, isKits ? 'boxes' : 'seats')} on`}
              .
            </>
          )}
          {input.cost.hourlyWageMinor === null && (
            <span className="amber"> Your own time is not in it: say what an hour is worth.</span>
          )}
        </p>
      </div>
    </>
  );
}
