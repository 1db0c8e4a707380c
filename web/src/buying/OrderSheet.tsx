import type { Buying } from '@lanakit/core/api';
import {
  priceOfLine,
  arrivedOfLine,
  differencesOf,
  totalOfOrder,
  type Order,
  type OrderInput,
  orderState,
} from '@lanakit/core/buying';
import { orderText } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { moveOrder, saveOrder, takeArrivalBack } from '../api/mutations/buying.ts';
import { perform } from '../api/mutations/mutation.ts';
import { apiPath } from '../api/studio.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { DayField } from '../ui/fields/DayField.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { differenceWords, ORDER_STATE_WORDS } from '../words/buyingWords.ts';
import { counted, findingAmount, showDay, showMoney } from '../words/show.ts';
import { ArrivalForm } from './ArrivalForm.tsx';
import styles from './Orders.module.css';

interface OrderSheetProps {
  order: Order;
  buying: Buying;
}

/** One order: to be sent, to be ticked off when it comes. */
export function OrderSheet({ order, buying }: OrderSheetProps) {
  const [isArriving, setArriving] = useState(false);
  const state = orderState(order);
  const differences = differencesOf(order);
  return (
    <section className={`sheet ${styles.order}`} aria-label={`Order of ${order.supplierName}`}>
      <header className={styles.head}>
        <div>
          <h2>{order.supplierName}</h2>
          <p className="quiet">
            {ORDER_STATE_WORDS[state]}
            {order.orderedOn !== null && `, sent on ${showDay(order.orderedOn)}`}
          </p>
        </div>
        <Ways order={order} onArrive={() => setArriving(true)} isArriving={isArriving} />
      </header>
      {isArriving && order.stage === 'ordered' ? (
        <ArrivalForm order={order} today={buying.today} onClose={() => setArriving(false)} />
      ) : (
        <Lines order={order} buying={buying} />
      )}
      {differences.length > 0 && (
        <ul className={styles.differences} aria-label="Other than ordered">
          {differences.map((difference) => (
            <li key={`${difference.kind} ${difference.line}`} className="amber small">
              {differenceWords(difference, order.lines[difference.line]?.name ?? '')}
            </li>
          ))}
        </ul>
      )}
      {order.arrivals.length > 0 && (
        <p className="quiet small">
          {order.arrivals
            .map(({ on, lines }) => {
              const packs = lines.reduce((sum, line) => sum + line.packs, 0);
              return `${counted(packs, 'pack')} came on ${showDay(on)}`;
            })
            .join(' · ')}
        </p>
      )}
      {!isArriving && (order.stage === 'drafted' || order.stage === 'ordered') && <Facts order={order} />}
      <Copies order={order} />
    </section>
  );
}

function Ways({ order, onArrive, isArriving }: { order: Order; onArrive: () => void; isArriving: boolean }) {
  const attempt = useAttempt();
  const move = (to: 'sent' | 'drafted' | 'dropped', text: string, back?: 'drafted') =>
    attempt(async () => {
      const moved = await perform(moveOrder(order, to));
      return { text, ...(back && { undo: () => perform(moveOrder(moved, back)) }) };
    });
  const takeBack = () =>
    attempt(async () => {
      await perform(takeArrivalBack(order));
      return { text: 'The last arrival is off the shelf again.' };
    });
  switch (orderState(order)) {
    case 'drafted':
      return (
        <div className={styles.ways}>
          <Button onClick={() => void move('dropped', 'Dropped: nothing of it is bought.', 'drafted')}>
            Drop it
          </Button>
          <Button type="primary" onClick={() => void move('sent', 'Noted as sent.', 'drafted')}>
            It is sent
          </Button>
        </div>
      );
    case 'ordered':
      return (
        <div className={styles.ways}>
          <Button onClick={() => void move('drafted', 'A draft again.')}>Not sent after all</Button>
          <Button type="primary" disabled={isArriving} onClick={onArrive}>
            Something came
          </Button>
        </div>
      );
    case 'part':
      return (
        <div className={styles.ways}>
          <Button onClick={() => void takeBack()}>Take the last arrival back</Button>
          <Button type="primary" disabled={isArriving} onClick={onArrive}>
            More came
          </Button>
        </div>
      );
    case 'arrived':
      return (
        <div className={styles.ways}>
          {order.arrivals.length > 0 && (
            <Button onClick={() => void takeBack()}>Take the last arrival back</Button>
          )}
        </div>
      );
    case 'dropped':
      return (
        <div className={styles.ways}>
          <Button onClick={() => void move('drafted', 'A draft again.')}>Take it up again</Button>
        </div>
      );
  }
}

