import lists from '../../ui/Lists.module.css';
import { counted } from '../../words/show.ts';
import { useRemarkCounts } from './remarkCounts.ts';

/** In the margin of a row: something here is to be looked at. What it is stands in the ledger. */
export function RemarkMark({ id }: { id: string }) {
  const count = useRemarkCounts(({ counts }) => counts.get(id) ?? 0);
  if (count === 0) return null;
  const words = `${counted(count, 'thing')} to look at`;
  return (
    <span className={lists.remark} title={words}>
      <span className="visually-hidden">{words}</span>
    </span>
  );
}
