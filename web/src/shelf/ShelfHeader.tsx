import { Button, Dropdown } from 'antd';
import { NavLink, useNavigate } from 'react-router';
import { counted } from '../words/show.ts';
import { type Shown } from './entries.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { saveList } from './saveList.ts';
import { ADDABLE, type Adding } from './ShelfPanel.tsx';
import styles from './ShelfPage.module.css';
import { type Section, SECTIONS } from './useEntries.ts';
import { COUNTED_AS, SECTION_WORDS } from './sectionWords.ts';

interface ShelfHeaderProps {
  section: Section;
  count: number;
  shown: Shown;
  onAdd: (adding: Adding) => void;
}

export function ShelfHeader({ section, count, shown, onAdd }: ShelfHeaderProps) {
  const navigate = useNavigate();
  const [singular, many] = COUNTED_AS[section];
  const [[first, firstWords], ...others] = ADDABLE[section] as [
    [Exclude<Adding, null>, string],
    ...[Exclude<Adding, null>, string][],
  ];
  const attempt = useAttempt();
  return (
    <header className={styles.header}>
      <div className={styles.title}>
        <h1>Shelf</h1>
        <p className="quiet small">
          {counted(count, singular, many)}
          {shown === 'archived' && ', archived'}
        </p>
      </div>
      <nav className={styles.sections} aria-label="Parts of the shelf">
        {SECTIONS.map((name) => (
          <NavLink
            key={name}
            end
            to={name === 'wool' ? '/shelf' : `/shelf/${name}`}
            className={({ isActive }) => (isActive ? (styles.here ?? '') : '')}
          >
            {SECTION_WORDS[name]}
          </NavLink>
        ))}
      </nav>
      <Dropdown
        menu={{
          items: [
            {
              key: 'import',
              label: 'Read in a list (CSV)…',
              onClick: () => void navigate(`/shelf/import?kind=${LIST_OF[section]}`),
            },
            {
              key: 'export',
              label: `Save ${LIST_WORDS[section]} as a list`,
              onClick: () => void attempt(() => saveList(LIST_OF[section], 'csv')),
            },
            {
              key: 'workbook',
              label: `Save ${LIST_WORDS[section]} as a workbook`,
              onClick: () => void attempt(() => saveList(LIST_OF[section], 'xlsx')),
            },
            {
              key: 'counts',
              label: 'Save the stock counts as a list',
              onClick: () => void attempt(() => saveList('counts', 'csv')),
            },
          ],
        }}
      >
        <Button>Lists</Button>
      </Dropdown>
      {others.map(([kind, words]) => (
        <Button key={kind} onClick={() => onAdd(kind)}>
          {words}
        </Button>
      ))}
      <Button type="primary" onClick={() => onAdd(first)}>
        {firstWords}
      </Button>
    </header>
  );
}

const LIST_OF = { wool: 'fibres', findings: 'findings', tools: 'needles', suppliers: 'prices' } as const;
const LIST_WORDS: Readonly<Record<Section, string>> = {
  wool: 'the fibres',
  findings: 'the findings',
  tools: 'the needles',
  suppliers: 'the prices',
};
