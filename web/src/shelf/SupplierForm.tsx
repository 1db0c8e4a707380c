import { majorOf, minorOf } from '@lanakit/core/base';
import {
  BLANK_SUPPLIER,
  checkSupplier,
  type Offer,
  OFFER_BOUNDS,
  pricePer100Minor,
  type StockUnit,
  type Supplier,
  SUPPLIER_BOUNDS,
  type SupplierInput,
} from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { useMemo, useState } from 'react';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showMoney } from '../words/show.ts';
import { Assortments } from './Assortments.tsx';
import { MoneyField, TextField } from './fields.tsx';
import { PriceBreaks, withBreaks } from './PriceBreaks.tsx';
import type { Entry } from './entries.ts';
import { ItemFrame } from './ItemFrame.tsx';
import styles from './Panel.module.css';
import { useGoods } from './useEntries.ts';
import { type FormSpec, useItemForm } from './useItemForm.ts';

const SPEC: FormSpec<SupplierInput> = {
  path: '/suppliers',
  blank: BLANK_SUPPLIER,
  check: checkSupplier,
  nameOf: ({ name }) => name.trim(),
};

interface SupplierPanelProps {
  supplier: Supplier | null;
  onSaved: (id: string) => void;
}

/** Who sells what, in which packs, on which terms. */
export function SupplierPanel({ supplier, onSaved }: SupplierPanelProps) {
  const goods = useGoods();
  const form = useItemForm<SupplierInput>(SPEC, supplier, false, onSaved);
  const { input, set, problemAt } = form;
  return (
    <>
      <h2 className="below-3">{supplier?.name ?? 'A supplier'}</h2>
      <ItemFrame form={form}>
        <TextField
          label="Name"
          value={input.name}
          maxLength={80}
          autoFocus={supplier === null}
          problem={problemAt('/name')}
          onValue={(name) => set({ name })}
        />
        <div className={styles.two}>
          <MoneyField
            label="Minimum order"
            minor={input.minimumOrderMinor}
            boundsMinor={SUPPLIER_BOUNDS.minimumOrderMinor}
            problem={problemAt('/minimumOrderMinor')}
            onValue={(minimumOrderMinor) => set({ minimumOrderMinor })}
          />
          <MoneyField
            label="Carriage"
            minor={input.carriageMinor}
            boundsMinor={SUPPLIER_BOUNDS.carriageMinor}
            problem={problemAt('/carriageMinor')}
            onValue={(carriageMinor) => set({ carriageMinor })}
          />
          <MoneyField
            label="Carriage free from"
            minor={input.carriageFreeFromMinor}
            boundsMinor={SUPPLIER_BOUNDS.carriageFreeFromMinor}
            problem={problemAt('/carriageFreeFromMinor')}
            onValue={(carriageFreeFromMinor) => set({ carriageFreeFromMinor })}
          />
          <NumberField
            label="Comes in"
            value={input.leadDays}
            bounds={SUPPLIER_BOUNDS.leadDays}
            isWhole
            allowEmpty
            suffix="days"
            problem={problemAt('/leadDays')}
            onValue={(leadDays) => set({ leadDays })}
          />
        </div>
        <TextField label="Note" value={input.note} maxLength={400} isLong onValue={(note) => set({ note })} />
        <Offers
          offers={input.offers}
          goods={goods}
          problemAt={problemAt}
          onChange={(offers) => set({ offers })}
        />
        <Assortments
          assortments={input.assortments ?? []}
          goods={goods}
          problemAt={problemAt}
          onChange={(assortments) => set({ assortments })}
        />
      </ItemFrame>
    </>
  );
}

interface OffersProps {
  offers: readonly Offer[];
  goods: ReadonlyMap<string, Entry>;
  problemAt: (pointer: string) => string | null;
  onChange: (offers: Offer[]) => void;
}

const SHOWN_AT_FIRST = 40;
/** Prices by the number of one pack at most. */
const MOST_BREAKS = 8;

const problemsUnder = (pointer: string, problemAt: OffersProps['problemAt']): string[] =>
  Array.from({ length: MOST_BREAKS }, (_, at) =>
    ['fromPacks', 'priceMinor'].flatMap((field) => problemAt(`${pointer}/${at}/${field}`) ?? []),
  ).flat();

