import { type Bought, neededOf, type Parcel, type PurchaseLine } from '@lanakit/core/buying';
import { packName } from '@lanakit/core/words';
import type { Supplier } from '@lanakit/core/shelf';
import { Button } from 'antd';
import { findingAmount, showDay, showMoney } from '../words/show.ts';
import styles from './BuyingPage.module.css';
import type { Asked } from './useAskedPurchase.ts';

interface ParcelSheetProps {
  parcel: Parcel;
  supplier: Supplier | undefined;
  orderBy: string | null;
  today: string;
  bought: readonly Bought[];
  asked: Asked;
}

/** One parcel: packs one can count, and numbers that may be held by hand. */
export function ParcelSheet({ parcel, supplier, orderBy, today, bought, asked }: ParcelSheetProps) {
  const name = supplier?.name ?? 'a supplier no longer on the shelf';
  return (
    <section className={styles.parcel} aria-label={name}>
      <header className={styles.parcelHead}>
        <h3>{name}</h3>
        <span className={`small ${orderBy !== null && orderBy < today ? 'red' : 'quiet'}`}>
          {orderBy === null ? 'no day known' : `order by ${showDay(orderBy)}`}
        </span>
      </header>
      <ul className={styles.packs}>
        {parcel.lines.map((line) => (
          <PackLine key={line.offer.key} line={line} bought={bought} asked={asked} />
        ))}
      </ul>
      <p className={`small ${styles.parcelSum}`}>
        <span>{showMoney(parcel.goodsMinor)} goods</span>
        <span>
          {parcel.carriageMinor > 0 ? `${showMoney(parcel.carriageMinor)} carriage` : 'carriage free'}
        </span>
        {parcel.underMinimumMinor > 0 && (
          <span className="red">{showMoney(parcel.underMinimumMinor)} under the minimum order</span>
        )}
      </p>
    </section>
  );
}

/** More are drawn as a number only. */
const MOST_DRAWN = 8;

interface PackLineProps {
  line: PurchaseLine;
  bought: readonly Bought[];
  asked: Asked;
}

function PackLine({ line: { offer, packs, priceEachMinor, sumMinor }, bought, asked }: PackLineProps) {
  const { choices, choose, thingOf, purchase } = asked;
  const name = packName(offer, thingOf);
  const isHeld = choices.held.has(offer.key);
  const hold = (count: number | null) => {
    const held = new Map(choices.held);
    if (count === null) held.delete(offer.key);
    else held.set(offer.key, Math.max(0, count));
    choose({ held });
  };
  const [first] = offer.contents;
  const thing = first && thingOf(first.itemId);
  const total = bought.find(({ itemId }) => itemId === first?.itemId);
  const need = purchase.problem.needs.find(({ itemId }) => itemId === first?.itemId);
  return (
    <li className={styles.pack}>
      <span className={styles.packCount}>
        <Button size="small" aria-label={`One less: ${name}`} onClick={() => hold(packs - 1)}>
          −
        </Button>
        <b className="num">{packs}</b>
        <Button size="small" aria-label={`One more: ${name}`} onClick={() => hold(packs + 1)}>
          +
        </Button>
      </span>
      <span className={styles.packName}>
        <span>
          {name} {offer.reference !== '' && <span className="quiet small">{offer.reference}</span>}
        </span>
        <span className={styles.bags} aria-hidden>
          {Array.from({ length: Math.min(packs, MOST_DRAWN) }, (_, at) => (
            <Bag key={at} colour={thing?.colour ?? null} />
          ))}
          {packs > MOST_DRAWN && <span className="quiet small">+ {packs - MOST_DRAWN}</span>}
          {isHeld && (
            <button type="button" className="plain-button small" onClick={() => hold(null)}>
              held by hand: let go
            </button>
          )}
        </span>
        {thing && total && offer.name === '' && (
          <span className="quiet small">
            {need ? `${findingAmount(neededOf(need), thing.unit)} needed, ` : ''}
            {findingAmount(total.leftOver, thing.unit)} left over
          </span>
        )}
        {offer.name !== '' && (
          <span className="quiet small">
            {offer.contents
              .map(
                ({ itemId, amount }) =>
                  `${thingOf(itemId)?.name ?? ''} ${findingAmount(amount, thingOf(itemId)?.unit ?? 'g')}`,
              )
              .join(', ')}
          </span>
        )}
      </span>
      <span className={styles.packPrice}>
        <b className="num">{showMoney(sumMinor)}</b>
        <span className="quiet small">{showMoney(priceEachMinor)} each</span>
      </span>
    </li>
  );
}

function Bag({ colour }: { colour: string | null }) {
  return (
    <svg width={14} height={18} viewBox="0 0 14 18">
      <path
        d="M2.5 5.5 h9 l1.5 12 h-12 z"
        fill={colour ?? 'var(--paper-2)'}
        stroke="var(--ink)"
        strokeOpacity={0.5}
      />
      <path d="M4 5.5 L3 1.5 h8 l-1 4" fill="none" stroke="var(--ink)" strokeOpacity={0.5} />
    </svg>
  );
}
