import { handLength, toMm } from '@lanakit/core/base';
import { betweenMarksMm, photoBehind, photoScaled } from '@lanakit/core/figure';
import { Button, Checkbox, Slider } from 'antd';
import { useRef, useState } from 'react';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { useTable } from '../table/tableContext.ts';
import type { HeldPhoto } from './photoStore.ts';
import styles from './Together.module.css';

interface PhotoFieldsProps {
  held: HeldPhoto | null;
  /** How high the figure stands, mm: a photo begins as high. */
  figureMm: number;
  onPut: (held: HeldPhoto) => void;
  onTakeAway: () => void;
}

const STRENGTH = 0.5;

/** A file as a picture that the browser can draw, with its sides. @throws where it is none */
async function pictureIn(file: File): Promise<{ url: string; aspect: number }> {
  const url = URL.createObjectURL(file);
  const image = new Image();
  image.src = url;
  try {
    await image.decode();
    return { url, aspect: image.naturalHeight / image.naturalWidth };
  } catch (error) {
    URL.revokeObjectURL(url);
    throw error;
  }
}

/** A photo or a sketch behind the figure, to scale by one length. */
export function PhotoFields({ held, figureMm, onPut, onTakeAway }: PhotoFieldsProps) {
  const file = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async (chosen: File) => {
    setProblem(null);
    try {
      const { url, aspect } = await pictureIn(chosen);
      onPut({ url, photo: photoBehind(aspect, figureMm), strength: STRENGTH, isSetting: true });
    } catch {
      setProblem('This is no picture that can be shown here. Take a JPEG, a PNG or an SVG.');
    }
  };
  return (
    <section aria-label="Photo behind it" className={styles.photo}>
      <input
        ref={file}
        type="file"
        accept="image/*"
        hidden
        aria-label="A photo or sketch"
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          event.target.value = '';
          if (chosen) void choose(chosen);
        }}
      />
      <div className={styles.places}>
        <Button size="small" onClick={() => file.current?.click()}>
          {held ? 'Another photo…' : 'A photo or sketch behind it…'}
        </Button>
        {held && (
          <Button size="small" onClick={onTakeAway}>
            Take it away
          </Button>
        )}
      </div>
      {problem !== null && <p className="red small">{problem}</p>}
      {held && <HeldFields held={held} onPut={onPut} />}
    </section>
  );
}

function HeldFields({ held, onPut }: { held: HeldPhoto; onPut: (held: HeldPhoto) => void }) {
  const unit = useTable((table) => table.document.lengthUnit);
  const [problem, setProblem] = useState<string | null>(null);
  const nowMm = betweenMarksMm(held.photo);
  return (
    <>
      <Checkbox
        checked={held.isSetting}
        onChange={(event) => onPut({ ...held, isSetting: event.target.checked })}
      >
        set its marks, move it
      </Checkbox>
      <div className={styles.two}>
        <LengthField
          label="Between its marks"
          value={handLength(nowMm, unit, 1)}
          defaultUnit={unit}
          problem={problem}
          onValue={(length) => {
            const scaled = length && photoScaled(held.photo, toMm(length));
            setProblem(scaled ? null : 'Set its marks apart first.');
            if (scaled) onPut({ ...held, photo: scaled });
          }}
        />
        <Slider
          ariaLabelForHandle="How strongly it is seen"
          min={10}
          max={100}
          value={Math.round(held.strength * 100)}
          tooltip={{ formatter: null }}
          onChange={(percent) => onPut({ ...held, strength: percent / 100 })}
        />
      </div>
      <p className="quiet small">It stays in this page: it is not sent anywhere, and gone with the page.</p>
    </>
  );
}
