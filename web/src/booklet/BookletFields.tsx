import {
  BOOKLET_PAGES,
  BOOKLET_PARTS,
  type BookletPage,
  type BookletPartName,
  type BookletTerms,
  isSmallPage,
} from '@lanakit/core/papers';
import { Button, Checkbox, Segmented } from 'antd';
import { BOOKLET_PAGE_WORDS, BOOKLET_PART_WORDS } from '../words/bookletWords.ts';
import styles from './Booklet.module.css';

interface BookletFieldsProps {
  terms: BookletTerms;
  onTerms: (terms: BookletTerms) => void;
}

/** On what page, how large, with how much ink; and what is in it, in which order. */
export function BookletFields({ terms, onTerms }: BookletFieldsProps) {
  const set = (more: Partial<BookletTerms>) => onTerms({ ...terms, ...more });
  return (
    <>
      <h2>How it is set</h2>
      <div className={styles.fields}>
        <Segmented<BookletPage>
          aria-label="Page"
          value={terms.page}
          options={BOOKLET_PAGES.map((page) => ({ value: page, label: BOOKLET_PAGE_WORDS[page] }))}
          onChange={(page) => set({ page })}
        />
        <Segmented<BookletTerms['reader']>
          aria-label="Who reads it"
          value={terms.reader}
          options={[
            { value: 'pattern', label: 'with the pattern alone' },
            { value: 'kit', label: 'with the kit' },
          ]}
          onChange={(reader) => set({ reader })}
        />
      </div>
      <div className={styles.ticks}>
        <Checkbox
          checked={terms.type === 'large'}
          onChange={({ target: { checked } }) => set({ type: checked ? 'large' : 'usual' })}
        >
          large type, 18 points
        </Checkbox>
        <Checkbox
          checked={terms.columns === 2}
          disabled={terms.type === 'large' || isSmallPage(terms.page)}
          onChange={({ target: { checked } }) => set({ columns: checked ? 2 : 1 })}
        >
          two columns
        </Checkbox>
        <Checkbox
          checked={terms.isStepAPage}
          onChange={({ target: { checked } }) => set({ isStepAPage: checked })}
        >
          a step a page
        </Checkbox>
        <Checkbox
          checked={terms.ink === 'saving'}
          onChange={({ target: { checked } }) => set({ ink: checked ? 'saving' : 'colour' })}
        >
          save ink: outlines, fibre by name and hatching
        </Checkbox>
        <Checkbox
          checked={terms.hasPictures}
          onChange={({ target: { checked } }) => set({ hasPictures: checked })}
        >
          pictures of steps
        </Checkbox>
        <Checkbox
          checked={terms.hasBothUnits}
          onChange={({ target: { checked } }) => set({ hasBothUnits: checked })}
        >
          millimetres and inches side by side
        </Checkbox>
      </div>
      <h2>What is in it</h2>
      <PartsList parts={terms.parts} onParts={(parts) => set({ parts })} />
    </>
  );
}

/** Those chosen in their order, then the others. */
function PartsList({
  parts,
  onParts,
}: {
  parts: readonly BookletPartName[];
  onParts: (parts: BookletPartName[]) => void;
}) {
  const others = BOOKLET_PARTS.filter((name) => !parts.includes(name));
  const moved = (at: number, to: number): BookletPartName[] => {
    const next = [...parts];
    const [name] = next.splice(at, 1);
    if (name) next.splice(to, 0, name);
    return next;
  };
  return (
    <ol className={styles.parts}>
      {parts.map((name, at) => (
        <li key={name}>
          <Checkbox checked onChange={() => onParts(parts.filter((each) => each !== name))}>
            {BOOKLET_PART_WORDS[name]}
          </Checkbox>
          <span className={styles.moves}>
            <Button
              size="small"
              type="text"
              disabled={at === 0}
              aria-label={`${BOOKLET_PART_WORDS[name]} earlier`}
              onClick={() => onParts(moved(at, at - 1))}
            >
              ↑
            </Button>
            <Button
              size="small"
              type="text"
              disabled={at === parts.length - 1}
              aria-label={`${BOOKLET_PART_WORDS[name]} later`}
              onClick={() => onParts(moved(at, at + 1))}
            >
              ↓
            </Button>
          </span>
        </li>
      ))}
      {others.map((name) => (
        <li key={name}>
          <Checkbox checked={false} onChange={() => onParts([...parts, name])}>
            <span className="quiet">{BOOKLET_PART_WORDS[name]}</span>
          </Checkbox>
        </li>
      ))}
    </ol>
  );
}
