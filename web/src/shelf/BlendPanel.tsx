import type { Promised } from '@lanakit/core/api';
import type { Blend, BlendInput } from '@lanakit/core/shelf';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { BlendLotMaker } from './BlendLotMaker.tsx';
import { StockFigures } from './FibrePanel.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import { LotsSection } from './LotsSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { BlendRecipe } from './BlendRecipe.tsx';
import { BlendSwatch } from './BlendSwatch.tsx';
import { useFibresAndBlends } from './useFibresAndBlends.ts';

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
  const wool = useFibresAndBlends();
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
      {tab === 'recipe' && <BlendRecipe blend={blend} parts={parts ?? []} wool={wool} onSaved={onSaved} />}
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
