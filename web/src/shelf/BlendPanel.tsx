import {
  BLANK_BLEND,
  type Blend,
  type BlendInput,
  checkBlend,
  expandBlend,
  type Fibre,
  mixColours,
  MOST_NOT_FELTING_FRACTION,
  notFeltingFraction,
  PARTS_BOUNDS,
  type Promised,
  showNumber,
} from '@lanakit/core';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { useBlends, useFibres } from '../api/resources.ts';
import { FibreSelect } from '../fields/FibreSelect.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import type { Strand } from '../look/fibreTile.ts';
import { BlendLotMaker } from './BlendLotMaker.tsx';
import { ChoiceField, NamesField, TextField } from './fields.tsx';
import { StockFigures } from './FibrePanel.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import { LotsSection } from './LotsSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { type FormSpec, type ItemForm, useItemForm } from './useItemForm.ts';

type Tab = 'recipe' | 'make' | 'stock';

interface BlendPanelProps {
  /** Null for a new one. */
  blend: Blend | null;
  /** What a new one begins with. */
  parts?: BlendInput['parts'];
  promised?: Promised | undefined;
  onSaved: (id: string) => void;
}

/** A blend: what goes into it, the making of a lot, and what is there. */
export function BlendPanel({ blend, parts, promised, onSaved }: BlendPanelProps) {
  const [tab, setTab] = useState<Tab>(blend ? 'make' : 'recipe');
  const wool = useWool();
  const fractions = useMemo(() => (blend ? wool.fractionsOf(blend.parts, blend.id) : null), [blend, wool]);
  return (
    <>
      {blend && (
        <header className={styles.head}>
          <div className={styles.headLine}>
            <h2>{blend.name}</h2>
            <span className="quiet">blend, {PREPARATION_WORDS[blend.preparation]}</span>
          </div>
          <BlendSwatch name={blend.name} preparation={blend.preparation} fractions={fractions} wool={wool} />
          <Segmented<Tab>
            aria-label="What to see of it"
            block
            value={tab}
            onChange={setTab}
            options={[
              { value: 'make', label: 'Make a lot' },
              { value: 'recipe', label: 'Recipe' },
              { value: 'stock', label: 'Stock' },
            ]}
          />
        </header>
      )}
      {tab === 'recipe' && <Recipe blend={blend} parts={parts ?? []} wool={wool} onSaved={onSaved} />}
      {tab === 'make' && blend && fractions && (
        <BlendLotMaker blend={blend} fractions={fractions} fibres={wool.fibres} />
      )}
      {tab === 'stock' && blend && (
        <>
          <StockFigures onHandG={blend.onHandG} promised={promised} />
          <LotsSection itemId={blend.id} lots={blend.lots} preparation={blend.preparation} fibre={null} />
          <LedgerSection itemId={blend.id} unit="g" lots={blend.lots} />
          <UsedIn path={`/blends/${blend.id}`} />
        </>
      )}
    </>
  );
}

/** Fibres and blends by id, and a blend taken apart. */
function useWool() {
  const { data: fibreList } = useFibres();
  const { data: blendList } = useBlends();
  return useMemo(() => {
    const fibres = new Map((fibreList?.items ?? []).map((fibre) => [fibre.id, fibre]));
    const blends = new Map((blendList?.items ?? []).map((blend) => [blend.id, blend]));
    const fractionsOf = (parts: BlendInput['parts'], ownId: string | null) => {
      const expanded = expandBlend(
        parts,
        (id) => (id === ownId ? parts : blends.get(id)?.parts),
        ownId === null ? [] : [ownId],
      );
      return expanded.ok && [...expanded.fractions.keys()].every((id) => fibres.has(id))
        ? expanded.fractions
        : null;
    };
    return { fibres, blends, fractionsOf };
  }, [fibreList, blendList]);
}

type Wool = ReturnType<typeof useWool>;

const strandsOf = (fractions: ReadonlyMap<string, number>, fibres: ReadonlyMap<string, Fibre>): Strand[] =>
  [...fractions].map(([id, fraction]) => ({ colour: fibres.get(id)?.colour ?? '#888888', fraction }));

interface BlendSwatchProps {
  name: string;
  preparation: BlendInput['preparation'];
  fractions: ReadonlyMap<string, number> | null;
  wool: Wool;
}

function BlendSwatch({ name, preparation, fractions, wool }: BlendSwatchProps) {
  if (!fractions) return <p className="quiet small">Its colour comes with what goes into it.</p>;
  const strands = strandsOf(fractions, wool.fibres);
  return (
    <FibreSwatch
      fibre={{ name, preparation, colour: mixColours(strands), strands }}
      width={null}
      height={64}
    />
  );
}

interface RecipeProps {
  blend: Blend | null;
  parts: BlendInput['parts'];
  wool: Wool;
  onSaved: (id: string) => void;
}

function Recipe({ blend, parts, wool, onSaved }: RecipeProps) {
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
    set({ parts: input.parts.map((own, i) => (i === index ? { ...own, ...part } : own)) });
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
          fibres={choices.filter(({ id }) => !input.parts.some((own) => own.itemId === id))}
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
        onValue={(own) => onChange({ parts: own })}
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
