import type { Buying } from '@lanakit/core/api';
import { type Order, orderState, type OrderState } from '@lanakit/core/buying';
import type { Supplier } from '@lanakit/core/shelf';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { counted, showDay, showMoney } from '../words/show.ts';
import { ORDER_STATE_WORDS } from '../words/buyingWords.ts';
import { totalOfOrder } from '@lanakit/core/buying';
import styles from './Orders.module.css';
import { OrderSheet } from './OrderSheet.tsx';

interface OrdersProps {
  buying: Buying;
  orders: readonly Order[];
  suppliers: readonly Supplier[];
}

/** What is open comes first. */
const RANK: Readonly<Record<OrderState, number>> = {
  drafted: 0,
  part: 1,
  ordered: 1,
  arrived: 2,
  dropped: 3,
};

/** What was ordered, and what came of it. */
export function Orders({ buying, orders }: OrdersProps) {
  const [params, setParams] = useSearchParams();
  const sorted = [...orders].sort((a, b) => RANK[orderState(a)] - RANK[orderState(b)]);
  const [first] = sorted;
  const [chosenId, setChosenId] = useState(params.get('open') ?? first?.id ?? null);
  const chosen = sorted.find(({ id }) => id === chosenId) ?? first;
  const choose = (id: string) => {
    setChosenId(id);
    setParams({ open: id }, { replace: true });
  };
  if (!chosen)
    return (
      <section className={`sheet ${styles.none}`} aria-label="Orders">
        <h2>Nothing is ordered</h2>
        <p className="quiet">
          What you draft under “Wanted and to order” lies here: to be sent, to be ticked off when it comes,
          and then it is on the shelf with what you paid.
        </p>
      </section>
    );
  return (
    <div className={styles.orders}>
      <section className={`sheet ${styles.list}`} aria-label="Orders">
        <h2>Orders</h2>
        <ul>
          {sorted.map((order) => (
            <li key={order.id}>
              <button
                type="button"
                className={styles.line}
                aria-current={order.id === chosen.id ? 'true' : undefined}
                onClick={() => choose(order.id)}
              >
                <span>
                  <b>{order.supplierName}</b>
                  <span className="quiet small">{counted(order.lines.length, 'line')}</span>
                </span>
                <span>
                  <b className="num">{showMoney(totalOfOrder(order))}</b>
                  <StateWords order={order} today={buying.today} />
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      <OrderSheet key={chosen.id} order={chosen} buying={buying} />
    </div>
  );
}

function StateWords({ order, today }: { order: Order; today: string }) {
  const state = orderState(order);
  const isLate = order.stage === 'ordered' && order.expectedOn !== null && order.expectedOn < today;
  const day =
    state === 'ordered' || state === 'part'
      ? order.expectedOn === null
        ? ', nobody knows when'
        : `, ${isLate ? 'was due' : 'by'} ${showDay(order.expectedOn)}`
      : '';
  return (
    <span className={`small ${isLate ? 'red' : 'quiet'}`}>
      {ORDER_STATE_WORDS[state]}
      {day}
    </span>
  );
}
