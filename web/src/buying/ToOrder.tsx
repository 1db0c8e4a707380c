import type { Buying } from '@lanakit/core/api';
import {
  gapOfPlan,
  type NotOffered,
  type OrderInput,
  orderOfParcel,
  type Parcel,
  PURCHASE_WAYS,
  type PurchasePlan,
  type PurchaseWay,
  orderByOfParcel,
} from '@lanakit/core/buying';
import { joinWords, packName } from '@lanakit/core/words';
import type { Supplier } from '@lanakit/core/shelf';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { draftOrders } from '../api/mutations/buying.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { WAY_WORDS } from '../words/buyingWords.ts';
import { counted, showDay, showMoney } from '../words/show.ts';
import styles from './BuyingPage.module.css';
import { ParcelSheet } from './ParcelSheet.tsx';
import type { WayState } from './plan.worker.ts';
import type { Asked } from './useAskedPurchase.ts';
import { usePurchasePlans } from './usePurchasePlans.ts';
import { WaysChart } from './WaysChart.tsx';

interface ToOrderProps {
  buying: Buying;
  suppliers: readonly Supplier[];
  asked: Asked;
}

const planOf = (state: WayState): PurchasePlan | null =>
  state.kind === 'done' || state.kind === 'working' ? state.plan : null;

/** Which packs from whom, three ways side by side, and the orders of the one that is chosen. */
export function ToOrder({ buying, suppliers, asked }: ToOrderProps) {
  const { problem } = asked.purchase;
  const { ways, isWorking, stop } = usePurchasePlans(problem);
  const [way, setWay] = useState<PurchaseWay>('money');
  const plan = planOf(ways[way]);
  const isNothing = problem.needs.length === 0 && problem.held.size === 0;
  return (
    <section className={`sheet ${styles.order}`} aria-label="What to order">
      <header className={styles.wantedHead}>
        <h2>What to order</h2>
        {isWorking && (
          <Button size="small" onClick={stop}>
            Take what is found
          </Button>
        )}
      </header>
      <NotSold buying={buying} suppliers={suppliers} asked={asked} />
      {isNothing ? (
        <p className="quiet">Nothing that somebody sells has to be bought.</p>
      ) : (
        <>
          <div role="radiogroup" aria-label="What is to be least" className={styles.ways}>
            {PURCHASE_WAYS.map((each) => (
              <WayCard
                key={each}
                way={each}
                state={ways[each]}
                isChosen={each === way}
                onChoose={() => setWay(each)}
              />
            ))}
          </div>
          <WaysChart plans={PURCHASE_WAYS.flatMap((each) => planOf(ways[each]) ?? [])} />
          {plan && <Parcels plan={plan} buying={buying} suppliers={suppliers} asked={asked} />}
        </>
      )}
    </section>
  );
}

interface WayCardProps {
  way: PurchaseWay;
  state: WayState;
  isChosen: boolean;
  onChoose: () => void;
}

function WayCard({ way, state, isChosen, onChoose }: WayCardProps) {
  const { name, about } = WAY_WORDS[way];
  const plan = planOf(state);
  return (
    <label className={`${styles.way} ${isChosen ? styles.wayChosen : ''}`}>
      <input type="radio" name="way" className="visually-hidden" checked={isChosen} onChange={onChoose} />
      <span className={styles.wayName}>{name}</span>
      <span className="quiet small">{about}</span>
      <b className={styles.waySum}>{plan ? showMoney(plan.purchase.totalMinor) : '…'}</b>
      <span className="small">
        {plan
          ? `${counted(plan.purchase.parcels.length, 'parcel')} · ${showMoney(plan.purchase.leftOverMinor)} left over`
          : stateWords(state)}
      </span>
      <span className={`small ${state.kind === 'done' && state.plan.isProven ? 'leaf' : 'quiet'}`}>
        {plan && proofWords(plan, state.kind === 'working')}
      </span>
    </label>
  );
}

function stateWords({ kind }: WayState): string {
  switch (kind) {
    case 'impossible':
      return 'no way: numbers held by hand, one supplier for a thing, or a minimum order stand against it';
    case 'nothing-in-time':
      return 'nothing was found in the time there was';
    case 'failed':
      return 'the planner stumbled: change something to try again';
    case 'waiting':
      return 'waits its turn';
    case 'working':
    case 'done':
      return 'looking…';
  }
}

/** Nothing better there is; or how far it may be from the best. */
function proofWords(plan: PurchasePlan, isWorking: boolean): string {
  if (plan.isProven) return 'proven: none is cheaper';
  const gap = gapOfPlan(plan);
  return isWorking
    ? 'getting better…'
    : `within ${Math.max(0.1, Math.ceil(gap * 1000) / 10)} % of the best there may be`;
}

