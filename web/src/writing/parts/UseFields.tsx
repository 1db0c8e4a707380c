import { fractionOf, type Length, percentOf } from '@lanakit/core/base';
import type { Use, UseOf } from '@lanakit/core/pattern';
import { HAIR_FIXED, HAIR_WEIGHTS } from '@lanakit/core/shapes';
import type { Draft } from 'immer';
import { Choice } from '../../ui/fields/Choice.tsx';
import { CountField } from '../../ui/fields/CountField.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { NeedledFields } from './NeedledFields.tsx';
import { useProblemAt, useTable, type EditItem } from '../table/tableContext.ts';
import { useFindingNames } from '../table/useChoices.ts';

interface UseFieldsProps {
  use: Use;
  /** JSON pointer of the use. */
  pointer: string;
  editUse: EditItem<Use>;
}

const OFTEN = { min: 1, max: 500 };
const COVER_WORDS = { all: 'all of it', share: 'a share of it', patch: 'a patch of it' };
const THICK_WORDS = { hiding: 'so that it hides', shading: 'as a veil, in passes', said: 'so many g/m²' };
const WEIGHT_WORDS = { light: 'light', medium: 'medium', full: 'full' };
const FIXED_WORDS = { middle: 'folded over its middle', end: 'held by one end' };
const SPACE_WORDS = { whole: 'all of it is inside', hollow: 'its hollow is filled' };
const COUNTED = ['count'] as const;

const isDetail = (use: Draft<Use>): use is Draft<UseOf<'patch' | 'line' | 'dot'>> =>
  use.role === 'patch' || use.role === 'line' || use.role === 'dot';

/** What one use needs said beside its fibre and amount. */
export function UseFields({ use, pointer, editUse }: UseFieldsProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const size = (
    label: string,
    at: string,
    value: Length | null,
    write: (draft: Draft<Use>, length: Length | null) => void,
  ) => (
    <div key={at} className={styles.span3}>
      <LengthField
        label={label}
        value={value}
        defaultUnit={lengthUnit}
        problem={problemAt(`${pointer}/${at}`)}
        unknown={value === null ? 'Unknown until given' : null}
        onValue={(length) => editUse(`the ${label.toLowerCase()}`, (draft) => write(draft, length), at)}
      />
    </div>
  );
  const writerFor =
    <R extends Use['role']>(role: R, write: (draft: Draft<UseOf<R>>, length: Length | null) => void) =>
    (draft: Draft<Use>, length: Length | null) => {
      if (draft.role === role) write(draft as Draft<UseOf<R>>, length);
    };
  const several = (use.role === 'patch' || use.role === 'line' || use.role === 'dot') && (
    <CountField
      className={styles.span3 ?? ''}
      label="On each piece"
      value={use.count}
      problem={problemAt(`${pointer}/count`)}
      unknown={use.count === null ? 'Unknown until given' : null}
      onValue={(count) =>
        editUse('how many', (draft) => void (isDetail(draft) && (draft.count = count)), 'count')
      }
    />
  );
  switch (use.role) {
    case 'core':
    case 'added':
      return null;
    case 'insert':
      return <InsertFields use={use} pointer={pointer} editUse={editUse} />;
    case 'coat':
      return <CoatFields use={use} pointer={pointer} editUse={editUse} size={size} />;
    case 'patch':
      return (
        <>
          {size(
            'Length',
            'length',
            use.length,
            writerFor('patch', (draft, length) => (draft.length = length)),
          )}
          {size(
            'Width',
            'width',
            use.width,
            writerFor('patch', (draft, width) => (draft.width = width)),
          )}
          {several}
        </>
      );
    case 'line':
      return (
        <>
          {size(
            'Length',
            'length',
            use.length,
            writerFor('line', (draft, length) => (draft.length = length)),
          )}
          {several}
        </>
      );
    case 'dot':
      return (
        <>
          {size(
            'Diameter',
            'diameter',
            use.diameter,
            writerFor('dot', (draft, diameter) => (draft.diameter = diameter)),
          )}
          {several}
        </>
      );
    case 'needled':
      return <NeedledFields use={use} pointer={pointer} editUse={editUse} several={several} />;
    case 'hair':
      return <HairFields use={use} editUse={editUse} size={size} writerFor={writerFor} />;
  }
}

/** A size of a use in its field. */
type SizeOfUse = (
  label: string,
  at: string,
  value: Length | null,
  write: (draft: Draft<Use>, length: Length | null) => void,
) => React.ReactNode;

/** Writes a size where the use is still of that role. */
type SizeWriter = <R extends Use['role']>(
  role: R,
  write: (draft: Draft<UseOf<R>>, length: Length | null) => void,
) => (draft: Draft<Use>, length: Length | null) => void;

interface CoatFieldsProps extends Omit<UseFieldsProps, 'use'> {
  use: UseOf<'coat'>;
  size: SizeOfUse;
}

