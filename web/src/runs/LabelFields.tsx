import { type FittedLabel, fittedLabels, labelPlaces, type Paper } from '@lanakit/core/papers';
import type { Problem } from '@lanakit/core/problems';
import {
  checkLabelSheet,
  LABEL_BOUNDS,
  LABEL_SHEET,
  type LabelSheet,
  PAGE_SIZES_MM,
  type PageSize,
} from '@lanakit/core/run';
import { problemWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { counted } from '../words/show.ts';
import fields from './RunFields.module.css';
import { Label } from './PaperLabel.tsx';
import { PrintLabels } from './PrintLabels.tsx';
import styles from './Paper.module.css';

const KEPT_UNDER = 'lanakit.label-sheet';

type Said = Omit<LabelSheet, 'page'>;

const FIELDS: readonly (readonly [keyof Said, string, string | null])[] = [
  ['rows', 'Rows', null],
  ['columns', 'Columns', null],
  ['widthMm', 'Label across', 'mm'],
  ['heightMm', 'Label down', 'mm'],
  ['leftMm', 'From the left edge', 'mm'],
  ['topMm', 'From the top edge', 'mm'],
  ['gapAcrossMm', 'Between, across', 'mm'],
  ['gapDownMm', 'Between, down', 'mm'],
];

export interface LabelSheetState {
  readonly sheet: LabelSheet;
  readonly problems: readonly Problem[];
  readonly query: string;
  readonly change: (more: Partial<Said>) => void;
}

/** The sheet of labels that lies in this maker’s printer: kept on this device. */
export function useLabelSheet(page: PageSize): LabelSheetState {
  const [chosen, setSaid] = useState<Said>(kept);
  const sheet: LabelSheet = { ...LABEL_SHEET, ...chosen, page };
  return {
    sheet,
    problems: checkLabelSheet(sheet),
    query: new URLSearchParams(Object.entries(sheet).map(([key, value]) => [key, String(value)])).toString(),
    change: (more) => {
      const next = { ...chosen, ...more };
      setSaid(next);
      // How many are used up is of one sheet, not of the next.
      const { used: _used, ...lasting } = next;
      localStorage.setItem(KEPT_UNDER, JSON.stringify(lasting));
    },
  };
}

function kept(): Said {
  const { page: _page, ...usual } = LABEL_SHEET;
  try {
    const found = JSON.parse(localStorage.getItem(KEPT_UNDER) ?? '{}') as Partial<Said>;
    return { ...usual, ...found, used: 0 };
  } catch {
    return usual;
  }
}

interface LabelFieldsProps {
  state: LabelSheetState;
  paper: Paper;
  /** Null: nothing is saved from here. */
  base: string | null;
  runId: string;
}

/** Sizes of the sheet, and its first page as it will be printed. */
export function LabelFields({ state, paper, base, runId }: LabelFieldsProps) {
  const { sheet, problems, query, change } = state;
  const problemAt = (pointer: string) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  const perSheet = sheet.rows * sheet.columns;
  return (
    <div className={styles.labels}>
      <div>
        <section className={`sheet ${styles.labelFields} no-print`} aria-label="The sheet of labels">
          <h1>Labels</h1>
          <p className="quiet small">
            {counted(paper.labels.length, 'bag')} to label. Print at 100 %; try it on plain paper first.
          </p>
          <div className={fields.fields}>
            {FIELDS.map(([key, label, suffix]) => (
              <NumberField
                key={key}
                label={label}
                value={sheet[key]}
                bounds={LABEL_BOUNDS[key as keyof typeof LABEL_BOUNDS]}
                isWhole={key === 'rows' || key === 'columns'}
                problem={problemAt(`/${key}`)}
                {...(suffix && { suffix })}
                onValue={(value) => change({ [key]: value })}
              />
            ))}
            <NumberField
              label="Used up already"
              value={sheet.used}
              bounds={{ min: 0, max: Math.max(0, perSheet - 1) }}
              isWhole
              problem={problemAt('/used')}
              hint={`of the ${perSheet} on the first sheet`}
              onValue={(used) => change({ used })}
            />
          </div>
          {base !== null && (
            <Button href={`${base}/pdf?${query}&marks=yes`} disabled={problems.length > 0} download>
              Trial with cut marks
            </Button>
          )}
        </section>
        <PrintLabels runId={runId} paper={paper} sheet={sheet} isSheetWrong={problems.length > 0} />
      </div>
      {problems.length === 0 && <Sheets sheet={sheet} paper={paper} />}
    </div>
  );
}

/** Every sheet as it will be printed; on the screen the first. */
function Sheets({ sheet, paper }: { sheet: LabelSheet; paper: Paper }) {
  const labels = useMemo(() => fittedLabels(paper, sheet), [paper, sheet]);
  const places = labelPlaces(sheet, labels.length);
  const count = (places.at(-1)?.sheet ?? 0) + 1;
  return (
    <div>
      <p className="quiet small no-print">The first of {counted(count, 'sheet')}</p>
      {Array.from({ length: count }, (_, number) => (
        <OneSheet key={number} sheet={sheet} labels={labels} figures={paper.figures} number={number} />
      ))}
    </div>
  );
}

interface OneSheetProps {
  sheet: LabelSheet;
  labels: readonly FittedLabel[];
  figures: Paper['figures'];
  number: number;
}

function OneSheet({ sheet, labels, figures, number }: OneSheetProps) {
  const { widthMm, heightMm } = PAGE_SIZES_MM[sheet.page];
  const places = labelPlaces(sheet, labels.length);
  return (
    <div
      className={`${styles.labelPage} ${sheet.page === 'a4' ? styles.onA4 : styles.onLetter} ${number > 0 ? styles.onlyPrinted : ''}`}
      // A hair less than the page, or a printer begins another.
      style={{ width: `${widthMm}mm`, height: `${heightMm - 0.3}mm` }}
    >
      {places.map((place, at) => {
        const label = labels[at];
        return place.sheet === number && label ? (
          <div
            key={at}
            className={styles.labelPlace}
            style={{
              left: `${place.xMm}mm`,
              top: `${place.yMm}mm`,
              width: `${sheet.widthMm}mm`,
              height: `${sheet.heightMm}mm`,
            }}
          >
            <Label label={label} figure={figures[label.figureKey ?? ''] ?? null} />
          </div>
        ) : null;
      })}
    </div>
  );
}
