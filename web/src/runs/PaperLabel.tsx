import {
  bagLine,
  cellWords,
  CODE_GAP_MM,
  type FigureSvg,
  type FittedLabel,
  qrSvg,
  type Swatch,
  swatchSvg,
} from '@lanakit/core/papers';
import { labelCodeInGroups } from '@lanakit/core/run';
import styles from './Paper.module.css';

const svgSource = (svg: string): string => `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;

/** As in the PDF: colour, and a hatching for printers without. */
export const PaperSwatch = ({ swatch, width, height }: { swatch: Swatch; width: number; height: number }) => (
  <img alt="" width={width} height={height} src={svgSource(swatchSvg(swatch, width, height))} />
);

/** One label as it will be stuck on. */
export function Label({ label, figure }: { label: FittedLabel; figure: FigureSvg | null }) {
  const under = bagLine(label);
  return (
    <div className={styles.label}>
      <b>{label.title}</b>
      {label.figureMm && figure && (
        <img
          alt=""
          className={styles.labelFigure}
          style={{ width: `${label.figureMm.widthMm}mm`, height: `${label.figureMm.heightMm}mm` }}
          src={svgSource(figure.svg)}
        />
      )}
      {(under !== '' || label.figureMm) && <i>{under || '\u00a0'}</i>}
      <div
        className={styles.labelBody}
        style={{ marginRight: label.codeMm ? `${label.codeMm.sideMm + CODE_GAP_MM}mm` : undefined }}
      >
        <div className={label.columns === 2 ? styles.labelColumns : undefined}>
          {label.lines.map(({ swatch, text, grams }, at) => (
            <span key={at} className={styles.labelLine}>
              {swatch && <PaperSwatch swatch={swatch} width={18} height={9} />}
              <span>{text}</span>
              <b>{cellWords(grams)}</b>
            </span>
          ))}
        </div>
        {label.notes.map((note) => (
          <small key={note}>{note}</small>
        ))}
        <small>{label.parts}</small>
      </div>
      {label.codeMm && <Code code={label.code} {...label.codeMm} />}
      <small className={styles.labelFoot}>{label.foot}</small>
    </div>
  );
}

/** What a scanner reads, and whoever has none types. */
function Code({ code, sideMm, hasSigns }: { code: string; sideMm: number; hasSigns: boolean }) {
  const signs = labelCodeInGroups(code);
  return (
    <span className={styles.labelCode} style={{ width: `${sideMm}mm` }}>
      <img
        alt={`code ${signs}`}
        style={{ width: `${sideMm}mm`, height: `${sideMm}mm` }}
        src={svgSource(qrSvg(code))}
      />
      {hasSigns && signs.split('-').map((group) => <i key={group}>{group}</i>)}
    </span>
  );
}
