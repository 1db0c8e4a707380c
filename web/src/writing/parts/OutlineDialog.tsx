import { showNumber } from '@lanakit/core/base';
import type { GreyPhoto, OutlineResult, ReadOutline } from '@lanakit/core/outline';
import { outlineContours } from '@lanakit/core/shapes';
import { outlineRefusalWords } from '@lanakit/core/words';
import { Button, Input, Modal } from 'antd';
import { lazy, Suspense, useCallback, useState } from 'react';
import { errorWords } from '../../api/client.ts';
import { counted } from '../../words/show.ts';
import { greyOf } from './greyOf.ts';
import styles from './OutlineDialog.module.css';

const PhotoTrace = lazy(async () => ({ default: (await import('./PhotoTrace.tsx')).PhotoTrace }));

interface OutlineDialogProps {
  onClose: () => void;
  onOutline: (outline: ReadOutline) => void;
}

/** Larger drawings are refused before they are read. */
const LARGEST_BYTES = 8_000_000;

/** Brings an outline in from a drawing: a file, what is pasted, or a photograph of one on paper. */
export function OutlineDialog({ onClose, onOutline }: OutlineDialogProps) {
  const [text, setText] = useState('');
  const [result, setResult] = useState<OutlineResult | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [photo, setPhoto] = useState<GreyPhoto | null>(null);
  const [isStale, setStale] = useState(false);
  const read = useCallback(async (source: string) => {
    setText(source.length > 20_000 ? `${source.slice(0, 20_000)}…` : source);
    setRefusal(null);
    if (source.trim() === '') return setResult(null);
    // The reader of drawings is only fetched by who brings one in.
    const { readOutline } = await import('@lanakit/core/outline');
    setResult(readOutline(source));
    return undefined;
  }, []);
  const traced = useCallback((drawing: string | null) => void read(drawing ?? ''), [read]);
  const readPhoto = async (file: File) => {
    try {
      setPhoto(await greyOf(file));
    } catch (error) {
      setRefusal(`This picture could not be read. ${errorWords(error)}`);
    }
  };
  const readFile = async (file: File | undefined) => {
    if (!file) return;
    setPhoto(null);
    setStale(false);
    setResult(null);
    setRefusal(null);
    if (file.type.startsWith('image/') && file.type !== 'image/svg+xml') return readPhoto(file);
    if (file.size > LARGEST_BYTES) {
      setRefusal('This file is larger than 8 MB: it holds more than an outline. Save only the outline.');
      return;
    }
    await read(await file.text());
  };
  return (
    <Modal
      open
      title="An outline from a drawing"
      onCancel={onClose}
      footer={
        <>
          <Button onClick={onClose}>Leave it</Button>
          <Button
            type="primary"
            disabled={!result?.ok || isStale}
            onClick={() => result?.ok && onOutline(result.outline)}
          >
            Take this outline
          </Button>
        </>
      }
    >
      <p className="quiet">
        An SVG file, or the text of one, or bare path data: closed, not crossing itself; holes stay holes. Or
        a photograph of what you drew on paper, taken from straight above: its outer edge is traced.
      </p>
      <p>
        <label className={styles.file}>
          <span>Choose a file</span>
          <input
            type="file"
            accept=".svg,image/svg+xml,image/jpeg,image/png,image/webp"
            onChange={(event) => void readFile(event.target.files?.[0])}
          />
        </label>
      </p>
      {photo && (
        <Suspense fallback={null}>
          <PhotoTrace photo={photo} onDrawing={traced} onStale={setStale} />
        </Suspense>
      )}
      {!photo && (
        <>
          <label htmlFor="outline-text">or paste it</label>
          <Input.TextArea
            id="outline-text"
            value={text}
            rows={5}
            spellCheck={false}
            onChange={(event) => void read(event.target.value)}
          />
        </>
      )}
      {refusal && <p className="red">{refusal}</p>}
      {result && !result.ok && (
        <p className="red" role="alert">
          {outlineRefusalWords(result.refusal)}
        </p>
      )}
      {result?.ok && <Preview outline={result.outline} />}
    </Modal>
  );
}

const SHOWN_PX = 150;

function Preview({ outline }: { outline: ReadOutline }) {
  const contours = outlineContours(outline.path, SHOWN_PX);
  const path = contours.map((points) => `M${points.map(([x, y]) => `${x} ${y}`).join('L')}Z`).join('');
  const width = Math.max(...contours.flat().map(([x]) => x));
  return (
    <div className={styles.preview}>
      <svg width={width + 4} height={SHOWN_PX + 4} viewBox={`-2 -2 ${width + 4} ${SHOWN_PX + 4}`} aria-hidden>
        <path d={path} fill="var(--paper-2)" fillRule="evenodd" stroke="var(--ink)" strokeWidth={1.25} />
      </svg>
      <div>
        <p>
          {outline.heightMm === null
            ? 'The drawing does not say how large it is: give its length in the part.'
            : `${showNumber(outline.heightMm, 1)} mm high, as the drawing says.`}
        </p>
        <p className="quiet">{counted(outline.pointCount, 'point')}</p>
        {outline.simplifiedFrom !== null && (
          <p className="amber">Simplified from {outline.simplifiedFrom} points; no hand follows so many.</p>
        )}
      </div>
    </div>
  );
}