function Offers({ offers, goods, problemAt, onChange }: OffersProps) {
  const [text, setText] = useState('');
  const [isWhole, setWhole] = useState(false);
  const rows = useMemo(
    () =>
      offers
        .map((offer, index) => ({ offer, index, entry: goods.get(offer.itemId) }))
        .filter(({ entry }) => entry !== undefined && entry.words.includes(text.trim().toLowerCase()))
        .sort(
          (a, b) =>
            (a.entry?.name ?? '').localeCompare(b.entry?.name ?? '') ||
            a.offer.packAmount - b.offer.packAmount,
        ),
    [offers, goods, text],
  );
  const shown = isWhole ? rows : rows.slice(0, SHOWN_AT_FIRST);
  return (
    <section className={styles.section} aria-label="Packs">
      <div className={styles.sectionHead}>
        <h3>Packs and prices</h3>
        <Input
          className="control-l"
          size="small"
          value={text}
          allowClear
          aria-label="Find a pack"
          placeholder="find"
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <AddOffer goods={goods} onAdd={(offer) => onChange([...offers, offer])} />
      <table className={styles.offers}>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className={styles.right}>
              Pack
            </th>
            <th scope="col" className={styles.right}>
              Price
            </th>
            <th scope="col" className={styles.right}>
              per 100
            </th>
            <th scope="col">
              <span className="visually-hidden">Take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ offer, index, entry }) => (
            <tr key={`${offer.itemId} ${offer.packAmount}`}>
              <td>
                {entry?.name} <span className="quiet">{entry?.sub}</span>
                {problemAt(`/offers/${index}/packAmount`) !== null && (
                  <p className="red">{problemAt(`/offers/${index}/packAmount`)}</p>
                )}
              </td>
              <td className={`num ${styles.right}`}>
                {offer.packAmount} {UNIT_WORDS[unitOf(entry)]}
              </td>
              <td className={`num ${styles.right}`}>
                {showMoney(offer.priceMinor)}
                <PriceBreaks
                  offer={offer}
                  name={`${entry?.name ?? ''} ${offer.packAmount}`}
                  onChange={(breaks) =>
                    onChange(offers.map((other, i) => (i === index ? withBreaks(other, breaks) : other)))
                  }
                />
                {problemsUnder(`/offers/${index}/breaks`, problemAt).map((words) => (
                  <p key={words} className="red">
                    {words}
                  </p>
                ))}
              </td>
              <td className={`num quiet ${styles.right}`}>{showMoney(pricePer100Minor(offer))}</td>
              <td>
                <button
                  type="button"
                  className={styles.cross}
                  aria-label={`Take out ${entry?.name ?? ''} ${offer.packAmount}`}
                  onClick={() => onChange(offers.filter((_, i) => i !== index))}
                >
                  ×
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > shown.length && (
        <button type="button" className="plain-button quiet small" onClick={() => setWhole(true)}>
          all {rows.length} packs
        </button>
      )}
    </section>
  );
}

const unitOf = (entry: Entry | undefined): StockUnit => entry?.unit ?? 'piece';

function AddOffer({ goods, onAdd }: { goods: ReadonlyMap<string, Entry>; onAdd: (offer: Offer) => void }) {
  const [itemId, setItemId] = useState<string | null>(null);
  const [packAmount, setPackAmount] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const entry = itemId === null ? undefined : goods.get(itemId);
  const add = () => {
    if (itemId === null || packAmount === null || price === null) return;
    onAdd({ itemId, packAmount, priceMinor: minorOf(price), reference: '' });
    setPackAmount(null);
    setPrice(null);
  };
  return (
    <div className="below-3">
      <Select
        className="wide"
        aria-label="What is offered"
        value={itemId}
        placeholder="What is offered"
        showSearch={{ optionFilterProp: 'label' }}
        options={[...goods.values()]
          .filter(({ isArchived }) => !isArchived)
          .map((good) => ({ value: good.id, label: `${good.name} ${good.sub}` }))}
        onChange={setItemId}
      />
      <div className={styles.inline}>
        <NumberField
          label="Pack"
          value={packAmount}
          bounds={OFFER_BOUNDS.packAmount}
          allowEmpty
          suffix={UNIT_WORDS[unitOf(entry)]}
          onValue={setPackAmount}
        />
        <NumberField
          label="Price"
          value={price}
          bounds={{ min: 0, max: majorOf(OFFER_BOUNDS.priceMinor.max) }}
          allowEmpty
          onValue={setPrice}
        />
        <Button disabled={itemId === null || packAmount === null || price === null} onClick={add}>
          Add the pack
        </Button>
      </div>
    </div>
  );
}
