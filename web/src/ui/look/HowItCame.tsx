import { Popover } from 'antd';
import type { ReactNode } from 'react';
import type { CameLine } from '../../words/howItCame.ts';
import styles from './HowItCame.module.css';

interface HowItCameProps {
  title: string;
  lines: readonly CameLine[];
  children: ReactNode;
}

/** A number that opens to how it came about. */
export function HowItCame({ title, lines, children }: HowItCameProps) {
  return (
    <Popover
      trigger="click"
      title={`${title}: how it came about`}
      content={
        <table className={styles.came}>
          <tbody>
            {lines.map((line, index) => (
              <tr key={index} className={line.isResult ? styles.result : ''}>
                <th scope="row">{line.what}</th>
                <td className="num">{line.value}</td>
                <td className={styles.note}>{line.note}</td>
              </tr>
            ))}
          </tbody>
        </table>
      }
    >
      <button type="button" className="opens num" title="How it came about">
        {children}
      </button>
    </Popover>
  );
}
