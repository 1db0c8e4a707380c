import { blankSegment, type Cut } from '@lanakit/core/pattern';
import { Button, Checkbox, Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { useEditCut, useTable } from '../table/tableContext.ts';
import { usePartNames } from '../table/useChoices.ts';

type Wire = Extract<Cut, { kind: 'wire' }>;
type EditWire = (label: string, recipe: (draft: Wire) => void, key?: string) => void;

/** The stretches of one wire, in the order it runs, and its turns round other wires. */
export function WireFields({ cut }: { cut: Wire }) {
  const editCut = useEditCut(cut.id);
  const edit: EditWire = (label, recipe, key) =>
    editCut(label, (draft) => void (draft.kind === 'wire' && recipe(draft)), key);
  return (
    <div className={styles.span12}>
      {cut.segments.map((segment, at) => (
        <Stretch key={at} segment={segment} at={at} edit={edit} />
      ))}
      {cut.windings.map((winding, at) => (
        <Winding key={`w${at}`} winding={winding} at={at} edit={edit} />
      ))}
      <div className={styles.rowActions}>
        <Button
          size="small"
          onClick={() => edit('a stretch', (draft) => void draft.segments.push(blankSegment()))}
        >
          Add a stretch
        </Button>
        <Button
          size="small"
          onClick={() =>
            edit(
              'the turns',
              (draft) => void draft.windings.push({ turns: 3, aroundDiameter: null, count: 1 }),
            )
          }
        >
          Add turns round a wire
        </Button>
        <span />
      </div>
    </div>
  );
}

interface StretchProps {
  segment: Wire['segments'][number];
  at: number;
  edit: EditWire;
}

/** Where a wire runs, how long, and how often beside itself. */
function Stretch({ segment, at, edit }: StretchProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const parts = usePartNames();
  return (
    <div className={`${styles.grid} ${styles.rowOfGrid}`}>
      <Field label="Stretch" className={styles.span3 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={segment.name}
            maxLength={60}
            onChange={(event) => {
              const name = event.target.value;
              edit(
                'a stretch',
                (draft) => void (draft.segments[at] && (draft.segments[at].name = name)),
                `s${at}.name`,
              );
            }}
          />
        )}
      </Field>
      <Choice
        className={styles.span3 ?? ''}
        label="Through"
        value={segment.partId}
        words={parts}
        none="no part"
        onChoose={(partId) =>
          edit(
            'what it runs through',
            (draft) => void (draft.segments[at] && (draft.segments[at].partId = partId)),
          )
        }
      />
      <div className={styles.span3}>
        <LengthField
          label="Length"
          value={segment.length}
          defaultUnit={lengthUnit}
          hint={segment.partId === null ? '' : 'empty: as long as it'}
          onValue={(length) =>
            edit(
              'a stretch',
              (draft) => void (draft.segments[at] && (draft.segments[at].length = length)),
              `s${at}.length`,
            )
          }
        />
      </div>
      <NumberField
        className={styles.span3 ?? ''}
        label="Strands"
        value={segment.strands}
        bounds={{ min: 1, max: 8 }}
        isWhole
        onValue={(strands) =>
          edit(
            'the strands',
            (draft) => void (draft.segments[at] && (draft.segments[at].strands = strands)),
            `s${at}.strands`,
          )
        }
      />
      <Checkbox
        className={styles.span6 ?? ''}
        checked={segment.isTwisted}
        disabled={segment.strands < 2}
        onChange={(event) => {
          const isTwisted = event.target.checked;
          edit(
            'the twist',
            (draft) => void (draft.segments[at] && (draft.segments[at].isTwisted = isTwisted)),
          );
        }}
      >
        twisted together (8 % more)
      </Checkbox>
      <div className={styles.span6}>
        <Button size="small" onClick={() => edit('a stretch', (draft) => void draft.segments.splice(at, 1))}>
          Leave this stretch out
        </Button>
      </div>
    </div>
  );
}

interface WindingProps {
  winding: Wire['windings'][number];
  at: number;
  edit: EditWire;
}

/** Turns round another wire. */
function Winding({ winding, at, edit }: WindingProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  return (
    <div className={`${styles.grid} ${styles.rowOfGrid}`}>
      <NumberField
        className={styles.span3 ?? ''}
        label="Turns"
        value={winding.turns}
        bounds={{ min: 0, max: 500 }}
        onValue={(turns) =>
          edit(
            'the turns',
            (draft) => void (draft.windings[at] && (draft.windings[at].turns = turns)),
            `w${at}.turns`,
          )
        }
      />
      <div className={styles.span4}>
        <LengthField
          label="Round a wire of"
          value={winding.aroundDiameter}
          defaultUnit={lengthUnit}
          onValue={(size) =>
            edit(
              'what it is wound round',
              (draft) => void (draft.windings[at] && (draft.windings[at].aroundDiameter = size)),
              `w${at}.around`,
            )
          }
        />
      </div>
      <NumberField
        className={styles.span3 ?? ''}
        label="So often"
        value={winding.count}
        bounds={{ min: 0, max: 500 }}
        onValue={(count) =>
          edit(
            'the turns',
            (draft) => void (draft.windings[at] && (draft.windings[at].count = count)),
            `w${at}.count`,
          )
        }
      />
      <div className={styles.span12}>
        <Button size="small" onClick={() => edit('the turns', (draft) => void draft.windings.splice(at, 1))}>
          Leave these turns out
        </Button>
      </div>
    </div>
  );
}
