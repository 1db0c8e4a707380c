import { Link } from 'react-router';
import { useBuying } from '../api/queries.ts';
import { findingAmount, showDay } from '../words/show.ts';

/** What is on order of a thing, and when it is expected; nothing where nothing is. */
export function ComingNow({ itemId, className = '' }: { itemId: string; className?: string }) {
  const { data } = useBuying();
  const coming = data?.coming.filter(({ itemId: ordered }) => ordered === itemId) ?? [];
  const unit = data?.things.find(({ id }) => id === itemId)?.unit;
  if (!data || !unit) return null;
  return coming.map(({ orderId, amount, dueOn }) => (
    <Link key={`${orderId} ${amount}`} to={`/buying/orders?open=${orderId}`} className={`small ${className}`}>
      {findingAmount(amount, unit)} coming
      {dueOn === null
        ? ', nobody knows when'
        : dueOn < data.today
          ? `, was due ${showDay(dueOn)}`
          : ` by ${showDay(dueOn)}`}
    </Link>
  ));
}
