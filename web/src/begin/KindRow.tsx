import { needleName, unitOfFinding } from '@lanakit/core/shelf';
import {
  BAG_SIZES,
  gramsOfBag,
  type ShelfKind,
  type ShelfPick,
  START_COLOURS,
  startColour,
  thingOfPick,
} from '@lanakit/core/starts';
import { UNIT_WORDS } from '@lanakit/core/words';
import { Button, Checkbox, Select } from 'antd';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import styles from './ShelfStart.module.css';

interface KindRowProps {
  kind: ShelfKind;
  /** Of this kind: one, or one for each colour. */
  picks: readonly ShelfPick[];
  onPicks: (picks: readonly ShelfPick[]) => void;
}

const nameOf = (kind: ShelfKind): string =>
  kind.kind === 'needle' ? needleName(kind.input) : kind.input.name;

/** One kind: ticked, or as many colours of it as there are. */
export function KindRow({ kind, picks, onPicks }: KindRowProps) {
  const isTicked = picks.length > 0;
  const [first] = START_COLOURS;
  const pickOf = (colourId: string | null): ShelfPick => ({ kindId: kind.id, colourId, onHand: null });
  const name = nameOf(kind);
  return (
    <li className={styles.kind}>
      <Checkbox
        checked={isTicked}
        onChange={(event) =>
          onPicks(event.target.checked ? [pickOf(kind.hasColours ? (first?.id ?? null) : null)] : [])
        }
      >
        {name}
      </Checkbox>
      {picks.map((pick, at) => (
        <PickFields
          key={pick.colourId ?? ''}
          kind={kind}
          pick={pick}
          taken={picks.flatMap(({ colourId }) => colourId ?? [])}
          onPick={(next) => onPicks(picks.map((before, place) => (place === at ? next : before)))}
        />
      ))}
      {isTicked && kind.hasColours && (
        <Button
          size="small"
          className={styles.more ?? ''}
          onClick={() => {
            const free = START_COLOURS.find(({ id }) => !picks.some(({ colourId }) => colourId === id));
            if (free) onPicks([...picks, pickOf(free.id)]);
          }}
        >
          Another colour
        </Button>
      )}
    </li>
  );
}

interface PickFieldsProps {
  kind: ShelfKind;
  pick: ShelfPick;
  /** Colours that are picked of it. */
  taken: readonly string[];
  onPick: (pick: ShelfPick) => void;
}

const COUNTED = { min: 0, max: 100_000 };

/** Which colour, and how much: a number, or a bag about so big. */
function PickFields({ kind, pick, taken, onPick }: PickFieldsProps) {
  const thing = thingOfPick(pick);
  const colour = pick.colourId === null ? null : startColour(pick.colourId);
  const words = colour ? `${nameOf(kind)}, ${colour.name}` : nameOf(kind);
  return (
    <div className={styles.pick}>
      {kind.kind === 'fibre' && (
        <FibreSwatch
          fibre={{ ...kind.input, ...(colour && { name: colour.name, colour: colour.colour }) }}
          width={36}
          height={20}
        />
      )}
      {kind.hasColours && (
        <Select
          aria-label={`Colour of ${nameOf(kind)}`}
          value={pick.colourId}
          className={styles.colour ?? ''}
          popupMatchSelectWidth={180}
          virtual={false}
          showSearch={{ optionFilterProp: 'label' }}
          options={START_COLOURS.map(({ id, name }) => ({
            value: id,
            label: name,
            disabled: id !== pick.colourId && taken.includes(id),
          }))}
          onChange={(colourId) => onPick({ ...pick, colourId })}
        />
      )}
      <NumberField
        label={`How much: ${words}`}
        isLabelHidden
        className={styles.amount ?? ''}
        value={pick.onHand}
        bounds={COUNTED}
        allowEmpty
        placeholder="not counted"
        suffix={unitOf(kind)}
        onValue={(onHand) => onPick({ ...pick, onHand })}
      />
      {thing?.kind === 'fibre' && (
        <Select
          aria-label={`A bag of ${words}`}
          className={styles.bag ?? ''}
          value={null as string | null}
          placeholder="a bag about so big"
          popupMatchSelectWidth={220}
          options={BAG_SIZES.map(({ id, words: size, litres }) => ({
            value: id,
            label: `${size}: about ${gramsOfBag(thing.input, litres) ?? '?'} g`,
          }))}
          onChange={(id) => {
            const litres = BAG_SIZES.find((bag) => bag.id === id)?.litres;
            if (litres !== undefined) onPick({ ...pick, onHand: gramsOfBag(thing.input, litres) });
          }}
        />
      )}
    </div>
  );
}

const unitOf = (kind: ShelfKind): string =>
  kind.kind === 'fibre'
    ? UNIT_WORDS.g
    : UNIT_WORDS[kind.kind === 'finding' ? unitOfFinding(kind.input.measure) : 'piece'];
