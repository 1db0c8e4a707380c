import { majorOf, minorOf } from '@lanakit/core/base';
import type { CommissionPage } from '@lanakit/core/api';
import { type Priced, type Quote, type Standing } from '@lanakit/core/commissions';
import type { Wool } from '@lanakit/core/engine';
import { fibreNamesOf } from '@lanakit/core/words';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { counted, findingAmount, showGrams, showMinutes, showMoney, showRange } from '../../words/show.ts';
import making from '../making/Making.module.css';
import styles from './Asked.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

interface QuoteTableProps {
  page: CommissionPage;
  draft: CommissionDraft;
  wool: Wool;
  standing: Standing;
}

const MONEY = { min: 0, max: 1_000_000 } as const;

/** What it takes of wool, things and hours, what that comes to, and what an hour of it earns. */
export function QuoteTable({
  page,
  draft: { input, change },
  wool,
  standing: { quote, priced },
}: QuoteTableProps) {
  if (!quote || !priced)
    return (
      <section aria-label="Quote">
        <h3>Quote</h3>
        <p className="quiet">With a pattern that answers it, its wool and your hours stand here.</p>
      </section>
    );
  return (
    <section aria-label="Quote">
      <h3>Quote{quote.count > 1 && ` for ${quote.count}`}</h3>
      <Takes quote={quote} wool={wool} />
      <Enough page={page} count={quote.count} nameOf={(id) => nameOfThing(wool, id)} />
      <p className={styles.hours}>{hoursWords(quote)}</p>
      <div className={making.facts}>
        <NumberField<number | null>
          label="An hour is to be worth"
          value={input.hourlyMinor === null ? null : majorOf(input.hourlyMinor)}
          bounds={MONEY}
          decimals={2}
          allowEmpty
          onValue={(major) =>
            change('what an hour is worth', (commission) => {
              commission.hourlyMinor = major === null ? null : minorOf(major);
            })
          }
        />
        <NumberField<number | null>
          label="Agreed, for all of it"
          value={input.agreedMinor === null ? null : majorOf(input.agreedMinor)}
          bounds={MONEY}
          decimals={2}
          allowEmpty
          onValue={(major) =>
            change('agreed price', (commission) => {
              commission.agreedMinor = major === null ? null : minorOf(major);
            })
          }
        />
      </div>
      <p className={styles.price}>{priceWords(quote, priced, input)}</p>
    </section>
  ); // prettier-ignore
}

const nameOfThing = (wool: Wool, id: string): string =>
  wool.fibres.has(id)
    ? fibreNamesOf(wool)(id)
    : (wool.findings.get(id)?.name ?? 'a thing no longer on the shelf');

function Takes({ quote, wool }: { quote: Quote; wool: Wool }) {
  return (
    <table className={styles.takes}>
      <thead>
        <tr>
          <th scope="col">Takes</th>
          <th scope="col">likely</th>
          <th scope="col">8 in 10</th>
          <th scope="col">at today’s price</th>
        </tr>
      </thead>
      <tbody>
        {quote.fibres.map((line) => (
          <tr key={line.fibreId}>
            <th scope="row">{nameOfThing(wool, line.fibreId)}</th>
            <td>{line.unknownCount > 0 ? `at least ${showGrams(line.likelyG)}` : showGrams(line.likelyG)}</td>
            <td>{showRange(line)}</td>
            <td>{line.costMinor === null ? <span className="amber">no price</span> : showCost(line.costMinor)}</td>
          </tr>
        ))}
        {quote.things.map((line) => (
          <tr key={line.findingId}>
            <th scope="row">{nameOfThing(wool, line.findingId)}</th>
            <td>
              {line.unknownCount > 0 && 'at least '}
              {findingAmount(line.amount, line.unit)}
            </td>
            <td />
            <td>{line.costMinor === null ? <span className="amber">no price</span> : showCost(line.costMinor)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">Material</th>
          <td>
            {quote.unknownUses > 0 && 'at least '}
            {showGrams(quote.likelyG)}
          </td>
          <td>{showRange(quote)}</td>
          <td>
            {quote.material.unknownCount > 0 && 'at least '}
            {showMoney(quote.material.minor)}
          </td>
        </tr>
      </tfoot>
    </table>
  ); // prettier-ignore
}

/** What is less than the smallest coin is not nothing. */
const showCost = (minor: number): string => (minor > 0 && minor < 0.5 ? '<0.01' : showMoney(minor));

function Enough({
  page: { enough },
  count,
  nameOf,
}: {
  page: CommissionPage;
  count: number;
  nameOf: (id: string) => string;
}) {
  if (!enough) return null;
  const untold =
    enough.uncounted.length > 0 ? ` ${enough.uncounted.map(nameOf).join(', ')} was never counted.` : '';
  if (enough.isMany || enough.makes >= count)
    return <p className="quiet">The shelf has enough for it, less what is promised.{untold}</p>;
  return (
    <p className="amber" role="note">
      The shelf has enough for {enough.makes === 0 ? 'none' : enough.makes} of {count}: too little of{' '}
      {enough.limits.map(nameOf).join(', ')}.{untold}
    </p>
  );
}

function hoursWords({ minutes }: Quote): string {
  if (minutes.likely === 0) return 'How long it takes is not known: no step of the pattern is timed.';
  const pace =
    minutes.paceSamples > 0
      ? ` at your own pace, from ${counted(minutes.paceSamples, 'making')}`
      : ' as the pattern says';
  const range = `8 in 10 between ${showMinutes(minutes.low)} and ${showMinutes(minutes.high)}`;
  return minutes.unknownCount > 0
    ? `At least ${showMinutes(minutes.likely)} at work${pace}: ${counted(minutes.unknownCount, 'step')} untimed.`
    : `${showMinutes(minutes.likely)} at work${pace}; ${range}.`;
}

function priceWords(
  { material, minutes, unknownUses }: Quote,
  priced: Priced,
  { hourlyMinor, agreedMinor }: { readonly hourlyMinor: number | null; readonly agreedMinor: number | null },
): string {
  const { priceMinor, priceLowMinor, priceHighMinor, hourMinor, hourLowMinor, hourHighMinor } = priced;
  if (unknownUses > 0)
    return 'No price can be told before the pattern says of everything which wool it is and how much.';
  if (material.unknownCount > 0)
    return 'No price can be told before everything in it has one: give it on the shelf.';
  if (minutes.unknownCount > 0 || minutes.likely === 0)
    return 'No price can be told before every step of the pattern is timed.';
  const asked =
    hourlyMinor === null || priceMinor === null
      ? 'Say what an hour is to be worth, and its price is told.'
      : `At ${showMoney(hourlyMinor)} an hour it has to cost ${showMoney(priceMinor)}; if it goes quickly ${showMoney(priceLowMinor ?? priceMinor)}, if it goes slowly ${showMoney(priceHighMinor ?? priceMinor)}.`;
  if (agreedMinor === null || hourMinor === null) return asked;
  const earned = `${showMoney(agreedMinor)} leaves ${showMoney(hourMinor)} an hour, 8 in 10 between ${showMoney(hourLowMinor ?? hourMinor)} and ${showMoney(hourHighMinor ?? hourMinor)}.`;
  return hourlyMinor === null ? earned : `${asked} ${earned}`;
}