function Lines({ order, buying }: OrderSheetProps) {
  const things = new Map(buying.things.map((thing) => [thing.id, thing]));
  const isSent = order.stage !== 'drafted';
  const hasWords = order.lines.some(({ reference }) => reference !== '');
  return (
    <table className={styles.lines}>
      <thead>
        <tr>
          <th scope="col">Packs</th>
          <th scope="col">What</th>
          {hasWords && <th scope="col">Their words</th>}
          {isSent && (
            <th scope="col" className="to-right">
              Here
            </th>
          )}
          <th scope="col" className="to-right">
            Each
          </th>
          <th scope="col" className="to-right">
            Sum
          </th>
        </tr>
      </thead>
      <tbody>
        {order.lines.map(({ name, reference, packs, priceEachMinor, contents }, line) => (
          <tr key={line}>
            <td className="num">{packs}</td>
            <td>
              {name}
              {contents.length > 1 && (
                <span className="quiet small as-block">
                  {contents
                    .map(({ itemId, amount }) => {
                      const thing = things.get(itemId);
                      return `${thing?.name ?? ''} ${findingAmount(amount, thing?.unit ?? 'g')}`;
                    })
                    .join(', ')}
                </span>
              )}
            </td>
            {hasWords && <td className="quiet">{reference}</td>}
            {isSent && (
              <td className={`num ${arrivedOfLine(order, line) >= packs ? 'leaf' : ''}`}>
                {arrivedOfLine(order, line)} of {packs}
              </td>
            )}
            <td className="num">{showMoney(priceEachMinor)}</td>
            <td className="num">{showMoney(priceOfLine({ packs, priceEachMinor }))}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={3 + Number(isSent) + Number(hasWords)} className="to-right">
            Goods, and {showMoney(order.carriageMinor)} carriage
          </td>
          <td className="num">
            <b>{showMoney(totalOfOrder(order))}</b>
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

/** When it is expected, and a note for oneself. */
function Facts({ order }: { order: Order }) {
  const attempt = useAttempt();
  const { id: _id, version: _version, stage: _stage, orderedOn: _on, arrivals: _arrivals, ...input } = order;
  const save = (more: Partial<OrderInput>) =>
    attempt(async () => {
      await perform(saveOrder(order, { ...input, ...more }));
      return undefined;
    });
  return (
    <div className={styles.facts}>
      <DayField
        label="Expected on"
        day={order.expectedOn}
        allowEmpty
        onDay={(expectedOn) => void save({ expectedOn })}
      />
      <Field label="Note">
        {(control) => (
          <Input
            {...control}
            key={order.note}
            defaultValue={order.note}
            maxLength={400}
            onBlur={(event) => {
              if (event.target.value !== order.note) void save({ note: event.target.value });
            }}
          />
        )}
      </Field>
    </div>
  );
}

function Copies({ order }: { order: Order }) {
  const attempt = useAttempt();
  const copy = () =>
    attempt(async () => {
      await navigator.clipboard.writeText(orderText(order));
      return { text: 'Copied: paste it into a letter or a form.' };
    });
  const file = (kind: 'csv' | 'xlsx' | 'pdf') => apiPath(`/orders/${order.id}/sheet/${kind}`);
  return (
    <div className={styles.copies}>
      <span className="quiet small">In the supplier’s own words:</span>
      <Button size="small" onClick={() => void copy()}>
        Copy as text
      </Button>
      <Button size="small" href={file('csv')} download>
        CSV
      </Button>
      <Button size="small" href={file('xlsx')} download>
        Workbook
      </Button>
      <Button size="small" href={file('pdf')} target="_blank">
        PDF
      </Button>
    </div>
  );
}
