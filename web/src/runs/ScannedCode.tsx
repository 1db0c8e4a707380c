import type { Pack, PackLine, Scanned } from '@lanakit/core/run';
import { packWords } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { ScannerChooser } from '../scale/ScannerChooser.tsx';
import { useScanHandler } from '../scan/scanHandlers.ts';
import styles from './Packing.module.css';

interface ScannedCodeProps {
  onCode: (text: string) => Scanned;
  /** Of the packs, by id. */
  packs: ReadonlyMap<string, Pack>;
  titleOf: (packId: string, line: PackLine) => string;
  onGo: (packId: string) => void;
}

/** A code of a label, by a scanner that types what it reads, or by hand: it opens that pack, or ticks that bag in. */
export function ScannedCode({ onCode, packs, titleOf, onGo }: ScannedCodeProps) {
  const [text, setText] = useState('');
  const [found, setFound] = useState<Scanned | null>(null);
  const name = (packId: string) => {
    const pack = packs.get(packId);
    return pack ? packWords(pack) : 'a pack';
  };
  const take = (code: string) => {
    const scanned = onCode(code);
    setFound(scanned);
    // What could not be read stays to be mended; what could gives way to the next.
    setText(scanned.kind === 'misread' || scanned.kind === 'no-code' ? code : '');
    // A label of another run opens where it belongs.
    return scanned.kind !== 'not-here';
  };
  useScanHandler(take);
  const enter = () => {
    if (text.trim() !== '') take(text);
  };
  return (
    <div className={styles.code}>
      <Input
        aria-label="Code of a label"
        placeholder="Scan a label, or type its code"
        value={text}
        onChange={({ target }) => {
          setText(target.value);
          setFound(null);
        }}
        onPressEnter={enter}
      />
      <ScannerChooser />
      <span role="status" className={found && isRefused(found) ? 'red' : 'leaf'}>
        {found && scannedWords(found, name, titleOf)}
      </span>
      {found?.kind === 'wrong-pack' && (
        <Button
          onClick={() => {
            setFound(null);
            onGo(found.packId);
          }}
        >
          Go to {name(found.packId)}
        </Button>
      )}
    </div>
  );
}

const isRefused = ({ kind }: Scanned): boolean => kind !== 'pack' && kind !== 'bag';

function scannedWords(
  scanned: Scanned,
  name: (packId: string) => string,
  titleOf: (packId: string, line: PackLine) => string,
): string {
  switch (scanned.kind) {
    case 'no-code':
      return 'That is no code of a label: it has twelve signs, in three groups of four.';
    case 'misread':
      return 'One of its signs is wrong. Look at the label again.';
    case 'not-here':
      return 'A label of another run, or of a bag that this one has no more.';
    case 'pack':
      return `${name(scanned.packId)}.`;
    case 'bag':
      return `In: ${titleOf(scanned.packId, scanned.line)}, ${name(scanned.packId)}.`;
    case 'wrong-pack':
      return `Not in here: this is ${titleOf(scanned.packId, scanned.line)} of ${name(scanned.packId)}.`;
  }
}
