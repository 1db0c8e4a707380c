import type { Problem } from '@lanakit/core/problems';
import {
  isRootPiece,
  MOST_PIECES,
  PIECE_COUNT,
  piecesOfBody,
  startBody,
  type StartPiece,
  withAnother,
  withPieceBack,
} from '@lanakit/core/starts';
import { problemWords } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { counted } from '../words/show.ts';
import styles from './Begin.module.css';

interface PieceListProps {
  bodyId: string;
  /** Left out: as the body is written. */
  pieces: readonly StartPiece[] | undefined;
  problems: readonly Problem[];
  onChange: (pieces: StartPiece[]) => void;
}

/** What the figure is made of: a piece is called otherwise, there are more of it, another is like it, or it is left out. */
export function PieceList({ bodyId, pieces, problems, onChange }: PieceListProps) {
  const body = startBody(bodyId);
  if (!body) return null;
  const all = piecesOfBody(body);
  const shown = pieces ?? all;
  const leftOut = all.filter(({ like }) => shown.every((piece) => piece.like !== like));
  const problemAt = (pointer: string): string | null => {
    const found = problems.find((problem) => problem.pointer === pointer);
    return found ? problemWords(found) : null;
  };
  const change = (at: number, more: Partial<StartPiece>) =>
    onChange(shown.map((piece, index) => (index === at ? { ...piece, ...more } : piece)));
  return (
    <details className={styles.pieces}>
      <summary>{counted(shown.length, 'piece')}: leave out, rename, add</summary>
      <ul>
        {shown.map(({ like, name, count }, at) => (
          <li key={`${like} ${at}`}>
            <Field label={`Name of ${like}`} isLabelHidden problem={problemAt(`/pieces/${at}/name`)}>
              {(control) => (
                <Input
                  {...control}
                  value={name}
                  maxLength={60}
                  onChange={(event) => change(at, { name: event.target.value })}
                />
              )}
            </Field>
            <NumberField
              label={`How many: ${name}`}
              isLabelHidden
              value={count}
              bounds={PIECE_COUNT}
              isWhole
              suffix="×"
              problem={problemAt(`/pieces/${at}/count`)}
              onValue={(many) => change(at, { count: many })}
            />
            {isRootPiece(body, like) ? (
              <span className="quiet small">all else is set on it</span>
            ) : (
              <span className={styles.pieceWays}>
                <Button
                  size="small"
                  disabled={shown.length >= MOST_PIECES}
                  aria-label={`Another like ${name}`}
                  onClick={() => onChange(withAnother(shown, like))}
                >
                  Another
                </Button>
                <Button
                  size="small"
                  type="text"
                  aria-label={`Leave out ${name}`}
                  onClick={() => onChange(shown.filter((_, index) => index !== at))}
                >
                  Leave out
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {leftOut.length > 0 && (
        <p className={styles.leftOut}>
          <span className="quiet small">left out:</span>
          {leftOut.map(({ like, name }) => (
            <Button key={like} size="small" onClick={() => onChange(withPieceBack(body, shown, like))}>
              {name} back
            </Button>
          ))}
        </p>
      )}
    </details>
  );
}
