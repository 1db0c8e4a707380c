import type { PointOnPiece } from '@lanakit/core/figure';
import { RESTS, type Stance } from '@lanakit/core/pattern';
import { RESTS_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { usePartNames } from '../table/useChoices.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Together.module.css';
import type { PlaceEdits } from './usePlaceEdits.ts';

interface StanceFieldsProps {
  edits: PlaceEdits;
  /** Of the pose that is looked at. */
  stance: Stance;
  /** From where it would hang as it is drawn. */
  straightFrom: PointOnPiece | null;
}

const DEGREES = { min: -360, max: 360 };

/** How the figure rests: what it does by itself, how it is turned, what is felted flat, and where it hangs from. */
export function StanceFields({ edits, stance, straightFrom }: StanceFieldsProps) {
  const unit = useTable((table) => table.document.lengthUnit);
  const degreesField = (label: string, key: 'pitchDeg' | 'rollDeg' | 'yawDeg') => (
    <NumberField
      label={label}
      value={stance[key]}
      bounds={DEGREES}
      suffix="°"
      onValue={(value) => edits.stance({ [key]: value }, label.toLowerCase(), key)}
    />
  );
  return (
    <div className={styles.fields}>
      <Choice
        label="It"
        value={stance.rests}
        words={RESTS_WORDS}
        among={RESTS}
        onChoose={(rests) => rests && edits.stance({ rests }, 'how it rests')}
      />
      {degreesField('Forward', 'pitchDeg')}
      {degreesField('To its left', 'rollDeg')}
      {degreesField('Round', 'yawDeg')}
      {stance.rests === 'hangs' ? (
        <HangFields edits={edits} stance={stance} straightFrom={straightFrom} />
      ) : (
        <LengthField
          label="Flat below"
          value={stance.flatAcross}
          defaultUnit={unit}
          hint="across; none where empty"
          onValue={(flatAcross) => edits.stance({ flatAcross }, 'the flat below', 'flat')}
        />
      )}
    </div>
  );
}

function HangFields({ edits, stance: { hangAt }, straightFrom }: StanceFieldsProps) {
  const names = usePartNames();
  const spot = hangAt ?? { partId: '', aroundDeg: 0, heightFraction: 1 };
  return (
    <>
      <Choice
        label="Hangs from"
        value={hangAt?.partId ?? null}
        words={names}
        none="nobody has said"
        onChoose={(partId) =>
          edits.stance({ hangAt: partId === null ? null : { ...spot, partId } }, 'where it hangs from')
        }
      />
      {hangAt && (
        <>
          <NumberField
            label="Round there"
            value={hangAt.aroundDeg}
            bounds={DEGREES}
            suffix="°"
            onValue={(aroundDeg) =>
              edits.stance({ hangAt: { ...hangAt, aroundDeg } }, 'where it hangs from', 'hangRound')
            }
          />
          <NumberField
            label="Height there"
            value={Math.round(hangAt.heightFraction * 1000) / 10}
            bounds={{ min: 0, max: 100 }}
            suffix="%"
            onValue={(percent) =>
              edits.stance(
                { hangAt: { ...hangAt, heightFraction: percent / 100 } },
                'where it hangs from',
                'hangHeight',
              )
            }
          />
        </>
      )}
      {straightFrom && (
        <div className={styles.places}>
          <Button
            size="small"
            onClick={() => {
              const { partId, aroundDeg, heightFraction } = straightFrom;
              edits.stance(
                {
                  hangAt: {
                    partId,
                    aroundDeg: Math.round(aroundDeg * 10) / 10,
                    heightFraction: Math.round(heightFraction * 10_000) / 10_000,
                  },
                },
                'hung straight',
              );
            }}
          >
            Hang it straight
          </Button>
        </div>
      )}
    </>
  );
}
