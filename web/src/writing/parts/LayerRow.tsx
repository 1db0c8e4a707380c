import { percentOf, showSizeMm } from '@lanakit/core/base';
import type { PartEstimate, UseEstimate } from '@lanakit/core/engine';
import { isWool, type Part, type Pattern, type Use, withoutUse, type WoolUse } from '@lanakit/core/pattern';
import { capital, SOURCE_WORDS, unknownWords } from '@lanakit/core/words';
import { DownOutlined, RightOutlined } from '@ant-design/icons';
import { Button, Checkbox, Input } from 'antd';
import { become } from '../../draft/become.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { HowItCame } from '../../ui/look/HowItCame.tsx';
import { cameOfUse } from '../../words/howItCame.ts';
import { showUseGrams } from '../../words/show.ts';
import { AlsoSaid } from './AlsoSaid.tsx';
import { AmountFields } from './AmountFields.tsx';
import { HandsLine } from './HandsLine.tsx';
import styles from './Layers.module.css';
import lists from '../../ui/Lists.module.css';
import { useEditPart, useProblemAt, useTable, type EditItem } from '../table/tableContext.ts';
import { UseFields } from './UseFields.tsx';

interface LayerRowProps {
  use: Use;
  /** `coat 2` */
  name: string;
  part: Part;
  /** JSON pointer of the use. */
  pointer: string;
  estimate: PartEstimate;
  isOpen: boolean;
  onToggle: () => void;
}

/** One layer: its fibre at once, everything else when it is opened. */
export function LayerRow({ use, name, part, pointer, estimate, isOpen, onToggle }: LayerRowProps) {
  const fibres = useTable((table) => table.fibres);
  const problemAt = useProblemAt();
  const editUse = useEditUse(part.id, use.id);
  const ownUse = estimate.uses.find(({ useId }) => useId === use.id);
  return (
    <div className={isOpen ? styles.openLayer : ''}>
      <div className={styles.layer}>
        <button
          type="button"
          data-row-head
          className={styles.role}
          aria-expanded={isOpen}
          aria-label={`${capital(name)}: more`}
          onClick={onToggle}
        >
          {isOpen ? <DownOutlined /> : <RightOutlined />} {name}
        </button>
        <div className={styles.fibre}>
          {isWool(use) && (
            <Field
              label={`${capital(name)} fibre`}
              isLabelHidden
              problem={problemAt(`${pointer}/fibreId`)}
              unknown={use.fibreId === null ? 'Unknown until you choose one' : null}
            >
              {(control) => (
                <FibreSelect
                  control={control}
                  fibres={fibres}
                  value={use.fibreId}
                  placeholder="Choose a fibre"
                  onChoose={(fibreId) =>
                    editUse(`the ${name} fibre`, (draft) => void (isWool(draft) && (draft.fibreId = fibreId)))
                  }
                />
              )}
            </Field>
          )}
          {use.role === 'insert' && <InsertName use={use} />}
          {use.role === 'needled' && <span className="quiet">takes no wool</span>}
        </div>
        <LayerAmount useEstimate={ownUse} use={use} name={name} part={part} estimate={estimate} />
      </div>
      {isOpen && (
        <LayerEditor use={use} pointer={pointer} useEstimate={ownUse} estimate={estimate} editUse={editUse} />
      )}
    </div>
  );
}

/** Edits of one use of one part. */
function useEditUse(partId: string, useId: string): EditItem<Use> {
  const editPart = useEditPart(partId);
  return (label, recipe, key) =>
    editPart(
      label,
      (draft) => {
        const use = draft.uses.find(({ id }) => id === useId);
        if (use) recipe(use);
      },
      key && `${useId}.${key}`,
    );
}

function InsertName({ use }: { use: Use & { role: 'insert' } }) {
  const wool = useTable((table) => table.wool);
  const finding = wool.findings.get(use.findingId ?? '');
  if (!finding) return <span className="red">nothing chosen</span>;
  return (
    <span>
      {use.count > 1 && `${use.count} × `}
      {finding.name}
    </span>
  );
}

interface LayerAmountProps {
  useEstimate: UseEstimate | undefined;
  use: Use;
  name: string;
  part: Part;
  estimate: PartEstimate;
}

