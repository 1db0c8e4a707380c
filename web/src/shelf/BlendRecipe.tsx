import { showNumber } from '@lanakit/core/base';
import {
  BLANK_BLEND,
  type Blend,
  type BlendInput,
  checkBlend,
  type Fibre,
  MOST_NOT_FELTING_FRACTION,
  notFeltingFraction,
  PARTS_BOUNDS,
} from '@lanakit/core/shelf';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { useMemo } from 'react';
import { FibreSelect } from '../ui/fields/FibreSelect.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { ChoiceField, NamesField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import styles from './Panel.module.css';
import { type FormSpec, type ItemForm, useItemForm } from './useItemForm.ts';
import { BlendSwatch } from './BlendSwatch.tsx';
import type { Wool } from './useFibresAndBlends.ts';

interface BlendRecipeProps {
  blend: Blend | null;
  parts: BlendInput['parts'];
  wool: Wool;
  onSaved: (id: string) => void;
}

/** What goes into a blend, with its colour and what does not felt as it changes. */
export function BlendRecipe({ blend, parts, wool, onSaved }: BlendRecipeProps) {
  const ownId = blend?.id ?? null;
  const spec: FormSpec<BlendInput> = {
    path: '/blends',
    blank: { ...BLANK_BLEND, parts },
    nameOf: ({ name }) => name.trim(),
    check: (input) =>
      checkBlend(
        input,
        ownId,
        (id) => wool.blends.get(id)?.parts,
        (id) => (wool.fibres.get(id) ?? wool.blends.get(id))?.name,
      ),
  };
  const form = useItemForm<BlendInput>(spec, blend, true, onSaved);
  const { input, set, problemAt } = form;
  const fractions = wool.fractionsOf(input.parts, ownId);
  const loose = fractions ? notFeltingFraction(fractions, wool.fibres) : 0;
  return (
    <ItemFrame form={form}>
      {blend === null && (
        <>
          <h2>A blend</h2>
          <BlendSwatch name="new" preparation={input.preparation} fractions={fractions} wool={wool} />
        </>
      )}
      <TextField
        label="Name"
        value={input.name}
        maxLength={80}
        placeholder="Tide pool"
        autoFocus={blend === null}
        problem={problemAt('/name')}
        onValue={(name) => set({ name })}
      />
      <Parts form={form} wool={wool} ownId={ownId} />
      {problemAt('/parts') !== null && (
        <p className="red" role="alert">
          {problemAt('/parts')}
        </p>
      )}
      {loose > MOST_NOT_FELTING_FRACTION && (
        <>
          <p className="amber" role="alert">
            {showNumber(loose * 100, 0)} % of it does not felt on its own; over{' '}
            {MOST_NOT_FELTING_FRACTION * 100} % it will hardly hold. Lessen it, or say why it is meant.
          </p>
          <TextField
            label="Why it is meant"
            value={input.overrideReason}
            maxLength={200}
            onValue={(overrideReason) => set({ overrideReason })}
          />
        </>
      )}
      <div className={styles.two}>
        <ChoiceField
          label="Comes out as"
          value={input.preparation}
          words={PREPARATION_WORDS}
          onValue={(preparation) => set({ preparation })}
        />
        <NamesField value={input.otherNames} onValue={(otherNames) => set({ otherNames })} />
      </div>
      <TextField
        label="Note"
        value={input.note}
        maxLength={400}
        isLong
        placeholder="card twice, the second time across"
        onValue={(note) => set({ note })}
      />
      {fractions && input.parts.some(({ itemId }) => wool.blends.has(itemId)) && (
        <DownToFibres fractions={fractions} fibres={wool.fibres} />
      )}
    </ItemFrame>
  );
}

interface PartsProps {
  form: ItemForm<BlendInput>;
  wool: Wool;
  ownId: string | null;
}

function Parts({ form, wool, ownId }: PartsProps) {
  const { input, set, problemAt } = form;
  const choices = useMemo(
    () => [
      ...wool.fibres.values(),
      ...[...wool.blends.values()].filter(({ id }) => id !== ownId).flatMap(({ asFibre }) => asFibre ?? []),
    ],
    [wool, ownId],
  );
  const total = input.parts.reduce((sum, { parts }) => sum + parts, 0);
  const change = (index: number, part: Partial<BlendInput['parts'][number]>) =>
    set({ parts: input.parts.map((ownPart, i) => (i === index ? { ...ownPart, ...part } : ownPart)) });
  return (
    <div role="group" aria-label="What goes into it">
      <div className={styles.parts}>
        <span className="quiet small">Fibre</span>
        <span className="quiet small">Parts</span>
        <span className="quiet small">Share</span>
        <span />
        {input.parts.map(({ itemId, parts }, index) => (
          <PartFields
            key={index}
            index={index}
            itemId={itemId}
            parts={parts}
            share={total > 0 ? parts / total : 0}
            problem={problemAt(`/parts/${index}/itemId`) ?? problemAt(`/parts/${index}/parts`)}
            choices={choices}
            onChange={(part) => change(index, part)}
            onRemove={() => set({ parts: input.parts.filter((_, i) => i !== index) })}
          />
        ))}
      </div>
      <div className={styles.inline}>
        <FibreSelect
          control={{ id: 'blend-add', 'aria-label': 'Add a fibre' }}
          fibres={choices.filter(({ id }) => !input.parts.some((part) => part.itemId === id))}
          value={null}
          placeholder="Add a fibre or blend"
          onChoose={(itemId) => itemId !== null && set({ parts: [...input.parts, { itemId, parts: 1 }] })}
        />
      </div>
    </div>
  );
}

interface PartFieldsProps {
  index: number;
  itemId: string;
  parts: number;
  share: number;
  problem: string | null;
  choices: readonly Fibre[];
  onChange: (part: Partial<BlendInput['parts'][number]>) => void;
  onRemove: () => void;
}

function PartFields({ index, itemId, parts, share, problem, choices, onChange, onRemove }: PartFieldsProps) {
  const name = choices.find(({ id }) => id === itemId)?.name ?? 'part';
  return (
    <>
      <div>
        <FibreSelect
          control={{ id: `blend-part-${index}`, 'aria-label': `Part ${index + 1}` }}
          fibres={choices}
          value={itemId}
          placeholder="Choose a fibre"
          onChoose={(id) => id !== null && onChange({ itemId: id })}
        />
        {problem !== null && (
          <p className="red small" role="alert">
            {problem}
          </p>
        )}
      </div>
      <NumberField
        label={`Parts of ${name}`}
        isLabelHidden
        value={parts}
        bounds={PARTS_BOUNDS}
        onValue={(typedParts) => onChange({ parts: typedParts })}
      />
      <span className={`num ${styles.share}`}>{showNumber(share * 100, 1)} %</span>
      <button type="button" className={styles.cross} aria-label={`Take ${name} out`} onClick={onRemove}>
        ×
      </button>
    </>
  );
}

/** What it is made of once the blends in it are taken apart. */
function DownToFibres({
  fractions,
  fibres,
}: {
  fractions: ReadonlyMap<string, number>;
  fibres: Wool['fibres'];
}) {
  return (
    <section className={styles.section} aria-label="Down to its fibres">
      <h3>Down to its fibres</h3>
      <ul className={styles.list}>
        {[...fractions].map(([id, fraction]) => (
          <li key={id} className={styles.lotLine}>
            <span>{fibres.get(id)?.name}</span>
            <span className="num">{showNumber(fraction * 100, 1)} %</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
