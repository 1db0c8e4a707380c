import type { Buying } from '@lanakit/core/api';
import type { Order } from '@lanakit/core/buying';
import type { Supplier } from '@lanakit/core/shelf';
import { Segmented } from 'antd';
import { lazy, Suspense } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useBuying, useOrders, useSuppliers } from '../api/queries.ts';
import { LaterWays } from '../ways/LaterWays.tsx';
import { Loading } from '../shell/Loading.tsx';
import { counted, showMoney } from '../words/show.ts';
import styles from './BuyingPage.module.css';
import { ToOrder } from './ToOrder.tsx';
import { useAskedPurchase } from './useAskedPurchase.ts';
import { Wanted } from './Wanted.tsx';
import { WhichRuns } from './WhichRuns.tsx';

const Orders = lazy(async () => ({ default: (await import('./Orders.tsx')).Orders }));

const Cutting = lazy(async () => ({ default: (await import('./Cutting.tsx')).Cutting }));

const Makes = lazy(async () => ({ default: (await import('./Makes.tsx')).Makes }));

type Side = 'wanted' | 'orders' | 'cutting' | 'makes';

const PATHS: Readonly<Record<Side, string>> = {
  wanted: '/buying',
  orders: '/buying/orders',
  cutting: '/buying/cutting',
  makes: '/buying/makes',
};

const sideOf = (asked: string | undefined): Side =>
  asked === 'orders' || asked === 'cutting' || asked === 'makes' ? asked : 'wanted';

/** What is wanted, what to order, what came. */
export function BuyingPage() {
  const buying = useBuying();
  const suppliers = useSuppliers();
  const orders = useOrders();
  if (!buying.data || !suppliers.data || !orders.data)
    return <Loading error={buying.error ?? suppliers.error ?? orders.error} />;
  return <OnTable buying={buying.data} suppliers={suppliers.data.items} orders={orders.data.items} />;
}

interface OnTableProps {
  buying: Buying;
  suppliers: readonly Supplier[];
  orders: readonly Order[];
}

function OnTable({ buying, suppliers, orders }: OnTableProps) {
  const side = sideOf(useParams()['side']);
  const navigate = useNavigate();
  const open = orders.filter(({ stage }) => stage === 'drafted' || stage === 'ordered').length;
  return (
    <main className={styles.page}>
      <header className={`sheet no-print ${styles.header}`}>
        <h1>Buying</h1>
        <Segmented<Side>
          aria-label="What of buying"
          value={side}
          options={[
            { value: 'wanted', label: 'Wanted and to order' },
            { value: 'orders', label: open > 0 ? `Orders, ${counted(open, 'open', 'open')}` : 'Orders' },
            { value: 'cutting', label: 'What to cut' },
            { value: 'makes', label: 'Makes from here' },
          ]}
          onChange={(next) => void navigate(PATHS[next])}
        />
        <p className={`quiet small ${styles.worth}`}>
          {buying.things.length > 0 && worthWords(buying.worth)}
        </p>
      </header>
      {side === 'wanted' ? (
        <WantedSide buying={buying} suppliers={suppliers} />
      ) : (
        <Suspense fallback={null}>
          {side === 'orders' && <Orders buying={buying} orders={orders} suppliers={suppliers} />}
          {side === 'cutting' && <Cutting />}
          {side === 'makes' && <Makes buying={buying} />}
        </Suspense>
      )}
    </main>
  );
}

function WantedSide({ buying, suppliers }: Omit<OnTableProps, 'orders'>) {
  const asked = useAskedPurchase(buying, suppliers);
  if (buying.runs.length === 0 && buying.wants.length === 0) return <NothingYet />;
  return (
    <div className={styles.columns}>
      <WhichRuns buying={buying} suppliers={suppliers} asked={asked} />
      <Wanted buying={buying} asked={asked} />
      <ToOrder buying={buying} suppliers={suppliers} asked={asked} />
    </div>
  );
}

/** Buying begins with a run. */
const NothingYet = () => (
  <section className={`sheet ${styles.nothing}`} aria-label="What is wanted">
    <h2>Nothing is wanted yet</h2>
    <p>
      A run ahead says what it takes. What is short of that is planned here into packs from those who sell it,
      by the day it has to be there, and into what to cut from sticks and sheets.
    </p>
    <LaterWays ways={['short', 'shelf', 'tour', 'demo']} />
  </section>
);

function worthWords({ minor, unpricedCount, uncountedCount }: Buying['worth']): string {
  const unknown = [
    ...(unpricedCount > 0 ? [`${unpricedCount} without a price`] : []),
    ...(uncountedCount > 0 ? [`${uncountedCount} never counted`] : []),
  ].join(', ');
  return `The shelf is worth ${unknown === '' ? '' : 'at least '}${showMoney(minor)}${unknown === '' ? '' : `; ${unknown}`}`;
}