/** Grams of one piece, where they come from, and how thick that lies. */
function LayerAmount({ useEstimate, use, name, part, estimate }: LayerAmountProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const wool = useTable((table) => table.wool);
  if (!useEstimate) return <span className={styles.grams} />;
  if (useEstimate.kind === 'unknown') {
    return (
      <span className={`${styles.grams} red`} title={capital(unknownWords(useEstimate.reason))}>
        unknown
      </span>
    );
  }
  const share = estimate.working.layers?.shares.find(({ useId }) => useId === use.id);
  return (
    <span className={styles.grams}>
      <HowItCame
        title={`${capital(name)} of one ${part.name}`}
        lines={cameOfUse(part, estimate, useEstimate, wool.fibres)}
      >
        {showUseGrams(useEstimate)}
      </HowItCame>
      <span className={styles.thick}>
        {useEstimate.isIfNeeded
          ? 'only if needed'
          : useEstimate.source !== 'calculated'
            ? SOURCE_WORDS[useEstimate.source]
            : ''}
        {useEstimate.source === 'calculated' &&
          share &&
          share.thicknessMm > 0 &&
          `${showSizeMm(share.thicknessMm, lengthUnit)} thick`}
      </span>
    </span>
  );
}

const wordsSizeHint = ({ words, wordsSizeFraction }: WoolUse): string =>
  words === '' || wordsSizeFraction === 1
    ? ''
    : `written for the figure at ${Math.round(percentOf(wordsSizeFraction))} % of this size`;

interface LayerEditorProps {
  use: Use;
  pointer: string;
  useEstimate: UseEstimate | undefined;
  estimate: PartEstimate;
  editUse: EditItem<Use>;
}

function LayerEditor({ use, pointer, useEstimate, estimate, editUse }: LayerEditorProps) {
  const problemAt = useProblemAt();
  const edit = useTable((table) => table.edit);
  const wool = isWool(use) ? use : null;
  const amountProblem = problemAt(`${pointer}/amount`);
  return (
    <div className={styles.details}>
      <div className={lists.grid}>
        <UseFields use={use} pointer={pointer} editUse={editUse} />
        {wool && (
          <AmountFields
            use={wool}
            onAmount={(amount, what) =>
              editUse(
                'the amount',
                (draft) => void (isWool(draft) && (draft.amount = amount)),
                `amount.${what}`,
              )
            }
          />
        )}
        {wool && (
          <Field
            label="In your words"
            className={lists.span6 ?? ''}
            problem={amountProblem}
            hint={wordsSizeHint(wool)}
          >
            {(control) => (
              <Input
                {...control}
                value={wool.words}
                maxLength={200}
                placeholder="a wisp, not a handful"
                onChange={(event) => {
                  const words = event.target.value;
                  editUse(
                    'the words',
                    (draft) => {
                      if (!isWool(draft)) return;
                      draft.words = words;
                      draft.wordsSizeFraction = 1;
                    },
                    'words',
                  );
                }}
              />
            )}
          </Field>
        )}
        {wool && (
          <AlsoSaid
            use={wool}
            estimate={useEstimate}
            onChange={(alsoSaid, what) =>
              editUse(
                'another statement',
                (draft) => void (isWool(draft) && (draft.alsoSaid = alsoSaid)),
                `also.${what}`,
              )
            }
            onCount={(amount, alsoSaid) =>
              editUse('which statement counts', (draft) => {
                if (!isWool(draft)) return;
                draft.amount = amount;
                draft.alsoSaid = alsoSaid;
              })
            }
          />
        )}
        {wool && wool.role !== 'core' && (
          <Checkbox
            className={lists.span6 ?? ''}
            checked={wool.isIfNeeded}
            onChange={(event) => {
              const isIfNeeded = event.target.checked;
              editUse('only if needed', (draft) => void (isWool(draft) && (draft.isIfNeeded = isIfNeeded)));
            }}
          >
            only if needed: packed apart
          </Checkbox>
        )}
      </div>
      {useEstimate && <HandsLine useEstimate={useEstimate} estimate={estimate} />}
      {use.role !== 'core' && (
        <Button
          size="small"
          danger
          onClick={() =>
            edit(
              'deleting a layer',
              become<Pattern>((pattern) => withoutUse(pattern, use.id)),
            )
          }
        >
          Delete this layer
        </Button>
      )}
    </div>
  );
}