function CoatFields({ use, editUse, size }: CoatFieldsProps) {
  const { cover, thickness } = use;
  const edit = (label: string, recipe: (draft: Draft<UseOf<'coat'>>) => void, key?: string) =>
    editUse(label, (draft) => void (draft.role === 'coat' && recipe(draft)), key);
  return (
    <>
      <Choice
        className={styles.span4 ?? ''}
        label="Covers"
        value={cover.kind}
        words={COVER_WORDS}
        onChoose={(kind) =>
          edit('what it covers', (draft) => {
            if (kind === 'all') draft.cover = { kind };
            if (kind === 'share') draft.cover = { kind, fraction: 0.5 };
            if (kind === 'patch') draft.cover = { kind, length: null, width: null };
          })
        }
      />
      {cover.kind === 'share' && (
        <NumberField
          className={styles.span3 ?? ''}
          label="How much of it"
          value={percentOf(cover.fraction)}
          bounds={{ min: 1, max: 100 }}
          suffix="%"
          onValue={(percent) =>
            edit(
              'how much it covers',
              (draft) => void (draft.cover.kind === 'share' && (draft.cover.fraction = fractionOf(percent))),
              'fraction',
            )
          }
        />
      )}
      {cover.kind === 'patch' && (
        <>
          {size('Length', 'cover/length', cover.length, (draft, length) => {
            if (draft.role === 'coat' && draft.cover.kind === 'patch') draft.cover.length = length;
          })}
          {size('Width', 'cover/width', cover.width, (draft, width) => {
            if (draft.role === 'coat' && draft.cover.kind === 'patch') draft.cover.width = width;
          })}
        </>
      )}
      <Choice
        className={styles.span5 ?? ''}
        label="How thick"
        value={thickness.by}
        words={THICK_WORDS}
        onChoose={(by) =>
          edit('how thick it lies', (draft) => {
            if (by === 'hiding') draft.thickness = { by };
            if (by === 'shading') draft.thickness = { by, passes: 1 };
            if (by === 'said') draft.thickness = { by, gPerM2: 150 };
          })
        }
      />
      {thickness.by === 'shading' && (
        <NumberField
          className={styles.span3 ?? ''}
          label="Passes"
          value={thickness.passes}
          bounds={{ min: 1, max: 20 }}
          onValue={(passes) =>
            edit(
              'the passes',
              (draft) => void (draft.thickness.by === 'shading' && (draft.thickness.passes = passes)),
              'passes',
            )
          }
        />
      )}
      {thickness.by === 'said' && (
        <NumberField
          className={styles.span3 ?? ''}
          label="g/m²"
          value={thickness.gPerM2}
          bounds={{ min: 1, max: 2000 }}
          onValue={(gPerM2) =>
            edit(
              'how thick it lies',
              (draft) => void (draft.thickness.by === 'said' && (draft.thickness.gPerM2 = gPerM2)),
              'areal',
            )
          }
        />
      )}
    </>
  );
}

interface InsertFieldsProps extends Omit<UseFieldsProps, 'use'> {
  use: UseOf<'insert'>;
}

/** A finding that lies inside the wool. */
function InsertFields({ use, pointer, editUse }: InsertFieldsProps) {
  const problemAt = useProblemAt();
  const findings = useFindingNames(COUNTED);
  return (
    <>
      <Choice
        className={styles.span6 ?? ''}
        label="What lies inside"
        value={use.findingId}
        words={findings}
        placeholder="choose a finding"
        unknown={use.findingId === null ? 'Unknown until you choose one' : null}
        problem={problemAt(`${pointer}/findingId`)}
        onChoose={(findingId) =>
          editUse(
            'what lies inside',
            (draft) => void (draft.role === 'insert' && (draft.findingId = findingId)),
          )
        }
      />
      <NumberField
        className={styles.span3 ?? ''}
        label="On each piece"
        value={use.count}
        bounds={OFTEN}
        isWhole
        onValue={(count) =>
          editUse('how many', (draft) => void (draft.role === 'insert' && (draft.count = count)), 'count')
        }
      />
      <Choice
        className={styles.span6 ?? ''}
        label="How"
        value={use.space}
        words={SPACE_WORDS}
        onChoose={(space) =>
          editUse('how it lies', (draft) => void (draft.role === 'insert' && space && (draft.space = space)))
        }
      />
    </>
  );
}

interface HairFieldsProps extends Omit<UseFieldsProps, 'use' | 'pointer'> {
  use: UseOf<'hair'>;
  size: SizeOfUse;
  writerFor: SizeWriter;
}

/** Hair along a line: how long, how thick, how fixed and trimmed. */
function HairFields({ use, editUse, size, writerFor }: HairFieldsProps) {
  return (
    <>
      {size(
        'Along',
        'line',
        use.line,
        writerFor('hair', (draft, line) => (draft.line = line)),
      )}
      {size(
        'Drop',
        'drop',
        use.drop,
        writerFor('hair', (draft, drop) => (draft.drop = drop)),
      )}
      <Choice
        className={styles.span3 ?? ''}
        label="How thick"
        value={use.weight}
        words={WEIGHT_WORDS}
        among={HAIR_WEIGHTS}
        onChoose={(weight) =>
          editUse(
            'how thick it lies',
            (draft) => void (draft.role === 'hair' && weight && (draft.weight = weight)),
          )
        }
      />
      <Choice
        className={styles.span6 ?? ''}
        label="How it is fixed"
        value={use.fixed}
        words={FIXED_WORDS}
        among={HAIR_FIXED}
        onChoose={(fixed) =>
          editUse(
            'how it is fixed',
            (draft) => void (draft.role === 'hair' && fixed && (draft.fixed = fixed)),
          )
        }
      />
      <NumberField
        className={styles.span3 ?? ''}
        label="Trimmed off"
        value={percentOf(use.trimFraction)}
        bounds={{ min: 0, max: 90 }}
        suffix="%"
        onValue={(percent) =>
          editUse(
            'what is trimmed',
            (draft) => void (draft.role === 'hair' && (draft.trimFraction = fractionOf(percent))),
            'trim',
          )
        }
      />
    </>
  );
}
