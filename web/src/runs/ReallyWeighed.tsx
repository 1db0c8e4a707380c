import { type FibreWeighed, leftInDrawer } from '@lanakit/core/run';
import { showWeighed } from '../words/show.ts';
import styles from './WeighOut.module.css';

interface ReallyWeighedProps {
  really: FibreWeighed | undefined;
  onHandG: number | null;
  /** The run is packed: the ledger knows of it. */
  isOffShelf: boolean;
  stepG: number;
}

/** What the scale has told of a fibre so far, and what should be left where it lay. */
export function ReallyWeighed({ really, onHandG, isOffShelf, stepG }: ReallyWeighedProps) {
  if (!really || really.byScale === 0) return null;
  const { wantedG, weighedG, overG } = really;
  const over = showWeighed(Math.abs(overG), stepG);
  return (
    <p className={styles.lots}>
      In bags: <b>{showWeighed(weighedG, stepG)}</b> of {showWeighed(wantedG, stepG)} wanted so far
      {Math.abs(overG) >= stepG / 2 && ` (${over} ${overG > 0 ? 'over' : 'under'})`}.{' '}
      {drawerWords(leftInDrawer(really, onHandG, isOffShelf), stepG)}
    </p>
  );
}

function drawerWords(leftG: number | null, stepG: number): string {
  if (leftG === null) return 'What lay there was never counted.';
  return leftG < 0
    ? `That is ${showWeighed(-leftG, stepG)} more than lay there by the ledger: count what is left.`
    : `${showWeighed(leftG, stepG)} should be left in the drawer.`;
}
