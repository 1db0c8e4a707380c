import type { Bench } from '@lanakit/core/api';
import { Link } from 'react-router';
import { SHELF_OF } from '../words/shelfPlaces.ts';
import { findingAmount, showDay } from '../words/show.ts';
import styles from './BenchPage.module.css';

/** What has to be ordered, the first first; what is on its way; what runs low. */
export function ToOrder({ bench: { buying, today } }: { bench: Bench }) {
  const { toOrder, onOrder, low } = buying;
  if (toOrder.length + onOrder.length + low.length === 0) return null;
  return (
    <section className={`sheet ${styles.card}`} aria-label="To order">
      <h2>
        <Link to="/buying">To order</Link>
      </h2>
      <ul className={styles.toOrder}>
        {toOrder.map(({ runId, name, day, itemName }) => (
          <li key={runId}>
            <b className={day !== null && day < today ? 'red' : ''}>
              {day === null ? 'no day' : showDay(day)}
            </b>
            <span>
              {day === null
                ? `short of ${itemName ?? 'something'} that nobody is known to bring in time`
                : `${day < today ? 'should have been ordered' : 'order'}: ${itemName ?? ''}`}
              , for {name}
            </span>
          </li>
        ))}
        {onOrder.map(({ orderId, supplierName, stage, expectedOn }) => {
          const isLate = stage === 'ordered' && expectedOn !== null && expectedOn < today;
          return (
            <li key={orderId}>
              <b className={isLate ? 'red' : ''}>
                {stage === 'drafted' ? 'draft' : expectedOn === null ? 'some day' : showDay(expectedOn)}
              </b>
              <Link to={`/buying/orders?open=${orderId}`}>
                {stage === 'drafted' ? 'to be sent to' : isLate ? 'was due from' : 'coming from'}{' '}
                {supplierName}
              </Link>
            </li>
          );
        })}
        {low.map(({ itemId, kind, name, unit, onHand, least }) => (
          <li key={itemId}>
            <b className="amber">low</b>
            <Link to={`${SHELF_OF[kind]}?open=${itemId}`}>
              {name}: {findingAmount(onHand, unit)}, under {findingAmount(least, unit)}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
