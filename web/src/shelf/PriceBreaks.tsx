import { majorOf, minorOf } from '@lanakit/core/base';
import { type Offer, OFFER_BOUNDS } from '@lanakit/core/shelf';
import { Button, Popover } from 'antd';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showMoney } from '../words/show.ts';
import styles from './Panel.module.css';

type Breaks = NonNullable<Offer['breaks']>;

export const withBreaks = ({ breaks: _breaks, ...offer }: Offer, breaks: Breaks): Offer =>
  breaks.length > 0 ? { ...offer, breaks } : offer;

interface PriceBreaksProps {
  offer: Offer;
  /** Of the pack. */
  name: string;
  onChange: (breaks: Breaks) => void;
}

/** Cheaper by the number: what each costs from so many packs on. */
export function PriceBreaks({ offer, name, onChange }: PriceBreaksProps) {
  const breaks = offer.breaks ?? [];
  const set = (at: number, more: Partial<Breaks[number]>) =>
    onChange(breaks.map((priceBreak, index) => (index === at ? { ...priceBreak, ...more } : priceBreak)));
  const last = breaks.at(-1) ?? { fromPacks: 1, priceMinor: offer.priceMinor };
  const add = () => onChange([...breaks, { fromPacks: last.fromPacks + 4, priceMinor: last.priceMinor }]);
  const words = breaks
    .map(({ fromPacks, priceMinor }) => `${showMoney(priceMinor)} from ${fromPacks}`)
    .join(', ');
  return (
    <Popover
      trigger="click"
      placement="left"
      title={`${name}: cheaper by the number`}
      content={
        <div className="in-stack">
          {breaks.map((priceBreak, at) => (
            <div key={at} className={styles.inline}>
              <NumberField
                label={at === 0 ? 'From' : `From, price ${at + 2}`}
                value={priceBreak.fromPacks}
                bounds={OFFER_BOUNDS.fromPacks}
                isWhole
                suffix="packs"
                onValue={(fromPacks) => set(at, { fromPacks })}
              />
              <NumberField
                label={at === 0 ? 'Each' : `Each, price ${at + 2}`}
                value={majorOf(priceBreak.priceMinor)}
                bounds={{ min: 0, max: majorOf(OFFER_BOUNDS.priceMinor.max) }}
                decimals={2}
                onValue={(price) => set(at, { priceMinor: minorOf(price) })}
              />
              <Button type="text" onClick={() => onChange(breaks.filter((_, index) => index !== at))}>
                Take out
              </Button>
            </div>
          ))}
          <Button size="small" onClick={add}>
            Add a price
          </Button>
        </div>
      }
    >
      <button
        type="button"
        className="plain-button quiet small as-block"
        aria-label={`By the number: ${name}`}
      >
        {words === '' ? 'by the number…' : words}
      </button>
    </Popover>
  );
}
