import {
  AMOUNT_BOUNDS,
  BLANK_NEEDLE,
  checkNeedle,
  type Needle,
  NEEDLE_BOUNDS,
  type NeedleInput,
  needleName,
} from '@lanakit/core/shelf';
import { PROFILE_WORDS } from '@lanakit/core/words';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { CountedNowField } from './CountedNowField.tsx';
import { ChoiceField, ColourField, MoneyField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { type FormSpec, useItemForm } from './useItemForm.ts';

const SPEC: FormSpec<NeedleInput> = {
  path: '/needles',
  blank: BLANK_NEEDLE,
  check: checkNeedle,
  nameOf: (needle) => needleName(needle) || 'The needle',
};

const PROFILES_OR_UNKNOWN = { unknown: 'unknown', ...PROFILE_WORDS };
const MARK_COLOUR = '#8a8f94';

/** One sort of needle, its mark, and how many there are. */
export function NeedlePanel({ needle, onSaved }: { needle: Needle | null; onSaved: (id: string) => void }) {
  const form = useItemForm<NeedleInput>(SPEC, needle, true, onSaved);
  const { input, set, problemAt } = form;
  const mark = input.mark ?? { word: '', colour: MARK_COLOUR };
  return (
    <>
      <h2>{needle ? needleName(needle) : 'A needle'}</h2>
      {needle && <CountedNowField itemId={needle.id} lotId={null} unit="piece" onHand={needle.onHand} />}
      <div className="gap-3" />
      <ItemFrame form={form}>
        <div className={styles.two}>
          <NumberField
            label="Gauge"
            value={input.gauge}
            bounds={NEEDLE_BOUNDS.gauge}
            isWhole
            allowEmpty
            hint="32 coarse – 42 fine; empty: unknown"
            problem={problemAt('/gauge')}
            onValue={(gauge) => set({ gauge })}
          />
          <TextField
            label="Or your own word"
            value={input.sizeWord}
            maxLength={30}
            placeholder="large"
            onValue={(sizeWord) => set({ sizeWord })}
          />
          <ChoiceField
            label="Profile"
            value={input.profile ?? 'unknown'}
            words={PROFILES_OR_UNKNOWN}
            onValue={(key) => set({ profile: key === 'unknown' ? null : key })}
          />
          <NumberField
            label="Reach"
            value={input.reachMm}
            bounds={NEEDLE_BOUNDS.reachMm}
            allowEmpty
            suffix="mm"
            hint="tip to the last barb"
            problem={problemAt('/reachMm')}
            onValue={(reachMm) => set({ reachMm })}
          />
          <TextField
            label="Mark"
            value={mark.word}
            maxLength={30}
            placeholder="oak"
            hint="as you call it"
            onValue={(word) => set({ mark: word === '' ? null : { ...mark, word } })}
          />
          <ColourField
            label="Mark’s colour"
            value={mark.colour}
            problem={problemAt('/mark/colour')}
            onValue={(colour) => set({ mark: { ...mark, colour } })}
          />
          <MoneyField
            label="Price each"
            minor={input.priceMinor}
            boundsMinor={NEEDLE_BOUNDS.priceMinor}
            problem={problemAt('/priceMinor')}
            onValue={(priceMinor) => set({ priceMinor })}
          />
          <TextField label="Place" value={input.place} maxLength={60} onValue={(place) => set({ place })} />
        </div>
        {needle === null && (
          <NumberField
            label="On hand"
            value={form.countedNow}
            bounds={AMOUNT_BOUNDS}
            isWhole
            allowEmpty
            suffix="pcs"
            problem={problemAt('/countedNow')}
            onValue={form.setCountedNow}
          />
        )}
        <TextField label="Note" value={input.note} maxLength={400} isLong onValue={(note) => set({ note })} />
        <p className="quiet small">
          Barbed needles are sharp and break. A needle in skin, or a tip left in: medical help.
        </p>
      </ItemFrame>
      {needle && (
        <>
          <LedgerSection itemId={needle.id} unit="piece" lots={null} />
          <UsedIn path={`/needles/${needle.id}`} />
        </>
      )}
    </>
  );
}
