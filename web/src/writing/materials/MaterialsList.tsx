import { CutsSection } from './CutsSection.tsx';
import styles from '../../ui/Lists.module.css';
import { PiecesSection } from './PiecesSection.tsx';
import { SharedWeights } from './SharedWeights.tsx';
import { ToolsSection } from './ToolsSection.tsx';

/** What is not wool: cut to length, put on by the piece; and weights that several amounts share; tools. */
export function MaterialsList() {
  return (
    <div className={styles.scroll}>
      <CutsSection />
      <PiecesSection />
      <SharedWeights />
      <ToolsSection />
    </div>
  );
}
