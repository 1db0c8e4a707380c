import { aroundForGap, type Fit, widestGapMm } from '@lanakit/core/figure';
import { showSizesMm } from '@lanakit/core/base';
import {
  HELD_BY,
  type Join,
  PAIR_RULES,
  type Place,
  type Placement,
  straightOut,
} from '@lanakit/core/pattern';
import { HELD_WORDS, PAIR_RULE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { useEditJoin, useTable } from '../table/tableContext.ts';
import { usualSize } from '../table/usualSize.ts';
import type { Grasp } from './grasp.ts';
import styles from './Together.module.css';
import type { PlaceEdits } from './usePlaceEdits.ts';

interface PlaceFieldsProps {
  grasp: Grasp;
  /** Of two alike things; null: it is not such a pair. */
  pair: Extract<Fit, { kind: 'pair' }> | null;
  edits: PlaceEdits;
}

const DEGREES = { min: -360, max: 360 };

/** A tenth of a degree, or of a millimetre, is less than a needle’s width. */
const rounded = (value: number): number => Math.round(value * 10) / 10;

/** Where the chosen thing sits, to be typed. */
export function PlaceFields({ grasp, pair, edits }: PlaceFieldsProps) {
  const { placement, held, target, place, piece } = grasp;
  const write = (next: Placement, label: string, key: string) =>
    edits.place(target, next, label, `${JSON.stringify(target)}.${key}`);
  const setPlace = (change: Partial<Place>, label: string, key: string) =>
    write(
      {
        ...placement,
        places: placement.places.map((told, at) => (at === held.placeIndex ? { ...told, ...change } : told)),
      },
      label,
      key,
    );
  const degreesField = (label: string, key: keyof Place) => (
    <NumberField
      label={label}
      value={place[key]}
      bounds={DEGREES}
      suffix="°"
      onValue={(value) => setPlace({ [key]: value }, label.toLowerCase(), key)}
    />
  );
  return (
    <div className={styles.fields}>
      {degreesField('Round', 'aroundDeg')}
      <NumberField
        label="Height"
        value={Math.round(place.heightFraction * 1000) / 10}
        bounds={{ min: 0, max: 100 }}
        suffix="%"
        onValue={(percent) => setPlace({ heightFraction: percent / 100 }, 'the height', 'height')}
      />
      {degreesField('Leans up', 'leanUpDeg')}
      {degreesField('Leans aside', 'leanAsideDeg')}
      {degreesField('Turned', 'twistDeg')}
      {pair && (
        <NumberField
          label="Between them"
          value={rounded(pair.gapMm)}
          // Wider apart they would not both be on it.
          bounds={{ min: 0, max: rounded(widestGapMm(grasp.host.body, place.heightFraction, pair.sizeMm)) }}
          suffix="mm"
          onValue={(gapMm) => {
            const around = aroundForGap(grasp.host.body, place.heightFraction, pair.sizeMm, gapMm);
            if (around !== null) setPlace({ aroundDeg: rounded(around) }, 'what is between them', 'gap');
          }}
        />
      )}
      {piece?.set && (
        <SinkField
          joinId={piece.set.joinId}
          usualMm={piece.set.isSinkUsual ? piece.set.sinkMm : null}
          meetsMm={piece.set.contact?.acrossMm ?? null}
        />
      )}
      {piece && (
        <Choice
          label="Held by"
          value={placement.heldBy}
          words={HELD_WORDS}
          among={HELD_BY}
          onChoose={(heldBy) => heldBy && write({ ...placement, heldBy }, 'how it is held', 'held')}
        />
      )}
      <Choice
        label="Pieces"
        value={placement.rule}
        words={PAIR_RULE_WORDS}
        among={PAIR_RULES}
        onChoose={(rule) => rule && write({ ...placement, rule }, 'how pieces share places', 'rule')}
      />
      {placement.rule === 'ring' && (
        <NumberField
          label="Over"
          value={placement.spanDeg}
          bounds={{ min: 1, max: 360 }}
          suffix="°"
          onValue={(spanDeg) => write({ ...placement, spanDeg }, 'how far round', 'span')}
        />
      )}
      {placement.rule !== 'ring' && <Places placement={placement} held={held} write={write} />}
    </div>
  );
}

/** What a join is reckoned with may be off by so much before it is told. */
const NOTICEABLE = 0.1;

interface SinkFieldProps {
  joinId: string;
  /** Null: its author has said. */
  usualMm: number | null;
  /** Across where the two surfaces meet; null: nowhere. */
  meetsMm: number | null;
}

function SinkField({ joinId, usualMm, meetsMm }: SinkFieldProps) {
  const unit = useTable((table) => table.document.lengthUnit);
  const join = useTable((table) => table.document.joins.find(({ id }) => id === joinId));
  const editJoin = useEditJoin(joinId);
  const reckonedMm = useTable(
    (table) => table.estimate.joins.find((estimate) => estimate.joinId === joinId)?.acrossMm ?? null,
  );
  if (!join) return null;
  const isOther = meetsMm !== null && reckonedMm !== null && Math.abs(meetsMm / reckonedMm - 1) > NOTICEABLE;
  return (
    <>
      <LengthField
        label="Sunk in"
        value={join.sink}
        allowZero
        defaultUnit={unit}
        hint={[usualSize(usualMm, unit), meetsMm !== null && `meets ${showSizesMm([meetsMm], unit)} across`]
          .filter(Boolean)
          .join('; ')}
        onValue={(sink) =>
          editJoin('how deep it is sunk', (draft: { sink: Join['sink'] }) => void (draft.sink = sink), 'sink')
        }
      />
      {isOther && (
        <div className={styles.places}>
          <span className="quiet small">Its cover is reckoned {showSizesMm([reckonedMm], unit)} across.</span>
          <Button
            size="small"
            onClick={() =>
              editJoin('how wide they meet', (draft) => {
                draft.across = null;
                draft.acrossBy = 'contact';
              })
            }
          >
            As wide as they meet
          </Button>
        </div>
      )}
    </>
  );
}

interface PlacesProps {
  placement: Placement;
  held: Grasp['held'];
  write: (next: Placement, label: string, key: string) => void;
}

/** More places than one: each its own, or a pair more. */
function Places({ placement, held, write }: PlacesProps) {
  const { places } = placement;
  const add = () => {
    const last = places.at(-1) ?? straightOut(0, 0.5);
    const next = {
      ...last,
      heightFraction: Math.max(0, Math.round((last.heightFraction - 0.15) * 1000) / 1000),
    };
    write({ ...placement, places: [...places, next] }, 'one more place', `add ${places.length}`);
  };
  const remove = () =>
    write(
      { ...placement, places: places.filter((_, at) => at !== held.placeIndex) },
      'one place less',
      `remove ${places.length}`,
    );
  return (
    <div className={styles.places}>
      <span className="quiet small">
        {places.length === 1 ? 'one place' : `place ${held.placeIndex + 1} of ${places.length}`}
      </span>
      <Button size="small" onClick={add} disabled={places.length >= 40}>
        One more
      </Button>
      {places.length > 1 && (
        <Button size="small" onClick={remove}>
          One less
        </Button>
      )}
    </div>
  );
}