function Parcels({ plan, buying, suppliers, asked }: ToOrderProps & { plan: PurchasePlan }) {
  const attempt = useAttempt();
  const navigate = useNavigate();
  const supplierOf = (id: string) => suppliers.find((supplier) => supplier.id === id);
  const { problem } = asked.purchase;
  const draft = () =>
    attempt(async () => {
      const orders = plan.purchase.parcels.map((parcel) =>
        orderOf(parcel, asked, supplierOf(parcel.supplierId)),
      );
      const made = await perform(draftOrders(orders));
      await navigate('/buying/orders');
      return { text: `${counted(made.items.length, 'order')} drafted.` };
    });
  return (
    <>
      {plan.purchase.parcels.map((parcel) => (
        <ParcelSheet
          key={parcel.supplierId}
          parcel={parcel}
          supplier={supplierOf(parcel.supplierId)}
          orderBy={orderByOfParcel(parcel, problem, supplierOf(parcel.supplierId)?.leadDays ?? null)}
          today={buying.today}
          bought={plan.purchase.bought}
          asked={asked}
        />
      ))}
      <div className={styles.draft}>
        <span>
          <b className={styles.waySum}>{showMoney(plan.purchase.totalMinor)}</b>{' '}
          <span className="quiet small">goods and carriage</span>
        </span>
        {asked.choices.held.size > 0 && (
          <Button onClick={() => asked.choose({ held: new Map() })}>
            {`Let go of ${counted(asked.choices.held.size, 'number')} held by hand`}
          </Button>
        )}
        <Button type="primary" disabled={plan.purchase.parcels.length === 0} onClick={() => void draft()}>
          {plan.purchase.parcels.length === 1 ? 'Draft this order' : 'Draft these orders'}
        </Button>
      </div>
    </>
  );
}

function orderOf(
  parcel: Parcel,
  { purchase, thingOf, choices }: Asked,
  supplier: Supplier | undefined,
): OrderInput {
  const { suppliers } = purchase.problem;
  const arrivesOn = suppliers.find(({ supplierId }) => supplierId === parcel.supplierId)?.arrivesOn ?? null;
  const order = orderOfParcel(parcel, supplier?.name ?? '', arrivesOn, ({ offer }) =>
    packName(offer, thingOf),
  );
  const ofOneLot = [...new Set(order.lines.flatMap(({ contents }) => contents.map(({ itemId }) => itemId)))]
    .filter((itemId) => choices.fromOne.has(itemId))
    .flatMap((itemId) => thingOf(itemId)?.name ?? []);
  return ofOneLot.length === 0
    ? order
    : { ...order, note: `All of one lot, please: ${joinWords(ofOneLot)}.` };
}

/** What cannot be bought, and who falls out. */
function NotSold({ suppliers, asked }: ToOrderProps) {
  const { notOffered, late, unknownLead, unknownCarriage } = asked.purchase;
  const nameOf = (id: string) => suppliers.find((supplier) => supplier.id === id)?.name ?? '';
  const isAnyLate =
    late.length > 0 || notOffered.some(({ why }) => why === 'late') || asked.choices.isLateToo;
  return (
    <>
      {notOffered.length + late.length > 0 && (
        <ul className={styles.notSold}>
          {notOffered.map((missing) => (
            <li key={missing.itemId} className="small">
              <NotSoldLine missing={missing} asked={asked} nameOf={nameOf} />
            </li>
          ))}
          {late.map(({ supplierId, arrivesOn }) => (
            <li key={supplierId} className="small">
              <b>{nameOf(supplierId)}</b> falls out: it would come on {showDay(arrivesOn)}, too late.
            </li>
          ))}
        </ul>
      )}
      {isAnyLate && (
        <Checkbox
          checked={asked.choices.isLateToo}
          onChange={(event) => asked.choose({ isLateToo: event.target.checked })}
        >
          Plan what comes too late as well
        </Checkbox>
      )}
      {unknownLead.length + unknownCarriage.length > 0 && (
        <p className="quiet small">
          {unknownLead.length > 0 &&
            `How long ${unknownLead.map(nameOf).join(', ')} takes is not said: taken to come in time. `}
          {unknownCarriage.length > 0 &&
            `What carriage from ${unknownCarriage.map(nameOf).join(', ')} costs is not said: taken to be free.`}
        </p>
      )}
    </>
  );
}

interface NotSoldLineProps {
  missing: NotOffered;
  asked: Asked;
  nameOf: (supplierId: string) => string;
}

function NotSoldLine({ missing, asked, nameOf }: NotSoldLineProps) {
  const thing = asked.thingOf(missing.itemId);
  const name = <b>{thing?.name ?? 'a thing no longer on the shelf'}</b>;
  if (missing.why === 'late')
    return (
      <span className="red">
        {name}: needed by {showDay(missing.by)}, and the first that comes is from {nameOf(missing.supplierId)}{' '}
        on {showDay(missing.arrivesOn)}.
      </span>
    );
  return (
    <span className="red">
      {name}: nobody on your shelf sells it.{' '}
      {thing?.kind === 'fibre' ? (
        <Link to={`/shelf?open=${missing.itemId}`}>What comes closest</Link>
      ) : (
        <Link to="/shelf/suppliers">Add who does</Link>
      )}
    </span>
  );
}
